package syntoma.app.exchange;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.MediaType;
import org.springframework.test.annotation.DirtiesContext;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.request.MockMvcRequestBuilders;
import syntoma.app.ApiTest;
import syntoma.app.Requests;

/** A spreadsheet as people keep it: looked at, asked about, imported, known again. */
@ApiTest
@DirtiesContext(classMode = DirtiesContext.ClassMode.BEFORE_EACH_TEST_METHOD)
class ImportTablesTest {
    private static final ObjectMapper JSON = new ObjectMapper();
    private static final String TABLE =
            """
            Date,Time,Place,Router,Down,Up,Ping,Signal,Bars,Hut
            3/8/26,18:05,Pine Bend,Curlew,24.1,4.4,45,97,3,open
            4/8/26,9:10,Pine Bend,Curlew,2.5 MB/s,3.9,51,99,2,
            4/8/26,9:40,Pine Bend,Plover,failed,n/a,,,,
            """;

    @Autowired
    private MockMvc mvc;

    private Requests requests;

    @BeforeEach
    void open() {
        requests = new Requests(mvc);
    }

    private JsonNode look(String table) throws Exception {
        return JSON.readTree(mvc.perform(MockMvcRequestBuilders.post("/api/measurements/import/columns")
                        .contentType("text/csv")
                        .content(table))
                .andReturn()
                .getResponse()
                .getContentAsString());
    }

    private static ObjectNode answered(JsonNode view) {
        ObjectNode reading = view.get("reading").deepCopy();
        reading.put("dateOrder", "day-first");
        reading.put("zone", "Europe/Helsinki");
        return reading;
    }

    @Test
    void a_table_is_proposed_asked_about_imported_and_known_again() throws Exception {
        JsonNode view = look(TABLE);
        assertFalse(view.get("ofContract").asBoolean());
        assertEquals("[\"date-order\",\"zone\",\"level\"]", view.get("asked").toString());
        assertTrue(view.at("/reasons/8").asText().startsWith("left out: makers draw bars"));
        assertEquals("3/8/26", view.at("/rows/0/0").asText());

        ObjectNode reading = answered(view);
        JsonNode rows = requests.send(
                        "/api/measurements/import/rows", Map.of("reading", reading, "rows", view.get("rows")))
                .json();
        assertEquals("2026-08-03T18:05:00+03:00", rows.at("/0/taken_at").asText());
        assertEquals("-97", rows.at("/0/rsrp_dbm").asText());
        assertEquals("Hut: open", rows.at("/0/note").asText());
        assertEquals("failed", rows.at("/2/outcome").asText());

        assertEquals(
                204, requests.put("/api/measurements/import/columns", reading).status());
        JsonNode report = requests.importCsv(TABLE).json();
        assertEquals(3, report.get("accepted").asInt(), report.toString());
        JsonNode logged = requests.read("/api/measurements?limit=3").json();
        assertEquals(20, logged.at("/1/downMbps").asDouble());
        assertEquals("failed", logged.at("/0/outcome").asText());
        assertEquals(3, requests.importCsv(TABLE).json().get("duplicates").asInt());
        assertTrue(look(TABLE).get("remembered").asBoolean());
    }

    @Test
    void a_row_that_cannot_be_read_is_refused_with_its_cell() throws Exception {
        JsonNode view = look(TABLE);
        assertEquals(
                204,
                requests.put("/api/measurements/import/columns", answered(view)).status());
        JsonNode report = requests.importCsv(TABLE.replace("18:05", "evening").replace("3.9", "fast"))
                .json();
        assertEquals(2, report.get("rejectedRows").asInt());
        assertTrue(report.at("/rejected/0/message").asText().contains("3/8/26 evening"), report.toString());
        assertTrue(report.at("/rejected/1/message").asText().contains("fast"), report.toString());
    }

    @Test
    void a_reading_that_measurements_cannot_be_read_by_is_refused() throws Exception {
        ObjectNode reading = answered(look(TABLE));
        reading.put("zone", "Middle of nowhere");
        assertEquals(
                "zone",
                requests.put("/api/measurements/import/columns", reading)
                        .json()
                        .at("/errors/0/field")
                        .asText());
        ObjectNode nowhere = answered(look("Down,Up\n1,2\n"));
        JsonNode refused =
                requests.put("/api/measurements/import/columns", nowhere).json();
        assertTrue(refused.get("detail").asText().contains("a column of the time"), refused.toString());
        assertEquals(
                List.of("zone", "setup", "campsite"),
                JSON.convertValue(look("Date,Time,Down\n2026-08-14,18:05,7\n").get("asked"), List.class));
    }

    @Test
    void a_file_of_the_contract_has_nothing_to_be_said() throws Exception {
        JsonNode view = look("taken_at,campsite,setup,outcome,up_mbps\n2026-08-14T18:05:00+03:00,A,B,ok,1\n");
        assertTrue(view.get("ofContract").asBoolean());
        assertEquals(
                400,
                mvc.perform(MockMvcRequestBuilders.post("/api/measurements/import")
                                .contentType(MediaType.valueOf("text/csv"))
                                .content("Day,Place\n1,2\n"))
                        .andReturn()
                        .getResponse()
                        .getStatus());
    }
}
