package syntoma.app.exchange;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.io.Writer;
import java.util.Arrays;
import java.util.concurrent.Semaphore;
import org.springframework.stereotype.Service;
import syntoma.app.csv.GuardedCsv;
import syntoma.app.measurement.LogRows;
import syntoma.app.platform.ConflictException;
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
     * @throws ConflictException when so many are at it that the rest of Syntoma would have to wait
     */
    public void write(Writer out) {
        if (!atOnce.tryAcquire()) {
            throw new ConflictException(
                    MOST_AT_ONCE + " exports are being written already; try again when one is done");
        }
        try {
            GuardedCsv csv = new GuardedCsv(
                    out, Arrays.stream(Figure.values()).map(Figure::label).toList());
            log.each(row -> write(csv, row));
            csv.flush();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } finally {
            atOnce.release();
        }
    }

    private static void write(GuardedCsv csv, Object[] row) {
        try {
            for (Figure figure : Figure.values()) {
                Object value = row[figure.ordinal()];
                if (figure.isNumber()) {
                    csv.number(value);
                } else {
                    csv.cell(value);
                }
            }
            csv.endRow();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
