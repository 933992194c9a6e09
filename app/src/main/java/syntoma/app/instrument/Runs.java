package syntoma.app.instrument;

import jakarta.annotation.PreDestroy;
import java.time.Clock;
import java.time.OffsetDateTime;
import java.time.temporal.ChronoUnit;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicReference;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.context.event.EventListener;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Service;
import syntoma.app.campsite.StandingService;
import syntoma.app.measurement.AutomaticLog;
import syntoma.app.platform.Conflict;
import syntoma.app.platform.Daemons;
import syntoma.app.platform.InvalidInput;
import syntoma.core.reply.RouterReading;
import syntoma.core.run.RunKind;
import syntoma.core.unit.Text;
import syntoma.core.unit.Values;

/** Makes runs, one at a time. */
@Service
class Runs {
    private static final Logger LOG = LoggerFactory.getLogger(Runs.class);
    private static final int LONGEST_NAME = 120;
    private static final double LEAST_BUDGET_MB = 0.1;
    private static final double MOST_BUDGET_MB = 10_000;
    private static final int MOST_ROUND = 10_000;
    private static final double BYTES_PER_MB = 1e6;
    private static final int ENDS_WITHIN_S = 2;

    private final RunBook book;
    private final SpeedServers servers;
    private final StandingService standing;
    private final AutomaticLog log;
    private final Watch watch;
    private final ApplicationEventPublisher events;
    private final Clock clock;
    private final ExecutorService worker = Daemons.one("run");

    @Nullable
    private Going going;

    Runs(
            RunBook book,
            SpeedServers servers,
            StandingService standing,
            AutomaticLog log,
            Watch watch,
            ApplicationEventPublisher events,
            Clock clock) {
        this.book = book;
        this.servers = servers;
        this.standing = standing;
        this.log = log;
        this.watch = watch;
        this.events = events;
        this.clock = clock;
    }

    /** The run that goes on. */
    private record Going(long id, String carrier, Progress progress, AtomicReference<RouterReading> heard) {}

    /** At a start: what went on when Syntoma ended can go on no more. */
    @EventListener(ApplicationReadyEvent.class)
    public void endBroken() {
        book.endBroken().forEach(id -> logged(id, Map.of()));
    }

    /**
     * Begins a run.
     *
     * @throws InvalidInput naming what is wrong with what was asked
     * @throws Conflict when one goes on, or no speed server is set
     */
    synchronized RunView start(RunRequest asked) {
        RunKind kind = InvalidInput.naming(
                "kind", () -> RunKind.labelled(Optional.ofNullable(asked.kind()).orElse("")));
        RunRequest checked = checked(asked, kind);
        SpeedServers.Reached server = servers.reached()
                .orElseThrow(() -> new Conflict("no speed server is set; set one first, under Measure"));
        if (going != null) {
            throw new Conflict("run " + going.id() + " goes on; cancel it, or wait until it is over");
        }
        OffsetDateTime now = OffsetDateTime.now(clock).truncatedTo(ChronoUnit.SECONDS);
        long id = book.begin(checked, server.address().toString(), now);
        Going begun = new Going(id, checked.carrier(), new Progress(kind), new AtomicReference<>());
        going = begun;
        long budget = checked.budgetMb() == null ? Long.MAX_VALUE : Math.round(checked.budgetMb() * BYTES_PER_MB);
        events.publishEvent(new RunBegun(checked.setup(), checked.carrier()));
        worker.execute(() -> make(begun, kind, budget, server));
        return view(id);
    }

