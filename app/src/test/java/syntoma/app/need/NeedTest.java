package syntoma.app.need;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.context.TestPropertySource;
import org.springframework.test.web.servlet.MockMvc;
import syntoma.app.ApiTest;
import syntoma.app.Requests;

/** Needs, the vehicle and the bands of carriers. */
@ApiTest(eachAnew = true)
@TestPropertySource(properties = "syntoma.demo=true")
class NeedTest {
    @Autowired
    private MockMvc mvc;

    @Test
    void needs_add_up_and_bands_by_region_can_be_changed() throws Exception {
        Requests requests = new Requests(mvc);
        JsonNode needs = requests.read("/api/needs").json();
        assertEquals(8, needs.at("/requirement/downMbps").asDouble());
        assertEquals(3, needs.at("/requirement/upMbps").asDouble());
        assertEquals(
                "11 GB at 3 Mb/s takes 8 h 9 min",
                needs.at("/requirement/uploadTime").asText());
        assertEquals(6, needs.get("needs").size());
        assertEquals(
                200,
                requests.put(
                                "/api/carriers/bands",
                                Map.of("carrier", "Tarnwave", "region", "East shore", "bands", List.of("b20")))
                        .status());
        assertEquals(
                "With Bittern on Tarnwave: one of one band works in both directions.",
                requests.setup("Bittern booster").at("/coverage/sentence").asText());
        assertEquals(
                400,
                requests.put(
                                "/api/carriers/bands",
                                Map.of("carrier", "Tarnwave", "region", "East shore", "bands", List.of("x9")))
                        .status());
        ObjectNode vehicle = requests.read("/api/vehicle").json().deepCopy();
        vehicle.remove(List.of("version", "bodies", "allFeatures"));
        assertEquals(200, requests.put("/api/vehicle", vehicle).status());
        vehicle.put("body", "paper");
        assertEquals(400, requests.put("/api/vehicle", vehicle).status());
        Map<String, Object> need =
                Map.of("name", "Telemetry", "upMbps", -1, "partOfDay", "nights", "hoursADay", 1, "chosen", true);
        assertEquals(400, requests.put("/api/needs", need).status());
    }

    @Test
    void prices_are_in_what_is_said_and_a_number_is_no_currency() throws Exception {
        Requests requests = new Requests(mvc);
        requests.send("/api/demo", List.of());
        ObjectNode vehicle = requests.read("/api/vehicle").json().deepCopy();
        assertEquals("€", vehicle.get("currency").asText());
        vehicle.remove(List.of("version", "bodies", "allFeatures"));
        for (String currency : List.of("kr", "zł", "$", " A.B. ")) {
            vehicle.put("currency", currency);
            assertEquals(200, requests.put("/api/vehicle", vehicle).status());
            String kept = requests.read("/api/vehicle").json().get("currency").asText();
            assertEquals(currency.strip(), kept);
            String worth =
                    requests.read("/api/findings/worth").json().get("headline").asText();
            assertTrue(worth.contains("\u00a0" + kept + ")"), worth);
        }
        for (String none : List.of("5", "12 kr", "<b>", "much too long")) {
            vehicle.put("currency", none);
            Requests.Answer refused = requests.put("/api/vehicle", vehicle);
            assertEquals(400, refused.status());
            assertEquals("currency", refused.json().at("/errors/0/field").asText());
        }
        vehicle.put("currency", " ");
        requests.put("/api/vehicle", vehicle);
        assertTrue(requests.read("/api/vehicle").json().get("currency").isNull());
    }

    @Test
    void the_usual_upload_sets_the_rate_of_large_uploads() throws Exception {
        Requests requests = new Requests(mvc);
        ObjectNode vehicle = requests.read("/api/vehicle").json().deepCopy();
        vehicle.remove(List.of("version", "bodies", "allFeatures"));
        for (double[] gbAndRate : new double[][] {{22, 6.11}, {0.001, 0.01}, {11, 3.06}}) {
            vehicle.put("uploadGb", gbAndRate[0]);
            assertEquals(200, requests.put("/api/vehicle", vehicle).status());
            for (JsonNode need : requests.read("/api/needs").json().get("needs")) {
                if (need.get("name").asText().equals("Large uploads")) {
                    assertEquals(gbAndRate[1], need.get("upMbps").asDouble(), 1e-3);
                }
            }
        }
    }

    @Test
    void a_rate_that_was_set_by_hand_stays_when_the_usual_upload_is_entered() throws Exception {
        Requests requests = new Requests(mvc);
        ObjectNode needs = (ObjectNode) requests.read("/api/needs").json();
        ObjectNode own = null;
        for (JsonNode need : needs.get("needs")) {
            if (need.get("name").asText().equals("Large uploads")) {
                own = need.deepCopy();
            }
        }
        own.put("upMbps", 2.5);
        own.remove("version");
        assertEquals(200, requests.put("/api/needs", own).status());
        ObjectNode vehicle = requests.read("/api/vehicle").json().deepCopy();
        vehicle.remove(List.of("version", "bodies", "allFeatures"));
        vehicle.put("uploadGb", 3);
        assertEquals(200, requests.put("/api/vehicle", vehicle).status());
        assertTrue(requests.read("/api/needs").text().contains("\"upMbps\":2.5"));
    }
}
