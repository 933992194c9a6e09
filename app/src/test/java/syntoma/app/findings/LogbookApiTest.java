package syntoma.app.findings;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;
import syntoma.app.ApiTest;
import syntoma.app.Requests;

/** The logbook as a place: what is listed of it, and by what. */
@ApiTest(eachAnew = true)
class LogbookApiTest {
    @Autowired
    private MockMvc mvc;

    private Requests requests;

    @BeforeEach
    void open() {
        requests = new Requests(mvc);
    }

    @Test
    void the_logbook_filters_by_what_was_measured() throws Exception {
        requests.send("/api/demo", List.of());
        JsonNode all = requests.read("/api/logbook").json();
        assertEquals(12, all.get("stays").size());
        assertTrue(all.get("tiles").isNull());
        assertEquals("Lighthouse Meadow", all.at("/stays/0/campsite").asText());
        JsonNode few =
                requests.read("/api/logbook?setup=Mast panel&strength=none").json();
        assertEquals("Bog Boardwalk", few.at("/stays/0/campsite").asText());
        assertEquals(1, few.get("stays").size());
        JsonNode missed = requests.read("/api/logbook?need=missed&when=evening&text=quarry")
                .json();
        missed.get("stays")
                .forEach(
                        stay -> assertEquals("Quarry Lake", stay.get("campsite").asText()));
        assertTrue(missed.at("/stays/0/measurements").asInt() > 0);
        assertEquals(400, requests.read("/api/logbook?strength=bars").status());
        assertEquals(400, requests.read("/api/logbook?need=perhaps").status());
    }

    @Test
    void a_sentence_says_how_many_and_where_the_need_was_met() throws Exception {
        requests.send("/api/demo", List.of());
        JsonNode all = requests.read("/api/logbook").json();
        int met = 0;
        for (JsonNode stay : all.get("stays")) {
            assertTrue(stay.get("needRuns").asInt() > 0, stay.toString());
            met += 2 * stay.get("needMet").asInt() >= stay.get("needRuns").asInt() ? 1 : 0;
        }
        assertEquals(
                "12 stays at 10 campsites; " + met
                        + " of the stays had enough for Video calls and HD film in at least half of the runs.",
                all.get("says").asText());
        JsonNode one = requests.read("/api/logbook?setup=Bittern booster").json();
        assertTrue(
                one.get("says").asText().startsWith("1 stay at Bog Boardwalk; 0 of the stays"),
                one.get("says").asText());
        assertEquals(
                "No stay fits what is asked for.",
                requests.read("/api/logbook?text=no such place")
                        .json()
                        .get("says")
                        .asText());
    }

    @Test
    void what_no_need_can_be_told_of_is_counted_alone() throws Exception {
        requests.importCsv("taken_at,campsite,setup,carrier,band,rsrp_dbm,outcome\n"
                + "2026-07-01T09:00:00+02:00,Camp,Whip,Tarnwave,B20,-90,ok\n");
        JsonNode log = requests.read("/api/logbook").json();
        assertEquals("1 stay at Camp.", log.get("says").asText());
        assertEquals(-90, log.at("/stays/0/levelDbm").asDouble());
        assertEquals("good", log.at("/stays/0/grade").asText());
        assertTrue(log.at("/stays/0/upMbps").isNull());
    }
}
