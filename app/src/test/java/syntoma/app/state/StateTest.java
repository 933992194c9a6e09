package syntoma.app.state;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.HttpMethod;
import org.springframework.http.MediaType;
import org.springframework.test.context.TestPropertySource;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.request.MockMvcRequestBuilders;
import syntoma.app.ApiTest;
import syntoma.app.Requests;

/** The demo's vehicle, where the mast panel is up: left, driven, and arrived with. */
@ApiTest
@TestPropertySource(properties = "syntoma.demo=true")
class StateTest {
    @Autowired
    private MockMvc mvc;

    private Requests requests;

    @BeforeEach
    void arriveAndPutTheMastUp() throws Exception {
        requests = new Requests(mvc);
        arrive("Quarry Lake");
        requests.put("/api/standing", Map.of("setup", "Mast panel", "carrier", "Tarnwave"));
    }

    private void arrive(String campsite) throws Exception {
        Requests.Answer answer = requests.send(
                "/api/arrival",
                Map.of("campsite", campsite, "surroundings", List.of(), "phones", List.of(), "again", true));
        assertEquals(200, answer.status(), answer.text());
    }

    private JsonNode read(String path) throws Exception {
        Requests.Answer answer = requests.read(path);
        assertEquals(200, answer.status(), answer.text());
        return answer.json();
    }

    private Requests.Answer send(HttpMethod method, String path, String body) throws Exception {
        return requests.ask(MockMvcRequestBuilders.request(method, path)
                .contentType(MediaType.APPLICATION_JSON)
                .content(body));
    }

    private JsonNode tick(String step, boolean done) throws Exception {
        Requests.Answer answer =
                send(HttpMethod.PUT, "/api/leave", "{\"step\":\"" + step + "\",\"done\":" + done + "}");
        assertEquals(200, answer.status(), answer.text());
        return answer.json();
    }

    private double raised(String antenna) throws Exception {
        for (JsonNode a : read("/api/state").get("antennas")) {
            if (a.get("name").asText().equals(antenna)) {
                return a.get("raisedM").asDouble();
            }
        }
        throw new AssertionError(antenna);
    }

    /** What hands do first in a trial that begins with a setup. */
    private List<String> moves(String setup) throws Exception {
        String other = setup.equals("Mast panel") ? "Roof dome" : "Mast panel";
        for (int seed = 1; seed < 50; seed++) {
            Requests.Answer design = requests.send(
                    "/api/trials/design",
                    Map.of(
                            "contenders",
                            List.of(
                                    Map.of("setup", setup, "carrier", "Tarnwave"),
                                    Map.of("setup", other, "carrier", "Tarnwave")),
                            "seed",
                            seed));
            JsonNode first = design.json().at("/visits/0");
            if (first.get("contender").asInt() == 0) {
                List<String> moves = new ArrayList<>();
                first.get("moves").forEach(move -> moves.add(move.get("says").asText()));
                return moves;
            }
        }
        throw new AssertionError("no seed begins with " + setup);
    }

    @Test
    void the_mast_comes_down_before_the_drive_and_is_raised_again_at_the_next_campsite() throws Exception {
        double height = raised("Rowan");
        assertTrue(height > 1, "the demo stands with its mast up");
        assertEquals(List.of(), moves("Mast panel"), "it is in use as it is");
        JsonNode leave = read("/api/leave");
        assertEquals("mast Rowan", leave.at("/steps/0/key").asText(), leave.toString());
        assertTrue(leave.get("stillUp").asText().startsWith("Rowan is still up."), leave.toString());

        Requests.Answer refused = send(HttpMethod.POST, "/api/leave", "");
        assertEquals(400, refused.status());
        assertTrue(refused.text().contains("Rowan is still up"), refused.text());

        tick("mast Rowan", true);
        assertEquals(0, raised("Rowan"));
        assertTrue(tick("mast Rowan", false).at("/steps/0/done").isBoolean());
        assertEquals(height, raised("Rowan"), "a tick that is taken back leaves it as it was");
        JsonNode all = read("/api/leave");
        for (JsonNode step : all.get("steps")) {
            all = tick(step.get("key").asText(), true);
        }
        assertEquals(
                "Nothing is left to take down: you can drive.",
                all.get("headline").asText());
        Requests.Answer left = send(HttpMethod.POST, "/api/leave", "");
        assertEquals(200, left.status(), left.text());
        assertTrue(read("/api/standing").get("over").asBoolean());
        assertFalse(send(HttpMethod.DELETE, "/api/leave", "").json().get("left").asBoolean());
        assertFalse(read("/api/standing").get("over").asBoolean(), "it has not left after all");
        send(HttpMethod.POST, "/api/leave", "");

        arrive("Otter Field");
        assertTrue(read("/api/state").get("asked").isNull(), "nothing is asked: the mast was said to be down");
        List<String> moves = moves("Mast panel");
        assertTrue(moves.get(0).startsWith("Raise Rowan to"), moves.toString());
        for (JsonNode option : read("/api/advice").get("options")) {
            assertFalse(option.get("kind").asText().equals("as-it-is"), "nothing is up as it was");
        }
    }

