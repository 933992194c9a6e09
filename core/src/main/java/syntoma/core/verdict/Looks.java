package syntoma.core.verdict;

import org.hipparchus.distribution.continuous.TDistribution;
import syntoma.core.unit.Values;

/**
 * The nominal level of each look at a trial that is looked at after every round from the third to the planned one, such
 * that the chance of a wrong claim over all looks stays 5 %. The levels are simulated by {@code LookLevelsProgram}, which
 * stands with the tests.
 */
public final class Looks {
    /** Fewest rounds for a verdict. */
    public static final int FEWEST = 3;
    /** Most rounds a trial is planned for. */
    public static final int MOST = 20;
    /** The level of a single look. */
    public static final double SINGLE = 0.05;

    private static final double[] LEVELS = {
        .0500, .0303, .0227, .0186, .0160, .0142, .0129, .0119, .0111, .0104, .0099, .0094, .0090, .0087, .0083, .0081,
        .0078, .0076
    };

    private Looks() {}

    /**
     * The nominal two-sided level of each look when so many rounds are planned.
     *
     * @throws IllegalArgumentException outside 3 to 20 rounds
     */
    public static double level(int plannedRounds) {
        Values.within("planned rounds", plannedRounds, FEWEST, MOST, "");
        return LEVELS[plannedRounds - FEWEST];
    }

    /** The two-sided critical value of Student's t. */
    static double critical(double level, double degrees) {
        return new TDistribution(degrees).inverseCumulativeProbability(1 - level / 2);
    }
}
