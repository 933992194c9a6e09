package syntoma.app.exchange;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.io.Writer;
import java.math.BigDecimal;
import java.time.OffsetDateTime;
import java.time.format.DateTimeFormatter;
import java.util.concurrent.Semaphore;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.springframework.stereotype.Service;
import syntoma.app.measurement.LogRows;
import syntoma.app.platform.Conflict;
import syntoma.core.reading.Figure;

/** Writes the whole log as CSV, sorted by time, then setup, then carrier. */
@Service
public class ExportService {
    private static final int MOST_AT_ONCE = 4;

    private final LogRows log;
    private final Semaphore atOnce = new Semaphore(MOST_AT_ONCE);

    ExportService(LogRows log) {
        this.log = log;
    }

    /**
     * Writes all rows; what it writes to must not be a network.
     *
     * @throws Conflict when so many are at it that the rest of Syntoma would have to wait
     */
    public void write(Writer out) {
        if (!atOnce.tryAcquire()) {
            throw new Conflict(MOST_AT_ONCE + " exports are being written already; try again when one is done");
        }
        try {
            CSVPrinter printer = new CSVPrinter(out, CSVFormat.RFC4180);
            for (Figure column : Figure.values()) {
                printer.print(column.label());
            }
            printer.println();
            log.each(row -> write(printer, row));
            printer.flush();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } finally {
            atOnce.release();
        }
    }

    private static void write(CSVPrinter printer, Object[] row) {
        try {
            for (Figure figure : Figure.values()) {
                Object value = row[figure.ordinal()];
                if (value instanceof OffsetDateTime time) {
                    printer.print(DateTimeFormatter.ISO_OFFSET_DATE_TIME.format(time));
                } else if (value instanceof BigDecimal degrees) {
                    printer.print(degrees.toPlainString());
                } else if (value instanceof String text && !figure.isNumber()) {
                    printer.print(SpreadsheetGuard.on(text));
                } else {
                    printer.print(value);
                }
            }
            printer.println();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
