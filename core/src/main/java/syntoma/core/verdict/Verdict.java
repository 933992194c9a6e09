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

    /** Whether it says which is better, or that neither is. */
    boolean isDecided() {
        return this == NO_DIFFERENCE || isBetter() || isWorse();
    }

    /** Whether both say that the candidate is better, both that it is worse, or both that there is no difference. */
    boolean isSameSideAs(Verdict other) {
        return this == other || (isBetter() && other.isBetter()) || (isWorse() && other.isWorse());
    }

    private boolean isBetter() {
        return this == BETTER || this == SLIGHTLY_BETTER;
    }

    private boolean isWorse() {
        return this == WORSE || this == SLIGHTLY_WORSE;
    }

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
