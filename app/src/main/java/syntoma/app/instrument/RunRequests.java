package syntoma.app.instrument;

import java.util.Optional;
import org.springframework.stereotype.Component;
import syntoma.app.campsite.StandingService;
import syntoma.app.platform.InvalidInputException;
import syntoma.app.platform.Register;
import syntoma.core.run.RunKind;
import syntoma.core.unit.Text;
import syntoma.core.unit.Values;

/** Judges what is asked of a run, and fills in where the vehicle stands. */
@Component
class RunRequests {
    private static final double LEAST_BUDGET_MB = 0.1;
    private static final double MOST_BUDGET_MB = 10_000;
    private static final int MOST_ROUND = 10_000;

    private final StandingService standing;

    RunRequests(StandingService standing) {
        this.standing = standing;
    }

    /**
     * What was asked, made whole.
     *
     * @throws InvalidInputException naming what is wrong with it
     */
    RunRequest check(RunRequest asked) {
        RunKind kind = InvalidInputException.naming(
                "kind",
                () -> RunKind.fromLabel(Optional.ofNullable(asked.kind()).orElse("")));
        String setup =
                InvalidInputException.naming("setup", () -> Text.name("setup", asked.setup(), Register.LONGEST_NAME));
        String carrier = InvalidInputException.naming(
                "carrier", () -> Text.name("carrier", asked.carrier(), Register.LONGEST_NAME));
        String place = asked.campsite() == null ? standing.line().campsite() : asked.campsite();
        if (place == null && asked.isLogged()) {
            throw new InvalidInputException(
                    "campsite", "campsite is missing, and the standing line has none; choose where you are");
        }
        String campsite = place == null
                ? null
                : InvalidInputException.naming("campsite", () -> Text.name("campsite", place, Register.LONGEST_NAME));
        String trial = asked.trial() == null
                ? null
                : InvalidInputException.naming("trial", () -> Text.name("trial", asked.trial(), Register.LONGEST_NAME));
        if (asked.round() != null) {
            InvalidInputException.naming("round", () -> Values.within("round", asked.round(), 1, MOST_ROUND, ""));
        }
        if (asked.budgetMb() != null) {
            InvalidInputException.naming(
                    "budgetMb",
                    () -> Values.within("budgetMb", asked.budgetMb(), LEAST_BUDGET_MB, MOST_BUDGET_MB, "MB"));
        }
        return new RunRequest(
                setup, carrier, campsite, trial, asked.round(), kind.label(), asked.budgetMb(), asked.isLogged());
    }
}
