package syntoma.core.fit;

import java.util.OptionalDouble;

/**
 * What the fit check found.
 *
 * @param code of the rule
 * @param where the part of the chain, or the lead or port
 * @param says what is so, and why it matters
 * @param fix the cheapest remedy; empty text where there is none or none is needed
 * @param price of the remedy; empty where it is not known
 */
public record FitFinding(String code, Severity severity, String where, String says, String fix, OptionalDouble price) {

    /** Whether the chain does not work with it. */
    public boolean blocks() {
        return severity == Severity.BLOCKER;
    }

    /** Whether an adapter has to be bought. */
    public boolean wantsAdapter() {
        return code.equals(AdapterNeeded.CODE);
    }

    /** Whether the vehicle's 12 V side has to be held steady for a part. */
    public boolean wantsStabiliser() {
        return code.equals(SupplyRange.CODE) && severity == Severity.CAUTION;
    }

    static FitFinding blocker(String code, String where, String says, String fix) {
        return new FitFinding(code, Severity.BLOCKER, where, says, fix, OptionalDouble.empty());
    }

    static FitFinding caution(String code, String where, String says, String fix) {
        return new FitFinding(code, Severity.CAUTION, where, says, fix, OptionalDouble.empty());
    }

    static FitFinding note(String code, String where, String says, String fix) {
        return new FitFinding(code, Severity.NOTE, where, says, fix, OptionalDouble.empty());
    }

    FitFinding at(OptionalDouble cost) {
        return new FitFinding(code, severity, where, says, fix, cost);
    }
}
