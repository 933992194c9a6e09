package syntoma.app.state;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import syntoma.app.campsite.StandingService;
import syntoma.app.campsite.StandingService.StandingLine;
import syntoma.app.platform.InvalidInputException;
import syntoma.core.state.Leaving;
import syntoma.core.state.RigState;
import syntoma.core.unit.Text;

/** Leaving a campsite: what is taken down is ticked, and changes what is where at once. */
@Service
@Transactional
class Departure {
    private final RigStates states;
    private final StandingService standing;

    Departure(RigStates states, StandingService standing) {
        this.states = states;
        this.standing = standing;
    }

    @Transactional(readOnly = true)
    LeaveView view() {
        StandingLine line = standing.line();
        Leaving leaving = Leaving.from(states.beforeLeaving());
        Set<String> open = Leaving.from(states.currentState()).steps().stream()
                .map(Leaving.Step::key)
                .collect(Collectors.toSet());
        List<LeaveView.LeaveStep> steps = new ArrayList<>();
        for (Leaving.Step step : leaving.steps()) {
            steps.add(new LeaveView.LeaveStep(
                    step.key(), step.move().says(), step.move().caution().orElse(null), !open.contains(step.key())));
        }
        int left = (int) steps.stream().filter(step -> !step.done()).count();
        return new LeaveView(
                line.campsite(),
                line.over(),
                Leaving.headline(left, line.over()),
                steps,
                Leaving.stillUp(states.currentState()).orElse(null));
    }

    /**
     * Says that a step is done, or is not after all.
     *
     * @throws InvalidInputException when there is no such step
     */
    LeaveView tick(@Nullable String key, boolean done) {
        Leaving leaving = Leaving.from(states.beforeLeaving());
        if (leaving.steps().stream().noneMatch(step -> step.key().equals(key))) {
            throw new InvalidInputException(
                    "step",
                    "step is " + Text.quote(String.valueOf(key)) + "; allowed are "
                            + leaving.steps().stream().map(Leaving.Step::key).collect(Collectors.joining(", ")));
        }
        Set<String> wanted = view().steps().stream()
                .filter(LeaveView.LeaveStep::done)
                .map(LeaveView.LeaveStep::key)
                .collect(Collectors.toSet());
        if (done) {
            wanted.add(key);
        } else {
            wanted.remove(key);
        }
        RigState after = leaving.after(wanted);
        if (!after.equals(states.currentState())) {
            states.becomes(StateChange.Cause.LEAVING, after);
        }
        return view();
    }

    /**
     * Drives off: the stay ends.
     *
     * @throws InvalidInputException while a mast is up
     */
    LeaveView drive() {
        Leaving.stillUp(states.currentState()).ifPresent(why -> {
            throw new InvalidInputException("steps", why);
        });
        standing.leave();
        return view();
    }

    /** The vehicle has not left after all. */
    LeaveView stayOn() {
        standing.stayOn();
        return view();
    }
}
