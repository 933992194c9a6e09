package syntoma.core.finding;

import java.util.OptionalDouble;
import java.util.OptionalInt;
import syntoma.core.reading.Scale;
import syntoma.core.verdict.Verdict;

/**
 * What a unit has more than the baseline over many stays: a factor for speeds and latencies, a difference for levels and shares.
 *
 * @param blocks in which the unit stood beside another
 * @param stays at which it did
 * @param estimate empty where no block links the unit to the baseline
 * @param low end of the 95 % interval; empty under four stays in the model, and where the unit has only one of its own
 * @param verdict of one look; {@link Verdict#TOO_FEW} also where the unit itself stood beside another at fewer than four stays
 * @param staysWanted so many more stays with both would likely settle it; empty where it is settled, or where more than twenty
 *     would be wanted
 */
public record Contrast(
        int blocks,
        int stays,
        OptionalDouble estimate,
        OptionalDouble low,
        OptionalDouble high,
        Verdict verdict,
        OptionalInt staysWanted) {

    static final Contrast NOT_LINKED = new Contrast(
            0,
            0,
            OptionalDouble.empty(),
            OptionalDouble.empty(),
            OptionalDouble.empty(),
            Verdict.TOO_FEW,
            OptionalInt.of(Finder.FEWEST_STAYS));

    /** The baseline against itself: no difference, and nothing to judge. */
    static Contrast baseline(Scale scale, int blocks, int stays) {
        OptionalDouble none = OptionalDouble.of(scale.off(0));
        return new Contrast(blocks, stays, none, none, none, Verdict.NO_DIFFERENCE, OptionalInt.empty());
    }

    /** Whether something may be said of it. */
    public boolean isTold() {
        return verdict != Verdict.TOO_FEW && verdict != Verdict.CANNOT_TELL;
    }
}
