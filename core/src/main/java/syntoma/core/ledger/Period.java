package syntoma.core.ledger;

import java.time.LocalDate;
import java.time.YearMonth;
import java.time.temporal.ChronoUnit;
import syntoma.core.unit.Values;

/**
 * A plan's month: from a reset day to the day before the next one. Where a month is shorter than the reset day, it resets on its last
 * day.
 *
 * @param first day of it
 * @param next first day of the one after it
 */
public record Period(LocalDate first, LocalDate next) {

    /**
     * The month of a plan that a day is in.
     *
     * @param resetDay 1 to 31
     * @throws IllegalArgumentException naming a reset day that no month has
     */
    public static Period of(LocalDate day, int resetDay) {
        Values.within("reset day", resetDay, 1, 31, "");
        YearMonth month = YearMonth.from(day);
        LocalDate reset = in(month, resetDay);
        return day.isBefore(reset)
                ? new Period(in(month.minusMonths(1), resetDay), reset)
                : new Period(reset, in(month.plusMonths(1), resetDay));
    }

    private static LocalDate in(YearMonth month, int day) {
        return month.atDay(Math.min(day, month.lengthOfMonth()));
    }

    /** The one before it. */
    public Period before(int resetDay) {
        return of(first.minusDays(1), resetDay);
    }

    /** How many days it has. */
    public long days() {
        return ChronoUnit.DAYS.between(first, next);
    }

    /** How many days are left after a day in it, until it resets. */
    public long daysLeft(LocalDate day) {
        return ChronoUnit.DAYS.between(day, next);
    }
}
