package syntoma.app.fitout;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.delete;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.put;

import com.fasterxml.jackson.databind.JsonNode;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.MediaType;
import org.springframework.test.context.TestPropertySource;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;
import syntoma.app.ApiTest;
import syntoma.app.Requests;

/** Roof plans as they are kept, and what they come to. */
@ApiTest
@TestPropertySource(properties = "syntoma.demo=true")
class RoofPlanTest {
    private static final String VENT =
            "{\"kind\":\"vent\",\"name\":\"Vent\",\"x\":2,\"y\":0.6,\"lengthM\":0.4,\"widthM\":0.4,\"heightM\":0.12}";
    private static final String DOME =
            "\"antenna\":{\"name\":\"Alder\",\"lengthM\":0.2,\"widthM\":0.2,\"heightM\":0.1,\"groundPlaneM\":0.2%s}";

    @Autowired
    private MockMvc mvc;

    private Requests requests;

    @BeforeEach
    void open() {
        requests = new Requests(mvc);
    }

    private Requests.Answer send(MockHttpServletRequestBuilder to, String body) throws Exception {
        return requests.ask(to.contentType(MediaType.APPLICATION_JSON).content(body));
    }

    private JsonNode assessed(String plan) throws Exception {
        Requests.Answer answer = send(post("/api/fitout/assessment"), plan);
        assertEquals(200, answer.status(), answer.text());
        return answer.json();
    }

    private long begin(String name) throws Exception {
        Requests.Answer begun = send(post("/api/fitout/plans"), "{\"name\":\"" + name + "\"}");
        assertEquals(201, begun.status(), begun.text());
        return begun.json().get("id").asLong();
    }

    @Test
    void an_empty_plan_is_the_usual_roof_of_the_vehicle_in_rig() throws Exception {
        JsonNode empty = assessed("{}");
        assertEquals(4.2, empty.get("lengthM").asDouble());
        assertEquals("steel", empty.get("body").asText());
        assertEquals(2.86, empty.get("heightM").asDouble());
        assertTrue(empty.get("sentence").asText().startsWith("Add what is on the roof"), empty.toString());
        assertTrue(empty.get("run").isNull() && empty.get("boosted").isNull(), empty.toString());
        JsonNode choices = requests.read("/api/fitout").json();
        assertEquals(7, choices.get("shapes").size());
        assertTrue(choices.get("antennas").toString().contains("Alder"), choices.toString());
    }

    @Test
    void places_are_found_and_what_a_worse_one_costs_is_said() throws Exception {
        String roof = "{\"shape\":\"panel-van\",\"things\":[" + VENT + "],"
                + "\"cable\":{\"leadM\":2,\"deviceX\":3.5,\"deviceY\":0.3},";
        JsonNode free = assessed(roof + DOME.formatted("") + "}");
        assertEquals(3, free.get("best").size(), free.toString());
        assertTrue(free.get("here").isNull());
        assertTrue(free.at("/best/0/clearanceM").asDouble() >= 0.5);
        assertTrue(free.at("/run/bands/0/lossDb").asDouble() > 0, free.toString());
        assertEquals(
                free.at("/best/0/x").asDouble(), free.at("/hole/fromFrontM").asDouble());
        assertEquals(
                free.at("/best/0/x").asDouble() - 0.025,
                free.at("/hole/insideFromFrontM").asDouble(),
                1e-9);

        JsonNode near = assessed(roof + DOME.formatted(",\"x\":1.7,\"y\":0.8") + "}");
        assertEquals(
                "Not there: Vent is 0.20 m away; Alder asks for 0.50 m.",
                near.get("sentence").asText());
        assertTrue(near.get("worse").asText().startsWith("less clearance (0.20 m to Vent)"), near.toString());
        JsonNode on = assessed(roof + DOME.formatted(",\"x\":2.2,\"y\":0.8") + "}");
        assertEquals("Not there: Vent is there.", on.get("sentence").asText());
        assertTrue(on.get("strips").toString().contains("\"why\":\"on-thing\""));
    }

    @Test
    void holes_wind_and_booster_are_calculated_with_it() throws Exception {
        JsonNode all = assessed(
                "{\"leads\":{\"count\":4,\"cableMm\":5,\"plugMm\":9,\"ductMm\":12},"
                        + "\"mast\":{\"areaM2\":0.12,\"leverM\":2},"
                        + "\"booster\":{\"name\":\"Bittern\",\"gainDb\":50,\"outsideX\":0.5,\"outsideY\":0.8,\"outsideUpM\":0.2,"
                        + "\"outsideGainDbi\":7,\"insideX\":2,\"insideY\":0.8,\"insideDownM\":0.5,\"insideGainDbi\":2,"
                        + "\"facing\":true,\"donorRsrpDbm\":-95,\"reported\":[{\"band\":\"B20\",\"gainDb\":50}],\"warns\":true}}");
        assertEquals(15.0, all.at("/passage/oneAtATimeMm").asDouble(), 0.05);
        assertEquals(16, all.at("/passage/sawMm").asDouble());
        assertTrue(all.at("/passage/notes").toString().contains("% of the duct"), all.toString());
        assertEquals(27.08, all.at("/wind/at/1/forceN").asDouble(), 0.01);
        assertEquals(55, all.at("/wind/takeDownAboveKmh").asInt());
        assertTrue(all.at("/boosted/sentence").asText().contains("turn the antennas back to back"), all.toString());
        assertTrue(all.at("/boosted/held/0").asText().startsWith("Its warning light is on"), all.toString());
    }

