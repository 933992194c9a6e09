package syntoma.core.fit;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import syntoma.core.band.Coverage;
import syntoma.core.band.Coverage.Result;

/** Bands that the device has and another part of the chain does not pass. */
final class BandsMissing implements FitRule {
    @Override
    public List<FitFinding> check(FitCase fit) {

        List<Coverage> coverage = fit.coverage();
        if (coverage.stream().noneMatch(c -> c.result() == Result.WORKS)) {
            return List.of();
        }
        Map<String, List<Coverage>> byLink = coverage.stream()
                .filter(c -> c.result() != Result.WORKS && c.result() != Result.UNKNOWN)
                .filter(c -> c.limitedBy().isPresent())
                .collect(Collectors.groupingBy(c -> c.limitedBy().get(), LinkedHashMap::new, Collectors.toList()));
        return byLink.entrySet().stream()
                .map(e -> FitFinding.caution(
                        "bands-missing",
                        e.getKey(),
                        e.getKey() + " does not pass "
                                + e.getValue().stream()
                                        .map(c -> c.band().name())
                                        .collect(Collectors.joining(", ")) + " of "
                                + fit.carrier() + " in both directions.",
                        ""))
                .toList();
    }
}
