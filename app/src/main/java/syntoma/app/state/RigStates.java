package syntoma.app.state;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.springframework.context.event.EventListener;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import syntoma.app.campsite.StandingChangedEvent;
import syntoma.app.campsite.StandingService;
import syntoma.app.campsite.StandingService.StandingLine;
import syntoma.app.gear.GearRenamedEvent;
import syntoma.app.measurement.MeasurementStoredEvent;
import syntoma.app.platform.Json;
import syntoma.app.setup.SetupChangedEvent;
import syntoma.app.setup.SetupName;
import syntoma.app.setup.Setups;
import syntoma.core.state.Arrangement;
import syntoma.core.state.RigState;

/**
 * What is where now. It changes with what is said to be in use, with run sheets, measurements, leaving, and what a person corrects;
 * planner, run sheet, advice and arrival all ask here.
 */
@Service
@Transactional
public class RigStates {
    /** Nobody ticks more steps than this before one drive. */
    private static final int MOST_STEPS = 200;

    private final EntityManager entities;
    private final StandingService standing;
    private final Setups setups;
    private final Arrangements arrangements;
    private final Json json;
    private final Clock clock;

    RigStates(
            EntityManager entities,
            StandingService standing,
            Setups setups,
            Arrangements arrangements,
            Json json,
            Clock clock) {
        this.entities = entities;
        this.standing = standing;
        this.setups = setups;
        this.arrangements = arrangements;
        this.json = json;
        this.clock = clock;
    }

    /**
     * How it is now. After a drive of which nobody has said what was taken down, nothing counts as up that cannot be driven with.
     */
    @Transactional(readOnly = true)
    public RigState currentState() {
        StandingLine line = standing.line();
        RigState last = lastSaid(line);
        return hasDrivenSince(line) ? last.driven() : last;
    }

    /** The antennas that were up before the last drive, of which nobody has said that they were lowered. */
    @Transactional(readOnly = true)
    public List<String> upBeforeTheDrive() {
        StandingLine line = standing.line();
        return hasDrivenSince(line) ? lastSaid(line).raisedAntennas() : List.of();
    }

    /** The antennas that are up as far as anybody has said, whatever was driven since. */
    @Transactional(readOnly = true)
    public List<String> raisedAntennas() {
        return lastSaid(standing.line()).raisedAntennas();
    }

    /** Answers whether what was up before the last drive was lowered for it; nothing happens where that is not asked. */
    public void answer(boolean down) {
        if (!upBeforeTheDrive().isEmpty()) {
            becomes(StateChange.Cause.CORRECTED, down ? currentState() : lastSaid(standing.line()));
        }
    }

    /** How it was before anything was taken down for the drive that is being got ready; how it is now, where nothing was yet. */
    @Transactional(readOnly = true)
    public RigState beforeLeaving() {
        StandingLine line = standing.line();
        if (latest().filter(last -> last.cause == StateChange.Cause.LEAVING && isOf(line, last))
                .isEmpty()) {
            return currentState();
        }
        return newest(MOST_STEPS).stream()
                .filter(change -> change.cause != StateChange.Cause.LEAVING)
                .findFirst()
                .map(this::read)
                .orElseGet(() -> asTheLineSays(line));
    }

    /** Whether it was said at the stay that the standing line is about. */
    private static boolean isOf(StandingLine line, StateChange change) {
        return line.since() == null
                || Objects.equals(change.stayId, line.stay())
                || change.changedAt.isAfter(line.since());
    }

    private RigState lastSaid(StandingLine line) {
        return latest().map(this::read).orElseGet(() -> asTheLineSays(line));
    }

    /** Where nothing was kept yet: what the standing line says is in use is taken to be up. */
    private RigState asTheLineSays(StandingLine line) {
        return line.setup() == null ? RigState.UNKNOWN : RigState.with(arrangements.of(line.setup(), line.carrier()));
    }

    private boolean hasDrivenSince(StandingLine line) {
        return line.since() != null
                && latest().filter(last -> !isOf(line, last)).isPresent();
    }

    private RigState read(StateChange change) {
        return read(change.state);
    }

    /** A state that was kept as text. */
    public RigState read(String text) {
        return json.read(text, KeptState.class).state();
    }

    /** How it is now, as text to be kept. */
    public String currentText() {
        return text(currentState());
    }

    private String text(RigState state) {
        return json.write(KeptState.of(state));
    }

    private Optional<StateChange> latest() {
        return newest(1).stream().findFirst();
    }

    List<StateChange> newest(int most) {
        return entities.createQuery("from StateChange c order by c.id desc", StateChange.class)
                .setMaxResults(most)
                .getResultList();
    }

    /** Keeps how it is from now on. */
    void becomes(StateChange.Cause cause, RigState state) {
        entities.persist(
                new StateChange(OffsetDateTime.now(clock), standing.line().stay(), cause, text(state)));
        entities.flush();
    }

    /** A step of a run sheet was done: a setup is up. */
    public void isUp(Arrangement arrangement) {
        becomes(StateChange.Cause.RUN_SHEET, currentState().after(arrangement));
    }

    /** A step of a run sheet is not done after all: it is as it was before it. */
    public void isNotUp() {
        List<StateChange> last = newest(2);
        if (last.size() == 2 && last.get(0).cause == StateChange.Cause.RUN_SHEET) {
            becomes(StateChange.Cause.RUN_SHEET, read(last.get(1)));
        }
    }

    @EventListener
    void standingChanged(StandingChangedEvent line) {
        StandingLine now = standing.line();
        if (line.uses() && now.setup() != null) {
            uses(now.setup(), now.carrier());
        } else if (newest(1).isEmpty() && now.setup() != null && now.since() != null) {
            // the first drive since states are kept: what was in use was up before it
            entities.persist(new StateChange(now.since(), null, StateChange.Cause.USED, text(asTheLineSays(now))));
        }
    }

    @EventListener
    void onMeasurement(MeasurementStoredEvent measurement) {
        boolean isLatest = latest().map(last -> !measurement.takenAt().isBefore(last.changedAt))
                .orElse(true);
        StandingLine line = standing.line();
        boolean isHere = Objects.equals(measurement.campsite(), line.campsite())
                && line.since() != null
                && !measurement.takenAt().isBefore(line.since());
        // a run sheet says itself what is up
        if (isLatest && isHere && measurement.trial() == null) {
            uses(setups.of(measurement.setup()), measurement.carrier());
        }
    }

    /**
     * The parts of the setup in use were entered or changed: what is up is what it is made of now. After a drive, a correction or
     * something that was taken down nobody has said that it is up.
     */
    @EventListener
    void setupChanged(SetupChangedEvent changed) {
        StandingLine line = standing.line();
        boolean isInUse = line.setup() != null && line.setup().id() == changed.setup();
        boolean isUp = latest().filter(last -> last.cause == StateChange.Cause.USED && isOf(line, last))
                .isPresent();
        if (isInUse && isUp) {
            uses(line.setup(), line.carrier());
        }
    }

    /** Only what things are called changes, not when anybody last said where they are. */
    @EventListener
    void renamed(GearRenamedEvent gear) {
        latest().ifPresent(last -> last.state = text(read(last).renamed(gear.from(), gear.to())));
    }

    private void uses(SetupName setup, @Nullable String carrier) {
        RigState now = currentState();
        Arrangement wanted = arrangements.of(setup, carrier);
        // what was arranged for it by hand stays as it is
        boolean isUp = now.movesTo(wanted.with(now.arranged())).isEmpty();
        if (!isUp || newest(1).isEmpty()) {
            becomes(StateChange.Cause.USED, now.after(wanted));
        }
    }
}
