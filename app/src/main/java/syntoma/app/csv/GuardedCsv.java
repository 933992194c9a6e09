package syntoma.app.csv;

import java.io.IOException;
import java.io.Writer;
import java.math.BigDecimal;
import java.time.OffsetDateTime;
import java.time.format.DateTimeFormatter;
import java.util.List;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.springframework.lang.Nullable;

/** Writes CSV (RFC 4180) of which a spreadsheet runs nothing; all CSV that Syntoma gives out is written here. */
public final class GuardedCsv {
    private final CSVPrinter printer;

    /** Begins with a header. */
    public GuardedCsv(Writer out, List<String> header) throws IOException {
        printer = new CSVPrinter(out, CSVFormat.RFC4180);
        printer.printRecord(header);
    }

    /** A value: a text is guarded, a time keeps its offset, a number its digits; null is empty. */
    public void cell(@Nullable Object value) throws IOException {
        if (value instanceof OffsetDateTime time) {
            printer.print(DateTimeFormatter.ISO_OFFSET_DATE_TIME.format(time));
        } else if (value instanceof BigDecimal number) {
            printer.print(number.toPlainString());
        } else if (value instanceof String text) {
            printer.print(SpreadsheetGuard.on(text));
        } else {
            printer.print(value);
        }
    }

    /** The digits of a number as they were entered, which may begin with a minus. */
    public void number(@Nullable Object digits) throws IOException {
        if (digits instanceof BigDecimal number) {
            printer.print(number.toPlainString());
        } else {
            printer.print(digits);
        }
    }

    public void endRow() throws IOException {
        printer.println();
    }

    public void flush() throws IOException {
        printer.flush();
    }
}
