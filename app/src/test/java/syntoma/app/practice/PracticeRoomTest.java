package syntoma.app.practice;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;
import syntoma.app.ApiTest;
import syntoma.app.Requests;

@ApiTest
class PracticeRoomTest {
    @Autowired
    private MockMvc mvc;

    private Requests requests;

    @BeforeEach
    void open() {
        requests = new Requests(mvc);
    }

    @Test
    void the_truth_is_told_after_the_verdict_and_the_score_counts_it() throws Exception {
        JsonNode begun = requests.send("/api/practice", Map.of()).json();
        long id = begun.get("id").asLong();
        assertTrue(begun.get("truth").isNull() && begun.get("made").isNull(), begun.toString());
        assertEquals(
                id, requests.send("/api/practice", Map.of()).json().get("id").asLong(), "one at a time");
        String path = "/api/practice/" + id;
        assertEquals(
                409, requests.send(path + "/verdict", Map.of("said", "better")).status());
        assertTrue(requests.send(path + "/effort", Map.of("rounds", 5, "runs", 2))
                        .json()
                        .get("minutes")
                        .asDouble()
                > 10);
        Requests.Answer few = requests.send(path + "/trial", Map.of("rounds", 2, "runs", 1));
        assertEquals("rounds", few.json().at("/errors/0/field").asText(), few.text());
        JsonNode made =
                requests.send(path + "/trial", Map.of("rounds", 5, "runs", 2)).json();
        assertEquals(5, made.at("/made/byRound").size());
        assertTrue(made.get("truth").isNull(), "not before the verdict");
        assertTrue(!made.toString().contains("lesson"), made.toString());
        assertEquals(
                "said",
                requests.send(path + "/verdict", Map.of("said", "maybe"))
                        .json()
                        .at("/errors/0/field")
                        .asText());
        JsonNode truth = requests.send(path + "/verdict", Map.of("said", "cannot_tell"))
                .json()
                .get("truth");
        assertTrue(
                truth.get("truth").asDouble() > 0.2
                        && truth.get("lesson").asText().length() > 20,
                truth.toString());
        assertEquals(4, truth.get("otherwise").size());
        assertTrue(
                !truth.get("right").asBoolean() && !truth.get("claimedTooMuch").asBoolean());
        assertEquals(truth, requests.read(path).json().get("truth"), "the same for whoever looks again");
        assertEquals(
                409, requests.send(path + "/verdict", Map.of("said", "better")).status());
        JsonNode score = requests.read("/api/practice").json();
        assertEquals(1, score.get("given").asInt());
        assertEquals(1, score.get("heldBack").asInt());
        assertEquals(404, requests.read("/api/practice/99").status());
    }
}
