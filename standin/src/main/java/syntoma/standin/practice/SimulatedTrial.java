package syntoma.standin.practice;

import java.time.Duration;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import syntoma.core.design.Visit;
import syntoma.core.run.RunKind;
import syntoma.core.state.Move;
import syntoma.core.state.Work;
import syntoma.standin.Air;
import syntoma.standin.World;

/** Simulated hands that make trials in the made-up world, each thing taking them more or less what it usually takes. */
public final class SimulatedTrial {
    /** How much a piece of work differs from time to time, on the natural logarithm. */
    private static final double WORK_SCATTERS = 0.25;

    private static final double BYTES_PER_GB = 1e9;

    private final World world;
    private final Map<Work, Double> work;
    private final RunKind kind;
    private final Random random;
    private OffsetDateTime now;
    private double gb;

    /**
     * Hands that begin at a moment.
     *
     * @param work the minutes that each kind of work usually takes them
     * @param seed of what is not the world's: how long work takes
     */
    public SimulatedTrial(World world, Map<Work, Double> work, RunKind kind, OffsetDateTime from, long seed) {
        this.world = world;
        this.work = Map.copyOf(work);
        this.kind = kind;
        this.random = new Random(seed);
        this.now = from;
    }

    /** The moment at which the hands are free again. */
    public OffsetDateTime now() {
        return now;
    }

    /** What the runs took so far. */
    public double usedGb() {
        return gb;
    }

    /** Does all visits of a design in their order, with so many runs at each. */
    public List<Run> make(List<Rival> rivals, List<Visit> visits, int runs) {
        List<Run> made = new ArrayList<>();
        for (Visit visit : visits) {
            for (Move move : visit.moves()) {
                pass(60 * work.get(move.work()) * Math.exp(WORK_SCATTERS * random.nextGaussian()));
            }
            pass(visit.settleS());
            for (int run = 0; run < runs; run++) {
                made.add(run(visit.round(), rivals.get(visit.contender())));
            }
        }
        return made;
    }

    /** One run, now. */
    public Run run(int round, Rival rival) {
        Optional<Air> heard = world.measure(rival.hands(), now);
        boolean fails = world.failsRarely();
        Optional<Air> air = heard.filter(there -> !fails);
        double down = air.map(a -> a.downMbps() * rival.downTimes()).orElse(0.0);
        double up = air.map(a -> a.upMbps() * rival.upTimes()).orElse(0.0);
        Run made = new Run(round, rival.name(), now, air, down, up);
        double taken = (kind.usualBytes(down) + kind.usualBytes(up)) / BYTES_PER_GB;
        world.use(rival.hands().carrier(), now, taken);
        gb += taken;
        pass(kind.usualSeconds());
        return made;
    }

    /** Lets time pass. */
    public void pass(double seconds) {
        now = now.plus(Duration.ofMillis(Math.round(1_000 * seconds)));
    }
}
