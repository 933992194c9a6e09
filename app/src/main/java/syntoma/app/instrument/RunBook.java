package syntoma.app.instrument;

import jakarta.persistence.EntityManager;
import jakarta.persistence.LockModeType;
import java.math.BigDecimal;
import java.math.MathContext;
import java.time.Duration;
import java.time.OffsetDateTime;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.LongFunction;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import syntoma.app.need.Needs;
import syntoma.app.platform.ConflictException;
import syntoma.app.platform.Json;
import syntoma.app.platform.NotFoundException;
import syntoma.core.reading.Figure;
import syntoma.core.run.Direction;
import syntoma.core.run.Leg;
import syntoma.core.run.RunResult;
import syntoma.core.trial.Outcome;

/** Runs as they are kept. */
@Service
@Transactional
class RunBook {
    /** Why a run has failed that went on when Syntoma was stopped. */
    static final String BROKEN = "Syntoma was stopped while it went on";

    private static final int LONGEST_REASON = 400;
    private static final MathContext DIGITS = new MathContext(4);

    private final EntityManager entities;
    private final Needs needs;
    private final Json json;

    RunBook(EntityManager entities, Needs needs, Json json) {
        this.entities = entities;
        this.needs = needs;
        this.json = json;
    }

    /** Keeps a run that begins. */
    long begin(RunRequest asked, String server, OffsetDateTime at) {
        SpeedRun run = new SpeedRun(asked, server, at);
        entities.persist(run);
        return run.id;
    }

    /** Keeps a run that waits for a browser. */
    long beginInBrowser(
            RunRequest asked, String server, OffsetDateTime at, String name, boolean ownSim, Optional<Leg> leg) {
        SpeedRun run = new SpeedRun(asked, server, at);
        run.inBrowser(name, ownSim, leg);
        entities.persist(run);
        return run.id;
    }

    /** A run that waits for a browser; empty where it is none, or is over. */
    @Transactional(readOnly = true)
    Optional<SpeedRun> waiting(long id) {
        return Optional.ofNullable(entities.find(SpeedRun.class, id))
                .filter(run -> run.isInBrowser() && run.state.equals(RunState.WAITING.label()));
    }

    /**
     * Keeps what a run came to.
     *
     * @param otherCarrier that the router named meanwhile
     */
    void end(long id, RunEnd ended, Optional<String> otherCarrier) {
        SpeedRun run = entities.find(SpeedRun.class, id);
        // else the log was emptied meanwhile
        if (run != null) {
            fill(run, ended);
            run.otherCarrier = otherCarrier.map(RunBook::keptPart).orElse(null);
        }
    }

    /**
     * Keeps what a browser brings of a run, and no second time.
     *
     * @param later so long after it was asked for it was begun
     * @return whether it is to be logged
     * @throws ConflictException when it is none of a browser's
     */
    boolean storeBrowserRun(long id, RunEnd ended, Duration later) {
        SpeedRun run = entities.find(SpeedRun.class, id, LockModeType.PESSIMISTIC_WRITE);
        if (run == null || !run.isInBrowser()) {
            throw new ConflictException("run " + id + " is not made by a browser");
        }
        boolean calledOff = run.state.equals(RunState.CANCELLED.label());
        if (run.series != null || !calledOff && !run.state.equals(RunState.WAITING.label())) {
            return false;
        }
        fill(run, ended);
        run.startedAt = run.startedAt.plus(later);
        if (calledOff) {
            // what it took is counted all the same
            run.state = RunState.CANCELLED.label();
        }
        return !calledOff;
    }

    /** Calls off a run that waits for a browser; any other stays as it is. */
    void callOff(long id) {
        waiting(id).ifPresent(run -> run.state = RunState.CANCELLED.label());
    }

    private void fill(SpeedRun run, RunEnd ended) {
        run.state = ended.state().label();
        run.endedBecause = ended.reason().map(RunBook::keptPart).orElse(null);
        run.bytesUsed = ended.bytes();
        run.seconds = ended.seconds();
        run.series = json.write(ended.series());
        fill(run, ended.result());
    }

