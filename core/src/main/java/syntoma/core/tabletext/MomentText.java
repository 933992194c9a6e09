package syntoma.core.tabletext;

import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;

/** Dates and times of day the way people write them: 14.8.26, 8/14/2026, 14 Aug 2026; 18:05, 18h05, 6:05 pm. */
final class MomentText {
    private static final int LONGEST = 60;
    private static final int CENTURY = 2000;

    /** Two digits in front are a year only from here on: no log of an LTE router is older. */
    private static final int EARLIEST_SHORT_YEAR = 10;

    /** Seconds since 1970, of the years 2001 to 2033, or milliseconds. */
    private static final Pattern SINCE_1970 = Pattern.compile("1\\d{9}(?:\\d{3})?");

    private static final Pattern DAY_AND_MONTH = Pattern.compile("(?<![\\d:])\\d{1,2}\\s?[./-]\\s?\\d{1,2}(?![\\d:])");

    private static final int SECONDS_LONG = 10;

    /** Months by their first three letters, in the languages of the headings. */
    private static final Map<String, Integer> MONTHS = Map.ofEntries(
            Map.entry("jan", 1),
            Map.entry("ene", 1),
            Map.entry("gen", 1),
            Map.entry("tam", 1),
            Map.entry("jaa", 1),
            Map.entry("feb", 2),
            Map.entry("fév", 2),
            Map.entry("fev", 2),
            Map.entry("hel", 2),
            Map.entry("vee", 2),
            Map.entry("mar", 3),
            Map.entry("mär", 3),
            Map.entry("mrz", 3),
            Map.entry("maa", 3),
            Map.entry("mrt", 3),
            Map.entry("apr", 4),
            Map.entry("avr", 4),
            Map.entry("abr", 4),
            Map.entry("huh", 4),
            Map.entry("may", 5),
            Map.entry("mai", 5),
            Map.entry("maj", 5),
            Map.entry("mei", 5),
            Map.entry("mag", 5),
            Map.entry("tou", 5),
            Map.entry("jun", 6),
            Map.entry("giu", 6),
            Map.entry("kes", 6),
            Map.entry("jul", 7),
            Map.entry("lug", 7),
            Map.entry("hei", 7),
            Map.entry("aug", 8),
            Map.entry("aoû", 8),
            Map.entry("aou", 8),
            Map.entry("ago", 8),
            Map.entry("elo", 8),
            Map.entry("sep", 9),
            Map.entry("set", 9),
            Map.entry("syy", 9),
            Map.entry("oct", 10),
            Map.entry("okt", 10),
            Map.entry("ott", 10),
            Map.entry("lok", 10),
            Map.entry("nov", 11),
            Map.entry("dec", 12),
            Map.entry("dez", 12),
            Map.entry("déc", 12),
            Map.entry("dic", 12),
            Map.entry("des", 12),
            Map.entry("jou", 12));

    private MomentText() {}

    /** A date; empty where the text is none of such dates. */
    static Optional<LocalDate> date(String text, Dates dates) {
        if (text.length() > LONGEST) {
            return Optional.empty();
        }
        List<Integer> numbers = new ArrayList<>();
        int month = 0;
        for (String word : words(text)) {
            if (Character.isDigit(word.charAt(0))) {
                if (word.length() > 4 || numbers.size() == 3) {
                    return Optional.empty();
                }
                numbers.add(Integer.parseInt(word));
            } else if (word.length() >= 3) {
                Optional<Integer> named = month(word);
                month = named.orElse(month);
            }
        }
        if (month > 0 && numbers.size() == 2) {
            boolean yearFirst = numbers.get(0) > 31;
            return of(numbers.get(yearFirst ? 0 : 1), month, numbers.get(yearFirst ? 1 : 0));
        }
        if (dates.year().isPresent() && numbers.size() == (month > 0 ? 1 : 2)) {
            return month > 0
                    ? of(dates.year().get(), month, numbers.get(0))
                    : withoutYear(text, numbers.get(0), numbers.get(1), dates);
        }
        if (month > 0 || numbers.size() != 3) {
            return Optional.empty();
        }
        int a = numbers.get(0);
        int b = numbers.get(1);
        int c = numbers.get(2);
        return switch (dates.order()) {
            case YEAR_FIRST -> a > 31 || isShortYear(text, a) ? of(a, b, c) : Optional.empty();
            case DAY_FIRST -> a > 31 ? Optional.empty() : of(c, b, a);
            case MONTH_FIRST -> a > 31 ? Optional.empty() : of(c, a, b);
        };
    }

    /** Two numbers that may be a day and a month; with a colon they are a time of day. */
    private static Optional<LocalDate> withoutYear(String text, int a, int b, Dates dates) {
        if (!DAY_AND_MONTH.matcher(text).find()) {
            return Optional.empty();
        }
        int year = dates.year().orElseThrow();
        return switch (dates.order()) {
            case YEAR_FIRST -> text.indexOf('-') > 0 ? of(year, a, b) : Optional.empty();
            case DAY_FIRST -> of(year, b, a);
            case MONTH_FIRST -> of(year, a, b);
        };
    }

