package syntoma.bench.calibration;

import java.util.List;

/**
 * A kind of trial of which many are simulated.
 *
 * @param setups how many are compared
 * @param times what the second truly brings of the first's upload; 1 for nothing between them
 * @param rounds planned
 * @param from the hour at which it begins
 * @param borrows whether the spread of trials before it is borrowed
 */
public record Case(String says, int setups, double times, int rounds, int from, boolean borrows) {
    private static final int MORNING = 9;
    private static final int BEFORE_EVENING = 16;

    /** Those of the page. */
    public static final List<Case> ALL = List.of(
            equal(4),
            equal(8),
            equal(8).withBorrowed(),
            equal(15),
            equal(15).withBorrowed(),
            equal(8).intoTheEvening(),
            equal(8).among(3),
            equal(8).among(4),
            truly(1.4, 15),
            truly(1.4, 15).withBorrowed(),
            truly(1.4, 15).intoTheEvening(),
            truly(2, 6),
            truly(2, 6).withBorrowed());

    /** Nothing between two setups. */
    public static Case equal(int rounds) {
        return new Case("nothing between two", 2, 1, rounds, MORNING, false);
    }

    /** The second is truly so many times the first. */
    public static Case truly(double times, int rounds) {
        return new Case("×" + times + " between two", 2, times, rounds, MORNING, false);
    }

    Case withBorrowed() {
        return new Case(says, setups, times, rounds, from, true);
    }

    Case intoTheEvening() {
        return new Case(says + ", into the busy evening", setups, times, rounds, BEFORE_EVENING, borrows);
    }

    Case among(int all) {
        return new Case("nothing among " + all, all, times, rounds, from, borrows);
    }
}
