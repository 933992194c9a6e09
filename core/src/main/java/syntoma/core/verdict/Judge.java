package syntoma.core.verdict;

import syntoma.core.reading.Scale;

/**
 * Turns an effect into a verdict, always in the same order: too few rounds, held by the plan, no difference that matters,
 * beyond no difference, or not yet to be told.
 *
 * @param scale of what is compared
 * @param isHigherBetter whether more of it is better
 * @param isCapped whether the runs of both are held by plan or network
 * @param isUnreliable whether the candidate fails more often than chance explains
 * @param smallestShown the level of the interval
 * @param decisive the level at which the effect must be beyond no difference; not under the shown one
 */
public record Judge(
        Scale scale,
        boolean isHigherBetter,
        boolean isCapped,
        boolean isUnreliable,
        double smallestShown,
        double decisive) {

    Verdict of(Effect effect) {
        if (!effect.hasEnoughRounds()) {
            return Verdict.TOO_FEW;
        }
        if (isCapped) {
            return Verdict.CAPPED;
        }
        return of(effect.mean().orElseThrow(), effect.half(smallestShown), effect.half(decisive));
    }

    /**
     * One look at 95 % at an effect whose interval is known; never {@link Verdict#TOO_FEW}.
     *
     * @param mean on the scale
     * @param half half the width of its interval
     */
    public static Verdict single(
            Scale scale, boolean higherIsBetter, double mean, double half, boolean capped, boolean unreliable) {
        return capped
                ? Verdict.CAPPED
                : new Judge(scale, higherIsBetter, false, unreliable, InterimLooks.SINGLE, InterimLooks.SINGLE)
                        .of(mean, half, half);
    }

    /** The same with the half-widths of the interval known. */
    Verdict of(double mean, double half, double decisiveHalf) {
        double margin = scale.margin();
        if (mean - half > -margin && mean + half < margin) {
            return Verdict.NO_DIFFERENCE;
        }
        if (Math.abs(mean) <= decisiveHalf) {
            return Verdict.CANNOT_TELL;
        }
        double better = isHigherBetter ? mean : -mean;
        if (better < 0) {
            return better < -margin ? Verdict.WORSE : Verdict.SLIGHTLY_WORSE;
        }
        if (isUnreliable) {
            return Verdict.LESS_RELIABLE;
        }
        return better > margin ? Verdict.BETTER : Verdict.SLIGHTLY_BETTER;
    }
}