    /** Whether a date such as 26-08-14 may begin with its year; with dots or slashes it does not. */
    private static boolean isShortYear(String text, int first) {
        return first >= EARLIEST_SHORT_YEAR && text.strip().charAt(2) == '-';
    }

    private static Optional<Integer> month(String word) {
        String start = word.substring(0, 3).toLowerCase(Locale.ROOT);
        if (start.equals("jui")) {
            return Optional.of(word.toLowerCase(Locale.ROOT).startsWith("juil") ? 7 : 6);
        }
        if (start.equals("mar") && word.toLowerCase(Locale.ROOT).startsWith("marras")) {
            return Optional.of(11);
        }
        return Optional.ofNullable(MONTHS.get(start));
    }

    private static Optional<LocalDate> of(int year, int month, int day) {
        try {
            return Optional.of(LocalDate.of(year < 100 ? CENTURY + year : year, month, day));
        } catch (DateTimeException none) {
            return Optional.empty();
        }
    }

    /** Runs of digits and runs of letters. */
    private static List<String> words(String text) {
        List<String> words = new ArrayList<>();
        int i = 0;
        while (i < text.length()) {
            char c = text.charAt(i);
            int start = i;
            if (Character.isDigit(c)) {
                while (i < text.length() && Character.isDigit(text.charAt(i))) {
                    i++;
                }
            } else if (Character.isLetter(c)) {
                while (i < text.length() && Character.isLetter(text.charAt(i))) {
                    i++;
                }
            } else {
                i++;
                continue;
            }
            words.add(text.substring(start, i));
        }
        return words;
    }

    /** A time of day; empty where the text is none. */
    static Optional<LocalTime> clock(String text) {
        if (text.length() > LONGEST) {
            return Optional.empty();
        }
        List<Integer> numbers = new ArrayList<>();
        boolean afternoon = false;
        boolean twelve = false;
        for (String word : words(text)) {
            String lower = word.toLowerCase(Locale.ROOT);
            if (Character.isDigit(word.charAt(0))) {
                if (word.length() > 2 || numbers.size() == 3) {
                    return Optional.empty();
                }
                numbers.add(Integer.parseInt(word));
            } else if (lower.equals("pm") || lower.equals("p")) {
                afternoon = true;
                twelve = true;
            } else if (lower.equals("am") || lower.equals("a")) {
                twelve = true;
            } else if (!lower.equals("h") && !lower.equals("m") && !lower.equals("uhr") && !lower.equals("klo")) {
                return Optional.empty();
            }
        }
        if (numbers.isEmpty() || numbers.size() == 1 && !twelve) {
            return Optional.empty();
        }
        int hour = numbers.get(0);
        if (twelve) {
            if (hour < 1 || hour > 12) {
                return Optional.empty();
            }
            hour = hour % 12 + (afternoon ? 12 : 0);
        }
        try {
            return Optional.of(LocalTime.of(
                    hour, numbers.size() > 1 ? numbers.get(1) : 0, numbers.size() > 2 ? numbers.get(2) : 0));
        } catch (DateTimeException none) {
            return Optional.empty();
        }
    }

    /** A date and a time of day in one cell. */
    record Both(LocalDate date, LocalTime clock) {}

    /** A date with a time of day behind it; empty where the text is none of such dates. */
    static Optional<Both> dateAndTime(String text, Dates dates) {
        String plain = text.strip();
        for (int i = plain.length() - 1; i > 0 && plain.length() <= LONGEST; i--) {
            char c = plain.charAt(i);
            if (c == ' ' || c == ',' || c == 'T') {
                Optional<LocalDate> date = date(plain.substring(0, i), dates);
                Optional<LocalTime> clock = clock(plain.substring(i + 1));
                if (date.isPresent() && clock.isPresent()) {
                    return Optional.of(new Both(date.get(), clock.get()));
                }
            }
        }
        return Optional.empty();
    }

    /** A time that names its own offset, or counts seconds or milliseconds since 1970; empty where it does neither. */
    static Optional<OffsetDateTime> moment(String text) {
        String plain = text.strip();
        if (SINCE_1970.matcher(plain).matches()) {
            long counted = Long.parseLong(plain);
            return Optional.of(Instant.ofEpochMilli(plain.length() > SECONDS_LONG ? counted : 1000 * counted)
                    .atOffset(ZoneOffset.UTC));
        }
        if (plain.length() > LONGEST || plain.length() < 16) {
            return Optional.empty();
        }
        try {
            return Optional.of(OffsetDateTime.parse(plain.replaceFirst(" ", "T")));
        } catch (DateTimeException none) {
            return Optional.empty();
        }
    }
}
