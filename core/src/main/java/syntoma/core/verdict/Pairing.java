package syntoma.core.verdict;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import syntoma.core.reading.Figure;
import syntoma.core.trial.Block;
import syntoma.core.trial.Sample;
import syntoma.core.unit.Median;

/**
 * Pairs two setups round by round. Several runs of one setup in a round count as their median on the scale of the
 * computation. A radio metric is paired within one band where both state a band; bands in common are averaged, and a round
 * without one gives no pair.
 *
 * @param leftOut rounds in which at least one of the two was tried and that gave no pair
 * @param bandsApart those of them in which both have the metric, on different bands
 */
record Pairing(List<PairedRound> rounds, int leftOut, Optional<BandsApart> bandsApart) {

    private static final BandsApart NONE_APART = new BandsApart(0, new TreeSet<>(), new TreeSet<>());

    static Pairing of(Figure metric, String baseline, String candidate, List<Block> blocks) {
        List<PairedRound> rounds = new ArrayList<>();
        int leftOut = 0;
        BandsApart apart = NONE_APART;
        for (Block block : blocks) {
            List<Sample> a = block.of(baseline);
            List<Sample> b = block.of(candidate);
            if (a.isEmpty() && b.isEmpty()) {
                continue;
            }
            Optional<PairedRound> pair = pair(metric, block, a, b);
            pair.ifPresent(rounds::add);
            if (pair.isEmpty()) {
                leftOut++;
                // two that both have the metric make no pair only where they have no band in common
                boolean both = a.stream().anyMatch(Sample::counts) && b.stream().anyMatch(Sample::counts);
                apart = both ? apart.and(bands(a), bands(b)) : apart;
            }
        }
        rounds.sort(Comparator.comparing(PairedRound::baselineAt));
        return new Pairing(List.copyOf(rounds), leftOut, apart.rounds() == 0 ? Optional.empty() : Optional.of(apart));
    }

    double[] differences() {
        return rounds.stream().mapToDouble(PairedRound::difference).toArray();
    }

    /** The same with candidate and baseline in each other's place. */
    Pairing swapped() {
        return new Pairing(
                rounds.stream()
                        .map(PairedRound::swapped)
                        .sorted(Comparator.comparing(PairedRound::baselineAt))
                        .toList(),
                leftOut,
                bandsApart.map(BandsApart::swapped));
    }

    /** The mean of the differences; of one round or more. */
    double effectMean() {
        return Arrays.stream(differences()).average().orElseThrow();
    }

    private static Optional<PairedRound> pair(Figure metric, Block block, List<Sample> a, List<Sample> b) {
        Optional<Sample> firstA = a.stream().filter(Sample::counts).findFirst();
        Optional<Sample> firstB = b.stream().filter(Sample::counts).findFirst();
        if (firstA.isEmpty() || firstB.isEmpty()) {
            return Optional.empty();
        }
        double onScaleA;
        double onScaleB;
        Set<String> bandsA = metric.measure().radio().isPresent() ? bands(a) : Set.of();
        Set<String> bandsB = metric.measure().radio().isPresent() ? bands(b) : Set.of();
        if (bandsA.isEmpty() || bandsB.isEmpty()) {
            onScaleA = median(metric, a, s -> true);
            onScaleB = median(metric, b, s -> true);
        } else {
            bandsA.retainAll(bandsB);
            if (bandsA.isEmpty()) {
                return Optional.empty();
            }
            onScaleA = meanOfMedians(metric, a, bandsA);
            onScaleB = meanOfMedians(metric, b, bandsA);
        }
        return Optional.of(new PairedRound(
                block.key(),
                firstA.get().takenAt(),
                firstB.get().takenAt(),
                metric.scale().off(onScaleA),
                metric.scale().off(onScaleB),
                onScaleB - onScaleA));
    }

    private static Set<String> bands(List<Sample> samples) {
        return samples.stream()
                .filter(Sample::counts)
                .map(Sample::band)
                .filter(band -> !band.isEmpty())
                .collect(Collectors.toCollection(LinkedHashSet::new));
    }

    private static double meanOfMedians(Figure metric, List<Sample> samples, Set<String> bands) {
        double sum = 0;
        for (String band : bands) {
            sum += median(metric, samples, s -> s.band().equals(band));
        }
        return sum / bands.size();
    }

    /** Median on the scale of the computation of those that count and are wanted; one at least. */
    private static double median(Figure metric, List<Sample> samples, Predicate<Sample> wanted) {
        double[] values = new double[samples.size()];
        int n = 0;
        for (Sample sample : samples) {
            if (sample.counts() && wanted.test(sample)) {
                values[n++] = metric.scale().on(sample.value().getAsDouble());
            }
        }
        return Median.of(Arrays.copyOf(values, n));
    }
}
