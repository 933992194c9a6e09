package syntoma.app.diagnosis;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.context.TestPropertySource;
import org.springframework.test.web.servlet.MockMvc;
import syntoma.app.ApiTest;
import syntoma.app.Requests;

/** What the demo contains on purpose is told by the application itself. */
@ApiTest
@TestPropertySource(properties = "syntoma.demo=true")
class StoriesTest {
    @Autowired
    private MockMvc mvc;

    private Requests requests;

    @BeforeEach
    void open() {
        requests = new Requests(mvc);
    }

    private JsonNode why(String campsite, String setup, String carrier) throws Exception {
        long stay = 0;
        for (JsonNode visit : requests.read("/api/stays").json()) {
            if (visit.get("campsite").asText().equals(campsite)) {
                stay = visit.get("id").asLong();
            }
        }
        return requests.read("/api/diagnosis?stay={s}&setup={a}&carrier={c}", stay, setup, carrier)
                .json();
    }

    private static JsonNode claim(JsonNode found, String cause) {
        for (JsonNode claim : found.get("claims")) {
            if (claim.get("cause").asText().equals(cause)) {
                return claim;
            }
        }
        throw new AssertionError(cause + " is not among " + found);
    }

    @Test
    void the_cap() throws Exception {
        JsonNode capped = claim(why("Harbour Crane", "Window whips", "Brissa"), "capped");
        assertEquals("surely", capped.get("sure").asText());
        assertTrue(capped.get("says").asText().startsWith("Limited to about 24 Mb/s by the plan"));
    }

    @Test
    void the_busy_evenings() throws Exception {
        for (String campsite : new String[] {"Quarry Lake", "Lighthouse Meadow"}) {
            JsonNode busy = claim(why(campsite, "Mast panel", "Tarnwave"), "busy-cell");
            assertTrue(busy.get("says").asText().contains("in the evenings"), campsite);
        }
    }

    @Test
    void the_bad_connector_in_week_six() throws Exception {
        JsonNode fault = claim(why("Lighthouse Meadow", "Roof dome", "Tarnwave"), "chain-fault");
        assertTrue(
                fault.at("/evidence/0").asText().startsWith("since about 9 Aug Roof dome hears 8.2 dB less"),
                fault.toString());
        for (JsonNode claim : why("Quarry Lake", "Roof dome", "Tarnwave").get("claims")) {
            assertTrue(!claim.get("cause").asText().equals("chain-fault"), "before it happened");
        }
    }

    @Test
    void the_valley_and_the_dead_carrier() throws Exception {
        JsonNode valley = why("Bog Boardwalk", "Bittern booster", "Tarnwave");
        assertEquals(
                "There is no signal here for the booster to amplify.",
                claim(valley, "booster-trouble").get("says").asText());
        JsonNode dead = why("Juniper Ridge", "Mast panel", "Ostrel");
        assertEquals("surely", claim(dead, "no-service").get("sure").asText());
        assertTrue(claim(dead, "no-service").get("next").asText().contains("Tarnwave"));
    }

    @Test
    void a_stay_without_a_fault_has_none() throws Exception {
        JsonNode fine = why("Saltmarsh Jetty", "Roof dome", "Tarnwave");
        assertEquals(0, fine.get("claims").size());
        assertEquals(
                "Nothing looks wrong: this is what this cell gives at this hour.",
                fine.get("headline").asText());
        assertTrue(fine.at("/day/runs").asInt() > 20);
    }
}
