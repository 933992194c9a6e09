package syntoma.app.campsite;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import java.time.OffsetDateTime;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;
import syntoma.app.ApiTest;
import syntoma.app.Requests;

/** The standing line, and the stays that follow from it and from measurements. */
@ApiTest(eachAnew = true)
class StandingRowTest {
    @Autowired
    private MockMvc mvc;

    private Requests requests;

    @BeforeEach
    void open() {
        requests = new Requests(mvc);
    }

    @Test
    void it_is_empty_at_first_and_changes_part_by_part() throws Exception {
        assertTrue(requests.read("/api/standing").json().get("campsite").isNull());
        requests.put("/api/standing", Map.of("campsite", " Quarry Lake "));
        requests.put("/api/standing", Map.of("setup", "Mast panel"));
        JsonNode line =
                requests.put("/api/standing", Map.of("carrier", "Tarnwave")).json();
        assertEquals("Quarry Lake", line.get("campsite").asText());
        assertEquals("Mast panel", line.at("/setup/name").asText());
        assertEquals("Tarnwave", line.get("carrier").asText());
        OffsetDateTime since = OffsetDateTime.parse(line.get("since").asText());
        assertTrue(!since.isAfter(OffsetDateTime.parse(line.get("now").asText())));
    }

    @Test
    void another_campsite_ends_the_stay_and_the_same_one_does_not() throws Exception {
        requests.put("/api/standing", Map.of("campsite", "Quarry Lake"));
        requests.put("/api/standing", Map.of("campsite", "Quarry Lake"));
        assertEquals(1, requests.read("/api/stays").json().size());
        requests.put("/api/standing", Map.of("campsite", "Amber Spit"));
        JsonNode stays = requests.read("/api/stays").json();
        assertEquals(2, stays.size());
        long open = 0;
        for (JsonNode stay : stays) {
            open += stay.get("leftAt").isNull() ? 1 : 0;
        }
        assertEquals(1, open);
    }

    @Test
    void an_empty_or_endless_name_is_refused_and_nothing_changes() throws Exception {
        requests.put("/api/standing", Map.of("campsite", "Quarry Lake"));
        Requests.Answer empty = requests.put("/api/standing", Map.of("campsite", "  "));
        assertEquals(400, empty.status());
        assertEquals("campsite", empty.json().at("/errors/0/field").asText());
        assertEquals(
                400,
                requests.put("/api/standing", Map.of("setup", "x".repeat(121))).status());
        assertEquals(
                "Quarry Lake",
                requests.read("/api/standing").json().get("campsite").asText());
    }

    @Test
    void measurements_make_stays_and_a_gap_or_another_place_begins_the_next() throws Exception {
        String row = "2026-08-%s:05:00+03:00,%s,Roof dome,-97,ok%n";
        requests.importCsv("taken_at,campsite,setup,rsrp_dbm,outcome\n"
                + String.format(row, "01T10", "Quarry Lake")
                + String.format(row, "03T09", "Quarry Lake")
                + String.format(row, "04T09", "Amber Spit")
                + String.format(row, "05T09", "Quarry Lake")
                + String.format(row, "09T09", "Quarry Lake"));
        JsonNode stays = requests.read("/api/stays").json();
        assertEquals(4, stays.size(), stays.toString());
        assertEquals(2, stays.get(3).get("measurements").asInt());
    }
}
