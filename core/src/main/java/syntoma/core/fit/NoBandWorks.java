package syntoma.core.fit;

import java.util.List;
import syntoma.core.band.Coverage;
import syntoma.core.band.Coverage.Result;

/** None, or few, of the carrier’s bands get through the chain. */
final class NoBandWorks implements FitRule {
    @Override
    public List<FitFinding> check(FitCase fit) {

        List<Coverage> coverage = fit.coverage();
        long works = coverage.stream().filter(c -> c.result() == Result.WORKS).count();
        boolean unknown = coverage.stream().anyMatch(c -> c.result() == Result.UNKNOWN);
        if (coverage.isEmpty() || works > 0 || unknown) {
            return List.of();
        }
        String limit = coverage.stream()
                .flatMap(c -> c.limitedBy().stream())
                .findFirst()
                .orElse("the chain");
        return List.of(FitFinding.blocker(
                "no-band-works",
                limit,
                "No band of " + fit.carrier() + " works in both directions through this chain.",
                "Take another carrier, or another part in place of " + limit + "."));
    }
}
