package syntoma.core.fit;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import syntoma.core.band.Coverage;

/** Bands that the device has and another part of the chain does not pass. */
final class BandsMissing implements FitRule {
    @Override
    public List<FitFinding> check(FitCase fit) {
        if (fit.reach().works() == 0) {
            return List.of();
        }
        Map<String, List<Coverage>> byLink = fit.reach().stoppedBands().stream()
                .collect(Collectors.groupingBy(c -> c.limitedBy().get(), LinkedHashMap::new, Collectors.toList()));
        return byLink.entrySet().stream()
                .map(e -> FitFinding.caution(
                        "bands-missing",
                        e.getKey(),
                        e.getKey() + " does not pass "
                                + e.getValue().stream()
                                        .map(c -> c.band().name())
                                        .collect(Collectors.joining(", ")) + " of "
                                + fit.carrier() + (isHalf(e.getValue()) ? " in both directions." : "."),
                        isDevice(fit, e.getKey())
                                ? "Nothing to do unless this is the only band somewhere."
                                : "Add an antenna that does, or rely on the other bands."))
                .toList();
    }

    private static boolean isDevice(FitCase fit, String link) {
        return fit.chain().device().map(d -> d.name().equals(link)).orElse(false);
    }

    private static boolean isHalf(List<Coverage> bands) {
        return bands.stream()
                .anyMatch(
                        c -> c.result() == Coverage.Result.DOWNLINK_ONLY || c.result() == Coverage.Result.UPLINK_ONLY);
    }
}