    private RunRequest checked(RunRequest asked, RunKind kind) {
        String setup = InvalidInput.naming("setup", () -> Text.name("setup", asked.setup(), LONGEST_NAME));
        String carrier = InvalidInput.naming("carrier", () -> Text.name("carrier", asked.carrier(), LONGEST_NAME));
        String place = asked.campsite() == null ? standing.line().campsite() : asked.campsite();
        if (place == null && asked.isLogged()) {
            throw new InvalidInput(
                    "campsite", "campsite is missing, and the standing line says none; say where you stand");
        }
        String campsite = place == null
                ? null
                : InvalidInput.naming("campsite", () -> Text.name("campsite", place, LONGEST_NAME));
        String trial = asked.trial() == null
                ? null
                : InvalidInput.naming("trial", () -> Text.name("trial", asked.trial(), LONGEST_NAME));
        if (asked.round() != null) {
            InvalidInput.naming("round", () -> Values.within("round", asked.round(), 1, MOST_ROUND, ""));
        }
        if (asked.budgetMb() != null) {
            InvalidInput.naming(
                    "budgetMb",
                    () -> Values.within("budgetMb", asked.budgetMb(), LEAST_BUDGET_MB, MOST_BUDGET_MB, "MB"));
        }
        return new RunRequest(
                setup, carrier, campsite, trial, asked.round(), kind.label(), asked.budgetMb(), asked.isLogged());
    }

    private void make(Going begun, RunKind kind, long budget, SpeedServers.Reached server) {
        Progress progress = begun.progress();
        RunState ended = RunState.FAILED;
        Optional<String> why = Optional.of("it was stopped");
        try (SpeedClient client = new SpeedClient(server.address(), server.key())) {
            why = new RunTask(kind, budget, client, progress, () -> keep(begun)).run();
            ended = progress.isCancelled() ? RunState.CANCELLED : RunState.DONE;
            if (ended == RunState.DONE && !progress.result().isOfUse(kind)) {
                ended = RunState.FAILED;
                why = Optional.of(why.map(reason -> reason + " before the rate was steady")
                        .orElse("it was over before the rate was steady"));
            }
        } catch (RunFailed failed) {
            why = Optional.of(failed.getMessage());
        } catch (InterruptedException stopped) {
            // said already; the store must not be written by a thread that is interrupted
        } catch (RuntimeException unexpected) {
            LOG.error("run {}", begun.id(), unexpected);
            why = Optional.of("it broke off, by a fault of Syntoma’s own");
        } finally {
            finish(begun, ended, why);
        }
    }

    private void finish(Going begun, RunState ended, Optional<String> why) {
        Progress progress = begun.progress();
        try {
            book.end(begun.id(), ended, why, progress);
            logged(begun.id(), heard(begun));
        } catch (RuntimeException unexpected) {
            LOG.error("run {} was not kept", begun.id(), unexpected);
        } finally {
            progress.enter(ended);
            synchronized (this) {
                going = null;
            }
        }
    }

    /** Keeps how far a run is, and has the router watched meanwhile. */
    private void keep(Going begun) {
        book.note(begun.id(), begun.progress().state(), begun.progress().bytes());
        watch.look();
        watch.fresh().ifPresent(reading -> begun.heard().compareAndSet(null, reading));
    }

    /** What the router said as the run began, else what it says now. */
    private Map<String, String> heard(Going begun) {
        return Optional.ofNullable(begun.heard().get())
                .or(watch::fresh)
                .map(reading -> ReadingFigures.of(reading, begun.carrier()))
                .orElse(Map.of());
    }

    /** Logs a run with the reading beside it; one that the log does not take is kept, and says why. */
    private void logged(long id, Map<String, String> reading) {
        Map<String, String> run = book.forTheLog(id);
        if (run.isEmpty()) {
            return;
        }
        Map<String, String> both = new LinkedHashMap<>(reading);
        both.putAll(run);
        try {
            book.logged(id, log.log(both));
        } catch (InvalidInput refused) {
            without(id, run, refused);
        } catch (Conflict refused) {
            book.refused(id, refused.getMessage());
        }
    }

    /** Logs a run without the reading that the log does not take. */
    private void without(long id, Map<String, String> run, InvalidInput refused) {
        try {
            book.logged(id, log.log(run));
            LOG.info("run {} was logged without its reading: {}", id, refused.getMessage());
        } catch (InvalidInput | Conflict again) {
            book.refused(id, again.getMessage());
        }
    }

    /** Ends a run that goes on, and keeps what it has taken; one that is over stays as it is. */
    RunView cancel(long id) {
        RunView view = view(id);
        progress(id).ifPresent(Progress::cancel);
        return view;
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
