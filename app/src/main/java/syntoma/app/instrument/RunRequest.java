package syntoma.app.instrument;

import java.util.OptionalLong;
import org.springframework.lang.Nullable;

/**
 * A run that is asked for.
 *
 * @param campsite the one that the vehicle stands at where it is missing
 * @param kind full, light or latency
 * @param budgetMb what it may take at most, both ways together, in MB
 * @param log whether it goes into the log; it does where it is missing
 */
record RunRequest(
        @Nullable String setup,
        @Nullable String carrier,
        @Nullable String campsite,
        @Nullable String trial,
        @Nullable Integer round,
        @Nullable String kind,
        @Nullable Double budgetMb,
        @Nullable Boolean log) {
    static final double BYTES_PER_MB = 1e6;

    boolean isLogged() {
        return log == null || log;
    }

    /** What it may take at most, in byte; empty where nothing was said of it. */
    OptionalLong budgetBytes() {
        return budgetMb == null ? OptionalLong.empty() : OptionalLong.of(Math.round(budgetMb * BYTES_PER_MB));
    }
}
