package syntoma.core.statustext;

import java.util.Optional;

/** What a speed test says, in Mb/s and ms. */
public record Speeds(
        Optional<Double> downMbps,
        Optional<Double> upMbps,
        Optional<Double> idleMs,
        Optional<Double> downLoadedMs,
        Optional<Double> upLoadedMs) {
    /** Whether it says anything. */
    boolean isThere() {
        return downMbps.isPresent()
                || upMbps.isPresent()
                || idleMs.isPresent()
                || downLoadedMs.isPresent()
                || upLoadedMs.isPresent();
    }
}
