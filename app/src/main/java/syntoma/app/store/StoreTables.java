package syntoma.app.store;

import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.function.Consumer;
import javax.sql.DataSource;
import org.h2.engine.IsolationLevel;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Component;

/**
 * The store as tables, whatever they hold: read row by row at one moment, and filled again. Rows keep their numbers, to which other
 * rows, the history and the journal refer; that is why neither goes through entities (decision 0029).
 */
@Component
public class StoreTables {
    /** What never leaves the store: secrets, and what a person has allowed on this machine alone. */
    private static final Set<String> STAYING = Set.of(
            "speed_server.secret",
            "speed_server.set_here",
            "speed_server.public_allowed",
            "router.password",
            "router.token",
            "router.set_here",
            "router.public_allowed");

    private static final int BATCH = 1000;

    private final DataSource source;
    private final Pen pen;
    private final Force force;
    private final Revision revision;
    private final ApplicationEventPublisher events;

    StoreTables(DataSource source, Pen pen, Force force, Revision revision, ApplicationEventPublisher events) {
        this.source = source;
        this.pen = pen;
        this.force = force;
        this.revision = revision;
        this.events = events;
    }

    /** What a column holds. */
    public enum Kind {
        NUMBER,
        DECIMAL,
        TRUTH,
        TEXT,
        TIME
    }

    /**
     * A column.
     *
     * @param required whether it is never null and has no value of its own
     * @param otherwise its value where none is given; null where that is none
     */
    public record Column(String name, Kind kind, boolean required, @Nullable Object otherwise) {}

    /**
     * A table.
     *
     * @param order by which its rows are read
     * @param numbering the sequence of its numbers in the store; empty where it has none
     */
    public record Table(String name, List<Column> columns, List<String> order, String numbering) {
        String read() {
            return "select "
                    + String.join(", ", columns.stream().map(c -> quote(c.name)).toList()) + " from "
                    + quote(name) + " order by "
                    + String.join(", ", order.stream().map(StoreTables::quote).toList());
        }

        String insert() {
            return "insert into " + quote(name) + " ("
                    + String.join(", ", columns.stream().map(c -> quote(c.name)).toList()) + ") values ("
                    + String.join(", ", columns.stream().map(c -> "?").toList()) + ")";
        }
    }

    /** Takes a row: its values in the order of the columns, null where there is none. */
    public interface Sink {
        void row(Object[] values);
    }

    /** Gives all rows of a table to a sink. */
    public interface Rows {
        void each(Table table, Sink sink);
    }

    /** The store at one moment. */
    public interface View {
        List<Table> tables();

        /** The number that the next row of a table gets; none for tables without numbers of their own. */
        Map<String, Long> next();

        /** The layout, as the number of the last migration. */
        String layout();

        void read(Table table, Sink sink);

        boolean isEmpty(Table table);
    }

    /** Whether nobody has put anything into any table. */
    public boolean areUntouched() {
        AtomicBoolean untouched = new AtomicBoolean();
        look(view -> untouched.set(FirstRows.areAll(view)));
        return untouched.get();
    }

    /** Looks at the store at one moment. */
    public void look(Consumer<View> looking) {
        try (Connection connection = source.getConnection()) {
            connection.setAutoCommit(false);
            int usual = connection.getTransactionIsolation();
            connection.setTransactionIsolation(IsolationLevel.SNAPSHOT.getJdbc());
            try {
                looking.accept(new TableLook(connection));
            } finally {
                connection.rollback();
                connection.setTransactionIsolation(usual);
                connection.setAutoCommit(true);
            }
        } catch (SQLException e) {
            throw new IllegalStateException(e);
        }
    }

    private static String quote(String name) {
        return '"' + name.toUpperCase(Locale.ROOT) + '"';
    }

    private record TableLook(Connection connection, List<Table> tables, Map<String, Long> next, String layout)
            implements View {
        TableLook(Connection connection) throws SQLException {
            this(connection, tablesOf(connection), new TreeMap<>(), layoutOf(connection));
            for (Table table : tables) {
                if (!table.numbering.isEmpty()) {
                    next.put(table.name, numberOf(connection, table));
                }
            }
        }

        @Override
        public void read(Table table, Sink sink) {
            try (PreparedStatement sql = connection.prepareStatement(
                    table.read(), ResultSet.TYPE_FORWARD_ONLY, ResultSet.CONCUR_READ_ONLY)) {
                sql.setFetchSize(BATCH);
                try (ResultSet rows = sql.executeQuery()) {
                    while (rows.next()) {
                        Object[] values = new Object[table.columns.size()];
                        for (int i = 0; i < values.length; i++) {
                            values[i] = rows.getObject(i + 1);
                        }
                        sink.row(values);
                    }
                }
            } catch (SQLException e) {
                throw new IllegalStateException(e);
            }
        }

        @Override
        public boolean isEmpty(Table table) {
            return StoreTables.isEmpty(connection, table);
        }
    }

