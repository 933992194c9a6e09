package syntoma.app.store;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import org.flywaydb.core.api.migration.Context;
import org.junit.jupiter.api.Test;

/** Chains of before find their leads again. */
class LeadsByKeyTest {
    @Test
    void leads_are_named_by_the_number_of_their_antenna() throws Exception {
        try (Connection connection = DriverManager.getConnection("jdbc:h2:mem:leads");
                Statement statement = connection.createStatement()) {
            statement.execute("create table gear (id bigint, name varchar(120))");
            statement.execute("insert into gear values (3, 'Alder'), (4, 'Alder dome'), (5, 'Rowan')");
            statement.execute("create table setup_revision (id bigint, chain varchar(2000))");
            statement.execute("insert into setup_revision values"
                    + " (1, '{\"runs\":[{\"antenna\":3},{\"antenna\":4}],\"wiring\":{\"Alder C 1\":\"M1\",\"Alder dome"
                    + " 2\":\"M2\",\"Rowan 1\":\"M3\"}}'), (2, '{\"runs\":[],\"wiring\":{}}')");
            Context context = mock(Context.class);
            when(context.getConnection()).thenReturn(connection);

            new LeadsByKey().migrate(context);

            List<String> chains = new ArrayList<>();
            try (ResultSet rows = statement.executeQuery("select chain from setup_revision order by id")) {
                while (rows.next()) {
                    chains.add(rows.getString(1));
                }
            }
            assertEquals(
                    List.of(
                            "{\"runs\":[{\"antenna\":3},{\"antenna\":4}],\"wiring\":{\"3/C 1\":\"M1\","
                                    + "\"4/2\":\"M2\"}}",
                            "{\"runs\":[],\"wiring\":{}}"),
                    chains);
        }
    }
}