    private static void fill(SpeedRun run, RunResult result) {
        run.downMbps = result.get(Figure.DOWN_MBPS).orElse(null);
        run.upMbps = result.get(Figure.UP_MBPS).orElse(null);
        run.idleMs = result.get(Figure.IDLE_MS).orElse(null);
        run.downLoadedMs = result.get(Figure.DOWN_LOADED_MS).orElse(null);
        run.upLoadedMs = result.get(Figure.UP_LOADED_MS).orElse(null);
        run.jitterMs = result.get(Figure.JITTER_MS).orElse(null);
        run.lossPct = result.get(Figure.LOSS_PCT).orElse(null);
        run.flatDown = result.flat().get(Direction.DOWN);
        run.flatUp = result.flat().get(Direction.UP);
    }

    /** What the log is to take of a run that is over, by the fields of the catalogue; empty where it is not to be logged. */
    @Transactional(readOnly = true)
    Map<String, String> forTheLog(long id) {
        SpeedRun run = entities.find(SpeedRun.class, id);
        boolean done = run != null && run.state.equals(RunState.DONE.label());
        boolean failed = run != null && run.state.equals(RunState.FAILED.label());
        if (!done && !failed || !run.toLog) {
            return Map.of();
        }
        Map<String, String> typed = new LinkedHashMap<>();
        typed.put(Figure.TAKEN_AT.field(), run.startedAt.toString());
        typed.put(Figure.CAMPSITE.field(), run.campsite);
        typed.put(Figure.SETUP.field(), run.setup);
        typed.put(Figure.CARRIER.field(), run.carrier);
        typed.put(Figure.SERVER.field(), run.server);
        typed.put(Figure.OUTCOME.field(), (done ? Outcome.OK : Outcome.FAILED).label());
        if (run.trial != null) {
            typed.put(Figure.TRIAL.field(), run.trial);
        }
        if (run.round != null) {
            typed.put(Figure.ROUND.field(), run.round.toString());
        }
        typed.put(Figure.NOTE.field(), note(run));
        if (done) {
            keptPart(run).figures().forEach((figure, value) -> typed.put(figure.field(), digits(value, DIGITS)));
        }
        return typed;
    }

    /** As much of a reason as the store has room for. */
    private static String keptPart(String why) {
        return why.length() > LONGEST_REASON ? why.substring(0, LONGEST_REASON - 1) + "…" : why;
    }

    private static String digits(double value, MathContext digits) {
        return new BigDecimal(value, digits).stripTrailingZeros().toPlainString();
    }

    /** Notes under which number a run was logged. */
    void noteLogged(long id, long measurement) {
        entities.find(SpeedRun.class, id).measurementId = measurement;
    }

    /** Notes why the log did not take a run. */
    void noteRefused(long id, String why) {
        SpeedRun run = entities.find(SpeedRun.class, id);
        String before = run.endedBecause == null ? "" : run.endedBecause + "; ";
        run.endedBecause = keptPart(before + "not logged: " + why);
    }

    private static String note(SpeedRun run) {
        String by = run.isInBrowser() ? run.ownSim ? " by a browser on its own SIM" : " by a browser" : "";
        String took = run.kind + " run" + by + ", "
                + digits(run.bytesUsed / RunRequest.BYTES_PER_MB, new MathContext(3)) + " MB";
        return run.endedBecause == null ? took : took + ", ended because " + run.endedBecause;
    }

    /**
     * Ends what went on when Syntoma was stopped.
     *
     * @return the numbers of those runs
     */
    List<Long> endBroken() {
        List<String> over = Arrays.stream(RunState.values())
                .filter(RunState::isOver)
                .map(RunState::label)
                .toList();
        List<SpeedRun> broken = entities.createQuery(
                        "from SpeedRun r where r.state not in :over and r.browserName is null", SpeedRun.class)
                .setParameter("over", over)
                .getResultList();
        for (SpeedRun run : broken) {
            run.state = RunState.FAILED.label();
            run.endedBecause = BROKEN;
        }
        return broken.stream().map(run -> run.id).toList();
    }

    /** Keeps how far a run is, for a machine that loses its power meanwhile. */
    void note(long id, RunState state, long bytes) {
        SpeedRun run = entities.find(SpeedRun.class, id);
        if (run != null) {
            run.state = state.label();
            run.bytesUsed = bytes;
        }
    }

