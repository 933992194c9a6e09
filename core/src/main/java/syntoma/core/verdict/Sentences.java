package syntoma.core.verdict;

import syntoma.core.reading.Scale;
import syntoma.core.unit.Text;
import syntoma.core.unit.Values;

/** Says a comparison as a person would; its interval and rounds in brackets where they are wanted. */
final class Sentences {
    /** A ratio in this range is roughly a doubling; chosen, because people say so of a tenth more or less. */
    private static final double[] DOUBLED = {1.8, 2.2};

    private static final double[] HALVED = {1 / DOUBLED[1], 1 / DOUBLED[0]};

    private final Comparison c;
    private final String metric;
    private final boolean withInterval;

    Sentences(Comparison comparison, boolean withInterval) {
        this.c = comparison;
        this.metric = comparison.metric().measure().phrase();
        this.withInterval = withInterval;
    }

    String said() {
        return switch (c.verdict()) {
            case TOO_FEW ->
                "No verdict on " + metric + ": " + sharedRounds(c.rounds().size()) + "; a verdict needs three rounds.";
            case CAPPED ->
                Text.capital(metric) + " is held at about "
                        + Values.rounded(c.cappedMbps().orElseThrow(), 0)
                        + " Mb/s by the plan or the network, not by your antenna; these runs cannot rank setups on it.";
            case NO_DIFFERENCE -> Text.capital(metric) + ": no difference that matters" + interval() + ".";
            case CANNOT_TELL -> cannotTell();
            case LESS_RELIABLE ->
                c.candidate() + " is better on " + metric + " when it works" + interval() + ", but it failed in "
                        + c.failures().candidateFailedRounds() + " of "
                        + c.failures().bothTried() + " rounds.";
            case BETTER, WORSE -> effect("");
            case SLIGHTLY_BETTER, SLIGHTLY_WORSE -> effect(", less than would matter");
        };
    }

    private String cannotTell() {
        String start = "Can’t tell yet on " + metric + interval() + ": ";
        if (c.roundsWanted().isEmpty()) {
            return start + "more rounds are unlikely to tell.";
        }
        int wanted = c.roundsWanted().getAsInt();
        return start + count(wanted, "more round") + " would likely settle it.";
    }

    private String effect(String after) {
        double estimate = c.estimate().orElseThrow();
        Scale scale = c.metric().scale();
        String end = interval() + after + ".";
        if (scale instanceof Scale.Difference) {
            return c.candidate() + (estimate > 0 ? " raises " : " lowers ") + metric + " by "
                    + scale.said(Math.abs(estimate)) + end;
        }
        if (isWithin(estimate, DOUBLED)) {
            return c.candidate() + " roughly doubles your " + metric + " here" + end;
        }
        if (isWithin(estimate, HALVED)) {
            return c.candidate() + " roughly halves your " + metric + " here" + end;
        }
        return c.candidate() + (estimate > 1 ? " raises your " : " cuts your ") + metric + " here "
                + scale.said(estimate) + end;
    }

    private static boolean isWithin(double value, double[] range) {
        return value >= range[0] && value <= range[1];
    }

    /** After a space, so that nothing is left where it is not wanted. */
    private String interval() {
        return withInterval
                ? " ("
                        + c.metric()
                                .scale()
                                .said(c.low().orElseThrow(), c.high().orElseThrow()) + ", "
                        + count(c.rounds().size(), "round") + ")"
                : "";
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
