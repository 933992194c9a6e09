package syntoma.core.design;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import syntoma.core.unit.Median;
import syntoma.core.unit.Text;
import syntoma.core.unit.Values;

/**
 * How much a figure scatters when nothing is changed, on the natural logarithm for speeds and latencies.
 *
 * <pre>{@code
 * new Noise(0.3, 0.2).ofRound(1) // 0.51
 * new Noise(0.3, 0.2).ofRound(3) // 0.40
 * }</pre>
 *
 * @param run from one run to the next at one visit
 * @param visit from one visit to the next
 */
public record Noise(double run, double visit) {
    /** Where the log says nothing of it yet: what cellular links usually show within an hour. */
    public static final Noise USUAL = new Noise(0.30, 0.20);

    /** What is usual weighs as much as so many degrees of freedom of one's own, from visit to visit (docs/methods.md#8-trial-design). */
    private static final int USUAL_ROUNDS = 12;

    /** The same from run to run. */
    private static final int USUAL_RUNS = 20;

    /** From so many visits on one's own say more than what is usual: two setups in as many rounds as that weighs. */
    private static final int MANY_VISITS = 2 * USUAL_ROUNDS;

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
        return Math.sqrt(2) * ofVisit(runs);
    }

    /** The standard deviation of one setup in a round, counted as the median of its runs. @param runs at each visit, 1 to 5 */
    double ofVisit(int runs) {
        Values.within("runs", runs, 1, MOST_RUNS, "");
        return Math.sqrt(visit * visit + OF_MEDIAN[runs - 1] * run * run);
    }

    /**
     * One round of a log: the values of each setup in it, on the scale of the computation, in the order in which they were taken.
     */
    public record Round(Map<String, List<Double>> values) {}

    /**
     * What to plan with: the usual scatter, moderated by one's own log.
     *
     * @param visits of one's own that went into it
     */
    public record Scatter(Noise noise, int visits) {
        /** What it rests on, in a sentence. @param figure the phrase of the figure that scatters */
        public String says(String figure) {
            String share = Values.round(100 * (Math.exp(noise.ofRound(1)) - 1), 0);
            String by = visits == 0
                    ? "From typical values (you have no visits of your own yet)"
                    : visits < MANY_VISITS
                            ? "From typical values and your own " + Text.count(visits, "visit")
                            : "From your own " + Text.count(visits, "visit");
            return by + ", " + figure + " varies by about " + share + " % between two setups from round to round.";
        }
    }

    /**
     * What a log says of its scatter: of the runs of a visit, and what is left of the scatter of rounds' differences, each moderated
     * by what is usual (docs/methods.md#8-trial-design). Both by how far each two are apart in the middle: a wild run must not make every later
     * trial look hopeless.
     *
     * @param rounds by trial
     */
    public static Scatter of(List<List<Round>> rounds) {
        List<Double> ofRuns = new ArrayList<>();
        List<Double> ofRounds = new ArrayList<>();
        int runsFree = 0;
        int roundsFree = 0;
        int visits = 0;
        int counted = 0;
        double share = 0;
        for (List<Round> trial : rounds) {
            for (Round round : trial) {
                for (List<Double> visit : round.values().values()) {
                    ofRuns.addAll(differences(visit));
                    runsFree += Math.max(0, visit.size() - 1);
                }
            }
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
                List<Double> differences = differences(pairs, setups.get(0), setups.get(i));
                ofRounds.addAll(differences(differences));
                roundsFree += Math.max(0, differences.size() - 1);
            }
            visits += pairs.stream().mapToInt(Map::size).sum();
            counted += pairs.size();
            share += pairs.stream().mapToDouble(Noise::ofMedians).sum();
        }
        double half = ofRounds.isEmpty() ? 0 : variance(ofRounds) / 2;
        if (ofRuns.isEmpty()) {
            // without two runs at a visit nothing tells the two apart: the usual share of each is taken
            double usual = square(USUAL.run) + square(USUAL.visit);
            double both = moderated(usual, USUAL_ROUNDS, half, roundsFree);
            double scale = Math.sqrt(both / usual);
            return new Scatter(new Noise(USUAL.run * scale, USUAL.visit * scale), visits);
        }
        double run = moderated(square(USUAL.run), USUAL_RUNS, variance(ofRuns), runsFree);
        double left = counted == 0 ? 0 : Math.max(0, half - run * share / counted);
        double visit = moderated(square(USUAL.visit), USUAL_ROUNDS, left, roundsFree);
        return new Scatter(new Noise(Math.sqrt(run), Math.sqrt(visit)), visits);
    }

    private static double square(double value) {
        return value * value;
    }

    /** A variance between what is usual and one's own, by their degrees of freedom. */
    private static double moderated(double usual, double usualFree, double own, double ownFree) {
        return (usualFree * usual + ownFree * own) / (usualFree + ownFree);
    }

    /** How far apart each two of some values are. */
    private static List<Double> differences(List<Double> values) {
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
