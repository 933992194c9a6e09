package syntoma.app.instrument;

import jakarta.annotation.PreDestroy;
import java.time.Clock;
import java.time.OffsetDateTime;
import java.time.temporal.ChronoUnit;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.function.LongSupplier;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.event.TransactionalEventListener;
import syntoma.app.platform.Daemons;
import syntoma.core.reply.Recent;
import syntoma.core.reply.RouterReading;

/**
 * Watches the router while somebody looks or a run goes on: one request at a time, once a second, less often while it fails. What
 * it said last is kept in memory.
 */
@Component
public class Watch {
    private static final Logger LOG = LoggerFactory.getLogger(Watch.class);
    private static final String NONE_SET = "no router is set; set one under Measure";
    private static final long EVERY_MS = 1_000;
    /** By then a connection that was given up is closed at both ends, so that there is one at a time. */
    private static final long LETS_GO_MS = 500;

    private static final long LONGEST_PAUSE_MS = 8_000;
    private static final long GONE_MS = 10_000;

    /** How long after the last one has looked it goes on, for those who look again at once. */
    private static final long LINGERS_MS = 5_000;

    private final Routers routers;
    private final LiveCount count;
    private final Clock clock;
    private final LongSupplier nanos;
    private final ScheduledExecutorService worker = Daemons.ticking("router");

    private final Deque<TimedReading> kept = new ArrayDeque<>();
    private boolean watching;
    private int generation;
    private long lookedNs;
    private long begunNs;

    @Nullable
    private RouterReading last;

    @Nullable
    private OffsetDateTime takenAt;

    private long takenNs;

    @Nullable
    private String problem;

    private RouterSource source;
    private Optional<Routers.ReachedRouter> asked = Optional.empty();

    /** A reading, and when it was taken. */
    private record TimedReading(long atNs, RouterReading reading) {}

    @Autowired
    Watch(Routers routers, LiveCount count, Clock clock) {
        this(routers, count, clock, System::nanoTime);
    }

    /** One whose time is told. */
    Watch(Routers routers, LiveCount count, Clock clock, LongSupplier nanos) {
        this.routers = routers;
        this.count = count;
        this.clock = clock;
        this.nanos = nanos;
    }

    /** What is known now; whoever asks keeps it watched for a few seconds. */
    synchronized LiveReading look() {
        lookedNs = nanos.getAsLong();
        if (!watching && routers.connection().isEmpty()) {
            return new LiveReading(null, 0, NONE_SET, null, null, List.of());
        }
        if (!watching) {
            watching = true;
            begunNs = lookedNs;
            last = null;
            takenAt = null;
            problem = null;
            worker.execute(() -> poll(EVERY_MS));
        }
        long ageMs = (nanos.getAsLong() - (last == null ? begunNs : takenNs)) / 1_000_000;
        if (last == null) {
            return new LiveReading(null, ageMs, problem, null, null, List.of());
        }
        boolean gone = ageMs > GONE_MS;
        String said = problem == null && gone ? "the router has not answered for " + ageMs / 1_000 + " s" : problem;
        if (said == null && !last.problems().isEmpty()) {
            said = String.join("; ", last.problems());
        }
        return new LiveReading(
                takenAt,
                ageMs,
                said,
                gone ? null : last.mode().orElse(null),
                last.carrier().orElse(null),
                gone ? List.of() : LiveReading.cells(last));
    }

    /** What the router of before said is forgotten, once the other one is stored. */
    @TransactionalEventListener
    public synchronized void forget(RouterSet set) {
        generation++;
        kept.clear();
        begunNs = nanos.getAsLong();
        last = null;
        takenAt = null;
        problem = null;
    }

    /** What the router says of where it is; what it does not say is empty text. */
    public record ServingNetwork(String carrier, String mode, String band, String cell) {}

