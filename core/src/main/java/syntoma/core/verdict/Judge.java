package syntoma.core.verdict;

import syntoma.core.reading.Figure;

/**
 * Turns an effect into a verdict, always in the same order: too few rounds, held by the plan, no difference that matters,
 * beyond no difference, or not yet to be told.
 *
 * @param capped whether the runs of both are held by plan or network
 * @param unreliable whether the candidate fails more often than chance explains
 * @param shown the level of the interval
 * @param decisive the level at which the effect must be beyond no difference; not under the shown one
 */
record Judge(Figure metric, boolean capped, boolean unreliable, double shown, double decisive) {

    Verdict of(Effect effect) {
        if (!effect.enough()) {
            return Verdict.TOO_FEW;
        }
        if (capped) {
            return Verdict.CAPPED;
        }
        return of(effect, effect.half(shown), effect.half(decisive));
    }

    /** The same with the half-widths of the interval known. */
    Verdict of(Effect effect, double half, double decisiveHalf) {
        double margin = metric.scale().margin();
        double mean = effect.mean().orElseThrow();
        if (mean - half > -margin && mean + half < margin) {
            return Verdict.NO_DIFFERENCE;
        }
        if (Math.abs(mean) <= decisiveHalf) {
            return Verdict.CANNOT_TELL;
        }
        double better = metric.comparing().higherIsBetter() ? mean : -mean;
        if (better < 0) {
            return better < -margin ? Verdict.WORSE : Verdict.SLIGHTLY_WORSE;
        }
        if (unreliable) {
            return Verdict.LESS_RELIABLE;
        }
        return better > margin ? Verdict.BETTER : Verdict.SLIGHTLY_BETTER;
    }
}