    @Transactional(readOnly = true)
    RunView view(long id, Optional<Progress> progress) {
        SpeedRun run = entities.find(SpeedRun.class, id);
        if (run == null) {
            throw new NotFoundException("no run has the number " + id);
        }
        return view(run, progress, true);
    }

    @Transactional(readOnly = true)
    List<RunView> latest(int most, LongFunction<Optional<Progress>> progress) {
        return entities
                .createQuery("from SpeedRun r order by r.id desc", SpeedRun.class)
                .setMaxResults(most)
                .getResultList()
                .stream()
                .map(run -> view(run, progress.apply(run.id), false))
                .toList();
    }

    private RunView view(SpeedRun run, Optional<Progress> progress, boolean curve) {
        if (progress.isEmpty()) {
            boolean over = run.state.equals(RunState.DONE.label()) || run.state.equals(RunState.FAILED.label());
            List<RunSamples.Point> series =
                    !curve || run.series == null ? List.of() : List.of(json.read(run.series, RunSamples.Point[].class));
            return view(
                    run, run.state, keptPart(run), run.bytesUsed, run.seconds, over ? outcomeText(run) : null, series);
        }
        Progress now = progress.get();
        return view(
                run,
                now.state().label(),
                now.result(),
                now.bytes(),
                now.atMs() / 1_000,
                null,
                curve ? now.series() : List.of());
    }

    private String outcomeText(SpeedRun run) {
        if (run.state.equals(RunState.FAILED.label())) {
            return "It failed: " + run.endedBecause + ".";
        }
        RunResult result = keptPart(run);
        return result.sentence(needs.chosenNeeds())
                + run.leg()
                        .flatMap(leg -> leg.limits(result))
                        .map(limit -> " " + limit)
                        .orElse("");
    }

    private static RunResult keptPart(SpeedRun run) {
        Map<Figure, Double> figures = new LinkedHashMap<>();
        put(figures, Figure.DOWN_MBPS, run.downMbps);
        put(figures, Figure.UP_MBPS, run.upMbps);
        put(figures, Figure.IDLE_MS, run.idleMs);
        put(figures, Figure.DOWN_LOADED_MS, run.downLoadedMs);
        put(figures, Figure.UP_LOADED_MS, run.upLoadedMs);
        put(figures, Figure.JITTER_MS, run.jitterMs);
        put(figures, Figure.LOSS_PCT, run.lossPct);
        Map<Direction, Boolean> flat = new LinkedHashMap<>();
        Optional.ofNullable(run.flatDown).ifPresent(f -> flat.put(Direction.DOWN, f));
        Optional.ofNullable(run.flatUp).ifPresent(f -> flat.put(Direction.UP, f));
        return new RunResult(figures, flat);
    }

    private static void put(Map<Figure, Double> figures, Figure figure, @Nullable Double value) {
        if (value != null) {
            figures.put(figure, value);
        }
    }

    private static RunView view(
            SpeedRun run,
            String state,
            RunResult result,
            long bytes,
            double seconds,
            @Nullable String sentence,
            List<RunSamples.Point> series) {
        return new RunView(
                run.id,
                run.kind,
                state,
                run.setup,
                run.carrier,
                run.campsite,
                run.trial,
                run.round,
                run.server,
                run.startedAt,
                result.get(Figure.DOWN_MBPS).orElse(null),
                result.get(Figure.UP_MBPS).orElse(null),
                result.get(Figure.IDLE_MS).orElse(null),
                result.get(Figure.DOWN_LOADED_MS).orElse(null),
                result.get(Figure.UP_LOADED_MS).orElse(null),
                result.get(Figure.JITTER_MS).orElse(null),
                result.get(Figure.LOSS_PCT).orElse(null),
                new RunView.FlatRate(
                        result.flat().get(Direction.DOWN), result.flat().get(Direction.UP)),
                bytes,
                seconds,
                run.endedBecause,
                sentence,
                series,
                run.measurementId,
                run.isInBrowser(),
                run.ownSim);
    }
}
