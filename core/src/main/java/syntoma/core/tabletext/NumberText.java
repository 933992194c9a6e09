package syntoma.core.tabletext;

import java.math.BigDecimal;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import syntoma.core.reading.BareLevel;
import syntoma.core.reading.Figure;

/** Numbers the way people keep them: 1.234,5 · 1,234.5 · 12 Mb/s · 97 for −97 dBm · n/a. */
final class NumberText {
    private static final int LONGEST = 60;
    private static final Set<String> MISSING = Set.of(
            "", "-", "–", "—", "n/a", "#n/a", "na", "n.a.", "none", "null", "?", "x", "nan", "ohne", "keine", "aucun",
            "ei");

    private NumberText() {}

    /** Whether a cell says that there is nothing. */
    static boolean isMissing(String text) {
        return MISSING.contains(text.strip().toLowerCase(Locale.ROOT));
    }

    /**
     * A cell as plain decimal text in the figure's own unit; empty where it is no number.
     *
     * @param unit of the column; one that the cell names itself comes before it
     * @param decimalComma whether a single comma or point that could be either is the comma of a decimal
     */
    static Optional<String> read(String cell, Figure figure, Quantity unit, boolean decimalComma) {
        String text = cell.strip();
        if (text.isEmpty() || text.length() > LONGEST) {
            return Optional.empty();
        }
        int end = end(text);
        String after = text.substring(end).strip();
        Optional<Quantity> named = after.isEmpty() ? Optional.of(unit) : Quantity.of(after);
        return named.flatMap(
                own -> digits(text.substring(0, end), decimalComma).map(number -> in(number, figure, own)));
    }

    private static String in(BigDecimal number, Figure figure, Quantity unit) {
        BigDecimal value = unit.factor() == 1
                ? number
                : number.multiply(BigDecimal.valueOf(unit.factor())).stripTrailingZeros();
        boolean bare = BareLevel.lacksSign(figure, value.doubleValue());
        return (bare ? value.negate() : value).toPlainString();
    }

    /** Where the number ends and the unit begins. */
    private static int end(String text) {
        int end = 0;
        while (end < text.length()) {
            char c = text.charAt(end);
            boolean inNumber = c >= '0' && c <= '9'
                    || c == '.'
                    || c == ','
                    || c == '-'
                    || c == '−'
                    || c == '+'
                    || c == '’'
                    || c == '\''
                    || (c == ' ' || c == '\u00A0' || c == '\u202F')
                            && end + 1 < text.length()
                            && Character.isDigit(text.charAt(end + 1));
            if (!inNumber) {
                break;
            }
            end++;
        }
        return end;
    }

    private static Optional<BigDecimal> digits(String written, boolean decimalComma) {
        StringBuilder digits = new StringBuilder(written.length());
        int lastComma = written.lastIndexOf(',');
        int lastPoint = written.lastIndexOf('.');
        char decimal = decimal(written, lastComma, lastPoint, decimalComma);
        for (int i = 0; i < written.length(); i++) {
            char c = written.charAt(i);
            if (c >= '0' && c <= '9') {
                digits.append(c);
            } else if (c == '-' || c == '−') {
                digits.append('-');
            } else if (c == decimal && i == Math.max(lastComma, lastPoint)) {
                digits.append('.');
            } else if (c == '+' && i > 0) {
                return Optional.empty();
            }
        }
        try {
            return Optional.of(new BigDecimal(digits.toString()));
        } catch (NumberFormatException none) {
            return Optional.empty();
        }
    }

    /** Which sign is the decimal one: of both kinds the last; of one kind several times, none. */
    private static char decimal(String written, int lastComma, int lastPoint, boolean decimalComma) {
        if (lastComma >= 0 && lastPoint >= 0) {
            return lastComma > lastPoint ? ',' : '.';
        }
        char only = lastComma >= 0 ? ',' : '.';
        int last = Math.max(lastComma, lastPoint);
        if (last < 0 || written.indexOf(only) != last) {
            return '\0';
        }
        boolean couldBeThousands =
                written.length() - last - 1 == 3 && last > 0 && last <= 4 && written.charAt(0) != '0';
        boolean usual = only == ',' ? decimalComma : !decimalComma;
        return couldBeThousands && !usual ? '\0' : only;
    }
}
