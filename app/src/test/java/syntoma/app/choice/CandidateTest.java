package syntoma.app.choice;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.hibernate.SessionFactory;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.context.TestPropertySource;
import org.springframework.test.web.servlet.MockMvc;
import syntoma.app.ApiTest;
import syntoma.app.Requests;

/** Candidates from the demo shelf side by side. */
@ApiTest
@TestPropertySource(properties = {"syntoma.demo=true", "spring.jpa.properties.hibernate.generate_statistics=true"})
class CandidateTest {
    @Autowired
    private MockMvc mvc;

    @Autowired
    private jakarta.persistence.EntityManagerFactory factory;

    private Requests requests;

    @BeforeEach
    void open() {
        requests = new Requests(mvc);
    }

    private int gear(String name) throws Exception {
        return requests.gear(name).get("id").asInt();
    }

    private static JsonNode named(JsonNode view, String name) {
        for (JsonNode candidate : view.get("candidates")) {
            if (candidate.get("name").asText().equals(name)) {
                return candidate;
            }
        }
        throw new AssertionError(name + " is not among " + view.get("candidates"));
    }

    @Test
    void candidates_stand_side_by_side_with_what_else_to_buy() throws Exception {
        Map<String, Object> request = new HashMap<>(Map.of(
                "what",
                "device",
                "base",
                requests.setup("Roof dome").at("/setup/id").asInt(),
                "ids",
                List.of(gear("Curlew"), gear("Dunlin"), gear("Knot"))));
        JsonNode view = requests.send("/api/candidates", request).json();
        assertEquals("Curlew", view.get("cheapest").asText());
        JsonNode dunlin = named(view, "Dunlin");
        assertEquals("about 155", dunlin.get("price").asText(), "its price and a stabiliser");
        assertTrue(dunlin.get("toBuy").toString().contains("stabiliser"));
        assertFalse(named(view, "Knot").get("meetsNeed").asBoolean());
        int last = 1;
        for (JsonNode candidate : view.get("candidates")) {
            assertTrue(candidate.get("place").asInt() >= last, "the best first");
            assertFalse(candidate.get("reason").asText().isEmpty());
            last = candidate.get("place").asInt();
        }
        assertEquals(5, view.get("sides").size());
        assertTrue(view.get("flip").asText().length() > 10);
        request.put("weights", Map.of("gain", 0, "bands", 0, "streams", 0, "price", 11, "energy", 0));
        assertEquals(400, requests.send("/api/candidates", request).status());
        request.put("ids", List.of(gear("Curlew")));
        assertEquals(400, requests.send("/api/candidates", request).status());
    }

    @Test
    void five_are_judged_on_one_ground_in_a_few_statements() throws Exception {
        List<Integer> devices = new ArrayList<>();
        for (JsonNode item : requests.read("/api/gear").json()) {
            if (item.get("kind").asText().equals("device") && devices.size() < 5) {
                devices.add(item.get("id").asInt());
            }
        }
        Map<String, Object> request = Map.of(
                "what",
                "device",
                "base",
                requests.setup("Roof dome").at("/setup/id").asInt(),
                "ids",
                devices);
        var statistics = factory.unwrap(SessionFactory.class).getStatistics();
        statistics.clear();
        assertEquals(
                devices.size(),
                requests.send("/api/candidates", request)
                        .json()
                        .get("candidates")
                        .size());
        assertTrue(statistics.getPrepareStatementCount() < 12, statistics.getPrepareStatementCount() + " statements");
    }
}
