package syntoma.bench.calibration;

import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import syntoma.core.design.Planner;
import syntoma.core.design.Visit;
import syntoma.core.reading.Figure;
import syntoma.core.run.CappedSetups;
import syntoma.core.run.RunKind;
import syntoma.core.state.Work;
import syntoma.core.trial.Sample;
import syntoma.core.verdict.Comparer;
import syntoma.core.verdict.Comparison;
import syntoma.core.verdict.ModeratedVariance;
import syntoma.core.verdict.Plan;
import syntoma.standin.World;
import syntoma.standin.air.Hands;
import syntoma.standin.practice.OfLeads;
import syntoma.standin.practice.Rival;
import syntoma.standin.practice.Run;
import syntoma.standin.practice.SimulatedTrial;

/**
 * How often verdicts are right: trials of the made-up world whose truth is known, designed by the planner, made by simulated hands,
 * and judged by the very code that judges yours, after every round. All setups are the same one; what one has over another is set.
 */
public final class Calibration {
    private static final Figure METRIC = Figure.UP_MBPS;
    private static final String CARRIER = "Tarnwave";

    /** Where the carrier is received on every band, near and far, in sight and among trees. */
    private static final List<String> CAMPSITES = List.of(
            "Saltmarsh Jetty", "Birch Hollow", "Sawmill Yard", "Quarry Lake", "Ferry Slip Four", "Juniper Ridge");

    /** Before the made-up roof dome’s connector goes bad. */
    private static final String DAY = "2026-07-21T%02d:00:00+03:00";

    /** Trials that are over when one borrows from them, and the rounds of each. */
    private static final int PAST_TRIALS = 5;

    private static final int PAST_ROUNDS = 6;

    private final long seed;

    /** Simulates from a seed. */
    public Calibration(long seed) {
        this.seed = seed;
    }

    /** Simulates so many trials of a case. */
    public Tally simulate(Case of, int trials) {
        Tally tally = new Tally(of.times());
        IntStream.range(0, trials).parallel().mapToObj(i -> looks(of, i)).forEachOrdered(tally::count);
        return tally;
    }

    /** The looks at one trial. */
    private List<List<Comparison>> looks(Case of, int number) {
        SplittableRandom seeds = new SplittableRandom(seed ^ (long) number << 20 ^ of.hashCode());
        Optional<ModeratedVariance> borrowed = of.borrows() ? borrowed(of, seeds) : Optional.empty();
        List<String> names = names(of.setups());
        List<Sample> samples = samples(of, of.rounds(), number, seeds);
        Plan plan = new Plan(of.rounds(), borrowed);
        List<List<Comparison>> looks = new ArrayList<>();
        for (int round = 3; round <= of.rounds(); round++) {
            int last = round;
            List<Sample> soFar =
                    samples.stream().filter(s -> s.round().getAsInt() <= last).toList();
            Comparer comparer = new Comparer(METRIC, soFar, Optional.of(plan), CappedSetups.NONE);
            String best = comparer.best(names.get(0), names);
            looks.add(comparer.family(names.get(0), best, names));
        }
        return looks;
    }

    private static List<String> names(int setups) {
        return Stream.of("A", "B", "C", "D", "E", "F").limit(setups).toList();
    }

    private static Optional<ModeratedVariance> borrowed(Case of, SplittableRandom seeds) {
        List<ModeratedVariance.PastSpread> past = new ArrayList<>();
        List<String> names = names(of.setups());
        for (int i = 0; i < PAST_TRIALS; i++) {
            Comparer.unplanned(METRIC, samples(of, PAST_ROUNDS, seeds.nextInt(CAMPSITES.size()), seeds))
                    .spread(names)
                    .ifPresent(past::add);
        }
        return ModeratedVariance.from(past);
    }

    private static List<Sample> samples(Case of, int rounds, int number, SplittableRandom seeds) {
        return runs(of, rounds, number, seeds).stream()
                .map(run -> run.sample(METRIC))
                .toList();
    }

    private static List<Run> runs(Case of, int rounds, int number, SplittableRandom seeds) {
        List<Rival> rivals = rivals(of, number);
        List<Visit> visits = visits(of.setups(), rounds, seeds.nextInt());
        return hands(of, seeds).make(rivals, visits, 1);
    }

    static List<Rival> rivals(Case of, int number) {
        Hands hands = Hands.of(CAMPSITES.get(number % CAMPSITES.size()), World.ROOF_DOME, CARRIER);
        return names(of.setups()).stream()
                .map(name -> new Rival(name, hands, 1, name.equals("B") ? of.times() : 1))
                .toList();
    }

    static SimulatedTrial hands(Case of, SplittableRandom seeds) {
        OffsetDateTime from = OffsetDateTime.parse(String.format(DAY, of.from()));
        return new SimulatedTrial(new World(seeds.nextLong()), Work.usual(), RunKind.LIGHT, from, seeds.nextLong());
    }

    /** The visits of a designed trial of setups that differ in their leads. */
    private static List<Visit> visits(int setups, int rounds, int seed) {
        return Planner.effort(OfLeads.question(names(setups), seed), rounds, 1).visits();
    }
}
