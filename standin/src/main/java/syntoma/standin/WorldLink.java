package syntoma.standin;

import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.Optional;
import syntoma.standin.speed.Link;

/**
 * The way to a speed server as the vehicle has it in the made-up world: through the setup in its hands, at the campsite where it
 * stands. The air is sampled anew twice a second.
 */
public final class WorldLink implements Link {
    private static final long SAMPLE_NS = 500_000_000;

    /** What is left where there is no service: a trickle, and answers that take for ever. */
    private static final double NO_SERVICE_MBPS = 0.02;

    private static final double NO_SERVICE_MS = 4_000;

    private final World world = new World(DemoLog.SEED);
    private final Clock clock;
    private Hands hands;
    private Optional<Air> air = Optional.empty();
    private long sampledNs;

    /** What is in use, and where. */
    public record Hands(String campsite, String setup, String carrier) {}

    public WorldLink(Clock clock, Hands hands) {
        this.clock = clock;
        hold(hands);
    }

    /** Takes something else in hand; names that the world does not know stand for those of the demo's evening. */
    public synchronized void hold(Hands wanted) {
        hands = new Hands(
                world.places().stream().anyMatch(p -> p.name().equals(wanted.campsite()))
                        ? wanted.campsite()
                        : DemoLog.EVENING.campsite(),
                world.isSetup(wanted.setup()) ? wanted.setup() : DemoLog.EVENING.setup(),
                wanted.carrier());
        if (world.mast(hands.campsite(), hands.carrier()) == null) {
            hands = new Hands(hands.campsite(), hands.setup(), DemoLog.EVENING.carrier());
        }
        sample();
    }

    private void sample() {
        air = world.measure(hands.campsite(), hands.carrier(), hands.setup(), OffsetDateTime.now(clock));
        sampledNs = System.nanoTime();
    }

    /** What is in hand. */
    public synchronized Hands hands() {
        return hands;
    }

    /** What serves it. */
    public synchronized Mast mast() {
        return world.mast(hands.campsite(), hands.carrier());
    }

    /** The air at this moment; empty where there is no service. */
    public synchronized Optional<Air> air() {
        if (System.nanoTime() - sampledNs > SAMPLE_NS) {
            sample();
        }
        return air;
    }

    @Override
    public double downMbps() {
        return air().map(Air::downMbps).orElse(NO_SERVICE_MBPS);
    }

    @Override
    public double upMbps() {
        return air().map(Air::upMbps).orElse(NO_SERVICE_MBPS);
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
