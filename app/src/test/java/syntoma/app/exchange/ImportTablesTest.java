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
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.request.MockMvcRequestBuilders;
import syntoma.app.ApiTest;
import syntoma.app.Requests;

/** A spreadsheet as people keep it: looked at, asked about, imported, known again. */
@ApiTest(eachAnew = true)
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
        assertTrue(view.at("/reasons/8").asText().startsWith("left out: every maker draws bars"));
        assertEquals("3/8/26", view.at("/rows/0/0").asText());

        ObjectNode reading = answered(view);
        JsonNode rows = requests.send(
                        "/api/measurements/import/rows", Map.of("reading", reading, "rows", view.get("rows")))
                .json();
        assertEquals(
                "2026-08-03T18:05:00+03:00",
                rows.at("/0/measurements/0/taken_at").asText());
        assertEquals("-97", rows.at("/0/measurements/0/rsrp_dbm").asText());
        assertEquals("Hut: open", rows.at("/0/measurements/0/note").asText());
        assertEquals("failed", rows.at("/2/measurements/0/outcome").asText());

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
    void a_table_on_its_side_and_one_with_strokes_are_read_as_if_they_stood() throws Exception {
        String standing = "Date | Time | Camp | Setup | Down | Up\n2026-08-14 | 18:05 | Cove | Dome | 24.3 | 8.1\n"
                + "2026-08-14 | 18:25 | Cove | Mast | 31 | 9\n";
        String lying = "Test,1,2\nDate,2026-08-14,2026-08-14\nTime,18:05,18:25\nCamp,Cove,Cove\nSetup,Dome,Mast\n"
                + "Down,24.3,31\nUp,8.1,9\n";
        for (String table : List.of(standing, lying)) {
            JsonNode view = look(table);
            assertEquals("[\"zone\"]", view.get("asked").toString(), table);
            ObjectNode reading = view.get("reading").deepCopy();
            reading.put("zone", "Europe/Helsinki");
            assertEquals(
                    204,
                    requests.put("/api/measurements/import/columns", reading).status());
        }
        assertEquals(2, requests.importCsv(standing).json().get("accepted").asInt());
        JsonNode again = requests.importCsv(lying).json();
        assertEquals(2, again.get("accepted").asInt() + again.get("duplicates").asInt(), again.toString());
        JsonNode logged = requests.read("/api/measurements?limit=2").json();
        assertEquals("Mast", logged.at("/0/setup").asText());
        assertEquals(31, logged.at("/0/downMbps").asDouble());
    }

    @Test
    void the_year_is_asked_once_where_no_date_names_one() throws Exception {
        String table = "When,Where,Setup,DL\nFri 14 Aug 18:05,Cove,Dome,24.3\n";
        JsonNode view = look(table);
        assertEquals("[\"zone\",\"year\"]", view.get("asked").toString());
        ObjectNode reading = view.get("reading").deepCopy();
        refused("year", reading.put("zone", "Europe/Helsinki").put("year", 26));
        assertEquals(
                204,
                requests.put("/api/measurements/import/columns", reading.put("year", 2026))
                        .status());
        assertEquals(1, requests.importCsv(table).json().get("accepted").asInt());
        assertEquals(
                "2026-08-14T18:05:00+03:00",
                requests.read("/api/measurements?limit=1")
                        .json()
                        .at("/0/takenAt")
                        .asText());
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

    /** Two antennas side by side, three rows, of which one lacks the second; no time of day. */
    private static final String SIDE_BY_SIDE =
            """
            Date,Camp,Dome DL,Dome UL,Mast DL,Mast UL
            2026-08-14,Pine Bend,21,4,34,9
            2026-08-15,Pine Bend,19,3.5,,
            2026-08-16,Pine Bend,failed,,fast,8
            """;

    private JsonNode importedAs(ObjectNode reading) throws Exception {
        assertEquals(
                204, requests.put("/api/measurements/import/columns", reading).status());
        return requests.importCsv(SIDE_BY_SIDE).json();
    }

    @Test
    void measurements_side_by_side_are_each_one_of_their_own() throws Exception {
        JsonNode view = look(SIDE_BY_SIDE);
        assertEquals(
                "[\"zone\",\"clock\",\"each\",\"setup\"]", view.get("asked").toString());
        assertEquals("Mast", view.at("/reading/columns/4/of").asText());
        ObjectNode reading = view.get("reading").deepCopy();
        reading.put("zone", "+03:00").put("clock", "18:00").put("each", "setup");
        JsonNode report = importedAs(reading);
        assertEquals(4, report.get("accepted").asInt(), report.toString());
        assertEquals(1, report.get("rejectedRows").asInt());
        assertEquals(4, report.at("/rejected/0/line").asInt());
        assertTrue(report.at("/rejected/0/message").asText().contains("fast"), report.toString());
        JsonNode logged = requests.read("/api/measurements?limit=9").json();
        assertEquals(
                List.of("Dome failed", "Dome ok", "Mast ok", "Dome ok"),
                List.of(setup(logged, 0), setup(logged, 1), setup(logged, 2), setup(logged, 3)));
        assertEquals(
                4, requests.importCsv(SIDE_BY_SIDE).json().get("duplicates").asInt());
        // known by now for what they are
        String others = SIDE_BY_SIDE.replace("Camp", "Place");
        assertEquals("setup", look(others).at("/reading/each").asText());
        assertTrue(look(others.replace("Mast", "Whips")).at("/reading/each").isNull());
    }

    private static String setup(JsonNode logged, int place) {
        return logged.at("/" + place + "/setup").asText() + " "
                + logged.at("/" + place + "/outcome").asText();
    }

    @Test
    void what_they_are_and_their_hour_are_refused_where_they_say_nothing() throws Exception {
        ObjectNode reading = look(SIDE_BY_SIDE).get("reading").deepCopy();
        reading.put("zone", "+03:00").put("setup", "Puck");
        refused("each", reading);
        refused("each", reading.put("each", "antenna"));
        refused("columns", reading.put("each", "note"));
        refused("clock", reading.put("clock", "evening"));
        reading.put("clock", "18:00");
        refused("columns[2].of", (ObjectNode) reading.set(
                "columns",
                JSON.createArrayNode()
                        .addAll(List.of(
                                reading.at("/columns/0"),
                                reading.at("/columns/1"),
                                ((ObjectNode) reading.at("/columns/2")).put("of", "x".repeat(121))))));
    }

    private void refused(String field, ObjectNode reading) throws Exception {
        Requests.Answer answer = requests.put("/api/measurements/import/columns", reading);
        assertEquals(400, answer.status(), answer.text());
        assertEquals(field, answer.json().at("/errors/0/field").asText(), answer.text());
    }

    @Test
    void several_figures_in_one_cell_are_taken_apart() throws Exception {
        String table =
                "When,Place,Kit,Down/Up (Mbps)\n2026-08-14 18:05,Cove,Dome,30/6\n2026-08-15 9:00,Cove,Dome,failed\n";
        ObjectNode reading = look(table).get("reading").deepCopy();
        assertEquals("Up (Mbps)", reading.at("/columns/4/heading").asText());
        assertEquals(
                204,
                requests.put("/api/measurements/import/columns", reading.put("zone", "+03:00"))
                        .status());
        assertEquals(2, requests.importCsv(table).json().get("accepted").asInt());
        JsonNode logged = requests.read("/api/measurements?limit=2").json();
        assertEquals("failed", logged.at("/0/outcome").asText());
        assertEquals(6, logged.at("/1/upMbps").asDouble());
    }
}
