package syntoma.app.logbook;

import jakarta.persistence.EntityManager;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.io.Writer;
import java.time.OffsetDateTime;
import java.time.format.DateTimeFormatter;
import java.util.Arrays;
import java.util.Iterator;
import java.util.concurrent.Semaphore;
import java.util.stream.Collectors;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.hibernate.jpa.HibernateHints;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import syntoma.app.platform.Conflict;
import syntoma.core.reading.Figure;

/** Writes the whole log as CSV, sorted by time, then setup, then carrier. */
@Service
class ExportService {
    private static final String QUERY = "select "
            + Arrays.stream(Figure.values()).map(ExportService::source).collect(Collectors.joining(", "))
            + ", m.digits from Measurement m join Campsite c on c.id = m.campsiteId join Setup s on s.id = m.setupId"
            + " left join Carrier k on k.id = m.carrierId order by m.takenAt, s.name, k.name nulls first, m.id";
    private static final int DIGITS = Figure.values().length;

    private static final int MOST_AT_ONCE = 4;

    private final EntityManager entities;
    private final Semaphore atOnce = new Semaphore(MOST_AT_ONCE);

    ExportService(EntityManager entities) {
        this.entities = entities;
    }

    /**
     * Writes all rows; what it writes to must not be a network.
     *
     * @throws Conflict when so many are at it that the rest of Syntoma would have to wait
     */
    @Transactional(readOnly = true)
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
            Iterator<Object[]> rows = entities.createQuery(QUERY, Object[].class)
                    .setHint(HibernateHints.HINT_FETCH_SIZE, 1000)
                    .getResultStream()
                    .iterator();
            while (rows.hasNext()) {
                write(printer, rows.next());
            }
            printer.flush();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } finally {
            atOnce.release();
        }
    }

    private static void write(CSVPrinter printer, Object[] row) throws IOException {
        String digits = (String) row[DIGITS];
        for (Figure column : Figure.values()) {
            Object value = row[column.ordinal()];
            if (column.isNumber()) {
                printer.print(Numbers.text(column, (Double) value, digits));
            } else if (value instanceof OffsetDateTime time) {
                printer.print(DateTimeFormatter.ISO_OFFSET_DATE_TIME.format(time));
            } else if (column == Figure.LAT || column == Figure.LON || value == null) {
                printer.print(value);
            } else {
                printer.print(SpreadsheetGuard.on(value.toString()));
            }
        }
        printer.println();
    }

    /** Where the query finds a figure. */
    private static String source(Figure figure) {
        return switch (figure) {
            case CAMPSITE -> "c.name";
            case LAT -> "c.lat";
            case LON -> "c.lon";
            case SETUP -> "s.name";
            case CARRIER -> "k.name";
            default -> "m." + figure.field();
        };
    }
}