    private static boolean isEmpty(Connection connection, Table table) {
        try (Statement sql = connection.createStatement();
                ResultSet row = sql.executeQuery("select 1 from " + quote(table.name) + " limit 1")) {
            return !row.next();
        } catch (SQLException e) {
            throw new IllegalStateException(e);
        }
    }

    private static String layoutOf(Connection connection) throws SQLException {
        try (Statement sql = connection.createStatement();
                ResultSet row =
                        sql.executeQuery("select max(cast(\"version\" as int)) from \"flyway_schema_history\"")) {
            row.next();
            return Integer.toString(row.getInt(1));
        }
    }

    private static long numberOf(Connection connection, Table table) throws SQLException {
        String query = table.numbering.equals("id")
                ? "select identity_base from information_schema.columns where table_schema = 'PUBLIC' and lower(table_name)"
                        + " = ? and lower(column_name) = 'id'"
                : "select base_value from information_schema.sequences where sequence_schema = 'PUBLIC' and"
                        + " lower(sequence_name) = lower(?) || '_seq'";
        try (PreparedStatement sql = connection.prepareStatement(query)) {
            sql.setString(1, table.name);
            try (ResultSet row = sql.executeQuery()) {
                row.next();
                return row.getLong(1);
            }
        }
    }

    private static List<Table> tablesOf(Connection connection) throws SQLException {
        Map<String, List<Column>> columns = new TreeMap<>();
        Map<String, String> numbering = new LinkedHashMap<>();
        try (Statement sql = connection.createStatement();
                ResultSet rows = sql.executeQuery(
                        "select lower(c.table_name), lower(c.column_name), c.data_type, c.is_nullable, c.column_default,"
                                + " c.is_identity from information_schema.columns c join information_schema.tables t on"
                                + " t.table_schema = c.table_schema and t.table_name = c.table_name where c.table_schema ="
                                + " 'PUBLIC' and t.table_type = 'BASE TABLE' and lower(c.table_name) <>"
                                + " 'flyway_schema_history' order by c.table_name, c.ordinal_position")) {
            while (rows.next()) {
                String table = rows.getString(1);
                String column = rows.getString(2);
                if (STAYING.contains(table + "." + column)) {
                    continue;
                }
                boolean never = rows.getString(4).equals("NO");
                String given = rows.getString(5);
                Kind kind = kind(table, rows.getString(3));
                columns.computeIfAbsent(table, t -> new ArrayList<>())
                        .add(new Column(
                                column,
                                kind,
                                never && given == null,
                                never && given != null ? defaultValue(kind, given) : null));
                if (rows.getString(6).equals("YES")) {
                    numbering.put(table, column);
                }
            }
        }
        try (Statement sql = connection.createStatement();
                ResultSet rows = sql.executeQuery("select lower(sequence_name) from information_schema.sequences where"
                        + " sequence_schema = 'PUBLIC' and lower(sequence_name) like '%\\_seq' escape '\\'")) {
            while (rows.next()) {
                String sequence = rows.getString(1);
                numbering.put(sequence.substring(0, sequence.length() - "_seq".length()), sequence);
            }
        }
        Map<String, List<String>> orders = orders(connection);
        List<Table> tables = new ArrayList<>();
        columns.forEach((name, own) -> tables.add(new Table(
                name,
                List.copyOf(own),
                orders.getOrDefault(name, own.stream().map(Column::name).toList()),
                numbering.getOrDefault(name, ""))));
        return tables;
    }

    private static Kind kind(String table, String type) {
        return switch (type) {
            case "BIGINT", "INTEGER", "SMALLINT", "TINYINT" -> Kind.NUMBER;
            case "DOUBLE PRECISION", "REAL" -> Kind.DECIMAL;
            case "BOOLEAN" -> Kind.TRUTH;
            case "CHARACTER VARYING", "CHARACTER" -> Kind.TEXT;
            case "TIMESTAMP WITH TIME ZONE" -> Kind.TIME;
            default -> throw new IllegalStateException(table + " has a column of the type " + type);
        };
    }

    /** The value of a default as it stands in the store: 0, FALSE, 'text'. */
    @Nullable
    private static Object defaultValue(Kind kind, String given) {
        return switch (kind) {
            case NUMBER -> given.matches("-?\\d+") ? Long.valueOf(given) : null;
            case DECIMAL -> given.matches("-?[\\d.]+(E-?\\d+)?") ? Double.valueOf(given) : null;
            case TRUTH -> Boolean.valueOf(given);
            case TEXT -> given.replaceAll("^'|'$", "").replace("''", "'");
            case TIME -> null;
        };
    }

    private static Map<String, List<String>> orders(Connection connection) throws SQLException {
        Map<String, List<String>> orders = new TreeMap<>();
        try (Statement sql = connection.createStatement();
                ResultSet rows = sql.executeQuery("select lower(k.table_name), lower(k.column_name) from"
                        + " information_schema.table_constraints c join information_schema.key_column_usage k on"
                        + " k.constraint_schema = c.constraint_schema and k.constraint_name = c.constraint_name"
                        + " where c.constraint_type = 'PRIMARY KEY' and c.table_schema = 'PUBLIC' order by"
                        + " k.table_name, k.ordinal_position")) {
            while (rows.next()) {
                orders.computeIfAbsent(rows.getString(1), t -> new ArrayList<>())
                        .add(rows.getString(2));
            }
        }
        return orders;
    }

