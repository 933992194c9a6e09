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
 * <p>A round is wild when the two-sided p-value of its externally studentised residual is under 5 % shared among all
 * rounds, so that a trial in which nothing went wrong shows one in 5 % of cases and no more (Bonferroni; Cook and Weisberg
 * 1982, section 2.2.2).
 *
 * @param round the round
 * @param setup the setup whose run lies further from its own middle
 * @param ratio the round's ratio, or its difference in dB
 * @param estimate the effect without the round, in ratio or dB
 */
public record WildRun(PairedRound round, String setup, double ratio, double estimate, double low, double high) {
    /** How often a trial in which nothing went wrong shows a wild run. */
    private static final double BY_CHANCE = 0.05;

    /** @param level of the interval without the round */
    static List<WildRun> among(
            Figure metric, Pairing pairing, LeaveOneOut others, String baseline, String candidate, double level) {
        int n = pairing.rounds().size();
        if (n < InterimLooks.FEWEST) {
            return List.of();
        }
        double beyond = InterimLooks.critical(BY_CHANCE / n, n - 2.0);
        List<Integer> wild = IntStream.range(0, n)
                .filter(i -> Math.abs(others.studentised(i)) > beyond)
                .boxed()
                .sorted(Comparator.comparing(i -> -Math.abs(others.studentised(i))))
                .toList();
        if (wild.isEmpty()) {
            return List.of();
        }
        Middle ofBaseline = Middle.of(pairing, r -> metric.scale().on(r.baseline()));
        Middle ofCandidate = Middle.of(pairing, r -> metric.scale().on(r.candidate()));
        return wild.stream()
                .map(i -> {
                    PairedRound round = pairing.rounds().get(i);
                    Effect without = others.without(i);
                    return new WildRun(
                            round,
                            ofBaseline.distance(i) > ofCandidate.distance(i) ? baseline : candidate,
                            metric.scale().off(round.difference()),
                            metric.scale().off(without.mean().orElseThrow()),
                            metric.scale().off(without.low(level)),
                            metric.scale().off(without.high(level)));
                })
                .toList();
    }

    /** One setup's values over the rounds, to tell how far one lies from the median of the others. */
    private record Middle(double[] values, double[] sortedValues) {
        static Middle of(Pairing pairing, ToDoubleFunction<PairedRound> value) {
            double[] values = pairing.rounds().stream().mapToDouble(value).toArray();
            double[] sorted = values.clone();
            Arrays.sort(sorted);
            return new Middle(values, sorted);
        }

        double distance(int i) {
            int gone = Arrays.binarySearch(sortedValues, values[i]);
            int rest = sortedValues.length - 1;
            return Math.abs(values[i] - (valueWithout(gone, (rest - 1) / 2) + valueWithout(gone, rest / 2)) / 2);
        }

        private double valueWithout(int gone, int index) {
            return sortedValues[index < gone ? index : index + 1];
        }
    }
}
