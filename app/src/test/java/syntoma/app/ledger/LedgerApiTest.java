package syntoma.app.ledger;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.request.MockMvcRequestBuilders;
import syntoma.app.ApiTest;
import syntoma.app.Requests;

/** The books of the demo's cards; its evening is the fifth of September. */
@ApiTest(eachAnew = true)
class LedgerApiTest {
    /** How much goes over the plan of this test in a minute. */
    private static final double A_MINUTE_GB = 1e-3;

    @Autowired
    private MockMvc mvc;

    private Requests requests;

    @BeforeEach
    void open() throws Exception {
        requests = new Requests(mvc);
        requests.send("/api/demo", List.of());
    }

    private static JsonNode card(JsonNode ledger, String name) {
        for (JsonNode card : ledger.get("cards")) {
            if (card.get("name").asText().equals(name)) {
                return card;
            }
        }
        throw new AssertionError(name);
    }

    @Test
    void a_month_runs_from_the_reset_day_and_runs_are_calculated() throws Exception {
        JsonNode ostrel = card(requests.read("/api/ledger").json(), "Ostrel SIM");
        assertEquals("2026-08-12", ostrel.at("/month/first").asText());
        assertEquals(7, ostrel.at("/month/daysLeft").asInt());
        assertTrue(ostrel.at("/month/loggedGb").asDouble() > 1);
        assertTrue(ostrel.at("/month/elseGb").isNull());
        // 200 GB for 15 would do: the cheapest first
        assertEquals("Brissa SIM", ostrel.at("/offers/0/card").asText());
        assertEquals(19 / 31.0, ostrel.at("/month/pricePerDay").asDouble(), 1e-9);
        JsonNode brissa = card(requests.read("/api/ledger").json(), "Brissa SIM");
        assertTrue(
                brissa.get("capSays").asText().contains("24 Mb/s"),
                brissa.get("capSays").asText());
    }

    @Test
    void a_reading_of_the_counter_tells_the_rest_and_can_be_taken_back() throws Exception {
        String gear = requests.gear("Ostrel SIM").get("id").asText();
        JsonNode before = card(requests.read("/api/ledger").json(), "Ostrel SIM");
        double measured = before.at("/month/loggedGb").asDouble();
        JsonNode after = card(
                requests.send("/api/ledger/" + gear + "/readings", Map.of("usedGb", 50))
                        .json(),
                "Ostrel SIM");
        // a second after it was read the rest has gone on a little
        assertEquals(50, after.at("/month/usedGb").asDouble(), A_MINUTE_GB);
        assertEquals(50 - measured, after.at("/month/elseGb").asDouble(), A_MINUTE_GB);
        assertTrue(after.at("/month/forecastGb").asDouble() > 60);
        assertTrue(
                after.get("says").asText().contains("used up on or about"),
                after.get("says").asText());
        String plan = requests.read("/api/measure/plan?carrier=Ostrel").text();
        assertTrue(plan.contains("Used 50 of the 60 GB"), plan);
        JsonNode use = requests.read("/api/measure/plan?carrier=Ostrel").json();
        assertEquals(10, use.get("leftGb").asDouble(), A_MINUTE_GB);
        assertFalse(use.get("counterAt").isNull());
        assertFalse(use.get("isAbout").asBoolean());
        String reading = after.at("/month/readings/0/id").asText();
        JsonNode gone = card(
                requests.ask(MockMvcRequestBuilders.delete("/api/ledger/" + gear + "/readings/" + reading))
                        .json(),
                "Ostrel SIM");
        assertTrue(gone.at("/month/counterGb").isNull());
        JsonNode back = card(
                requests.send("/api/ledger/" + gear + "/readings/" + reading + "/restored", List.of())
                        .json(),
                "Ostrel SIM");
        assertEquals(50, back.at("/month/counterGb").asDouble(), 1e-9);
    }

    @Test
    void after_a_reading_of_an_earlier_day_what_is_left_is_about() throws Exception {
        String gear = requests.gear("Ostrel SIM").get("id").asText();
        requests.send("/api/ledger/" + gear + "/readings", Map.of("usedGb", 20, "readAt", "2026-08-25T20:00:00+03:00"));
        JsonNode use = requests.read("/api/measure/plan?carrier=Ostrel").json();
        assertTrue(use.get("isAbout").asBoolean());
        // thirteen days took what the counter said, and eleven more have passed
        assertTrue(use.get("usedGb").asDouble() > 25, use.toString());
    }

    @Test
    void what_no_counter_shows_is_refused() throws Exception {
        String gear = requests.gear("Ostrel SIM").get("id").asText();
        assertEquals(
                400,
                requests.send("/api/ledger/" + gear + "/readings", Map.of("usedGb", -1))
                        .status());
        assertEquals(
                400,
                requests.send("/api/ledger/" + gear + "/readings", Map.of()).status());
        assertEquals(
                400,
                requests.send(
                                "/api/ledger/" + gear + "/readings",
                                Map.of("usedGb", 1, "readAt", "2027-01-01T00:00:00Z"))
                        .status());
        assertEquals(
                404,
                requests.send(
                                "/api/ledger/"
                                        + requests.gear("Curlew").get("id").asText() + "/readings",
                                Map.of("usedGb", 1))
                        .status());
    }
}
