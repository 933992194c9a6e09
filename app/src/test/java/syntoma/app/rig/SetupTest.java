package syntoma.app.rig;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.hibernate.SessionFactory;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.annotation.DirtiesContext;
import org.springframework.test.context.TestPropertySource;
import org.springframework.test.web.servlet.MockMvc;
import syntoma.app.ApiTest;
import syntoma.app.Requests;

/** Setups of the demo rig, their revisions, and what is computed of them. */
@ApiTest
@TestPropertySource(properties = {"syntoma.demo=true", "spring.jpa.properties.hibernate.generate_statistics=true"})
@DirtiesContext(classMode = DirtiesContext.ClassMode.BEFORE_EACH_TEST_METHOD)
class SetupTest {
    @Autowired
    private MockMvc mvc;

    @Autowired
    private jakarta.persistence.EntityManagerFactory factory;

    private Requests requests;

    @BeforeEach
    void open() {
        requests = new Requests(mvc);
    }

    private JsonNode setup(String name) throws Exception {
        for (JsonNode row : requests.read("/api/rig/setups").json()) {
            if (row.at("/setup/name").asText().equals(name)) {
                return requests.read("/api/rig/setups/" + row.at("/setup/id").asInt())
                        .json();
            }
        }
        throw new AssertionError(name);
    }

    private int gear(String name) throws Exception {
        for (JsonNode item : requests.read("/api/gear").json()) {
            if (item.get("name").asText().equals(name)) {
                return item.get("id").asInt();
            }
        }
        throw new AssertionError(name);
    }

    private int id(String name) throws Exception {
        return setup(name).at("/setup/id").asInt();
    }

    @Test
    void the_booster_leaves_one_of_five_bands() throws Exception {
        JsonNode view = setup("Bittern booster");
        assertEquals(
                "With Bittern on Tarnwave: one of five bands works in both directions.",
                view.at("/coverage/sentence").asText());
        assertEquals(1, view.get("streams").asInt());
        assertTrue(view.get("findings").toString().contains("87 %"));
    }

    @Test
    void the_staircase_has_its_steps_and_estimates_are_marked() throws Exception {
        JsonNode stairs = setup("Mast panel").at("/staircases/0");
        assertEquals("B20", stairs.get("band").asText());
        double net = 0;
        for (JsonNode step : stairs.get("steps")) {
            net += step.get("db").asDouble();
        }
        assertEquals(stairs.get("netDb").asDouble(), net, 1e-9);
        assertEquals(net + 12, stairs.get("deltaDb").asDouble(), 1e-9);
        assertTrue(stairs.at("/steps/0/estimated").asBoolean());
        assertFalse(stairs.at("/steps/1/estimated").asBoolean());
    }

    @Test
    void a_setup_that_was_measured_gets_its_next_revision_and_keeps_the_first() throws Exception {
        JsonNode before = setup("Mast panel");
        assertEquals(1, before.get("revision").asInt());
        assertTrue(before.get("measured").asInt() > 0);
        ObjectNode plan = before.get("plan").deepCopy();
        ((ObjectNode) plan.withArray("runs").get(0)).putArray("cables");
        JsonNode after =
                requests.put("/api/rig/setups/" + id("Mast panel"), plan).json();
        assertEquals(2, after.get("revision").asInt());
        assertEquals(0, after.get("measured").asInt());
        plan.put("devicePlacement", "window");
        assertEquals(
                2,
                requests.put("/api/rig/setups/" + id("Mast panel"), plan)
                        .json()
                        .get("revision")
                        .asInt());
        assertTrue(requests.read("/api/gear").text().contains("Extension 4.5 m\",\"state\":\"owned\",\"price\":18.0"));
    }

    @Test
    void a_name_from_an_import_is_a_bare_setup_to_be_completed() throws Exception {
        requests.importCsv("taken_at,campsite,setup,rsrp_dbm,outcome\n"
                + "2026-09-06T09:10:00+02:00,Lighthouse Meadow,Somebody’s stick,-99,ok\n");
        JsonNode first = requests.read("/api/rig/setups").json().get(0);
        assertEquals("Somebody’s stick", first.at("/setup/name").asText());
        assertFalse(first.get("complete").asBoolean());
        assertEquals(1, first.get("measured").asInt());
        int id = first.at("/setup/id").asInt();
        JsonNode completed = requests.put("/api/rig/setups/" + id, Map.of("device", gear("Plover")))
                .json();
        assertEquals(1, completed.get("revision").asInt());
        assertEquals(1, completed.get("measured").asInt());
    }

