package syntoma.core.design;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import syntoma.core.unit.Median;
import syntoma.core.unit.Values;

/**
 * How much a figure scatters when nothing is changed, on the natural logarithm for speeds and latencies.
 *
 * @param run from one run to the next at one visit
 * @param visit from one visit to the next
 */
public record Noise(double run, double visit) {
    /** Where the log says nothing of it yet: what cellular links usually show within an hour. */
    public static final Noise USUAL = new Noise(0.30, 0.20);

    /** So many rounds of one's own tell more than what is usual. */
    public static final int LEAST_ROUNDS = 10;

    /** Most runs at a visit: more of them tell next to nothing. */
    public static final int MOST_RUNS = 5;

    /**
     * The variance of the median of one to five runs, as a share of one run's, where the scatter is normal: order statistics of
     * the normal distribution (exact for one to three; 0.298 and 0.287 to three digits).
     */
    private static final double[] OF_MEDIAN = {1, 0.5, 0.449, 0.298, 0.287};

    private static final double NORMAL_OVER_APART = 1.0483;

    public Noise {
        Values.within("scatter from run to run", run, 0, 5, "");
        Values.within("scatter from visit to visit", visit, 0, 5, "");
    }

    /**
     * The standard deviation of the difference of two setups in a round, each counted as the median of its runs.
     *
     * @param runs at each visit, 1 to 5
     */
    public double ofRound(int runs) {
        Values.within("runs", runs, 1, MOST_RUNS, "");
        return Math.sqrt(2 * (visit * visit + OF_MEDIAN[runs - 1] * run * run));
    }

    /**
     * One round of a log: the values of each setup in it, on the scale of the computation, in the order in which they were taken.
     */
    public record Round(Map<String, List<Double>> values) {}

    /**
     * What a log says of its scatter: of the runs of a visit, and what is left of the scatter of rounds' differences. Both by how
     * far each two are apart in the middle: a wild run must not make every later trial look hopeless. Empty under ten rounds that
     * have a pair.
     *
     * @param rounds by trial
     */
    public static Optional<Noise> of(List<List<Round>> rounds) {
        List<Double> ofRuns = new ArrayList<>();
        List<Double> ofRounds = new ArrayList<>();
        int counted = 0;
        double share = 0;
        for (List<Round> trial : rounds) {
            trial.forEach(round -> round.values().values().forEach(visit -> ofRuns.addAll(apart(visit))));
            List<Map<String, List<Double>>> pairs = trial.stream()
                    .map(Round::values)
                    .filter(values -> values.size() >= 2)
                    .toList();
            List<String> setups = pairs.stream()
                    .flatMap(values -> values.keySet().stream())
                    .distinct()
                    .sorted()
                    .toList();
            for (int i = 1; i < setups.size(); i++) {
                ofRounds.addAll(apart(differences(pairs, setups.get(0), setups.get(i))));
            }
            counted += pairs.size();
            share += pairs.stream().mapToDouble(Noise::ofMedians).sum();
        }
        if (counted < LEAST_ROUNDS || ofRounds.isEmpty()) {
            return Optional.empty();
        }
        // without two runs at a visit nothing tells the two apart: the usual share of each is taken
        double half = variance(ofRounds) / 2;
        double usualShare = USUAL.run * USUAL.run / (USUAL.run * USUAL.run + USUAL.visit * USUAL.visit);
        double run = ofRuns.isEmpty() ? half * usualShare : variance(ofRuns);
        double visit = Math.max(0, half - run * share / counted);
        return Optional.of(new Noise(Math.sqrt(run), Math.sqrt(visit)));
    }

    /** How far apart each two of some values are. */
    private static List<Double> apart(List<Double> values) {
        List<Double> apart = new ArrayList<>();
        for (int i = 1; i < values.size(); i++) {
            for (int j = 0; j < i; j++) {
                apart.add(Math.abs(values.get(i) - values.get(j)));
            }
        }
        return apart;
    }

    /** The variance of a normal scatter whose values are so far apart in the middle (Shamos 1976). */
    private static double variance(List<Double> apart) {
        double sd = NORMAL_OVER_APART * Median.of(apart);
        return sd * sd;
    }

    /** The mean share of a run's variance that is left in the median of each visit. */
    private static double ofMedians(Map<String, List<Double>> round) {
        return round.values().stream()
                .mapToDouble(visit -> OF_MEDIAN[Math.min(visit.size(), MOST_RUNS) - 1])
                .average()
                .orElse(1);
    }

    private static List<Double> differences(List<Map<String, List<Double>>> rounds, String one, String other) {
        return rounds.stream()
                .filter(r -> r.containsKey(one) && r.containsKey(other))
                .map(r -> Median.of(r.get(other)) - Median.of(r.get(one)))
                .toList();
    }
}
