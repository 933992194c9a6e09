package syntoma.core.verdict;

import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.function.ToDoubleFunction;
import java.util.stream.IntStream;
import syntoma.core.reading.Figure;

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
    /** With three rounds a residual has one degree of freedom. */
    private static final int FEWEST = 4;
    /** The usual bound of an externally studentised residual. */
    private static final double BEYOND = 3;

    static List<WildRun> among(Figure metric, Pairing pairing, String baseline, String candidate, double level) {
        double[] d = pairing.differences();
        int n = d.length;
        if (n < FEWEST) {
            return List.of();
        }
        LeaveOneOut others = new LeaveOneOut(d);
        double[] residuals =
                IntStream.range(0, n).mapToDouble(others::studentised).toArray();
        List<Integer> wild = IntStream.range(0, n)
                .filter(i -> Math.abs(residuals[i]) > BEYOND)
                .boxed()
                .sorted(Comparator.comparing(i -> -Math.abs(residuals[i])))
                .toList();
        Effect all = Effect.of(d);
        if (wild.isEmpty() && Math.abs(HodgesLehmann.of(d) - all.mean().orElseThrow()) > all.half(level) / 2) {
            wild = IntStream.range(0, n).boxed().max(Comparator.comparing(i -> Math.abs(residuals[i]))).stream()
                    .toList();
        }
        if (wild.isEmpty()) {
            return List.of();
        }
        Middle ofBaseline = Middle.of(pairing, r -> metric.scale().on(r.baseline()));
        Middle ofCandidate = Middle.of(pairing, r -> metric.scale().on(r.candidate()));
        double critical = Looks.critical(level, n - 2.0);
        return wild.stream()
                .map(i -> {
                    PairedRound round = pairing.rounds().get(i);
                    Effect without = others.without(i);
                    double mean = without.mean().orElseThrow();
                    double half = critical * without.standardError();
                    return new WildRun(
                            round,
                            ofBaseline.distance(i) > ofCandidate.distance(i) ? baseline : candidate,
                            metric.scale().off(round.difference()),
                            metric.scale().off(mean),
                            metric.scale().off(mean - half),
                            metric.scale().off(mean + half));
                })
                .toList();
    }

    /** One setup's values over the rounds, to tell how far one lies from the median of the others. */
    private record Middle(double[] values, double[] sorted) {
        static Middle of(Pairing pairing, ToDoubleFunction<PairedRound> value) {
            double[] values = pairing.rounds().stream().mapToDouble(value).toArray();
            double[] sorted = values.clone();
            Arrays.sort(sorted);
            return new Middle(values, sorted);
        }

        double distance(int i) {
            int gone = Arrays.binarySearch(sorted, values[i]);
            int rest = sorted.length - 1;
            return Math.abs(values[i] - (kept(gone, (rest - 1) / 2) + kept(gone, rest / 2)) / 2);
        }

        private double kept(int gone, int index) {
            return sorted[index < gone ? index : index + 1];
        }
    }
}