    /** Where the device is, as long as that is fresh; whoever asks keeps it watched for a few seconds. */
    public synchronized Optional<ServingNetwork> servingNetwork() {
        LiveReading now = look();
        if (now.cells().isEmpty()) {
            return Optional.empty();
        }
        LiveReading.CellView primary = now.cells().get(0);
        return Optional.of(new ServingNetwork(
                orEmpty(now.carrier()), orEmpty(now.mode()), orEmpty(primary.band()), orEmpty(primary.cellId())));
    }

    private static String orEmpty(@Nullable String text) {
        return text == null ? "" : text;
    }

    /** What was said in the last minutes. */
    public synchronized Recent recent() {
        long now = nanos.getAsLong();
        return new Recent(kept.stream()
                .map(k -> new Recent.AgedReading((now - k.atNs()) / 1e9, k.reading()))
                .toList());
    }

    /** The last reading, while it is fresh. */
    synchronized Optional<RouterReading> fresh() {
        boolean old = last == null || nanos.getAsLong() - takenNs > 2 * EVERY_MS * 1_000_000;
        return old ? Optional.empty() : Optional.of(last);
    }

    /** Asks once, and goes on with it as long as somebody looks. */
    private void poll(long pauseMs) {
        long startNs = nanos.getAsLong();
        if (isOver(startNs)) {
            return;
        }
        long pause = EVERY_MS;
        long least = 0;
        try {
            int before = generation();
            keep(source().read(), before);
        } catch (RouterException failed) {
            pause = fail(failed.getMessage(), pauseMs);
            least = failed.hasGivenUp() ? LETS_GO_MS : 0;
        } catch (InterruptedException stopped) {
            return;
        } catch (RuntimeException unexpected) {
            LOG.error("the router's answer", unexpected);
            pause = fail("the answer could not be read because of an error in Syntoma", pauseMs);
        }
        count();
        long next = pause;
        long leftMs = Math.max(least, pause - (nanos.getAsLong() - startNs) / 1_000_000);
        worker.schedule(() -> poll(next), leftMs, TimeUnit.MILLISECONDS);
    }

    /** What it moved is counted, whether it came to a reading or not. */
    private void count() {
        RouterSource open = source;
        try {
            if (open != null) {
                count.addMoved(asked.orElseThrow().host(), open.bytesMoved());
            }
        } catch (RuntimeException unexpected) {
            LOG.error("what a live reading moved", unexpected);
        }
    }

    private synchronized int generation() {
        return generation;
    }

    /** Keeps a reading, unless another router was set while it was taken. */
    private synchronized void keep(RouterReading reading, int before) {
        if (before == generation) {
            last = reading;
            takenAt = OffsetDateTime.now(clock).truncatedTo(ChronoUnit.MILLIS);
            takenNs = nanos.getAsLong();
            problem = null;
            kept.add(new TimedReading(takenNs, reading));
            while (takenNs - kept.peek().atNs() > Recent.KEPT_S * 1e9) {
                kept.remove();
            }
        }
    }

    private synchronized long fail(String why, long pauseMs) {
        problem = why;
        return asked.isEmpty() ? EVERY_MS : Math.min(LONGEST_PAUSE_MS, 2 * pauseMs);
    }

    private synchronized boolean isOver(long nowNs) {
        if (nowNs - lookedNs < LINGERS_MS * 1_000_000) {
            return false;
        }
        watching = false;
        if (source != null) {
            source.close();
            source = null;
        }
        asked = Optional.empty();
        return true;
    }

    /** The router as it is set now. */
    private RouterSource source() throws RouterException {
        Optional<Routers.ReachedRouter> now = routers.connection();
        if (source != null && now.equals(asked)) {
            return source;
        }
        if (source != null) {
            source.close();
            source = null;
        }
        synchronized (this) {
            asked = now;
        }
        source = open(now.orElseThrow(() -> new RouterException(NONE_SET)));
        return source;
    }

    /** A way to ask a router. */
    static RouterSource open(Routers.ReachedRouter router) {
        return router.kind().equals(Routers.HTTP) ? new HttpRouter(router) : new AtRouter(router);
    }

    @PreDestroy
    void stop() {
        worker.shutdownNow();
    }
}
