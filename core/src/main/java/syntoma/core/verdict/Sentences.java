package syntoma.core.verdict;

import java.util.OptionalDouble;
import java.util.regex.Pattern;
import syntoma.core.reading.Figure;
import syntoma.core.reading.Scale;
import syntoma.core.unit.Text;
import syntoma.core.unit.Values;

/** Says a comparison as a person would, with its interval and rounds. */
final class Sentences {
    /** The interval with its rounds, which a headline leaves to the line beneath it. */
    private static final Pattern HEADLINE = Pattern.compile(" \\([^()]* rounds?\\)");

    private Sentences() {}

    static Comparison completed(Comparison c, OptionalDouble cappedMbps) {
        return new Comparison(
                c.metric(),
                c.baseline(),
                c.candidate(),
                c.rounds(),
                c.leftOut(),
                c.estimate(),
                c.low(),
                c.high(),
                c.level(),
                c.verdict(),
                c.roundsWanted(),
                c.wild(),
                c.failures(),
                c.plain(),
                sentence(c, cappedMbps),
                HEADLINE.matcher(sentence(c, cappedMbps)).replaceAll(""));
    }

    private static String sentence(Comparison c, OptionalDouble cappedMbps) {
        String metric = c.metric().measure().phrase();
        return switch (c.verdict()) {
            case TOO_FEW ->
                "No verdict on " + metric + ": " + sharedRounds(c.rounds().size()) + "; a verdict needs three rounds.";
            case CAPPED ->
                Text.capital(metric) + " is held at about "
                        + Values.rounded(cappedMbps.orElseThrow(), 0)
                        + " Mb/s by the plan or the network, not by your antenna; these runs cannot rank setups on it.";
            case NO_DIFFERENCE -> Text.capital(metric) + ": no difference that matters " + interval(c) + ".";
            case CANNOT_TELL -> cannotTell(c);
            case LESS_RELIABLE ->
                c.candidate() + " is better on " + metric + " when it works " + interval(c)
                        + ", but it failed in " + c.failures().candidateFailedRounds() + " of "
                        + c.failures().bothTried() + " rounds.";
            case BETTER, WORSE -> effect(c, "");
            case SLIGHTLY_BETTER, SLIGHTLY_WORSE -> effect(c, ", less than would matter");
        };
    }

    private static String cannotTell(Comparison c) {
        String start = "Can’t tell yet on " + c.metric().measure().phrase() + " " + interval(c) + ": ";
        if (c.roundsWanted().isEmpty()) {
            return start + "more rounds are unlikely to tell.";
        }
        int wanted = c.roundsWanted().getAsInt();
        return start + count(wanted, "more round") + " would likely settle it.";
    }

    private static String effect(Comparison c, String after) {
        Figure metric = c.metric();
        double estimate = c.estimate().orElseThrow();
        String candidate = c.candidate();
        if (metric.scale() instanceof Scale.Difference) {
            return candidate + (estimate > 0 ? " raises " : " lowers ")
                    + metric.measure().phrase() + " by " + metric.scale().said(Math.abs(estimate)) + " " + interval(c)
                    + after + ".";
        }
        String verb;
        if (estimate >= 1.8 && estimate <= 2.2) {
            verb = " roughly doubles your ";
        } else if (estimate >= 0.45 && estimate <= 0.55) {
            verb = " roughly halves your ";
        } else {
            return candidate + (estimate > 1 ? " raises your " : " cuts your ")
                    + metric.measure().phrase() + " here " + metric.scale().said(estimate) + " " + interval(c) + after
                    + ".";
        }
        return candidate + verb + metric.measure().phrase() + " here " + interval(c) + after + ".";
    }

    private static String interval(Comparison c) {
        return "("
                + c.metric().scale().said(c.low().orElseThrow(), c.high().orElseThrow()) + ", "
                + count(c.rounds().size(), "round") + ")";
    }

    private static String sharedRounds(int rounds) {
        return switch (rounds) {
            case 0 -> "no round has it from both setups";
            case 1 -> "one round has it from both setups";
            default -> "two rounds have it from both setups";
        };
    }

    private static String count(int number, String noun) {
        String[] words = {"no", "one", "two", "three", "four", "five", "six", "seven", "eight", "nine"};
        String word = noun.startsWith("more") && number < words.length ? words[number] : Integer.toString(number);
        return word + " " + noun + (number == 1 ? "" : "s");
    }
}
