package syntoma.core.choice;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import syntoma.core.band.Reach;
import syntoma.core.chain.Device;
import syntoma.core.chain.Feature;
import syntoma.core.chain.Sim;
import syntoma.core.choice.Option.Essential;
import syntoma.core.choice.Option.Met;
import syntoma.core.fit.Demand;
import syntoma.core.fit.Findings;
import syntoma.core.fit.FitCase;
import syntoma.core.unit.Values;

/**
 * What candidates are judged by beside what the needs ask for.
 *
 * @param budget in units of money; empty for none
 * @param hoursADay so long it runs
 */
public record ChoiceLimits(OptionalDouble budget, double hoursADay) {
    /** What cannot be done without, and whether a candidate has it. */
    List<Essential> essentials(FitCase fit, Findings findings, Price price) {
        Demand demand = fit.demand();
        List<Essential> essentials = new ArrayList<>();
        essentials.add(new Essential("a fit without a blocker", Met.of(!findings.isBlocked())));
        Reach reach = fit.reach();
        if (!reach.isEmpty()) {
            boolean works = reach.works() > 0;
            essentials.add(new Essential(
                    "a band of " + reach.carrier() + " that works",
                    !works && reach.unknown() > 0 ? Met.UNKNOWN : Met.of(works)));
        }
        Optional<Device> device = fit.chain().device();
        demand.downMbps().ifPresent(down -> {
            OptionalDouble most = device.map(Device::downMaxMbps).orElse(OptionalDouble.empty());
            essentials.add(new Essential(
                    "a modem for " + amount(down) + " Mb/s down",
                    most.isEmpty() ? Met.UNKNOWN : Met.of(most.getAsDouble() >= down)));
        });
        plan(essentials, fit.chain().sims(), demand);
        for (Feature feature : demand.features()) {
            essentials.add(new Essential(
                    feature.label(),
                    device.flatMap(d -> d.can(feature)).map(Met::of).orElse(Met.UNKNOWN)));
        }
        budget.ifPresent(most -> essentials.add(new Essential(
                "a price within " + Values.format(most),
                price.knownPart() > most ? Met.NO : price.isOpen() ? Met.UNKNOWN : Met.YES)));
        return essentials;
    }

    /** A plan counts where it states something: its speed cap against the rates, its allowance against the GB a month. */
    private static void plan(List<Essential> essentials, List<Sim> sims, Demand demand) {
        demand.rateMbps().ifPresent(rate -> sims.stream()
                .filter(s -> s.capMbps().isPresent())
                .forEach(s -> essentials.add(new Essential(
                        "a plan of " + s.name() + " for " + amount(rate) + " Mb/s",
                        Met.of(s.capMbps().getAsDouble() >= rate)))));
        boolean stated =
                !sims.isEmpty() && sims.stream().allMatch(s -> s.allowanceGb().isPresent());
        if (stated && demand.gbAMonth() > 0) {
            double given = sims.stream()
                    .mapToDouble(s -> s.allowanceGb().getAsDouble())
                    .sum();
            essentials.add(new Essential(
                    "a plan for " + Values.round(demand.gbAMonth(), 0) + " GB a month",
                    Met.of(given >= demand.gbAMonth())));
        }
    }

    private static String amount(double mbps) {
        return Values.format(Math.round(mbps * 10) / 10.0);
    }
}