    @Test
    void two_browsers_that_edit_one_plan_are_told_and_nothing_is_lost() throws Exception {
        long id = begin("Heron as it is");
        String first = "{\"things\":[" + VENT + "]}";
        JsonNode kept =
                send(put("/api/fitout/plans/" + id + "?version=0"), first).json();
        assertEquals(1, kept.get("version").asInt());
        Requests.Answer late = send(put("/api/fitout/plans/" + id + "?version=0"), "{\"shape\":\"trailer\"}");
        assertEquals(409, late.status(), late.text());
        assertTrue(
                late.text().contains("Heron as it is") && late.text().contains("was changed meanwhile"), late.text());
        assertEquals(
                "Vent",
                requests.read("/api/fitout/plans/" + id)
                        .json()
                        .at("/plan/things/0/name")
                        .asText());
        assertEquals(
                1,
                send(put("/api/fitout/plans/" + id + "?version=1"), first)
                        .json()
                        .get("version")
                        .asInt(),
                "the same again is no version");
        Requests.Answer copy = send(post("/api/fitout/plans"), "{\"name\":\"With a mast\",\"copyOf\":" + id + "}");
        assertEquals("Vent", copy.json().at("/plan/things/0/name").asText());
        assertEquals(
                409,
                send(post("/api/fitout/plans"), "{\"name\":\"with a MAST\"}").status());
    }