    @Test
    void who_arrives_without_having_left_is_asked_about_the_mast_and_nothing_counts_as_up_until_then()
            throws Exception {
        double height = raised("Rowan");
        arrive("Otter Field");
        JsonNode asked = read("/api/state").get("asked");
        assertEquals(
                "Rowan was up when you last said so. Is the mast down?",
                asked.get("says").asText());
        assertEquals(0, raised("Rowan"));
        assertTrue(moves("Mast panel").get(0).startsWith("Raise Rowan to"));
        ObjectNode plan = requests.setup("Mast panel").get("plan").deepCopy();
        plan.withArray("lockedBands").add("B20");
        assertEquals(
                200,
                requests.put(
                                "/api/setups/"
                                        + requests.setup("Mast panel")
                                                .at("/setup/id")
                                                .asLong(),
                                plan)
                        .status());
        assertEquals(0, raised("Rowan"), "that its parts were changed raises no mast");
        assertFalse(read("/api/state").get("asked").isNull(), "and answers no question");

        send(HttpMethod.POST, "/api/state/after-the-drive", "{\"down\":false}");
        assertTrue(read("/api/state").get("asked").isNull());
        assertEquals(height, raised("Rowan"), "it was up all the way");
        assertEquals(List.of(), moves("Mast panel"));
    }

    @Test
    void a_person_corrects_what_is_where_and_what_is_not_on_board_is_refused_by_its_field() throws Exception {
        Requests.Answer corrected = send(
                HttpMethod.PUT,
                "/api/state",
                "{\"antennas\":[{\"name\":\"Rowan\",\"at\":null,\"raisedM\":0},{\"name\":\"Alder\",\"at\":\"Curlew\",\"raisedM\":0}],"
                        + "\"sims\":[{\"name\":\"Tarnwave SIM\",\"device\":\"Plover\",\"active\":true}],"
                        + "\"devices\":[{\"name\":\"Curlew\",\"bands\":\"B20\"}],\"boosterOn\":\"Bittern\"}");
        assertEquals(200, corrected.status(), corrected.text());
        assertEquals("Bittern", corrected.json().get("boosterOn").asText());
        List<String> moves = moves("Mast panel");
        assertTrue(moves.contains("Take the Tarnwave SIM out of Plover and put it into Curlew."), moves.toString());
        assertTrue(moves.contains("Switch Bittern off."), moves.toString());
        assertTrue(moves.contains("Let Curlew choose its bands again."), moves.toString());
        assertTrue(
                moves.contains("Unplug the leads of Alder from Curlew, then plug the leads of Rowan into Curlew."),
                moves.toString());
        for (String body : List.of(
                "{\"antennas\":[{\"name\":\"Oak\",\"at\":null,\"raisedM\":0}]}|antennas[0].name",
                "{\"antennas\":[{\"name\":\"Rowan\",\"at\":\"Oak\",\"raisedM\":0}]}|antennas[0].at",
                "{\"antennas\":[{\"name\":\"Rowan\",\"at\":null,\"raisedM\":99}]}|antennas[0].raisedM",
                "{\"sims\":[{\"name\":\"Nobody\",\"active\":false}]}|sims[0].name",
                "{\"devices\":[{\"name\":\"Curlew\"}]}|devices[0].bands",
                "{\"boosterOn\":\"Oak\"}|boosterOn")) {
            String[] parts = body.split("\\|");
            Requests.Answer refused = send(HttpMethod.PUT, "/api/state", parts[0]);
            assertEquals(400, refused.status(), refused.text());
            assertTrue(refused.text().contains("\"" + parts[1] + "\""), refused.text());
        }
    }

    @Test
    void what_is_renamed_in_gear_is_where_it_was() throws Exception {
        double height = raised("Rowan");
        rename("Rowan", "Rowan the second");
        assertEquals(height, raised("Rowan the second"));
        assertEquals(List.of(), moves("Mast panel"));
        rename("Rowan the second", "Rowan");
    }

    private void rename(String from, String to) throws Exception {
        JsonNode item = requests.gear(from);
        Requests.Answer renamed = requests.put(
                "/api/gear/" + item.get("id").asLong(),
                Map.of(
                        "kind",
                        "antenna",
                        "name",
                        to,
                        "state",
                        "owned",
                        "price",
                        item.get("price").asText(),
                        "sheet",
                        item.get("sheet")));
        assertEquals(200, renamed.status(), renamed.text());
    }

    @Test
    void advice_that_is_followed_and_what_is_measured_change_what_is_where() throws Exception {
        assertFalse(moves("Roof dome").isEmpty());
        requests.send("/api/advice/followed", Map.of("setup", "Roof dome", "carrier", "Tarnwave"));
        assertEquals(List.of(), moves("Roof dome"));
        assertFalse(moves("Mast panel").isEmpty());
        String now = read("/api/standing").get("now").asText();
        requests.send(
                "/api/measurements",
                Map.of(
                        "takenAt", now,
                        "campsite", read("/api/standing").get("campsite").asText(),
                        "setup", "Mast panel",
                        "carrier", "Tarnwave",
                        "outcome", "ok",
                        "upMbps", "5"));
        assertEquals(List.of(), moves("Mast panel"), "who measures with it has it up");
    }
}
