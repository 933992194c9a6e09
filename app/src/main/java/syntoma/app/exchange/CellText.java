package syntoma.app.exchange;

import java.math.BigDecimal;
import java.math.MathContext;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.time.temporal.ChronoUnit;
import java.util.HashMap;
import java.util.Map;
import java.util.regex.Pattern;
import org.dhatim.fastexcel.reader.Cell;
import org.dhatim.fastexcel.reader.CellType;
import org.springframework.lang.Nullable;

/** What a cell of a workbook shows, as text: numbers with the point, dates with the year first. */
final class CellText {
    /** Digits that a spreadsheet shows at most; what is stored beyond them is the rounding of binary numbers. */
    private static final MathContext SHOWN = new MathContext(15);

    private static final int LONGEST_NUMBER = 40;
    private static final double BIGGEST = 1e15;

    /** The day after the last that a spreadsheet knows, 9999-12-31, counted from 1900. */
    private static final double END_OF_DAYS = 2_958_466;

    /** Days between the beginnings of the two ways to count. */
    private static final int LATER = 1_462;

    /** What in a number format is no token of a date: texts, escaped characters, colours and locales. */
    private static final Pattern NO_TOKEN = Pattern.compile("\"[^\"]*\"|\\\\.|_.|\\[[^\\]hHmMsS][^\\]]*\\]");

    private static final Pattern DATE_TOKEN = Pattern.compile("[dDyYhHsS]|[mM]");
    /** Numbers of formats that are dates or times in some language and have no pattern of their own. */
    private static final int FIRST_LOCAL_DATE = 27;

    private static final int LAST_LOCAL_DATE = 36;
    private static final int FIRST_LATER_LOCAL_DATE = 50;
    private static final int LAST_LATER_LOCAL_DATE = 58;

    private final boolean since1904;
    private final Map<String, Boolean> dates = new HashMap<>();

    /** @param since1904 whether the workbook counts its days from 1904, and not from 1900 */
    CellText(boolean since1904) {
        this.since1904 = since1904;
    }

    String of(@Nullable Cell cell) {
        if (cell == null || cell.getType() == CellType.EMPTY) {
            return "";
        }
        if (cell.getType() == CellType.FORMULA && cell.getRawValue() == null) {
            return "=" + cell.getFormula();
        }
        if (cell.getValue() instanceof BigDecimal number) {
            return ofNumber(cell, number);
        }
        if (cell.getType() == CellType.ERROR || cell.getValue() == null) {
            return cell.getRawValue() == null ? "" : cell.getRawValue().strip();
        }
        return cell.getText().strip();
    }

    private String ofNumber(Cell cell, BigDecimal number) {
        double value = number.doubleValue();
        String raw = cell.getRawValue();
        if (raw.length() > LONGEST_NUMBER || Math.abs(value) >= BIGGEST) {
            return raw;
        }
        if (value == 0) {
            return isDate(cell) ? "00:00" : "0";
        }
        if (isDate(cell) && value >= 0 && value < END_OF_DAYS - (since1904 ? LATER : 0)) {
            return ofMoment(cell.asDate(), value);
        }
        BigDecimal shown = number.round(SHOWN);
        String format = cell.getDataFormatString();
        boolean percent =
                format != null && NO_TOKEN.matcher(format).replaceAll("").contains("%");
        return percent ? numberText(shown.movePointRight(2)) + "%" : numberText(shown);
    }

    private static String numberText(BigDecimal number) {
        return number.stripTrailingZeros().toPlainString();
    }

    private static String ofMoment(LocalDateTime exact, double value) {
        LocalDateTime moment = exact.plusNanos(500_000_000).truncatedTo(ChronoUnit.SECONDS);
        if (value < 1) {
            return DateTimeFormatter.ISO_LOCAL_TIME.format(moment.toLocalTime());
        }
        return value == Math.rint(value)
                ? DateTimeFormatter.ISO_LOCAL_DATE.format(moment)
                : DateTimeFormatter.ISO_LOCAL_DATE_TIME.format(moment);
    }

    private boolean isDate(Cell cell) {
        Integer id = cell.getDataFormatId();
        if (id != null
                && (id >= FIRST_LOCAL_DATE && id <= LAST_LOCAL_DATE
                        || id >= FIRST_LATER_LOCAL_DATE && id <= LAST_LATER_LOCAL_DATE)) {
            return true;
        }
        String format = cell.getDataFormatString();
        return format != null && dates.computeIfAbsent(format, CellText::isDate);
    }

    private static boolean isDate(String format) {
        if (format.equalsIgnoreCase("General")) {
            return false;
        }
        String first = NO_TOKEN.matcher(format.split(";", 2)[0]).replaceAll("");
        return DATE_TOKEN.matcher(first).find() && first.chars().noneMatch(c -> c == '#' || c == '?' || c == '@');
    }
}
