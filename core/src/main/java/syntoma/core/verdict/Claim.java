package syntoma.core.verdict;

import java.util.Locale;
import syntoma.core.unit.Labels;

/** What somebody says of two setups after a trial, compared with the truth. */
public enum Claim {
    BETTER,
    NO_DIFFERENCE,
    WORSE,
    CANNOT_TELL;

    /** The name in the API. */
    public String label() {
        return name().toLowerCase(Locale.ROOT);
    }

    /**
     * The one of a name in the API.
     *
     * @throws IllegalArgumentException naming the text and the claims there are
     */
    public static Claim fromLabel(String text) {
        return Labels.find("said", text, values(), Claim::label);
    }

    /** What is so. */
    public static Claim ofTruth(double ratio, double margin) {
        return ratio > margin ? BETTER : ratio < 1 / margin ? WORSE : NO_DIFFERENCE;
    }

    /** Whether it is so; who says that it cannot be told is not wrong, and not right. */
    public boolean isRight(double ratio, double margin) {
        return this == ofTruth(ratio, margin);
    }

    /**
     * Whether more was claimed than the trial could say: what is not so, or what its numbers leave open.
     *
     * @param verdict of the trial
     */
    public boolean isTooMuch(double ratio, double margin, Verdict verdict) {
        boolean open = verdict == Verdict.CANNOT_TELL || verdict == Verdict.TOO_FEW;
        return this != CANNOT_TELL && (open || !isRight(ratio, margin));
    }
}
