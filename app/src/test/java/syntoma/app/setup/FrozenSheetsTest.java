package syntoma.app.setup;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNotEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.context.TestPropertySource;
import org.springframework.test.web.servlet.MockMvc;
import syntoma.app.ApiTest;
import syntoma.app.Requests;

/** What was measured keeps the sheets it was measured with, and gear is known by its number. */
@ApiTest(eachAnew = true)
@TestPropertySource(properties = "syntoma.demo=true")
class FrozenSheetsTest {
    @Autowired
    private MockMvc mvc;

    private Requests requests;

    @BeforeEach
    void open() {
        requests = new Requests(mvc);
    }

    /** A piece of gear as it is given to be changed. */
    private ObjectNode given(JsonNode item) {
        ObjectNode given = item.deepCopy();
        given.remove(java.util.List.of("id", "setups", "version"));
        return given;
    }

    private ObjectNode withMoreGain(JsonNode item) {
        ObjectNode given = given(item);
        ((ObjectNode) given.at("/sheet/ranges/0")).put("fromDbi", 11).put("toDbi", 11);
        return given;
    }

    private static double gain(JsonNode setup) {
        return setup.at("/staircases/0/deltaDb").asDouble();
    }

    private JsonNode setup(int revision) throws Exception {
        int id = requests.setup("Mast panel").at("/setup/id").asInt();
        return requests.read("/api/setups/" + id + "?revision=" + revision).json();
    }

    @Test
    void a_changed_sheet_of_a_measured_part_asks_how_it_is_meant_and_keeps_nothing_before() throws Exception {
        JsonNode rowan = requests.gear("Rowan");
        Requests.Answer asked = requests.put("/api/gear/" + rowan.get("id"), withMoreGain(rowan));
        assertEquals(409, asked.status());
        assertEquals("as", asked.json().at("/errors/0/field").asText());
        assertEquals("correction", asked.json().at("/choices/0/as").asText());
        assertEquals("other-part", asked.json().at("/choices/1/as").asText());
        assertTrue(asked.json().get("detail").asText().contains("Mast panel"));
        assertEquals(rowan, requests.gear("Rowan"));
        assertEquals(
                400,
                requests.put("/api/gear/" + rowan.get("id") + "?as=perhaps", withMoreGain(rowan))
                        .status());
    }

    @Test
    void a_correction_of_the_paper_counts_for_what_was_measured_too() throws Exception {
        double before = gain(setup(1));
        JsonNode rowan = requests.gear("Rowan");
        assertEquals(
                200,
                requests.put("/api/gear/" + rowan.get("id") + "?as=correction", withMoreGain(rowan))
                        .status());
        assertNotEquals(before, gain(setup(1)));
        assertEquals(1, requests.setup("Mast panel").get("revision").asInt());
    }

    @Test
    void another_part_leaves_what_was_measured_as_it_was_and_begins_the_next_revision() throws Exception {
        double before = gain(setup(1));
        JsonNode rowan = requests.gear("Rowan");
        requests.put("/api/gear/" + rowan.get("id") + "?as=other-part", withMoreGain(rowan));
        assertEquals(before, gain(setup(1)));
        JsonNode now = requests.setup("Mast panel");
        assertEquals(2, now.get("revision").asInt());
        assertEquals(2, now.get("revisions").size());
        assertEquals(0, now.get("measured").asInt());
        assertTrue(now.at("/revisions/0/measured").asInt() > 0);
        assertTrue(gain(now) > before);
        assertEquals(
                404,
                requests.read("/api/setups/" + now.at("/setup/id") + "?revision=3")
                        .status());

        ObjectNode again = given(requests.gear("Rowan"));
        ((ObjectNode) again.at("/sheet/ranges/0")).put("fromDbi", 12).put("toDbi", 12);
        assertEquals(
                200,
                requests.put("/api/gear/" + rowan.get("id"), again).status(),
                "nothing was measured with the new part yet");
        assertEquals(before, gain(setup(1)));
    }

    @Test
    void renaming_an_antenna_changes_nothing_else() throws Exception {
        JsonNode before = requests.setup("Mast panel");
        ObjectNode plan = before.get("plan").deepCopy();
        ObjectNode wiring = plan.putObject("wiring");
        before.get("wiring").forEach(w -> wiring.set(w.get("key").asText(), w.get("port")));
        int id = before.at("/setup/id").asInt();
        assertEquals(200, requests.put("/api/setups/" + id, plan).status());
        JsonNode stated = requests.setup("Mast panel");

        JsonNode rowan = requests.gear("Rowan");
        ObjectNode renamed = given(rowan);
        renamed.put("name", "Old panel");
        assertEquals(200, requests.put("/api/gear/" + rowan.get("id"), renamed).status());
        JsonNode after = requests.setup("Mast panel");
        assertEquals(stated.get("plan"), after.get("plan"));
        assertEquals(stated.get("revision"), after.get("revision"));
        assertEquals(
                stated.get("wiring").toString().replace("Rowan", "Old panel"),
                after.get("wiring").toString());
        assertEquals(0, after.get("leadsOver").size());
    }
}
