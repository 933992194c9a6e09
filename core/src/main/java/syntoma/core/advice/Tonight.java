package syntoma.core.advice;

import java.util.List;
import java.util.Optional;
import syntoma.core.unit.Text;
import syntoma.core.unit.Values;

/**
 * What to do tonight.
 *
 * @param ranked all options, the one to take first
 * @param asItIs what is up now, among them; empty where nothing is, or where it is no option
 * @param elsewhere what the best option may be expected to bring at a campsite where one has never been
 */
public record Tonight(List<Advised> ranked, Optional<Advised> asItIs, Optional<Advised> elsewhere) {
    /** A chance under which an option is not said to do. Chosen: an even bet. */
    private static final double LIKELY = 0.5;

    /** A drive is worth it for so much more chance; chosen. */
    private static final double WORTH_A_DRIVE = 0.25;

    /** Whether moving on is the better bet: nothing here is likely to do, and elsewhere clearly more is. */
    public boolean movesOn() {
        double best = ranked.isEmpty() ? 0 : ranked.get(0).chance();
        return best < LIKELY
                && elsewhere.filter(e -> e.chance() > best + WORTH_A_DRIVE).isPresent();
    }

    /**
     * What to do, in a sentence.
     *
     * @param need the names of the needs
     */
    public String says(String need) {
        if (ranked.isEmpty()) {
            return "Measure once with each setup, and what to use is said here.";
        }
        Advised first = ranked.get(0);
        String name = first.option().setup() + " on " + first.option().carrier();
        if (need.isEmpty()) {
            return "Say what the connection is for, and what to use is said here.";
        }
        if (movesOn()) {
            return "Move on if you can: " + name + " is the best bet here, and " + meets(first, need) + ".";
        }
        boolean stays = asItIs.filter(first::equals).isPresent();
        return (stays ? "Leave it as it is: " + name + " " : "Use " + name + ": it ")
                + (first.chance() < LIKELY ? "is the best bet, and " : "")
                + meets(first, need) + ".";
    }

    private static String meets(Advised advised, String need) {
        return "meets " + need + " in about " + Values.rounded(100 * advised.chance(), 0) + " of 100 runs";
    }

    /** A quick test, in a sentence. @param minutes of work and runs */
    public static String says(QuickTest test, double minutes) {
        String of = test.of().option().setup() + " on " + test.of().option().carrier();
        String against = test.against().option().setup() + " on "
                + test.against().option().carrier();
        long whole = Math.max(1, Math.round(minutes));
        return "A test of " + Text.counted((int) whole, "minute") + " would likely settle it: " + of + " against "
                + against + ".";
    }
}
