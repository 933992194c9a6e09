package syntoma.app.instrument;

import jakarta.annotation.PreDestroy;
import java.time.Clock;
import java.time.OffsetDateTime;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicReference;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationStartedEvent;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.context.event.EventListener;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Service;
import syntoma.app.platform.ConflictException;
import syntoma.app.platform.Daemons;
import syntoma.core.reply.RouterReading;
import syntoma.core.run.RunKind;

/** Makes runs, one at a time. */
@Service
class Runs {
    private static final Logger LOG = LoggerFactory.getLogger(Runs.class);
    private static final int ENDS_WITHIN_S = 2;

    /** What the router says so soon after the beginning may have been said before it. */
    private static final int SWITCHED_MS = 3_000;

    private final RunBook book;
    private final SpeedServers servers;
    private final RunRequests requests;
    private final RunLog runLog;
    private final Watch watch;
    private final ApplicationEventPublisher events;
    private final Clock clock;
    private final ExecutorService worker = Daemons.one("run");

    @Nullable
    private Going going;

    Runs(
            RunBook book,
            SpeedServers servers,
            RunRequests requests,
            RunLog runLog,
            Watch watch,
            ApplicationEventPublisher events,
            Clock clock) {
        this.book = book;
        this.servers = servers;
        this.requests = requests;
        this.runLog = runLog;
        this.watch = watch;
        this.events = events;
        this.clock = clock;
    }

    /**
     * The run that goes on.
     *
     * @param routerReading the first reading beside it
     * @param otherCarrier that the router names in place of the one that is measured
     */
    private record Going(
            long id,
            String carrier,
            Progress progress,
            AtomicReference<RouterReading> routerReading,
            AtomicReference<String> otherCarrier) {
        void hears(RouterReading reading) {
            routerReading.compareAndSet(null, reading);
            if (progress.atMs() > SWITCHED_MS) {
                reading.carrier()
                        .filter(name -> !name.equalsIgnoreCase(carrier))
                        .ifPresent(otherCarrier::set);
            }
        }
    }

    /** At a start: what was running when Syntoma ended cannot go on. */
    @EventListener(ApplicationStartedEvent.class)
    public void endBroken() {
        book.endBroken().forEach(id -> runLog.put(id, Map.of()));
    }

    /**
     * Begins a run.
     *
     * @throws syntoma.app.platform.InvalidInputException naming what is wrong with what was asked
     * @throws ConflictException when one goes on, or no speed server is set
     */
    synchronized RunView start(RunRequest asked) {
        RunRequest checked = requests.check(asked);
        RunKind kind = RunKind.fromLabel(checked.kind());
        SpeedServers.ReachedServer server = servers.one();
        if (going != null) {
            throw new ConflictException("run " + going.id() + " goes on; cancel it, or wait until it is over");
        }
        OffsetDateTime now = OffsetDateTime.now(clock).truncatedTo(ChronoUnit.SECONDS);
        long id = book.begin(checked, server.address().toString(), now);
        Going begun =
                new Going(id, checked.carrier(), new Progress(kind), new AtomicReference<>(), new AtomicReference<>());
        going = begun;
        long budget = checked.budgetBytes().orElse(Long.MAX_VALUE);
        events.publishEvent(new RunBegun(checked.setup(), checked.carrier()));
        worker.execute(() -> make(begun, kind, budget, server));
        return view(id);
    }

    private void make(Going begun, RunKind kind, long budget, SpeedServers.ReachedServer server) {
        Progress progress = begun.progress();
        RunState ended = RunState.FAILED;
        Optional<String> why = Optional.of("it was stopped");
        try (SpeedClient client = new SpeedClient(server)) {
            why = new RunTask(kind, budget, client, progress, () -> keep(begun)).run();
            ended = progress.isCancelled() ? RunState.CANCELLED : RunState.DONE;
        } catch (RunFailedException failed) {
            why = Optional.of(failed.getMessage());
        } catch (InterruptedException stopped) {
            // said already; the store must not be written by a thread that is interrupted
        } catch (RuntimeException unexpected) {
            LOG.error("run {}", begun.id(), unexpected);
            why = Optional.of("it stopped because of an error in Syntoma");
        } finally {
            finish(begun, progress.end(ended, why).judge(kind));
        }
    }

    private void finish(Going begun, RunEnd ended) {
        try {
            watch.fresh().ifPresent(begun::hears);
            book.end(begun.id(), ended, Optional.ofNullable(begun.otherCarrier().get()));
            runLog.put(begun.id(), routerTexts(begun));
        } catch (RuntimeException unexpected) {
            LOG.error("run {} was not kept", begun.id(), unexpected);
        } finally {
            begun.progress().enter(ended.state());
            synchronized (this) {
                going = null;
            }
        }
    }

    /** Keeps how far a run is, and has the router watched meanwhile. */
    private void keep(Going begun) {
        book.note(begun.id(), begun.progress().state(), begun.progress().bytes());
        watch.look();
        watch.fresh().ifPresent(begun::hears);
    }

    /** What the router said as the run began, else what it says now. */
    private Map<String, String> routerTexts(Going begun) {
        return Optional.ofNullable(begun.routerReading().get())
                .map(reading -> ReadingFigures.of(reading, begun.carrier()))
                .orElse(Map.of());
    }

    /** Ends a run that goes on, and keeps what it has taken; one that is over stays as it is. */
    RunView cancel(long id) {
        progress(id).ifPresentOrElse(Progress::cancel, () -> book.callOff(id));
        return view(id);
    }

    /** A run as it stands. */
    RunView view(long id) {
        return book.view(id, progress(id));
    }

    /** The latest runs, the last first, without their curves. */
    List<RunView> latest(int most) {
        return book.latest(most, this::progress);
    }

    private synchronized Optional<Progress> progress(long id) {
        return going != null && going.id() == id ? Optional.of(going.progress()) : Optional.empty();
    }

    @PreDestroy
    void stop() throws InterruptedException {
        worker.shutdownNow();
        worker.awaitTermination(ENDS_WITHIN_S, TimeUnit.SECONDS);
    }
}
