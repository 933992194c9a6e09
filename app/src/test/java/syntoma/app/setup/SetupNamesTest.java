package syntoma.app.setup;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.delete;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.context.TestPropertySource;
import org.springframework.test.web.servlet.MockMvc;
import syntoma.app.ApiTest;
import syntoma.app.Requests;

/** Setups get another name, are retired, and are deleted while nothing was measured with them. */
@ApiTest(eachAnew = true)
@TestPropertySource(properties = "syntoma.demo=true")
class SetupNamesTest {
    @Autowired
    private MockMvc mvc;

    private Requests requests;

    @BeforeEach
    void open() {
        requests = new Requests(mvc);
    }

    private int id(String name) throws Exception {
        return requests.setup(name).at("/setup/id").asInt();
    }

    private JsonNode imported(String csv) throws Exception {
        return requests.ask(
                        post("/api/measurements/import").contentType("text/csv").content(csv))
                .json();
    }

    @Test
    void a_renamed_setup_keeps_its_measurements_and_files_from_before_add_nothing() throws Exception {
        String before = requests.read("/api/measurements.csv").text();
        int panel = id("Mast panel");
        long measured = requests.setup("Mast panel").get("measured").asLong();
        assertEquals(
                200,
                requests.put("/api/names/setup/" + panel, Map.of("name", "Panel on a mast"))
                        .status());
        assertEquals(measured, requests.setup("Panel on a mast").get("measured").asLong());
        String after = requests.read("/api/measurements.csv").text();
        assertTrue(after.contains(",Panel on a mast,"));
        assertFalse(after.contains(",Mast panel,"));
        for (String file : new String[] {before, after}) {
            JsonNode answer = imported(file);
            assertEquals(0, answer.get("accepted").asInt());
            assertEquals(0, answer.at("/created/setups").size());
        }
        // once more, and back to the first name
        assertEquals(
                200,
                requests.put("/api/names/setup/" + panel, Map.of("name", "Panel"))
                        .status());
        assertEquals(0, imported(after).get("accepted").asInt());
        assertEquals(
                200,
                requests.put("/api/names/setup/" + panel, Map.of("name", "Mast panel"))
                        .status());
        assertEquals(0, imported(before).get("accepted").asInt());
        assertEquals(
                before.length(), requests.read("/api/measurements.csv").text().length());
    }

    @Test
    void a_name_that_another_has_or_had_is_refused() throws Exception {
        int panel = id("Mast panel");
        Requests.Answer taken = requests.put("/api/names/setup/" + panel, Map.of("name", "Roof dome"));
        assertEquals(409, taken.status());
        assertTrue(taken.text().contains("which another setup has"), taken.text());
        requests.put("/api/names/setup/" + panel, Map.of("name", "Panel"));
        Requests.Answer had = requests.put("/api/names/setup/" + id("Roof dome"), Map.of("name", "Mast panel"));
        assertEquals(409, had.status());
        assertTrue(had.text().contains("which leads to Panel"), had.text());
        assertEquals(
                409, requests.send("/api/setups", Map.of("name", "Mast panel")).status());
        assertEquals(
                400,
                requests.put("/api/names/setup/" + panel, Map.of("name", " ")).status());
        assertEquals(
                404, requests.put("/api/names/setup/99999", Map.of("name", "x")).status());
    }

    @Test
    void a_measured_setup_is_retired_and_an_unmeasured_one_can_be_deleted() throws Exception {
        int panel = id("Mast panel");
        Requests.Answer refused = requests.ask(delete("/api/setups/" + panel));
        assertEquals(409, refused.status());
        assertTrue(refused.text().contains("retire it"), refused.text());
        JsonNode retired = requests.put("/api/setups/" + panel + "/retired", Map.of("retired", true))
                .json();
        assertTrue(retired.get("retired").asBoolean());
        int fresh = requests.send("/api/setups", Map.of("name", "Fresh"))
                .json()
                .get("id")
                .asInt();
        JsonNode plan = requests.setup("Roof dome").get("plan");
        assertEquals(200, requests.put("/api/setups/" + fresh, plan).status());
        requests.put("/api/standing", Map.of("setup", "Fresh"));
        assertEquals(204, requests.ask(delete("/api/setups/" + fresh)).status());
        assertEquals(404, requests.read("/api/setups/" + fresh).status());
        assertTrue(requests.read("/api/standing").json().get("setup").isNull());
        assertEquals(404, requests.ask(delete("/api/setups/" + fresh)).status());
    }
}
