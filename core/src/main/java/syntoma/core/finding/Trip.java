package syntoma.core.finding;

import syntoma.core.trial.Attempts;

/** What was measured on a trip in the order of time, as far as findings look at it; each by its place. */
public interface Trip extends Attempts {
    /** The number of what is compared: of a setup, a carrier or a band. */
    int unit(int i);

    boolean hasSucceeded(int i);

    /** The value of what is compared on, in its unit; NaN where it was not measured. */
    double value(int i);

    /** RSRP in dBm; NaN where it was not measured. */
    double levelDbm(int i);

    /** Whether it came from an ok run and has a value. */
    default boolean counts(int i) {
        return hasSucceeded(i) && !Double.isNaN(value(i));
    }
}
