package syntoma.core.choice;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import syntoma.core.band.Reach;
import syntoma.core.chain.Device;
import syntoma.core.choice.Option.Essential;
import syntoma.core.choice.Option.Met;
import syntoma.core.fit.Findings;
import syntoma.core.fit.FitCase;
import syntoma.core.unit.Values;

/**
 * What candidates are judged by.
 *
 * @param downMbps what the modem must be able to do; empty when download does not matter
 * @param features what the device must be able to do
 * @param budget in units of money; empty for none
 * @param hoursADay so long it runs
 */
public record Wanted(OptionalDouble downMbps, List<String> features, OptionalDouble budget, double hoursADay) {
    /** What cannot be done without, and whether a candidate has it. */
    List<Essential> essentials(FitCase fit, Findings findings, OptionalDouble price) {
        List<Essential> essentials = new ArrayList<>();
        essentials.add(new Essential("nothing in its way", Met.known(!findings.blocked())));
        Reach reach = fit.reach();
        if (!reach.isEmpty()) {
            boolean works = reach.works() > 0;
            essentials.add(new Essential(
                    "a band of " + reach.carrier() + " works",
                    !works && reach.unknown() > 0 ? Met.UNKNOWN : Met.known(works)));
        }
        Optional<Device> device = fit.chain().device();
        downMbps.ifPresent(down -> {
            OptionalDouble most = device.map(Device::downMaxMbps).orElse(OptionalDouble.empty());
            essentials.add(new Essential(
                    "modem for " + Values.plain(Math.round(down * 10) / 10.0) + " Mb/s down",
                    most.isEmpty() ? Met.UNKNOWN : Met.known(most.getAsDouble() >= down)));
        });
        Set<String> has = device.map(Device::features).orElse(Set.of());
        for (String feature : features) {
            essentials.add(new Essential(feature, has.isEmpty() ? Met.UNKNOWN : Met.known(has.contains(feature))));
        }
        budget.ifPresent(most -> essentials.add(new Essential(
                "within " + Values.plain(most),
                price.isEmpty() ? Met.UNKNOWN : Met.known(price.getAsDouble() <= most))));
        return essentials;
    }
}
