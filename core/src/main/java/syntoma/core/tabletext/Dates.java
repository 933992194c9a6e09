package syntoma.core.tabletext;

import java.util.Optional;

/**
 * How the dates of a table are written.
 *
 * @param order of their numbers
 * @param year of those that name none
 */
record Dates(DateOrder order, Optional<Integer> year) {
    /** A year that has every day there is. */
    private static final int LEAP = 2024;

    /** Those that name their year. */
    static Dates withYear(DateOrder order) {
        return new Dates(order, Optional.empty());
    }

    /** Those that may name none, where it is not asked of which year they are. */
    static Dates ofAnyYear(DateOrder order) {
        return new Dates(order, Optional.of(LEAP));
    }
}
