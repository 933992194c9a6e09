package syntoma.core.calculator;

import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import syntoma.core.sentence.Sentence;
import syntoma.core.unit.Values;
import syntoma.core.verdict.RoundsNeeded;

/** How many rounds a trial needs to show a difference. */
final class RoundsToMake implements Calculator {
    @Override
    public String key() {
        return "rounds";
    }

    @Override
    public String name() {
        return "Rounds needed";
    }

    @Override
    public String answers() {
        return "How many rounds a trial needs to show a difference.";
    }

    @Override
    public List<Input> inputs() {
        return List.of(
                Input.number("times", "Difference to show", "×", "1.4", 1.02, 20),
                Input.number("spread", "Scatter of a round (SD of ln)", "", "0.35", 0.05, 2),
                Input.number("setups", "Setups in it", "", "2", 2, 6));
    }

    @Override
    public String formula() {
        return "The smallest number of rounds, 3 to 20, with which four of five simulated trials show the difference at some look.";
    }

    @Override
    public Sentence holds() {
        return Sentence.of(
                "For speeds and latencies paired within a round. Your own trials show their scatter below their verdicts; 0.35 is typical.");
    }

    @Override
    public Answer of(GivenValues given) {
        double times = given.number("times");
        double sd = given.number("spread");
        int setups = (int) Math.round(given.number("setups"));
        int family = setups * (setups - 1) / 2;
        OptionalInt rounds = RoundsNeeded.roundsToPlan(Math.log(times), sd, family);
        String of = "×" + Values.format(times);
        Answer answer = Answer.of(
                rounds.isPresent()
                        ? "To show " + of + " it takes " + rounds.getAsInt() + " rounds."
                        : "To show " + of
                                + " would take more than 20 rounds, which is not worth the work. 20 rounds show ×"
                                + Values.round(Math.exp(RoundsNeeded.smallestEffect(sd, 1, 20, family)), 2)
                                + " or more.",
                Answer.line("Rounds", rounds.isPresent() ? Integer.toString(rounds.getAsInt()) : "more than 20"),
                Answer.about(
                        "Seen with 5 rounds",
                        "×" + Values.round(Math.exp(RoundsNeeded.smallestEffect(sd, 1, 5, family)), 2)),
                Answer.about(
                        "Seen with 10 rounds",
                        "×" + Values.round(Math.exp(RoundsNeeded.smallestEffect(sd, 1, 10, family)), 2)));
        return answer.keeping("trial", Map.of("difference", Values.format(times)));
    }
}
