package syntoma.core.fit;

import java.util.List;
import syntoma.core.band.Reach;

/** None, or few, of the carrier’s bands get through the chain. */
final class NoBandWorks implements FitRule {
    @Override
    public List<FitFinding> check(FitCase fit) {
        Reach reach = fit.reach();
        if (reach.isEmpty() || reach.works() > 0 || reach.unknown() > 0) {
            return List.of();
        }
        String limit = reach.limit().orElse("the chain");
        return List.of(FitFinding.blocker(
                "no-band-works",
                limit,
                "No band of " + fit.carrier() + " works in both directions through this chain.",
                "Use another carrier, or replace " + limit + "."));
    }
}
