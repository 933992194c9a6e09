package syntoma.app.logbook;

import jakarta.persistence.EntityManager;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.io.Writer;
import java.time.OffsetDateTime;
import java.time.format.DateTimeFormatter;
import java.util.Iterator;
import java.util.concurrent.Semaphore;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.hibernate.jpa.HibernateHints;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import syntoma.app.platform.Conflict;
import syntoma.core.reading.Quantity;

/** Writes the whole log as CSV, sorted by time, then setup, then carrier. */
@Service
class ExportService {
    private static final String QUERY =
            "select m.takenAt, c.name, c.lat, c.lon, s.name, k.name, m.rat, m.band, m.arfcn,"
                    + " m.cellId, m.rssiDbm, m.rsrpDbm, m.rsrqDb, m.sinrDb, m.downMbps, m.upMbps, m.idleMs, m.downLoadedMs,"
                    + " m.upLoadedMs, m.jitterMs, m.lossPct, m.server, m.outcome, m.trial, m.round, m.note, m.digits"
                    + " from Measurement m join Campsite c on c.id = m.campsiteId join Setup s on s.id = m.setupId"
                    + " left join Carrier k on k.id = m.carrierId order by m.takenAt, s.name, k.name nulls first, m.id";
    private static final int DIGITS = Column.values().length;

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
            for (Column column : Column.values()) {
                printer.print(column.label);
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
        for (Column column : Column.values()) {
            Object value = row[column.ordinal()];
            if (column.quantity.isPresent()) {
                Quantity quantity = column.quantity.get();
                printer.print(Numbers.text(quantity, (Double) value, digits));
            } else if (value instanceof OffsetDateTime time) {
                printer.print(DateTimeFormatter.ISO_OFFSET_DATE_TIME.format(time));
            } else if (column == Column.LAT || column == Column.LON || value == null) {
                printer.print(value);
            } else {
                printer.print(SpreadsheetGuard.on(value.toString()));
            }
        }
        printer.println();
    }
}
