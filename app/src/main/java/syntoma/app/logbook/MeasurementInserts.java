package syntoma.app.logbook;

import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.Collections;
import java.util.stream.Collectors;
import syntoma.core.reading.Figure;

/**
 * Inserts measurements in batches, over the connection of Hibernate's transaction. A statement of its own, because what
 * Hibernate does around each row of an import takes longer than the row.
 */
final class MeasurementInserts implements AutoCloseable {
    /** All columns but the number, in the order of the table. */
    static final String COLUMNS = "taken_at, campsite_id, setup_id, carrier_id, rat, band, arfcn, cell_id, "
            + Figure.numbers().stream().map(Figure::label).collect(Collectors.joining(", "))
            + ", server, outcome, trial, round, note, digits, print_high, print_low";

    private static final int BATCH = 500;
    private static final String INSERT = "insert into measurement (" + COLUMNS + ") values ("
            + String.join(", ", Collections.nCopies(COLUMNS.split(",").length, "?")) + ")";

    private final PreparedStatement insert;
    private int waiting;

    MeasurementInserts(Connection connection) throws SQLException {
        insert = connection.prepareStatement(INSERT);
    }

    /** Inserts one measurement at once, and returns its number. */
    static long insert(Connection connection, Measurement m) throws SQLException {
        try (PreparedStatement insert = connection.prepareStatement(INSERT, new String[] {"id"})) {
            set(insert, m);
            insert.executeUpdate();
            try (ResultSet keys = insert.getGeneratedKeys()) {
                keys.next();
                return keys.getLong(1);
            }
        }
    }

    void add(Measurement m) throws SQLException {
        set(insert, m);
        insert.addBatch();
        if (++waiting == BATCH) {
            flush();
        }
    }

    /** Inserts what still waits. */
    void flush() throws SQLException {
        insert.executeBatch();
        waiting = 0;
    }

    @Override
    public void close() throws SQLException {
        insert.close();
    }

    private static void set(PreparedStatement insert, Measurement m) throws SQLException {
        int place = set(insert, 0, m.takenAt, m.campsiteId, m.setupId, m.carrierId, m.rat, m.band, m.arfcn, m.cellId);
        for (Figure figure : Figure.numbers()) {
            place = set(insert, place, m.number(figure));
        }
        set(insert, place, m.server, m.outcome, m.trial, m.round, m.note, m.digits, m.printHigh, m.printLow);
    }

    private static int set(PreparedStatement insert, int after, Object... values) throws SQLException {
        int place = after;
        for (Object value : values) {
            insert.setObject(++place, value);
        }
        return place;
    }
}
