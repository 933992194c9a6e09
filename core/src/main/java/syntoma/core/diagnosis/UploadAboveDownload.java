package syntoma.core.diagnosis;

import java.util.List;
import java.util.Optional;
import syntoma.core.diagnosis.Claim.Cause;
import syntoma.core.diagnosis.Claim.Sure;

/** More goes up than comes down: the downlink is busy or narrow, or another cell carries the uplink. */
final class UploadAboveDownload implements Rule {
    /** Runs scatter by about a third; chosen well above that. */
    private static final double ABOVE = 1.5;

    private static final int FEWEST = 2;
    private static final int SURE = 3;

    @Override
    public Optional<Claim> look(Situation s) {
        List<ObservedRun> both = s.lately().stream()
                .filter(l -> l.downMbps().isPresent() && l.upMbps().isPresent())
                .toList();
        if (both.size() < FEWEST) {
            return Optional.empty();
        }
        double down = Situation.median(both, ObservedRun::downMbps).orElseThrow();
        double up = Situation.median(both, ObservedRun::upMbps).orElseThrow();
        if (up <= ABOVE * down) {
            return Optional.empty();
        }
        return Optional.of(new Claim(
                Cause.UPLOAD_ABOVE_DOWNLOAD,
                both.size() >= SURE ? Sure.LIKELY : Sure.PERHAPS,
                "Upload is faster than download: this cell’s downlink is busy or narrow.",
                List.of("upload " + EvidenceText.mbps(up) + " beside download " + EvidenceText.mbps(down) + ", "
                        + EvidenceText.over(both, "run")),
                "Try another band or carrier for downloads; uploads work well here."));
    }
}
