package syntoma.core.need;

import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import syntoma.core.reading.Figure;

/**
 * In how many of a setup's runs a need was met. A run meets it when it keeps to every threshold that it measured; a run that
 * failed does not, and a run that measured none of them does not count.
 *
 * @param runs that count
 * @param met those of them that met it
 */
public record Met(int runs, int met) {

    /**
     * Counts runs.
     *
     * @param values each run's figures; empty for a run that failed
     */
    public static Met of(List<Need> needs, List<Optional<Function<Figure, Optional<Double>>>> values) {
        List<Threshold> asked = Figure.numbers().stream()
                .flatMap(f -> Threshold.of(needs, f).stream())
                .toList();
        int runs = 0;
        int met = 0;
        for (Optional<Function<Figure, Optional<Double>>> run : values) {
            if (run.isEmpty()) {
                runs++;
                continue;
            }
            List<Threshold> measured = asked.stream()
                    .filter(t -> run.get().apply(t.figure()).isPresent())
                    .toList();
            if (!measured.isEmpty()) {
                runs++;
                met += measured.stream()
                                .allMatch(t ->
                                        t.isMetBy(run.get().apply(t.figure()).orElseThrow()))
                        ? 1
                        : 0;
            }
        }
        return new Met(asked.isEmpty() ? 0 : runs, met);
    }

    /** Whether nothing that was asked was measured. */
    public boolean isUnknown() {
        return runs == 0;
    }

    /** Whether it was met in at least four of five runs, the share at which a setup is said to do for a need. */
    public boolean isMostly() {
        return !isUnknown() && 5 * met >= 4 * runs;
    }
}
