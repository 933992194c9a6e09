package syntoma.app.advice;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.time.OffsetDateTime;
import java.util.HashMap;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.context.TestPropertySource;
import org.springframework.test.web.servlet.MockMvc;
import syntoma.app.ApiTest;
import syntoma.app.Requests;

/** Advice on the demo: ranked options, followed, compared with what comes. */
@ApiTest
@TestPropertySource(properties = "syntoma.demo=true")
class AdviceTest {
    @Autowired
    private MockMvc mvc;

    private Requests requests;

    @BeforeEach
    void open() {
        requests = new Requests(mvc);
    }

    private JsonNode advice() throws Exception {
        Requests.Answer answer = requests.read("/api/advice");
        assertEquals(200, answer.status(), answer.text());
        return answer.json();
    }

    private static JsonNode ofKind(JsonNode advice, String kind) {
        for (JsonNode option : advice.get("options")) {
            if (option.get("kind").asText().equals(kind)) {
                return option;
            }
        }
        throw new AssertionError(kind + " is not among " + advice);
    }

    @Test
    void options_are_ranked_with_doing_nothing_and_moving_on_among_them() throws Exception {
        JsonNode advice = advice();
        assertEquals("Video calls and HD film", advice.get("need").asText());
        assertTrue(
                advice.get("headline").asText().contains("should meet"),
                advice.get("headline").asText());
        JsonNode now = ofKind(advice, "as-it-is");
        assertEquals("Mast panel", now.at("/setup/name").asText());
        assertEquals(0, now.get("minutes").asDouble());
        assertTrue(now.at("/here/runs").asInt() >= 5);
        JsonNode moving = ofKind(advice, "move-on");
        assertTrue(moving.get("setup").isNull());
        double best = advice.at("/options/0/chance").asDouble();
        for (JsonNode option : advice.get("options")) {
            assertTrue(option.get("chance").asDouble() <= best + 0.051, option.toString());
            assertTrue(
                    option.at("/up/low").asDouble() <= option.at("/up/middle").asDouble());
            assertTrue(option.get("reason").asText().endsWith("."), option.toString());
        }
    }

    /** What is chosen is needed at any time, so that what is expected does not hang on the hour of the test. */
    private void neededAtAnyTime() throws Exception {
        needed("any time");
    }

    private void needed(String partOfDay) throws Exception {
        for (JsonNode need : requests.read("/api/needs").json().get("needs")) {
            if (need.get("chosen").asBoolean()) {
                ObjectNode own = need.deepCopy();
                own.put("partOfDay", partOfDay);
                own.remove("version");
                Requests.Answer put = requests.put("/api/needs", own);
                assertEquals(200, put.status(), put.text());
            }
        }
    }

    @Test
    void a_need_of_other_hours_is_told_now_and_then() throws Exception {
        int hour = OffsetDateTime.parse(
                        requests.read("/api/standing").json().get("now").asText())
                .getHour();
        needed(hour < 6 || hour >= 23 ? "evenings" : "nights");
        JsonNode times = ofKind(advice(), "as-it-is").get("times");
        assertEquals(2, times.size(), times.toString());
        assertTrue(times.get(0).get("what").asText().endsWith(" now"), times.toString());
        neededAtAnyTime();
        assertEquals(0, ofKind(advice(), "as-it-is").get("times").size());
    }

    @Test
    void what_is_followed_stands_on_the_line_and_is_held_against_what_is_measured_then() throws Exception {
        neededAtAnyTime();
        JsonNode first = advice().at("/options/0");
        String setup = first.at("/setup/name").asText();
        String carrier = first.get("carrier").asText();
        Requests.Answer followed = requests.send("/api/advice/followed", Map.of("setup", setup, "carrier", carrier));
        assertEquals(200, followed.status(), followed.text());
        JsonNode line = requests.read("/api/standing").json();
        assertEquals(setup, line.at("/setup/name").asText());
        assertEquals(carrier, line.get("carrier").asText());
        assertEquals(0, followed.json().at("/record/followed").asInt());
        Map<String, String> run = new HashMap<>(Map.of(
                "takenAt",
                OffsetDateTime.parse(line.get("now").asText()).plusSeconds(2).toString(),
                "campsite",
                line.get("campsite").asText(),
                "setup",
                setup,
                "carrier",
                carrier,
                "rat",
                "LTE",
                "outcome",
                "ok"));
        run.putAll(Map.of("downMbps", "40", "upMbps", "9", "upLoadedMs", "120", "downLoadedMs", "110"));
        assertEquals(201, requests.send("/api/measurements", run).status());
        JsonNode after = advice();
        assertEquals(1, after.at("/record/followed").asInt());
        assertEquals(1, after.at("/record/came").asDouble());
        assertTrue(after.at("/record/offBy").asDouble() >= 1);
        assertTrue(after.at("/record/sentence").asText().startsWith("1 time it was followed"));
    }

    @Test
    void what_is_no_option_is_named() throws Exception {
        Requests.Answer setup = requests.send("/api/advice/followed", Map.of("setup", "Kite", "carrier", "Ostrel"));
        assertEquals(400, setup.status());
        assertEquals("setup", setup.json().at("/errors/0/field").asText());
        Requests.Answer carrier =
                requests.send("/api/advice/followed", Map.of("setup", "Mast panel", "carrier", "Nobody"));
        assertEquals("carrier", carrier.json().at("/errors/0/field").asText());
        assertEquals(
                404,
                requests.send("/api/advice/followed/999/outcome", Map.of("met", true))
                        .status());
        assertFalse(requests.send("/api/advice/followed/999/outcome", Map.of()).status() >= 500);
    }
}
