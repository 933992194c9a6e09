package syntoma.app.walk;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.delete;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.put;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.MediaType;
import org.springframework.test.web.servlet.MockMvc;
import syntoma.app.ApiTest;
import syntoma.app.Requests;
import syntoma.app.instrument.MadeUpRouter;

/** A walk is marked, taken back, ended, and said. */
@ApiTest
class WalkTest {
    @Autowired
    private MockMvc mvc;

    private Requests requests;
    private MadeUpRouter router;
    private volatile double rsrpDbm;

    @BeforeEach
    void connect() throws Exception {
        requests = new Requests(mvc);
        router = new MadeUpRouter(request -> MadeUpRouter.json("{\"rsrp\":" + rsrpDbm + ",\"band\":\"B20\"}"));
        hear(-90);
        ask(
                "PUT",
                "/api/measure/router",
                "{\"kind\":\"http-json\",\"address\":\"http://127.0.0.1:" + router.port()
                        + "\",\"path\":\"/\",\"mapping\":{\"primary.rsrpDbm\":\"/rsrp\",\"primary.band\":\"/band\"}}");
    }

    @AfterEach
    void part() throws Exception {
        ask("PUT", "/api/measure/router", "{}");
        router.close();
    }

    private Requests.Answer ask(String method, String path, String body) throws Exception {
        var call = method.equals("PUT") ? put(path) : method.equals("DELETE") ? delete(path) : post(path);
        return requests.ask(call.contentType(MediaType.APPLICATION_JSON).content(body));
    }

    private void hear(double level) {
        rsrpDbm = level;
    }

    /** Marks as soon as nothing but the level of now is in the last three seconds. */
    private JsonNode mark(long walk, String place, double level) throws Exception {
        hear(level);
        for (int i = 0; i < 100; i++) {
            JsonNode levels = requests.read("/api/live/now").json().get("levels");
            if (!levels.isEmpty() && levels.get(0).at("/ladder/value").asDouble() == level) {
                break;
            }
            Thread.sleep(50);
        }
        Requests.Answer marked = ask("POST", "/api/walks/" + walk + "/marks", "{\"place\":\"" + place + "\"}");
        assertEquals(201, marked.status(), marked.text());
        return marked.json();
    }

    @Test
    void a_place_is_marked_under_its_word_and_the_walk_is_judged_at_its_end() throws Exception {
        JsonNode walk = ask("POST", "/api/walks", "").json();
        long id = walk.get("id").asLong();
        assertEquals("dBm", walk.get("unit").asText());
        Requests.Answer second = ask("POST", "/api/walks", "");
        assertEquals(409, second.status());
        assertTrue(second.text().contains("a walk is already under way"), second.text());
        mark(id, "Window left", -90);
        JsonNode marked = mark(id, "shelf", -99);
        assertEquals(List.of("Window left", "shelf"), names(marked));
        assertTrue(marked.get("headline").isNull(), "nothing is judged while it goes on");
        JsonNode one = marked.at("/places/1/marks/0");
        assertEquals("B20", one.get("band").asText());
        assertEquals(-99, one.get("value").asDouble());
        String there = "/api/walks/" + id + "/marks/" + one.get("id").asLong();
        assertEquals(List.of("Window left"), names(ask("DELETE", there, "").json()));
        assertEquals(
                List.of("Window left", "shelf"),
                names(ask("POST", there + "/restore", "").json()));
        JsonNode again = ask("POST", "/api/walks/" + id + "/marks", "{\"place\":\"WINDOW LEFT\",\"agoS\":1}")
                .json();
        assertEquals(2, again.at("/places/0/marks").size(), "a word is the same in other letters: " + again);
        assertEquals(
                1,
                requests.read("/api/walks/" + id + "?metric=sinr")
                                .json()
                                .get("lacking")
                                .asInt()
                        - 2);

        JsonNode ended = ask("POST", "/api/walks/" + id + "/end", "").json();
        assertTrue(ended.get("headline").asText().endsWith("can’t be told from shelf."), ended.toString());
        JsonNode against = ended.at("/places/1/against");
        assertEquals("too-few", against.get("verdict").asText());
        assertTrue(against.get("low").isNull());
        assertEquals(
                409,
                ask("POST", "/api/walks/" + id + "/marks", "{\"place\":\"seat\"}")
                        .status());
        assertEquals(id, requests.read("/api/walks").json().get(0).get("id").asLong());
    }

    @Test
    void what_cannot_be_marked_is_said() throws Exception {
        long id = ask("POST", "/api/walks", "").json().get("id").asLong();
        String marks = "/api/walks/" + id + "/marks";
        Requests.Answer nameless = ask("POST", marks, "{\"place\":\" \"}");
        assertEquals(400, nameless.status());
        assertTrue(nameless.text().contains("place is missing"), nameless.text());
        Requests.Answer longAgo = ask("POST", marks, "{\"place\":\"seat\",\"agoS\":301}");
        assertTrue(longAgo.text().contains("agoS is 301 s; allowed is 0 to 300 s"), longAgo.text());
        Requests.Answer unheard = ask("POST", marks, "{\"place\":\"seat\",\"agoS\":299}");
        assertEquals(409, unheard.status());
        assertTrue(unheard.text().contains("no level now"), unheard.text());
        Requests.Answer metric = requests.ask(get("/api/walks/" + id + "?metric=bars"));
        assertTrue(metric.text().contains("metric is “bars”; allowed is rsrp, sinr"), metric.text());
        assertEquals(404, requests.ask(get("/api/walks/999999")).status());
        assertEquals(
                "Nothing was marked.",
                ask("POST", "/api/walks/" + id + "/end", "")
                        .json()
                        .get("headline")
                        .asText());
    }

    private static List<String> names(JsonNode walk) {
        List<String> names = new ArrayList<>();
        walk.get("places").forEach(place -> names.add(place.get("name").asText()));
        return names;
    }
}
