package syntoma.standin.practice;

import java.time.Duration;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import java.util.function.ToDoubleFunction;
import syntoma.core.design.Effort;
import syntoma.core.design.Planner;
import syntoma.core.run.RunKind;
import syntoma.core.state.Work;
import syntoma.standin.World;

/**
 * A practice trial: two setups of the made-up world whose truth is hidden. All of it follows from its seed, so that it is the same
 * for whoever looks again.
 */
public final class PracticeGame {
    private static final String DAY = "2026-07-2%dT%02d:10:00+03:00";
    private static final int RUNS_OF_TRUTH = 600;
    private static final double BETWEEN_TRUTHS_S = 1_500;
    private static final double CHANGE_OVER_S = 600;
    private static final double AN_EVENING_S = 4 * 3_600;

    /** A test server further away is slower on the same link. */
    private static final double OTHER_SERVER = 0.78;

    private static final int THREE = 3;

    private final long seed;
    private final Lesson lesson;
    private final List<Rival> rivals;

    private PracticeGame(long seed) {
        this.seed = seed;
        SplittableRandom random = new SplittableRandom(seed);
        lesson = Lesson.values()[random.nextInt(Lesson.values().length)];
        rivals = lesson.rivals(random);
    }

    /** The one of a seed. */
    public static PracticeGame of(long seed) {
        return new PracticeGame(seed);
    }

    /** What it teaches; not to be told before the verdict. */
    public Lesson lesson() {
        return lesson;
    }

    /** Which direction is asked about: the one by which the lesson is learned. */
    public boolean asksForUpload() {
        return lesson != Lesson.THE_CAP;
    }

    /** What somebody might have told who went about it otherwise: a ratio of B to A. */
    public record OtherAnswer(String by, double ratio) {}

    /** What a trial would take. */
    public Effort effort(int rounds, int runs) {
        return Planner.effort(OfLeads.question(List.of("A", "B"), seed), rounds, runs);
    }

    /** The runs of a trial by simulated hands. */
    public List<Run> trial(int rounds, int runs) {
        return hands(0, lesson.fromHour()).make(rivals, effort(rounds, runs).visits(), runs);
    }

    /** What B truly brings of A, on average over many days at these hours. */
    public double truth(boolean upload) {
        SimulatedTrial hands = hands(1, lesson.fromHour());
        double sum = 0;
        int counted = 0;
        for (int i = 0; i < RUNS_OF_TRUTH; i++) {
            OffsetDateTime at = hands.now();
            Run a = hands.run(1, rivals.get(0));
            hands.pass(-seconds(hands, at));
            Run b = hands.run(1, rivals.get(1));
            if (a.hasSucceeded() && b.hasSucceeded()) {
                sum += Math.log(rate(upload).applyAsDouble(b) / rate(upload).applyAsDouble(a));
                counted++;
            }
            hands.pass(i % 4 == 3 ? 24 * 3_600 - 3 * BETWEEN_TRUTHS_S : BETWEEN_TRUTHS_S);
        }
        return Math.exp(sum / counted);
    }

    private static double seconds(SimulatedTrial hands, OffsetDateTime since) {
        return Duration.between(since, hands.now()).toMillis() / 1_000.0;
    }

    /** What else one could have been told. */
    public List<OtherAnswer> otherwise(boolean upload) {
        List<OtherAnswer> told = new ArrayList<>();
        List<List<Run>> three = threeEach(2, CHANGE_OVER_S);
        told.add(new OtherAnswer("Mean of three runs each, one after the other", ratio(three, upload, false, 1)));
        told.add(new OtherAnswer("Best of three runs each", ratio(three, upload, true, 1)));
        told.add(new OtherAnswer("A now, B in the evening", ratio(threeEach(3, AN_EVENING_S), upload, false, 1)));
        told.add(new OtherAnswer(
                "B against another test server", ratio(threeEach(4, CHANGE_OVER_S), upload, false, OTHER_SERVER)));
        return told;
    }

    private List<List<Run>> threeEach(int number, double betweenS) {
        SimulatedTrial hands = hands(number, lesson.fromHour());
        List<List<Run>> each = new ArrayList<>();
        for (Rival rival : rivals) {
            List<Run> runs = new ArrayList<>();
            while (runs.size() < THREE) {
                Run run = hands.run(1, rival);
                if (run.hasSucceeded()) {
                    runs.add(run);
                }
                hands.pass(60);
            }
            each.add(runs);
            hands.pass(betweenS);
        }
        return each;
    }

    private static double ratio(List<List<Run>> each, boolean upload, boolean best, double times) {
        return times * number(each.get(1), upload, best) / number(each.get(0), upload, best);
    }

    private static double number(List<Run> runs, boolean upload, boolean best) {
        var rates = runs.stream().mapToDouble(rate(upload));
        return best ? rates.max().orElseThrow() : rates.average().orElseThrow();
    }

    private static ToDoubleFunction<Run> rate(boolean upload) {
        return upload ? Run::upMbps : Run::downMbps;
    }

    private SimulatedTrial hands(int number, int hour) {
        SplittableRandom seeds = new SplittableRandom(seed + number);
        OffsetDateTime from = OffsetDateTime.parse(String.format(DAY, 1 + number, hour));
        return new SimulatedTrial(new World(seeds.nextLong()), Work.usual(), RunKind.LIGHT, from, seeds.nextLong());
    }
}
