package syntoma.core.unit;

import java.time.LocalDate;
import java.time.Month;
import java.time.format.TextStyle;
import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Days as one searches for them: 2026-08-14, 14.8.2026, 14.8., 14 Aug, Aug 14 2026, August, Aug 2026, 2026-08.
 *
 * @param year empty for any
 * @param month empty for any
 * @param day empty for any
 */
public record DayText(OptionalInt year, OptionalInt month, OptionalInt day) {
    private static final Pattern YEAR_FIRST = Pattern.compile("(\\d{4})-(\\d{1,2})(?:-(\\d{1,2}))?");
    private static final Pattern DAY_FIRST = Pattern.compile("(\\d{1,2})\\.\\s?(\\d{1,2})\\.?\\s?(\\d{4})?");
    private static final Pattern NAMED =
            Pattern.compile("(\\d{1,2})?\\.?\\s?(\\p{L}{3,})\\.?\\s?(\\d{1,2}\\b)?,?\\s?(\\d{4})?");
    private static final int LEAST_OF_A_NAME = 3;

    /** Reads a text; empty where it names no day or month. */
    public static Optional<DayText> of(String text) {
        String plain = text.strip().toLowerCase(Locale.ROOT);
        Matcher yearFirst = YEAR_FIRST.matcher(plain);
        if (yearFirst.matches()) {
            return checked(yearFirst.group(1), yearFirst.group(2), yearFirst.group(3));
        }
        Matcher dayFirst = DAY_FIRST.matcher(plain);
        if (dayFirst.matches()) {
            return checked(dayFirst.group(3), dayFirst.group(2), dayFirst.group(1));
        }
        Matcher named = NAMED.matcher(plain);
        if (!named.matches()) {
            return Optional.empty();
        }
        String day = named.group(1) == null ? named.group(3) : named.group(1);
        return month(named.group(2)).flatMap(month -> checked(named.group(4), Integer.toString(month), day));
    }

    private static Optional<Integer> month(String word) {
        return Arrays.stream(Month.values())
                .filter(m -> m.getDisplayName(TextStyle.FULL, Locale.ENGLISH)
                                .toLowerCase(Locale.ROOT)
                                .startsWith(word)
                        && word.length() >= LEAST_OF_A_NAME)
                .map(Month::getValue)
                .findFirst();
    }

    private static Optional<DayText> checked(String year, String month, String day) {
        DayText read = new DayText(number(year), number(month), number(day));
        boolean fits = read.month.orElse(1) >= 1
                && read.month.orElse(1) <= Month.values().length
                && read.day.orElse(1) >= 1
                && read.day.orElse(1) <= Month.of(read.month.orElse(1)).maxLength();
        return fits ? Optional.of(read) : Optional.empty();
    }

    private static OptionalInt number(String text) {
        return text == null ? OptionalInt.empty() : OptionalInt.of(Integer.parseInt(text));
    }

    /** Whether a day is meant, or lies in the month that is meant. */
    public boolean matches(LocalDate date) {
        return year.orElse(date.getYear()) == date.getYear()
                && month.orElse(date.getMonthValue()) == date.getMonthValue()
                && day.orElse(date.getDayOfMonth()) == date.getDayOfMonth();
    }
}
