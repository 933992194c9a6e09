package syntoma.core.verdict;

import org.hipparchus.distribution.continuous.TDistribution;
import syntoma.core.unit.Values;

/**
 * The nominal level of each look at a trial that is looked at after every round from the third to the planned one, such
 * that the chance of a wrong claim over all looks stays 5 %. The levels are simulated by {@code LookLevelsProgram}, which
 * stands with the tests.
 *
 * <pre>{@code
 * InterimLooks.level(5, 0)       // 0.0227
 * InterimLooks.critical(0.05, 4) // 2.776
 * }</pre>
 */
public final class InterimLooks {
    /** Fewest rounds for a verdict. */
    public static final int FEWEST = 3;
    /** Most rounds a trial is planned for. */
    public static final int MOST = 20;
    /**
     * The level of each look past the plan: with it the chance of a wrong claim over all looks stays under 5.5 % for any
     * plan, up to 20 rounds in all (simulated by {@code VerdictSimulation}, which stands with the tests).
     */
    public static final double PAST_THE_PLAN = 0.0010;
    /** The level of a single look. */
    public static final double SINGLE = 0.05;

    /** Per degree of freedom borrowed from past trials, from none to ten, the levels of 3 to 20 planned rounds. */
    private static final double[][] LEVELS = {
        {
            .0500, .0303, .0227, .0186, .0160, .0142, .0129, .0119, .0111, .0104, .0099, .0094, .0090, .0087, .0083,
            .0081, .0078, .0076
        },
        {
            .0500, .0319, .0244, .0201, .0174, .0154, .0139, .0128, .0119, .0112, .0106, .0101, .0096, .0092, .0089,
            .0086, .0083, .0081
        },
        {
            .0500, .0326, .0249, .0206, .0178, .0158, .0143, .0132, .0123, .0115, .0110, .0104, .0100, .0096, .0092,
            .0089, .0086, .0083
        },
        {
            .0500, .0330, .0253, .0211, .0183, .0162, .0147, .0136, .0127, .0120, .0113, .0107, .0103, .0099, .0095,
            .0092, .0089, .0087
        },
        {
            .0500, .0332, .0255, .0213, .0184, .0165, .0149, .0138, .0128, .0120, .0113, .0108, .0104, .0099, .0096,
            .0092, .0089, .0087
        },
        {
            .0500, .0330, .0257, .0214, .0186, .0166, .0151, .0140, .0130, .0123, .0116, .0110, .0105, .0101, .0097,
            .0094, .0091, .0089
        },
        {
            .0500, .0331, .0258, .0217, .0187, .0167, .0151, .0139, .0130, .0122, .0116, .0110, .0105, .0100, .0097,
            .0094, .0091, .0088
        },
        {
            .0500, .0337, .0263, .0220, .0192, .0172, .0156, .0144, .0134, .0126, .0119, .0113, .0108, .0104, .0100,
            .0096, .0093, .0090
        },
        {
            .0500, .0337, .0264, .0221, .0192, .0172, .0157, .0145, .0135, .0127, .0120, .0114, .0109, .0105, .0101,
            .0098, .0095, .0092
        },
        {
            .0500, .0334, .0261, .0219, .0191, .0170, .0155, .0143, .0133, .0126, .0119, .0113, .0108, .0104, .0100,
            .0097, .0094, .0091
        },
        {
            .0500, .0332, .0259, .0216, .0190, .0169, .0155, .0143, .0133, .0126, .0119, .0113, .0108, .0104, .0101,
            .0098, .0095, .0092
        }
    };

    private InterimLooks() {}

    /**
     * The nominal two-sided level of each look when so many rounds are planned.
     *
     * @param borrowed degrees of freedom of the spread that past trials give, 0 to 10; between whole ones the levels are
     *     drawn straight
     * @throws IllegalArgumentException outside 3 to 20 rounds
     */
    public static double level(int plannedRounds, double borrowed) {
        Values.within("planned rounds", plannedRounds, FEWEST, MOST, "");
        Values.within("borrowed degrees of freedom", borrowed, 0, LEVELS.length - 1.0, "");
        int below = (int) borrowed;
        int above = Math.min(below + 1, LEVELS.length - 1);
        double low = LEVELS[below][plannedRounds - FEWEST];
        return low + (borrowed - below) * (LEVELS[above][plannedRounds - FEWEST] - low);
    }

    /** The two-sided critical value of Student's t. */
    public static double critical(double level, double degrees) {
        return new TDistribution(degrees).inverseCumulativeProbability(1 - level / 2);
    }
}
