package syntoma.app.measurement;

import java.time.OffsetDateTime;
import java.time.ZoneOffset;

/**
 * Times with their offset, as ISO 8601 writes them. A file has one in each row, nearly always in the one form
 * {@code 2026-08-14T18:05:00+03:00}: that form is read by its places, several times as fast as by the general parser, which
 * reads all others.
 */
final class Times {
    private static final String FORM = "0000-00-00T00:00:00+00:00";

    private Times() {}

    /**
     * Reads a time; a space may stand for the T.
     *
     * @throws java.time.DateTimeException when it is none
     */
    static OffsetDateTime parse(String text) {
        if (!isInForm(text)) {
            return OffsetDateTime.parse(text.indexOf(' ') == 10 ? text.replaceFirst(" ", "T") : text);
        }
        int sign = text.charAt(19) == '-' ? -1 : 1;
        return OffsetDateTime.of(
                100 * two(text, 0) + two(text, 2),
                two(text, 5),
                two(text, 8),
                two(text, 11),
                two(text, 14),
                two(text, 17),
                0,
                ZoneOffset.ofHoursMinutes(sign * two(text, 20), sign * two(text, 23)));
    }

    private static boolean isInForm(String text) {
        if (text.length() != FORM.length()) {
            return false;
        }
        for (int i = 0; i < FORM.length(); i++) {
            char wanted = FORM.charAt(i);
            char given = text.charAt(i);
            boolean fits = wanted == '0' ? given >= '0' && given <= '9' : given == wanted || i == 19 && given == '-';
            if (!fits) {
                return false;
            }
        }
        return true;
    }

    private static int two(String text, int at) {
        return 10 * (text.charAt(at) - '0') + text.charAt(at + 1) - '0';
    }
}
