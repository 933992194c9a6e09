package syntoma.core.need;

import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import syntoma.core.reading.Figure;

/**
 * In how many of a setup's runs a need was met.
 *
 * <p>A run that failed does not meet it. A run that lacks a speed or the latency under load that the need asks for neither meets nor
 * misses it. Loss counts where it was measured: most speed tests do not measure it, and without this rule they would tell nothing
 * about calls.
 *
 * <pre>{@code
 * new Met(5, 4).share() // 0.8
 * }</pre>
 *
 * @param runs that count
 * @param metRuns those of them that met it
 */
public record Met(int runs, int metRuns) {

    /**
     * Counts runs.
     *
     * @param values each run's figures; empty for a run that failed
     */
    public static Met of(List<Need> needs, List<Optional<Function<Figure, Optional<Double>>>> values) {
        int runs = 0;
        int met = 0;
        for (Optional<Function<Figure, Optional<Double>>> run : values) {
            Optional<Boolean> isMet = isMet(needs, run);
            runs += isMet.isPresent() ? 1 : 0;
            met += isMet.orElse(false) ? 1 : 0;
        }
        return new Met(runs, met);
    }

    /**
     * Whether one run met everything that the needs ask; empty where it does not say, or nothing is asked.
     *
     * @param run its figures; empty for a run that failed
     */
    public static Optional<Boolean> isMet(List<Need> needs, Optional<Function<Figure, Optional<Double>>> run) {
        List<Threshold> asked = Threshold.all(needs);
        if (asked.isEmpty()) {
            return Optional.empty();
        }
        if (run.isEmpty()) {
            return Optional.of(false);
        }
        List<Threshold> measured = asked.stream()
                .filter(t -> run.get().apply(t.figure()).isPresent())
                .toList();
        boolean lacksOne = asked.stream()
                .filter(t -> t.figure() != Figure.LOSS_PCT)
                .anyMatch(t -> measured.stream().noneMatch(m -> isSameAsk(m, t)));
        if (lacksOne || measured.isEmpty()) {
            return Optional.empty();
        }
        return Optional.of(measured.stream()
                .allMatch(t -> t.isMetBy(run.get().apply(t.figure()).orElseThrow())));
    }

    /** Latency while downloading and while uploading are asked for as one: one of them tells. */
    private static boolean isSameAsk(Threshold one, Threshold other) {
        return one.figure() == other.figure() || (isLatency(one.figure()) && isLatency(other.figure()));
    }

    private static boolean isLatency(Figure figure) {
        return figure == Figure.DOWN_LOADED_MS || figure == Figure.UP_LOADED_MS;
    }

    /** Whether nothing that was asked was measured. */
    public boolean isUnknown() {
        return runs == 0;
    }

    /** Whether it was met in at least four of five runs, the share at which a setup is said to do for a need. */
    public boolean isMostly() {
        return !isUnknown() && 5 * metRuns >= 4 * runs;
    }

    /** Whether it was met in at least half of the runs. */
    public boolean isHalf() {
        return !isUnknown() && 2 * metRuns >= runs;
    }

    /** The share of runs that met it; 0 where none counts. */
    public double share() {
        return isUnknown() ? 0 : metRuns / (double) runs;
    }
}
