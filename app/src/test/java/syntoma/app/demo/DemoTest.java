package syntoma.app.demo;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.delete;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;

import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;
import syntoma.app.ApiTest;
import syntoma.app.Requests;

/** The demo comes into an empty log, and goes without a trace; a log of one's own is not touched. */
@ApiTest
class DemoTest {
    private static final String ROW =
            "taken_at,campsite,setup,up_mbps,outcome\n2026-08-01T18:00:00+03:00,Pine Bend,Dome,4.4,ok\n";

    @Autowired
    private MockMvc mvc;

    @Test
    void it_is_shown_put_away_and_never_over_ones_own() throws Exception {
        Requests requests = new Requests(mvc);
        String vehicle = requests.read("/api/vehicle").text();
        assertTrue(requests.read("/api/demo").json().get("offered").asBoolean());
        assertEquals(409, requests.ask(delete("/api/demo")).status());

        assertEquals(204, requests.ask(post("/api/demo")).status());
        assertTrue(requests.read("/api/demo").json().get("shown").asBoolean());
        assertEquals(12, requests.read("/api/stays").json().size());
        assertEquals(409, requests.ask(post("/api/demo")).status());

        assertEquals(204, requests.ask(delete("/api/demo")).status());
        assertFalse(requests.read("/api/demo").json().get("shown").asBoolean());
        assertEquals("[]", requests.read("/api/stays").text());
        assertEquals("[]", requests.read("/api/gear").text());
        assertEquals(vehicle, requests.read("/api/vehicle").text());
        assertEquals(
                0, requests.read("/api/aim").json().get("declinationDeg").asDouble(), "the compass is there again");
        assertEquals(1, requests.read("/api/measurements.csv").text().lines().count());

        assertEquals(1, requests.importCsv(ROW).json().get("accepted").asInt());
        assertEquals(409, requests.ask(post("/api/demo")).status());
        assertEquals(409, requests.ask(delete("/api/demo")).status());
        assertEquals(1, requests.read("/api/stays").json().size());
    }
}
