package syntoma.app.trial;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.LinkedHashMap;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.MediaType;
import org.springframework.test.context.TestPropertySource;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.request.MockMvcRequestBuilders;
import syntoma.app.ApiTest;
import syntoma.app.Requests;

/** What a verdict says beside its sentence: what to do, a grid, several carriers, and one page of it all. */
@ApiTest
@TestPropertySource(properties = "syntoma.demo=true")
class VerdictPageTest {
    @Autowired
    private MockMvc mvc;

    private Requests requests;

    @BeforeEach
    void open() {
        requests = new Requests(mvc);
    }

    private void plan(String name, String contenders) throws Exception {
        Requests.Answer kept = requests.ask(MockMvcRequestBuilders.post("/api/trials/designed")
                .contentType(MediaType.APPLICATION_JSON)
                .content("{\"campsite\":\"Quarry Lake\",\"name\":\"" + name
                        + "\",\"design\":{\"difference\":3,\"contenders\":" + contenders + "}}"));
        assertEquals(201, kept.status(), kept.text());
    }

    private void log(String trial, int round, int minute, String setup, String carrier, String up) throws Exception {
        Map<String, String> body = new LinkedHashMap<>();
        body.put("takenAt", String.format("2026-08-2%dT10:%02d:00+03:00", round, minute));
        body.put("campsite", "Quarry Lake");
        body.put("setup", setup);
        body.put("carrier", carrier);
        body.put("outcome", "ok");
        body.put("upMbps", up);
        body.put("trial", trial);
        body.put("round", Integer.toString(round));
        Requests.Answer answer = requests.send("/api/measurements", body);
        assertTrue(answer.status() < 300, answer.text());
    }

    private JsonNode result(String trial) throws Exception {
        Requests.Answer answer = requests.read("/api/results/trial?campsite=Quarry Lake&trial=" + trial);
        assertEquals(200, answer.status(), answer.text());
        return answer.json();
    }

    @Test
    void carriers_of_one_setup_are_compared_within_a_round_and_with_setups_make_a_grid() throws Exception {
        plan(
                "Crossed",
                "[{\"setup\":\"Roof dome\",\"carrier\":\"Tarnwave\"},{\"setup\":\"Roof dome\",\"carrier\":\"Ostrel\"},"
                        + "{\"setup\":\"Mast panel\",\"carrier\":\"Tarnwave\"},{\"setup\":\"Mast panel\",\"carrier\":\"Ostrel\"}]");
        String[][] ups = {
            {"4", "8", "8", "7.9"}, {"5", "10.2", "10", "10"}, {"3", "6", "6.1", "5.9"}, {"4.4", "9", "8.7", "8.9"}
        };
        for (int round = 1; round <= ups.length; round++) {
            log("Crossed", round, 1, "Roof dome", "Tarnwave", ups[round - 1][0]);
            log("Crossed", round, 11, "Roof dome", "Ostrel", ups[round - 1][1]);
            log("Crossed", round, 21, "Mast panel", "Tarnwave", ups[round - 1][2]);
            log("Crossed", round, 31, "Mast panel", "Ostrel", ups[round - 1][3]);
        }
        JsonNode result = result("Crossed");
        assertEquals("Roof dome on Tarnwave", result.get("baseline").asText(), result.toString());
        JsonNode first = result.at("/contrasts/0");
        assertEquals("Roof dome on Ostrel", first.at("/candidate/name").asText());
        assertEquals(4, first.at("/effects/0/rounds").size(), "a round is one, whatever the carrier");
        assertTrue(first.get("action").asText().contains("Roof dome on Ostrel"), first.toString());
        JsonNode figure = result.at("/grid/figures/0");
        assertEquals("the carrier", result.at("/grid/across").asText());
        assertTrue(figure.get("depends").asBoolean(), "twice on the one carrier, the same on the other");
        assertTrue(figure.get("sentence").asText().contains("on Tarnwave, Rowan"), figure.toString());
    }

    @Test
    void one_page_holds_all_of_it_and_needs_nothing_else() throws Exception {
        plan(
                "A <b>page</b>",
                "[{\"setup\":\"Roof dome\",\"carrier\":\"Tarnwave\"},{\"setup\":\"Mast panel\",\"carrier\":\"Tarnwave\"}]");
        for (int round = 1; round <= 3; round++) {
            log("A <b>page</b>", round, 1, "Roof dome", "Tarnwave", "4." + round);
            log("A <b>page</b>", round, 11, "Mast panel", "Tarnwave", "8." + round);
        }
        Requests.Answer page = requests.ask(MockMvcRequestBuilders.get("/api/results/trial/page")
                .param("campsite", "Quarry Lake")
                .param("trial", "A <b>page</b>"));
        assertEquals(200, page.status());
        String html = page.text();
        assertTrue(html.startsWith("<!doctype html>"), html);
        assertTrue(html.contains("A &lt;b&gt;page&lt;/b&gt;"), "names are text: " + html);
        assertTrue(html.contains("round by round") && html.contains("<td class=\"n\">8.10</td>"), html);
        assertTrue(html.contains("class=\"do\""), "what to do stands there");
        assertFalse(html.contains("src=") || html.contains("http"), "nothing is fetched");
    }

    @Test
    void every_run_stands_there_also_without_samples() throws Exception {
        JsonNode runs = requests.read("/api/results/trial/runs?campsite=Quarry Lake&trial=Morning")
                .json();
        assertEquals(12, runs.size());
        assertEquals(0, runs.at("/0/rates").size());
        assertTrue(runs.at("/0/upMbps").asDouble() > 0, runs.toString());
    }
}