    @Test
    void a_plan_that_is_taken_away_can_be_brought_back() throws Exception {
        long id = begin("Away");
        assertEquals(204, requests.ask(delete("/api/fitout/plans/" + id)).status());
        assertFalse(requests.read("/api/fitout").json().get("plans").toString().contains("Away"));
        assertEquals(404, requests.read("/api/fitout/plans/" + id).status());
        assertEquals(
                200, send(post("/api/fitout/plans/" + id + "/restored"), "").status());
        assertTrue(requests.read("/api/fitout").json().get("plans").toString().contains("Away"));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "roof|{\"lengthM\":0}|roof length is 0 m; allowed is 0.5 to 15 m",
                "shape|{\"shape\":\"boat\"}|boat",
                "things[0]|{\"things\":[{\"kind\":\"vent\",\"name\":\"V\",\"x\":0,\"y\":0,\"lengthM\":0.4,\"widthM\":0.4,\"clearM\":-1}]}|clearance is −1 m; allowed is 0 to 3 m",
                "things[0]|{\"things\":[{\"kind\":\"tree\",\"name\":\"V\",\"x\":0,\"y\":0,\"lengthM\":0.4,\"widthM\":0.4}]}|tree",
                "antenna|{\"antenna\":{\"name\":\"A\",\"lengthM\":5,\"widthM\":0.2,\"heightM\":0.1}}|antenna length is 5 m, the length of the roof; allowed is 0.01 to 4.2 m",
                "antenna|{\"antenna\":{\"name\":\"A\",\"lengthM\":1,\"widthM\":0.2,\"heightM\":0.1,\"clearanceM\":-0.5}}|clearance is −0.5 m",
                "cable|{\"cable\":{\"leadM\":900,\"deviceX\":1,\"deviceY\":1}}|lead is 900 m",
                "cable.cableClass|{\"cable\":{\"cableClass\":\"string\",\"deviceX\":1,\"deviceY\":1}}|cable class is",
                "leads|{\"leads\":{\"count\":4,\"cableMm\":5,\"plugMm\":3}}|plug is 3 mm; allowed is 5 to 60 mm",
                "leads|{\"leads\":{\"count\":400,\"cableMm\":5,\"plugMm\":9}}|leads is 400; allowed is 1 to 16",
                "leads.ductMm|{\"leads\":{\"count\":4,\"cableMm\":5,\"plugMm\":9,\"ductMm\":0}}|duct is 0 mm",
                "booster|{\"booster\":{\"name\":\"B\",\"gainDb\":50,\"outsideX\":0,\"outsideY\":0,\"outsideUpM\":0,\"outsideGainDbi\":3,\"insideX\":2,\"insideY\":0,\"insideDownM\":1,\"insideGainDbi\":2,\"donorRsrpDbm\":-95,\"reported\":[{\"band\":\"B999\",\"gainDb\":1}]}}|B999",
                "mast.clampNm|{\"mast\":{\"areaM2\":0.1,\"leverM\":2,\"clampNm\":0}}|clamp is 0 N·m",
                "mast|{\"mast\":{\"areaM2\":0,\"leverM\":2}}|area is 0 m²"
            })
    void what_cannot_be_is_refused_by_its_field(String field, String plan, String says) throws Exception {
        Requests.Answer refused = send(post("/api/fitout/assessment"), plan);
        assertEquals(400, refused.status(), refused.text());
        assertEquals(field, refused.json().at("/errors/0/field").asText(), refused.text());
        assertTrue(refused.json().at("/errors/0/message").asText().contains(says), refused.text());
        long id = begin("Refused " + plan.hashCode());
        Requests.Answer kept = send(put("/api/fitout/plans/" + id), plan);
        assertEquals(400, kept.status(), "what cannot be assessed is not kept: " + kept.text());
        assertEquals(
                0,
                requests.read("/api/fitout/plans/" + id).json().get("version").asInt());
    }

    @Test
    void ways_in_the_router_s_place_and_its_supply_are_judged() throws Exception {
        String inlet =
                "{\"kind\":\"inlet\",\"name\":\"Old inlet\",\"x\":3,\"y\":0.2,\"lengthM\":0.1,\"widthM\":0.1,\"freeMm\":28}";
        String gas = "{\"kind\":\"gas\",\"name\":\"Gas\",\"x\":1.5,\"y\":0.79,\"lengthM\":1,\"widthM\":0.02}";
        JsonNode it = assessed("{\"shape\":\"panel-van\",\"things\":[" + VENT + "," + inlet + "," + gas + "],"
                + "\"cable\":{\"leadM\":2,\"deviceX\":3.5,\"deviceY\":0.3},\"leads\":{\"count\":4,\"cableMm\":5,\"plugMm\":9},"
                + "\"router\":{\"closed\":true,\"simInReach\":false,\"reach\":[{\"name\":\"Bunk\",\"x\":4,\"y\":1}]},"
                + "\"power\":{\"device\":\"Curlew\",\"sourceX\":3,\"sourceY\":1.5,\"wireMm2\":0.5},"
                + DOME.formatted(",\"x\":1,\"y\":0.8") + "}");
        assertEquals("Old inlet", it.at("/ways/0/inlet").asText());
        assertTrue(it.at("/ways/1/inlet").isNull(), it.get("ways").toString());
        assertTrue(
                it.get("notes").toString().contains("The leads cross Gas"),
                it.get("notes").toString());
        assertEquals(0.86, it.at("/router/reach/0/awayM").asDouble(), 0.01);
        assertTrue(it.at("/router/notes/1").asText().startsWith("Its SIM is out of reach"), it.toString());
        // 0.5 m along, 1.2 m across, 1 m down and up
        assertEquals(2.7, it.at("/fed/wayM").asDouble(), 1e-9);
        assertTrue(it.at("/fed/fuseA").asDouble() > 0, it.get("fed").toString());
        assertEquals(2, it.at("/fed/notes").size());
        Requests.Answer wire =
                send(post("/api/fitout/assessment"), "{\"power\":{\"sourceX\":3,\"sourceY\":1,\"wireMm2\":3}}");
        assertEquals("power.wireMm2", wire.json().at("/errors/0/field").asText(), wire.text());
        assertTrue(wire.text().contains("allowed is 0.5, 0.75, 1, 1.5"), wire.text());
    }

    @Test
    void the_extension_goes_into_a_setup_whose_staircase_then_loses_it() throws Exception {
        long id = begin("Far");
        String far = "{" + DOME.formatted("")
                + ",\"cable\":{\"leadM\":2,\"cableClass\":\"240-class\",\"deviceX\":4,\"deviceY\":1.6,"
                + "\"entryX\":0.2,\"entryY\":0.2}}";
        assertEquals(200, send(put("/api/fitout/plans/" + id), far).status());
        Requests.Answer wrong = send(post("/api/fitout/plans/" + id + "/extension"), "{\"setup\":\"Window whips\"}");
        assertEquals("setup", wrong.json().at("/errors/0/field").asText(), wrong.text());
        Requests.Answer put = send(post("/api/fitout/plans/" + id + "/extension"), "{\"setup\":\"Roof dome\"}");
        assertEquals(200, put.status(), put.text());
        String setup =
                requests.read("/api/setups/" + put.json().get("setup").asLong()).text();
        assertTrue(setup.contains(put.json().get("cable").asText()), setup);
        // once more it is the same cable in the same place
        Requests.Answer again = send(post("/api/fitout/plans/" + id + "/extension"), "{\"setup\":\"Roof dome\"}");
        assertEquals(put.json(), again.json());
        long reaching = begin("Reaching");
        send(
                put("/api/fitout/plans/" + reaching),
                "{" + DOME.formatted("") + ",\"cable\":{\"leadM\":20,\"deviceX\":1,\"deviceY\":1}}");
        assertEquals(
                409,
                send(post("/api/fitout/plans/" + reaching + "/extension"), "{\"setup\":\"Roof dome\"}")
                        .status());
    }

    @Test
    void a_plan_that_is_brought_back_has_a_name_of_its_own() throws Exception {
        long first = begin("Summer");
        requests.ask(delete("/api/fitout/plans/" + first));
        begin("Summer");
        assertEquals(
                "Summer 2",
                requests.ask(post("/api/fitout/plans/" + first + "/restored"))
                        .json()
                        .get("name")
                        .asText());
    }
}
