package syntoma.app.instrument;

import java.net.URI;
import java.time.Clock;
import java.time.Duration;
import java.time.OffsetDateTime;
import java.time.temporal.ChronoUnit;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import syntoma.app.platform.ConflictException;
import syntoma.app.platform.InvalidInputException;
import syntoma.app.platform.LocalMachine;
import syntoma.core.run.Pace;
import syntoma.core.run.RunKind;
import syntoma.standin.speed.Ticket;

/**
 * Runs that a browser makes, on a page of the speed server's own: a page that came over TLS may not call a server that speaks plain
 * HTTP, and a phone on its own SIM cannot reach Syntoma meanwhile. What it took is brought when it can be.
 */
@Service
class BrowserRuns {
    /** A run that is not begun within it has to be asked for again. */
    private static final Duration BEGUN_WITHIN = Duration.ofHours(1);

    /** The router's reading is of the run when no more time than this lay between. */
    private static final double READING_HOLDS_MS = 120_000;

    private final RunBook book;
    private final RunRequests requests;
    private final RunLog log;
    private final SpeedServers servers;
    private final Watch watch;
    private final ApplicationEventPublisher events;
    private final Clock clock;

    BrowserRuns(
            RunBook book,
            RunRequests requests,
            RunLog log,
            SpeedServers servers,
            Watch watch,
            ApplicationEventPublisher events,
            Clock clock) {
        this.book = book;
        this.requests = requests;
        this.log = log;
        this.servers = servers;
        this.watch = watch;
        this.events = events;
        this.clock = clock;
    }

    /**
     * Has a run wait for a browser.
     *
     * @param fromHere whether the browser is on Syntoma's own machine
     * @throws InvalidInputException naming what is wrong with what was asked
     * @throws ConflictException when no speed server is set, or one that the browser cannot reach
     */
    RunView begin(BrowserRequest asked, boolean fromHere) {
        if (asked.run() == null) {
            throw new InvalidInputException("run", "run is missing; it says what is to be measured");
        }
        RunRequest checked = requests.check(asked.run());
        URI server = servers.one().address();
        if (!fromHere && LocalMachine.is(server.getHost())) {
            throw new ConflictException("the speed server is " + server
                    + ", which only Syntoma’s own machine reaches; set one that this device reaches too");
        }
        OffsetDateTime now = OffsetDateTime.now(clock).truncatedTo(ChronoUnit.SECONDS);
        long id = book.beginInBrowser(
                checked, server.toString(), now, UUID.randomUUID().toString(), asked.isOnOwnSim(), asked.way());
        events.publishEvent(new RunBegun(checked.setup(), checked.carrier()));
        watch.look();
        return view(id);
    }

    private RunView view(long id) {
        return book.view(id, Optional.empty());
    }

    /** What a page needs to make a run; empty where it waits for no browser, or has waited too long. */
    Optional<BrowserPlan> plan(long id) {
        Optional<SpeedServers.ReachedServer> server = servers.connection();
        return book.waiting(id).filter(run -> server.isPresent()).flatMap(run -> plan(run, server.get()));
    }

    private Optional<BrowserPlan> plan(SpeedRun run, SpeedServers.ReachedServer server) {
        OffsetDateTime until = run.startedAt.plus(BEGUN_WITHIN);
        if (until.isBefore(OffsetDateTime.now(clock))) {
            return Optional.empty();
        }
        RunKind kind = RunKind.fromLabel(run.kind);
        String ticket = server.key().isEmpty() ? null : Ticket.of(server.key(), run.browserName, until.toInstant());
        return Optional.of(new BrowserPlan(
                server.address() + "/measure",
                run.browserName,
                ticket,
                run.setup + " on " + run.carrier,
                run.kind,
                run.ownSim,
                kind.streams(),
                kind.usualMs(),
                kind.leastBytes(),
                kind.mostMs(),
                kind.measuresRate() ? null : RunKind.SLOW_STREAM_MBPS,
                run.budgetBytes(),
                Pace.USUAL));
    }

    /**
     * Takes what a browser brings of a run; the second time it changes nothing.
     *
     * @throws InvalidInputException naming what cannot be
     * @throws ConflictException when the run is none of a browser's
     */
    RunView bring(long id, BrowserResult brought) {
        RunKind kind = RunKind.fromLabel(view(id).kind());
        RunEnd ended = brought.read(kind);
        Duration later = Duration.ofMillis(Math.round(brought.laterMs()));
        if (book.storeBrowserRun(id, ended, later.truncatedTo(ChronoUnit.SECONDS))) {
            log.put(id, reading(id));
        }
        return view(id);
    }

    /** What the router says, where the run went through it and is of now. */
    private Map<String, String> reading(long id) {
        RunView run = view(id);
        double ageMs =
                Duration.between(run.startedAt(), OffsetDateTime.now(clock)).toMillis();
        return run.ownSim() || ageMs > READING_HOLDS_MS
                ? Map.of()
                : watch.fresh()
                        .map(reading -> ReadingFigures.of(reading, run.carrier()))
                        .orElse(Map.of());
    }
}
