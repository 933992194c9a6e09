package syntoma.core.fit;

import java.util.List;
import syntoma.core.band.Coverage;
import syntoma.core.unit.Values;

/** A booster that only hears a band makes bars and no upload. */
final class BoosterUplink implements FitRule {
    @Override
    public List<FitFinding> check(FitCase fit) {

        return fit.chain().booster().stream()
                .flatMap(b -> fit.bands().stream()
                        .filter(band -> !band.isDownlinkOnly())
                        .map(band -> Coverage.of(band, List.of(b.share(band)))))
                .filter(c -> c.result() == Coverage.Result.DOWNLINK_ONLY)
                .map(c -> FitFinding.caution(
                        "booster-uplink",
                        c.limitedBy().orElse("booster"),
                        "On " + c.band().name() + " the booster helps the download only: it passes "
                                + Values.round(100 * c.links().get(0).uplink().orElse(0), 0) + " % of the uplink.",
                        "Lock another band, or bypass it there."))
                .toList();
    }
}
