package syntoma.app.store;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNotEquals;

import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.test.web.servlet.MockMvc;
import syntoma.app.ApiTest;
import syntoma.app.Requests;

/** A store that was emptied is as it was at its first start, whichever tables there are by now. */
@ApiTest
class EmptyingTest {
    @Autowired
    private MockMvc mvc;

    @Autowired
    private JdbcTemplate sql;

    @Autowired
    private Emptying emptying;

    private Map<String, List<Map<String, Object>>> rows() {
        Map<String, List<Map<String, Object>>> rows = new TreeMap<>();
        sql.queryForList(
                        "select table_name from information_schema.tables where table_schema = 'PUBLIC' and table_type = 'BASE TABLE'",
                        String.class)
                .forEach(table -> rows.put(table, sql.queryForList("select * from \"" + table + "\"")));
        // they are made again, and numbered on
        rows.get("NEED").forEach(need -> need.remove("ID"));
        return rows;
    }

    @Test
    void holds_the_rows_of_the_first_start_and_no_others() throws Exception {
        Map<String, List<Map<String, Object>>> first = rows();
        new Requests(mvc)
                .importCsv("taken_at,campsite,setup,carrier,up_mbps,outcome\n"
                        + "2026-08-01T08:00:00+03:00,Amber Spit,Dome,Tarnwave,4,ok\n");
        assertNotEquals(first, rows());
        emptying.empty();
        assertEquals(first, rows());
    }
}