    /** Rows that cannot stand in the store; nothing was changed. */
    public static final class UnfitArchiveException extends RuntimeException {
        UnfitArchiveException(String message) {
            super(message);
        }
    }

    /**
     * Fills the store again: what it holds goes, all of it or nothing.
     *
     * @param first what is done before, while nobody else changes anything
     * @param next what the next row of each table is to be numbered; others go on from their last row
     * @throws UnfitArchiveException when the rows do not belong together
     */
    public void fill(Runnable first, Rows rows, Map<String, Long> next) {
        pen.holding(() -> {
            force.requireSavable();
            first.run();
            try (Connection connection = source.getConnection();
                    Statement sql = connection.createStatement()) {
                List<Table> tables = tablesOf(connection);
                for (Table table : tables) {
                    if (next.containsKey(table.name)) {
                        number(sql, table, next.get(table.name));
                    }
                }
                sql.execute("set referential_integrity false");
                try {
                    connection.setAutoCommit(false);
                    for (Table table : tables) {
                        sql.execute("delete from " + quote(table.name));
                    }
                    for (Table table : tables) {
                        force.requireSavable();
                        fill(connection, table, rows);
                    }
                    check(connection);
                    connection.commit();
                } finally {
                    connection.rollback();
                    connection.setAutoCommit(true);
                    sql.execute("set referential_integrity true");
                }
            } catch (SQLException e) {
                throw new IllegalStateException(e);
            }
        });
        events.publishEvent(new StoreRestoredEvent());
        force.force();
        revision.increment();
    }

    private static void number(Statement sql, Table table, long next) throws SQLException {
        if (table.numbering.equals("id")) {
            sql.execute("alter table " + quote(table.name) + " alter column \"ID\" restart with " + next);
        } else if (!table.numbering.isEmpty()) {
            sql.execute("alter sequence " + quote(table.numbering) + " restart with " + next);
        }
    }

    private static void fill(Connection connection, Table table, Rows rows) throws SQLException {
        try (PreparedStatement insert = connection.prepareStatement(table.insert())) {
            int[] waiting = {0};
            rows.each(table, values -> {
                try {
                    for (int i = 0; i < values.length; i++) {
                        insert.setObject(i + 1, values[i]);
                    }
                    insert.addBatch();
                    if (++waiting[0] == BATCH) {
                        insert.executeBatch();
                        waiting[0] = 0;
                    }
                } catch (SQLException unfit) {
                    throw unfit(table, unfit);
                }
            });
            if (waiting[0] > 0) {
                insert.executeBatch();
            }
        } catch (SQLException unfit) {
            throw unfit(table, unfit);
        }
    }

    private static UnfitArchiveException unfit(Table table, SQLException unfit) {
        String first = String.valueOf(unfit.getMessage()).lines().findFirst().orElse("");
        int statement = first.indexOf("; SQL statement");
        return new UnfitArchiveException("a row of " + table.name + " cannot be stored: "
                + (statement < 0 ? first : first.substring(0, statement)));
    }

    /** Each row that is referred to is there; while the store is filled that is not looked at row by row. */
    private static void check(Connection connection) throws SQLException {
        List<String[]> references = new ArrayList<>();
        try (Statement sql = connection.createStatement();
                ResultSet rows = sql.executeQuery("select k.table_name, k.column_name, p.table_name, p.column_name from"
                        + " information_schema.referential_constraints r join information_schema.key_column_usage k on"
                        + " k.constraint_schema = r.constraint_schema and k.constraint_name = r.constraint_name join"
                        + " information_schema.key_column_usage p on p.constraint_schema = r.unique_constraint_schema and"
                        + " p.constraint_name = r.unique_constraint_name and p.ordinal_position ="
                        + " k.position_in_unique_constraint where k.table_schema = 'PUBLIC'")) {
            while (rows.next()) {
                references.add(
                        new String[] {rows.getString(1), rows.getString(2), rows.getString(3), rows.getString(4)});
            }
        }
        for (String[] r : references) {
            try (Statement sql = connection.createStatement();
                    ResultSet row = sql.executeQuery(String.format(
                            "select c.\"%2$s\" from \"%1$s\" c where c.\"%2$s\" is not null and not exists (select 1 from"
                                    + " \"%3$s\" p where p.\"%4$s\" = c.\"%2$s\") fetch first row only",
                            (Object[]) r))) {
                if (row.next()) {
                    throw new UnfitArchiveException(
                            r[0].toLowerCase(Locale.ROOT) + "." + r[1].toLowerCase(Locale.ROOT) + " names "
                                    + row.getString(1) + ", which " + r[2].toLowerCase(Locale.ROOT) + " does not have");
                }
            }
        }
    }
}
