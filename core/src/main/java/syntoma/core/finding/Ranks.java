package syntoma.core.finding;

import java.util.function.IntPredicate;

/** Ranks: 1 for the best, ties shared, so that of two that share the second place the next is fourth. */
final class Ranks {
    private Ranks() {}

    /** Whether one of two is better. */
    interface Better {
        boolean is(int one, int other);
    }

    /** The rank of each; 0 of what has none. */
    static int[] of(int units, IntPredicate ranked, Better better) {
        int[] ranks = new int[units];
        for (int unit = 0; unit < units; unit++) {
            if (ranked.test(unit)) {
                ranks[unit] = 1;
                for (int other = 0; other < units; other++) {
                    ranks[unit] += other != unit && ranked.test(other) && better.is(other, unit) ? 1 : 0;
                }
            }
        }
        return ranks;
    }
}
