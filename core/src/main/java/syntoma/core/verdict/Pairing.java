package syntoma.core.verdict;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import syntoma.core.trial.Block;
import syntoma.core.trial.Metric;
import syntoma.core.trial.Sample;

/**
 * Pairs two setups round by round. Several runs of one setup in a round count as their median on the scale of the
 * computation. A radio metric is paired within one band where both state a band; bands in common are averaged, and a round
 * without one gives no pair.
 *
 * @param leftOut rounds in which at least one of the two was tried and that gave no pair
 */
record Pairing(List<PairedRound> rounds, int leftOut) {

    static Pairing of(Metric metric, String baseline, String candidate, List<Block> blocks) {
        List<PairedRound> rounds = new ArrayList<>();
        int leftOut = 0;
        for (Block block : blocks) {
            if (!block.tried(baseline) && !block.tried(candidate)) {
                continue;
            }
            Optional<PairedRound> pair = pair(metric, block, baseline, candidate);
            pair.ifPresent(rounds::add);
            leftOut += pair.isPresent() ? 0 : 1;
        }
        rounds.sort(Comparator.comparing(PairedRound::baselineAt));
        return new Pairing(List.copyOf(rounds), leftOut);
    }

    List<Double> differences() {
        return rounds.stream().map(PairedRound::difference).toList();
    }

    private static Optional<PairedRound> pair(Metric metric, Block block, String baseline, String candidate) {
        List<Sample> a = counted(block, baseline);
        List<Sample> b = counted(block, candidate);
        if (a.isEmpty() || b.isEmpty()) {
            return Optional.empty();
        }
        Set<String> bandsA = bands(a);
        Set<String> bandsB = bands(b);
        if (!metric.isRadio() || bandsA.isEmpty() || bandsB.isEmpty()) {
            return Optional.of(round(metric, block, a, b, median(metric, a), median(metric, b)));
        }
        bandsA.retainAll(bandsB);
        if (bandsA.isEmpty()) {
            return Optional.empty();
        }
        double sumA = 0;
        double sumB = 0;
        for (String band : bandsA) {
            sumA += median(metric, within(a, band));
            sumB += median(metric, within(b, band));
        }
        return Optional.of(round(metric, block, a, b, sumA / bandsA.size(), sumB / bandsA.size()));
    }

    private static PairedRound round(
            Metric metric, Block block, List<Sample> a, List<Sample> b, double onScaleA, double onScaleB) {
        return new PairedRound(
                block.key(),
                a.get(0).takenAt(),
                b.get(0).takenAt(),
                metric.fromScale(onScaleA),
                metric.fromScale(onScaleB),
                onScaleB - onScaleA);
    }

    private static List<Sample> counted(Block block, String setup) {
        return block.samples().stream()
                .filter(s -> s.setup().equals(setup) && s.counts())
                .toList();
    }

    private static Set<String> bands(List<Sample> samples) {
        return samples.stream()
                .map(Sample::band)
                .filter(band -> !band.isEmpty())
                .collect(Collectors.toCollection(LinkedHashSet::new));
    }

    private static List<Sample> within(List<Sample> samples, String band) {
        return samples.stream().filter(s -> s.band().equals(band)).toList();
    }

    private static double median(Metric metric, List<Sample> samples) {
        double[] values = samples.stream()
                .mapToDouble(s -> metric.toScale(s.value().orElseThrow()))
                .sorted()
                .toArray();
        int half = values.length / 2;
        return values.length % 2 == 1 ? values[half] : (values[half - 1] + values[half]) / 2;
    }
}
