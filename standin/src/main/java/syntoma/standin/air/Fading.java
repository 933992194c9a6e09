package syntoma.standin.air;

import java.time.Duration;
import java.time.OffsetDateTime;
import java.util.HashMap;
import java.util.Map;
import java.util.Random;

/** Slow fading of each cell at each campsite: AR(1), 3 dB, 10 minutes (docs/methods.md#18-stand-in-world). */
final class Fading {
    private static final double SD_DB = 3;
    private static final Duration MEMORY = Duration.ofMinutes(10);

    private final Map<Cell, FadedLevel> last = new HashMap<>();
    private final Random random;

    private record FadedLevel(OffsetDateTime at, double db) {}

    Fading(Random random) {
        this.random = random;
    }

    /** Of a cell at a moment, which is not before the one asked for last. */
    double db(Cell cell, OffsetDateTime at) {
        FadedLevel before = last.get(cell);
        double kept =
                before == null ? 0 : Math.exp(-Duration.between(before.at, at).toMillis() / (double) MEMORY.toMillis());
        double db =
                (before == null ? 0 : before.db * kept) + SD_DB * Math.sqrt(1 - kept * kept) * random.nextGaussian();
        last.put(cell, new FadedLevel(at, db));
        return db;
    }
}
