package syntoma.core.fit;

import java.util.Optional;
import syntoma.core.sentence.Sentence;

/**
 * What the fit check found.
 *
 * @param code of the rule
 * @param part the part of the chain, or the lead or port
 * @param says what is so, and why it matters
 * @param fix the cheapest remedy; empty text where there is none or none is needed
 * @param toBuy what the remedy costs; empty where nothing has to be bought
 */
public record FitFinding(
        String code, Severity severity, String part, Sentence says, Sentence fix, Optional<ToBuy> toBuy) {

    /** Whether the chain does not work with it. */
    public boolean blocks() {
        return severity == Severity.BLOCKER;
    }

    static FitFinding blocker(String code, String where, CharSequence says, CharSequence fix) {
        return of(code, Severity.BLOCKER, where, says, fix);
    }

    static FitFinding caution(String code, String where, CharSequence says, CharSequence fix) {
        return of(code, Severity.CAUTION, where, says, fix);
    }

    static FitFinding note(String code, String where, CharSequence says, CharSequence fix) {
        return of(code, Severity.NOTE, where, says, fix);
    }

    private static FitFinding of(String code, Severity severity, String where, CharSequence says, CharSequence fix) {
        return new FitFinding(code, severity, where, Sentence.of(says), Sentence.of(fix), Optional.empty());
    }

    FitFinding with(ToBuy remedy) {
        return new FitFinding(code, severity, part, says, fix, Optional.of(remedy));
    }
}
