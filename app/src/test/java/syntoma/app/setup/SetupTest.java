package syntoma.app.setup;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
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

/** Setups of the demo rig, their revisions, and what is computed of them. */
@ApiTest(eachAnew = true)
@TestPropertySource(properties = {"syntoma.demo=true", "spring.jpa.properties.hibernate.generate_statistics=true"})
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
        return requests.setup(name);
    }

    private int gear(String name) throws Exception {
        return requests.gear(name).get("id").asInt();
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
        double sum = 0;
        for (JsonNode step : stairs.get("steps")) {
            sum += step.get("db").asDouble();
        }
        assertEquals(stairs.get("deltaDb").asDouble(), sum, 1e-9, "the drawing ends where the sentence ends");
        assertEquals(stairs.get("netDb").asDouble() + 12, sum, 1e-9);
        assertEquals("Out of the shell", stairs.at("/steps/0/part").asText());
        assertEquals(4, stairs.at("/steps/0/halfWidthDb").asDouble());
        assertTrue(stairs.at("/steps/0/estimated").asBoolean());
        assertEquals(2, stairs.at("/steps/2/halfWidthDb").asDouble(), "a stated gain");
        assertFalse(stairs.at("/steps/2/estimated").asBoolean());
    }

    @Test
    void a_setup_that_was_measured_gets_its_next_revision_and_keeps_the_first() throws Exception {
        JsonNode before = setup("Mast panel");
        assertEquals(1, before.get("revision").asInt());
        assertTrue(before.get("measured").asInt() > 0);
        ObjectNode plan = before.get("plan").deepCopy();
        ((ObjectNode) plan.withArray("runs").get(0)).putArray("cables");
        JsonNode after = requests.put("/api/setups/" + id("Mast panel"), plan).json();
        assertEquals(2, after.get("revision").asInt());
        assertEquals(0, after.get("measured").asInt());
        plan.put("devicePlacement", "window");
        assertEquals(
                2,
                requests.put("/api/setups/" + id("Mast panel"), plan)
                        .json()
                        .get("revision")
                        .asInt());
        assertTrue(requests.read("/api/gear").text().contains("Extension 4.5 m\",\"state\":\"owned\",\"price\":18.0"));
    }

    @Test
    void a_name_from_an_import_is_a_bare_setup_to_be_completed() throws Exception {
        requests.importCsv("taken_at,campsite,setup,rsrp_dbm,outcome\n"
                + "2026-09-06T09:10:00+02:00,Lighthouse Meadow,Somebody’s stick,-99,ok\n");
        JsonNode first = requests.read("/api/setups/fit").json().get(0);
        assertEquals("Somebody’s stick", first.at("/setup/name").asText());
        assertFalse(first.get("complete").asBoolean());
        assertEquals(1, first.get("measured").asInt());
        int id = first.at("/setup/id").asInt();
        JsonNode completed = requests.put("/api/setups/" + id, Map.of("device", gear("Plover")))
                .json();
        assertEquals(1, completed.get("revision").asInt());
        assertEquals(1, completed.get("measured").asInt());
    }

    @Test
    void sliders_change_the_run_and_nothing_is_stored() throws Exception {
        JsonNode plan = setup("Mast panel").get("plan");
        double now = setup("Mast panel").at("/staircases/0/netDb").asDouble();
        Map<String, Object> whatIf = Map.of("cableClass", "100-class", "cableM", 10, "mastM", 0);
        JsonNode tried = requests.send("/api/setups/check", Map.of("plan", plan, "whatIf", whatIf))
                .json();
        assertTrue(tried.at("/staircases/0/netDb").asDouble() < now - 10);
        assertEquals(10, tried.get("cableM").asDouble());
        assertEquals(1, setup("Mast panel").get("revision").asInt());
        Requests.Answer far = requests.send("/api/setups/check", Map.of("plan", plan, "whatIf", Map.of("cableM", 99)));
        assertEquals(400, far.status());
        assertEquals("whatIf.cableM", far.json().at("/errors/0/field").asText());
    }

    @Test
    void chains_that_cannot_be_are_refused() throws Exception {
        int alder = gear("Alder");
        Map<String, Object> run = Map.of("antenna", alder, "mastM", 0);
        Requests.Answer circle = requests.send("/api/setups/check", Map.of("plan", Map.of("runs", List.of(run, run))));
        assertEquals(400, circle.status());
        assertTrue(circle.text().contains("circle"));
        assertEquals(
                400,
                requests.send("/api/setups/check", Map.of("plan", Map.of("device", alder)))
                        .status());
        assertEquals(
                400,
                requests.send("/api/setups/check", Map.of("plan", Map.of("device", 999)))
                        .status());
        assertEquals(400, requests.send("/api/setups/check", Map.of()).status());
        assertEquals(404, requests.read("/api/setups/999").status());
        assertEquals(
                409, requests.send("/api/setups", Map.of("name", "Mast panel")).status());
        Map<String, Object> wrong =
                Map.of("device", gear("Curlew"), "runs", List.of(run), "wiring", Map.of(gear("Alder") + "/1", "Z9"));
        assertEquals(400, requests.put("/api/setups/" + id("Roof dome"), wrong).status());
    }

    @Test
    void the_list_of_setups_is_read_in_a_few_statements() throws Exception {
        var statistics = factory.unwrap(SessionFactory.class).getStatistics();
        statistics.clear();
        assertEquals(4, requests.read("/api/setups/fit").json().size());
        assertTrue(statistics.getPrepareStatementCount() <= 12, statistics.getPrepareStatementCount() + " statements");
    }

    @Test
    void a_lead_is_plugged_elsewhere_by_the_rules_of_the_core() throws Exception {
        JsonNode before = setup("Roof dome");
        JsonNode first = before.at("/wiring/0");
        JsonNode second = before.at("/wiring/1");
        Map<String, Object> plug = Map.of(
                "lead", first.get("key").asText(), "port", second.get("port").asText());
        JsonNode after = requests.send("/api/setups/check", Map.of("plan", before.get("plan"), "plug", plug))
                .json();
        JsonNode wiring = after.at("/plan/wiring");
        assertEquals(second.get("port"), wiring.get(first.get("key").asText()), "the lead is where it was put");
        assertEquals(
                first.get("port"), wiring.get(second.get("key").asText()), "the other one has the port that was left");

        JsonNode loose = requests.send(
                        "/api/setups/check",
                        Map.of(
                                "plan",
                                after.get("plan"),
                                "plug",
                                Map.of("lead", first.get("key").asText())))
                .json();
        assertEquals(first.get("key"), loose.at("/leadsOver/0/key"));

        ObjectNode twice = before.get("plan").deepCopy();
        twice.putObject("wiring")
                .put(first.get("key").asText(), first.get("port").asText())
                .put(second.get("key").asText(), first.get("port").asText());
        Requests.Answer refused = requests.put("/api/setups/" + id("Roof dome"), twice);
        assertEquals(400, refused.status());
        assertTrue(refused.text().contains("two leads"), refused.text());

        ObjectNode unknown = before.get("plan").deepCopy();
        unknown.putObject("wiring").put("0/C1", first.get("port").asText());
        assertEquals(
                "wiring",
                requests.put("/api/setups/" + id("Roof dome"), unknown)
                        .json()
                        .at("/errors/0/field")
                        .asText());
    }

    @Test
    void settings_are_closed_sets() throws Exception {
        ObjectNode plan = setup("Roof dome").get("plan").deepCopy();
        for (String field : List.of("mode", "source", "devicePlacement")) {
            JsonNode was = plan.get(field);
            plan.put(field, "sideways");
            Requests.Answer refused = requests.put("/api/setups/" + id("Roof dome"), plan);
            assertEquals(400, refused.status());
            assertTrue(refused.text().contains("sideways") && refused.text().contains("allowed is"), refused.text());
            plan.set(field, was);
        }
        plan.withArray("lockedBands").add("B3").add("x9");
        assertEquals(
                "lockedBands[1]",
                requests.put("/api/setups/" + id("Roof dome"), plan)
                        .json()
                        .at("/errors/0/field")
                        .asText());
        assertTrue(requests.read("/api/setups/choices").json().get("modes").size() > 2);
    }

    @Test
    void a_port_that_does_not_say_what_it_is_for_leaves_the_streams_open() throws Exception {
        assertEquals(2, setup("Roof dome").get("streams").asInt());
        JsonNode curlew = requests.gear("Curlew");
        ObjectNode changed = curlew.deepCopy();
        ((ObjectNode) changed.at("/sheet/ports/0")).remove("use");
        ObjectNode request = changed.objectNode();
        for (String field : new String[] {"kind", "name", "state", "price", "sheet"}) {
            request.set(field, changed.get(field));
        }
        assertEquals(
                200,
                requests.put("/api/gear/" + curlew.get("id").asInt() + "?as=correction", request)
                        .status());
        JsonNode open = setup("Roof dome");
        assertTrue(open.get("streams").isNull());
        assertTrue(open.get("staircases").isEmpty(), "no prediction along a lead that is not known");
        assertTrue(open.get("findings").toString().contains("antenna ports, or what each is for"));
        assertFalse(open.get("findings").toString().contains("\"blocker\""));
    }
}
