package syntoma.app.store;

import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import javax.sql.DataSource;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Component;

/** Empties the store, so that it is as it was at its first start; all of it or nothing. */
@Component
public class Emptying {
    private static final String TABLES =
            "select table_name from information_schema.tables where table_schema = 'PUBLIC'"
                    + " and table_type = 'BASE TABLE' and lower(table_name) <> 'flyway_schema_history'";

    private final DataSource source;
    private final Pen pen;
    private final Force force;
    private final Revision revision;
    private final ApplicationEventPublisher events;

    Emptying(DataSource source, Pen pen, Force force, Revision revision, ApplicationEventPublisher events) {
        this.source = source;
        this.pen = pen;
        this.force = force;
        this.revision = revision;
        this.events = events;
    }

    /** Deletes everything that anybody has put in. */
    public void empty() {
        pen.holding(() -> {
            try (Connection connection = source.getConnection();
                    Statement sql = connection.createStatement()) {
                sql.execute("set referential_integrity false");
                try {
                    connection.setAutoCommit(false);
                    for (String table : tables(sql)) {
                        sql.execute("delete from \"" + table + "\"");
                    }
                    for (String row : FirstRows.inserts()) {
                        sql.execute(row);
                    }
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
        events.publishEvent(new StoreEmptiedEvent());
        force.force();
        revision.increment();
    }

    private static List<String> tables(Statement sql) throws SQLException {
        List<String> tables = new ArrayList<>();
        try (ResultSet rows = sql.executeQuery(TABLES)) {
            while (rows.next()) {
                tables.add(rows.getString(1));
            }
        }
        return tables;
    }
}
