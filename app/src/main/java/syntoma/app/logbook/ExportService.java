package syntoma.app.logbook;

import jakarta.persistence.EntityManager;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.io.Writer;
import java.time.OffsetDateTime;
import java.time.format.DateTimeFormatter;
import java.util.Iterator;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.hibernate.jpa.HibernateHints;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
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

    private final EntityManager entities;

    ExportService(EntityManager entities) {
        this.entities = entities;
    }

    @Transactional(readOnly = true)
    void write(Writer out) {
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