    @Test
    void sliders_change_the_run_and_nothing_is_stored() throws Exception {
        JsonNode plan = setup("Mast panel").get("plan");
        double now = setup("Mast panel").at("/staircases/0/netDb").asDouble();
        Map<String, Object> whatIf = Map.of("cableClass", "100-class", "cableM", 10, "mastM", 0);
        JsonNode tried = requests.send("/api/rig/check", Map.of("plan", plan, "whatIf", whatIf))
                .json();
        assertTrue(tried.at("/staircases/0/netDb").asDouble() < now - 10);
        assertEquals(10, tried.get("cableM").asDouble());
        assertEquals(1, setup("Mast panel").get("revision").asInt());
        Requests.Answer far = requests.send("/api/rig/check", Map.of("plan", plan, "whatIf", Map.of("cableM", 99)));
        assertEquals(400, far.status());
        assertEquals("whatIf", far.json().at("/errors/0/field").asText());
    }

    @Test
    void chains_that_cannot_be_are_refused() throws Exception {
        int alder = gear("Alder");
        Map<String, Object> run = Map.of("antenna", alder);
        Requests.Answer circle = requests.send("/api/rig/check", Map.of("plan", Map.of("runs", List.of(run, run))));
        assertEquals(400, circle.status());
        assertTrue(circle.text().contains("circle"));
        assertEquals(
                400,
                requests.send("/api/rig/check", Map.of("plan", Map.of("device", alder)))
                        .status());
        assertEquals(
                400,
                requests.send("/api/rig/check", Map.of("plan", Map.of("device", 999)))
                        .status());
        assertEquals(400, requests.send("/api/rig/check", Map.of()).status());
        assertEquals(404, requests.read("/api/rig/setups/999").status());
        assertEquals(
                409,
                requests.send("/api/rig/setups", Map.of("name", "Mast panel")).status());
        Map<String, Object> wrong =
                Map.of("device", gear("Curlew"), "runs", List.of(run), "wiring", Map.of("Alder 1", "Z9"));
        assertEquals(
                400, requests.put("/api/rig/setups/" + id("Roof dome"), wrong).status());
    }

    @Test
    void the_list_of_setups_is_read_in_a_few_statements() throws Exception {
        var statistics = factory.unwrap(SessionFactory.class).getStatistics();
        statistics.clear();
        assertEquals(4, requests.read("/api/rig/setups").json().size());
        assertTrue(statistics.getPrepareStatementCount() <= 12, statistics.getPrepareStatementCount() + " statements");
    }

    @Test
    void candidates_stand_side_by_side_with_what_else_to_buy() throws Exception {
        Map<String, Object> request = new HashMap<>(Map.of(
                "what",
                "device",
                "base",
                id("Roof dome"),
                "ids",
                List.of(gear("Curlew"), gear("Dunlin"), gear("Knot"))));
        JsonNode view = requests.send("/api/rig/candidates", request).json();
        assertEquals("Curlew", view.get("cheapest").asText());
        JsonNode dunlin = view.at("/candidates/1");
        assertEquals(155, dunlin.get("price").asDouble(), "its price and a stabiliser");
        assertTrue(dunlin.get("toBuy").toString().contains("stabiliser"));
        assertFalse(view.at("/candidates/2/meetsNeed").asBoolean());
        assertTrue(view.get("flip").asText().length() > 10);
        request.put("weights", Map.of("gain", 0, "bands", 0, "streams", 0, "price", 11, "energy", 0));
        assertEquals(400, requests.send("/api/rig/candidates", request).status());
        request.put("ids", List.of(gear("Curlew")));
        assertEquals(400, requests.send("/api/rig/candidates", request).status());
    }

    @Test
    void needs_add_up_and_bands_by_region_can_be_changed() throws Exception {
        JsonNode wishes = requests.read("/api/rig/wishes").json();
        assertEquals(8, wishes.at("/requirement/downMbps").asDouble());
        assertEquals(3, wishes.at("/requirement/upMbps").asDouble());
        assertEquals(
                "11 GB at 3 Mb/s takes 8 h 9 min",
                wishes.at("/requirement/uploadTime").asText());
        assertEquals(6, wishes.get("needs").size());
        assertEquals(
                200,
                requests.put(
                                "/api/rig/wishes/region",
                                Map.of("carrier", "Tarnwave", "region", "East shore", "bands", List.of("b20")))
                        .status());
        assertEquals(
                "With Bittern on Tarnwave: one of one band works in both directions.",
                setup("Bittern booster").at("/coverage/sentence").asText());
        assertEquals(
                400,
                requests.put(
                                "/api/rig/wishes/region",
                                Map.of("carrier", "Tarnwave", "region", "East shore", "bands", List.of("x9")))
                        .status());
        ObjectNode rig = wishes.get("rig").deepCopy();
        rig.put("body", "paper");
        assertEquals(400, requests.put("/api/rig/wishes/rig", rig).status());
        Map<String, Object> need =
                Map.of("name", "Telemetry", "upMbps", -1, "partOfDay", "nights", "hoursADay", 1, "chosen", true);
        assertEquals(400, requests.put("/api/rig/wishes/need", need).status());
    }
}
