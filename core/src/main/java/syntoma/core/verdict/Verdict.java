package syntoma.core.verdict;

import java.util.Locale;

/** What the numbers allow to be said of a candidate against a baseline. */
public enum Verdict {
    BETTER,
    SLIGHTLY_BETTER,
    NO_DIFFERENCE,
    SLIGHTLY_WORSE,
    WORSE,
    CANNOT_TELL,
    TOO_FEW,
    CAPPED,
    LESS_RELIABLE;

    /** The name in the API: better, slightly-better, … */
    public String key() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    /** The name in a sentence. */
    public String words() {
        return switch (this) {
            case NO_DIFFERENCE -> "no difference that matters";
            case CANNOT_TELL -> "can’t tell yet";
            case CAPPED -> "held by the plan or the network";
            default -> key().replace('-', ' ');
        };
    }
}
