package syntoma.bench.calibration;

import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import java.util.function.ToDoubleFunction;
import java.util.stream.IntStream;
import syntoma.standin.practice.Rival;
import syntoma.standin.practice.Run;
import syntoma.standin.practice.SimulatedTrial;

/** How people tell two setups apart by hand: three runs with the one, then three with the other, and one number of each. */
public enum Habit {
    MEAN_OF_THREE(
            "mean of three runs, higher wins",
            runs -> runs.stream().mapToDouble(Run::upMbps).average().orElse(0)),
    BEST_OF_THREE(
            "best of three runs, higher wins",
            runs -> runs.stream().mapToDouble(Run::upMbps).max().orElse(0));

    private static final int RUNS = 3;

    /** From one run to the next, and from one setup to the other. */
    private static final double BETWEEN_RUNS_S = 60;

    private static final double CHANGE_OVER_S = 600;

    /** What one begins to speak of. */
    private static final double WORTH_SAYING = 1.2;

    private final String says;
    private final ToDoubleFunction<List<Run>> number;

    Habit(String says, ToDoubleFunction<List<Run>> number) {
        this.says = says;
        this.number = number;
    }

    String says() {
        return says;
    }

    /**
     * What came of it.
     *
     * @param wrong the share of cases in which the worse wins, or, where nothing is between them, one by ×1.2 or more
     * @param claimed the share of cases in which one wins by ×1.2 or more
     */
    public record Came(double wrong, double claimed) {}

    /** Simulates it so many times. */
    public Came simulate(Case of, int trials, long seed) {
        List<Double> ratios = IntStream.range(0, trials)
                .parallel()
                .mapToObj(i -> ratio(of, i, new SplittableRandom(seed ^ (long) i << 20 ^ of.hashCode())))
                .toList();
        long claimed = ratios.stream()
                .filter(r -> r > WORTH_SAYING || r < 1 / WORTH_SAYING)
                .count();
        long lost = ratios.stream().filter(r -> (r - 1) * (of.times() - 1) < 0).count();
        return new Came((double) (of.times() == 1 ? claimed : lost) / trials, (double) claimed / trials);
    }

    private double ratio(Case of, int number, SplittableRandom seeds) {
        SimulatedTrial hands = Calibration.hands(of, seeds);
        List<Double> numbers = new ArrayList<>();
        for (Rival rival : Calibration.rivals(of, number)) {
            numbers.add(this.number.applyAsDouble(threeRuns(hands, rival)));
            hands.pass(CHANGE_OVER_S);
        }
        return numbers.get(1) / numbers.get(0);
    }

    private static List<Run> threeRuns(SimulatedTrial hands, Rival rival) {
        List<Run> runs = new ArrayList<>();
        while (runs.size() < RUNS) {
            Run run = hands.run(1, rival);
            // one that failed is made again
            if (run.hasSucceeded()) {
                runs.add(run);
            }
            hands.pass(BETWEEN_RUNS_S);
        }
        return runs;
    }
}
