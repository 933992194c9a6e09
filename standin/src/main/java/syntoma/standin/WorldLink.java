package syntoma.standin;

import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.Optional;
import java.util.Set;
import syntoma.standin.air.Hands;
import syntoma.standin.fault.Faults;
import syntoma.standin.fault.SpeedFault;
import syntoma.standin.speed.Link;

/**
 * The way to a speed server as the vehicle has it in the made-up world: through the setup in its hands, at the campsite where it
 * stands. The air is sampled again twice a second.
 */
public final class WorldLink implements Link {
    private static final long SAMPLE_NS = 500_000_000;

    /** What is left where there is no service: a trickle, and answers that take for ever. */
    private static final double NO_SERVICE_MBPS = 0.02;

    private static final double NO_SERVICE_MS = 4_000;

    /** How the name of a setup ends whose bands are held. */
    private static final String HELD = " alone";

    private final World world;
    private final Clock clock;
    private final Faults faults;
    private Hands hands;
    private Optional<Air> air = Optional.empty();
    private long sampledNs;

    public WorldLink(Clock clock, Hands hands) {
        this(clock, hands, new Faults());
    }

    /** One on which things can go wrong. */
    public WorldLink(Clock clock, Hands hands, Faults faults) {
        this(DemoLog.SEED, clock, hands, faults);
    }

    /** One in another world than the demo's. */
    public WorldLink(long seed, Clock clock, Hands hands) {
        this(seed, clock, hands, new Faults());
    }

    private WorldLink(long seed, Clock clock, Hands hands, Faults faults) {
        this.world = new World(seed);
        this.clock = clock;
        this.faults = faults;
        hold(hands);
    }

    /** What is wrong at this moment. */
    public Faults faults() {
        return faults;
    }

    /** Takes something else in hand; names that the world does not know stand for those of the demo's evening. */
    public synchronized void hold(Hands wanted) {
        DemoLog.OngoingStay evening = DemoLog.EVENING;
        Hands meant = understood(wanted);
        Hands known = world.isPlace(meant.campsite()) ? meant : meant.at(evening.campsite());
        known = world.isSetup(known.setup()) ? known : known.with(evening.setup());
        hands = world.isCarrier(known.campsite(), known.carrier()) ? known : known.on(evening.carrier());
        sample();
    }

    /** A setup with one thing changed is called by its own name, a comma, and the change; bands that are held are obeyed. */
    private Hands understood(Hands wanted) {
        int comma = wanted.setup().indexOf(", ");
        if (world.isSetup(wanted.setup()) || comma < 0) {
            return wanted;
        }
        Hands base = wanted.with(wanted.setup().substring(0, comma));
        String changed = wanted.setup().substring(comma + 2);
        return changed.endsWith(HELD)
                ? base.locked(Set.of(
                        changed.substring(0, changed.length() - HELD.length()).split(" \\+ ")))
                : base;
    }

    private void sample() {
        air = world.measure(hands, OffsetDateTime.now(clock));
        sampledNs = System.nanoTime();
    }

    /** What is in hand. */
    public synchronized Hands hands() {
        return hands;
    }

    /** The air at this moment; empty where there is no service. */
    public synchronized Optional<Air> air() {
        if (System.nanoTime() - sampledNs > SAMPLE_NS) {
            sample();
        }
        return air;
    }

    @Override
    public boolean cuts() {
        return faults.speed() == SpeedFault.CUT;
    }

    @Override
    public boolean refuses() {
        return faults.speed() == SpeedFault.REFUSE;
    }

    private boolean stalls() {
        return faults.speed() == SpeedFault.STALL;
    }

    @Override
    public double downMbps() {
        return stalls() ? 0 : air().map(Air::downMbps).orElse(NO_SERVICE_MBPS);
    }

    @Override
    public double upMbps() {
        return stalls() ? 0 : air().map(Air::upMbps).orElse(NO_SERVICE_MBPS);
    }

    @Override
    public double idleMs() {
        return air().map(Air::idleMs).orElse(NO_SERVICE_MS);
    }

    @Override
    public double bufferMs() {
        return air().map(a -> a.upLoadedMs() - a.idleMs()).orElse(0.0);
    }
}
