package syntoma.core.verdict;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.function.ToDoubleFunction;
import java.util.stream.IntStream;
import syntoma.core.trial.Metric;

/**
 * A round that stands out. It is marked and shown with and without, never dropped.
 *
 * <p>A round is wild when its externally studentised residual is beyond 3. When none is, the one furthest out is marked if
 * the Hodges–Lehmann estimate differs from the mean by more than half the interval's half-width. Under four rounds nothing
 * is marked: a residual with one degree of freedom is beyond 3 in one case of five by chance.
 *
 * @param round the round
 * @param setup the setup whose run lies further from its own middle
 * @param ratio the round's ratio, or its difference in dB
 * @param estimate the effect without the round, in ratio or dB
 */
public record WildRun(PairedRound round, String setup, double ratio, double estimate, double low, double high) {
    private static final int FEWEST = 4;
    private static final double BEYOND = 3;

    static List<WildRun> among(Metric metric, Pairing pairing, String baseline, String candidate, double level) {
        List<Double> d = pairing.differences();
        int n = d.size();
        if (n < FEWEST) {
            return List.of();
        }
        double[] residuals =
                IntStream.range(0, n).mapToDouble(i -> studentised(d, i)).toArray();
        List<Integer> wild = IntStream.range(0, n)
                .filter(i -> Math.abs(residuals[i]) > BEYOND)
                .boxed()
                .sorted(Comparator.comparing(i -> -Math.abs(residuals[i])))
                .toList();
        Effect all = Effect.of(d);
        if (wild.isEmpty() && Math.abs(hodgesLehmann(d) - all.mean().orElseThrow()) > all.half(level) / 2) {
            wild = IntStream.range(0, n).boxed().max(Comparator.comparing(i -> Math.abs(residuals[i]))).stream()
                    .toList();
        }
        return wild.stream()
                .map(i -> {
                    PairedRound round = pairing.rounds().get(i);
                    Effect without = Effect.of(without(d, i));
                    return new WildRun(
                            round,
                            culprit(metric, pairing, i, baseline, candidate),
                            metric.fromScale(round.difference()),
                            metric.fromScale(without.mean().orElseThrow()),
                            metric.fromScale(without.low(level)),
                            metric.fromScale(without.high(level)));
                })
                .toList();
    }

    /** The externally studentised residual of one difference: its distance from the others' mean in their own spread. */
    static double studentised(List<Double> d, int i) {
        Effect others = Effect.of(without(d, i));
        double distance = d.get(i) - others.mean().orElseThrow();
        double spread = others.sd().orElseThrow() * Math.sqrt(1 + 1.0 / others.rounds());
        return Math.abs(distance) < 1e-12 ? 0 : distance / spread;
    }

    /** Median of the pairwise means, each difference with itself included (Hodges and Lehmann 1963). */
    static double hodgesLehmann(List<Double> d) {
        List<Double> means = new ArrayList<>();
        for (int i = 0; i < d.size(); i++) {
            for (int j = i; j < d.size(); j++) {
                means.add((d.get(i) + d.get(j)) / 2);
            }
        }
        return median(means);
    }

    private static String culprit(Metric metric, Pairing pairing, int i, String baseline, String candidate) {
        double ofBaseline = distance(pairing, i, r -> metric.toScale(r.baseline()));
        double ofCandidate = distance(pairing, i, r -> metric.toScale(r.candidate()));
        return ofBaseline > ofCandidate ? baseline : candidate;
    }

    private static double distance(Pairing pairing, int i, ToDoubleFunction<PairedRound> value) {
        List<Double> values =
                pairing.rounds().stream().map(value::applyAsDouble).toList();
        return Math.abs(values.get(i) - median(without(values, i)));
    }

    private static List<Double> without(List<Double> values, int i) {
        List<Double> rest = new ArrayList<>(values);
        rest.remove(i);
        return rest;
    }

    private static double median(List<Double> values) {
        double[] sorted = values.stream().mapToDouble(v -> v).sorted().toArray();
        return (sorted[(sorted.length - 1) / 2] + sorted[sorted.length / 2]) / 2;
    }
}
