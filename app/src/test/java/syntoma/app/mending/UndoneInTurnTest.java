package syntoma.app.mending;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.delete;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;

import com.fasterxml.jackson.databind.JsonNode;
import java.time.OffsetDateTime;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.TreeSet;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;
import syntoma.app.ApiTest;
import syntoma.app.Requests;
import syntoma.app.Requests.Answer;

/** Whatever was changed, in whatever order: undone from the last to the first, the log is what it was. */
@ApiTest(eachAnew = true)
class UndoneInTurnTest {
    private static final int STEPS = 40;
    private static final List<String> CAMPSITES = List.of("Pine Bend", "Amber Spit", "Quarry Lake", "Birch Hollow");
    private static final List<String> SETUPS = List.of("Dome", "Panel", "Whips");
    private static final List<String> CARRIERS = List.of("Tarnwave", "Ostrel", "Brissa");

    @Autowired
    private MockMvc mvc;

    private Requests requests;
    private Random random;

    /** What a change is asked by; tells by its answer whether it was made. */
    private interface Step {
        Answer ask() throws Exception;
    }

    @BeforeEach
    void open() throws Exception {
        requests = new Requests(mvc);
    }

    private <T> T any(List<T> of) {
        return of.get(random.nextInt(of.size()));
    }

    private JsonNode any(String list) throws Exception {
        JsonNode all = requests.read("/api/" + list).json();
        return all.get(random.nextInt(all.size()));
    }

    private long anyId(String list) throws Exception {
        return any(list).get("id").asLong();
    }

    private String log(int rows, OffsetDateTime from) {
        StringBuilder csv = new StringBuilder("taken_at,campsite,setup,carrier,up_mbps,rsrp_dbm,outcome,note\n");
        OffsetDateTime at = from;
        String campsite = any(CAMPSITES);
        for (int i = 0; i < rows; i++) {
            if (random.nextInt(6) == 0) {
                campsite = any(CAMPSITES);
                at = at.plusHours(40 + random.nextInt(100));
            }
            at = at.plusMinutes(5 + random.nextInt(200));
            csv.append(String.format(
                    Locale.ROOT,
                    "%s,%s,%s,%s,%.2f,%d,ok,note %d%n",
                    at,
                    campsite,
                    any(SETUPS),
                    any(CARRIERS),
                    1 + 20 * random.nextDouble(),
                    -80 - random.nextInt(40),
                    random.nextInt(5)));
        }
        return csv.toString();
    }

    /** All that a person sees of the log, names in no order; a campsite that a correction named stays known. */
    private List<String> state() throws Exception {
        List<String> state = new ArrayList<>();
        state.add(requests.read("/api/measurements.csv").text());
        for (String list : List.of("setups", "carriers")) {
            TreeSet<String> names = new TreeSet<>();
            requests.read("/api/" + list)
                    .json()
                    .forEach(item -> names.add(item.get("name").asText()));
            state.add(list + " " + names);
        }
        TreeSet<String> stays = new TreeSet<>();
        for (JsonNode stay : requests.read("/api/stays").json()) {
            stays.add(
                    stay.get("campsite").asText() + " " + stay.get("arrivedAt").asText() + " "
                            + stay.get("leftAt").asText() + " "
                            + stay.get("measurements").asText() + " "
                            + stay.get("stated").asText());
        }
        state.add(String.join("\n", stays));
        return state;
    }

    private List<Step> steps() {
        return List.of(
                () -> requests.ask(delete("/api/measurements/" + anyId("measurements"))),
                this::correct,
                () -> rename(any(List.of("campsite", "setup", "carrier"))),
                () -> merge(any(List.of("campsite", "setup", "carrier"))),
                () -> requests.put(
                        "/api/names/campsite/also?known="
                                + any("campsites").get("name").asText(),
                        Map.of("name", "Also " + random.nextInt(100))),
                this::changeStay,
                this::split,
                () -> requests.send(
                        "/api/measurements/move",
                        Map.of("measurements", List.of(anyId("measurements")), "stay", anyId("stays"))),
                () -> requests.importCsv(
                        log(8, OffsetDateTime.parse("2026-07-01T08:00:00+03:00").plusDays(random.nextInt(120)))
                                .getBytes(),
                        false));
    }

    private Answer correct() throws Exception {
        long id = anyId("measurements");
        Map<String, Object> typed = new HashMap<>();
        requests.read("/api/measurements/" + id)
                .json()
                .get("typed")
                .properties()
                .forEach(e -> typed.put(e.getKey(), e.getValue().asText()));
        typed.put("upMbps", String.valueOf(1 + random.nextInt(50)));
        typed.put("campsite", any(CAMPSITES));
        return requests.put("/api/measurements/" + id, typed);
    }

    private Answer rename(String kind) throws Exception {
        return requests.put(
                "/api/names/" + kind + "/" + anyId(kind + "s"), Map.of("name", "New name " + random.nextInt(1000)));
    }

    private Answer merge(String kind) throws Exception {
        return requests.send(
                "/api/names/" + kind + "/" + anyId(kind + "s") + "/merge", Map.of("into", anyId(kind + "s")));
    }

    private Answer changeStay() throws Exception {
        JsonNode stay = any("stays");
        OffsetDateTime arrived = OffsetDateTime.parse(stay.get("arrivedAt").asText());
        return requests.put(
                "/api/stays/" + stay.get("id").asLong(),
                Map.of(
                        "arrivedAt", arrived.minusHours(random.nextInt(9)).toString(),
                        "leftAt", arrived.plusHours(30 + random.nextInt(50)).toString()));
    }

    private Answer split() throws Exception {
        JsonNode stay = any("stays");
        OffsetDateTime arrived = OffsetDateTime.parse(stay.get("arrivedAt").asText());
        return requests.send(
                "/api/stays/" + stay.get("id").asLong() + "/split",
                Map.of("at", arrived.plusHours(1 + random.nextInt(20)).toString(), "campsite", any(CAMPSITES)));
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12})
    void the_log_is_what_it_was(long seed) throws Exception {
        random = new Random(seed);
        requests.importCsv(log(80, OffsetDateTime.parse("2026-07-01T08:00:00+03:00")));
        Deque<Long> made = new ArrayDeque<>();
        Deque<List<String>> states = new ArrayDeque<>();
        List<String> before = state();
        for (int i = 0; i < STEPS; i++) {
            int step = random.nextInt(steps().size());
            Answer answer = steps().get(step).ask();
            assertTrue(answer.status() < 500, answer.text());
            List<String> after = state();
            if (answer.status() >= 400) {
                assertEquals(before, after, "refused, and changed all the same: " + answer.text());
            }
            JsonNode change = answer.status() < 300 && !answer.text().isEmpty()
                    ? answer.json().path("change")
                    : null;
            if (change != null && change.isNumber()) {
                made.push(change.asLong());
                states.push(before);
            } else {
                assertEquals(before, after, "changed, and nothing says how to undo it: step " + step);
            }
            before = after;
        }
        assertTrue(made.size() > STEPS / 4, "hardly anything was changed");
        while (!made.isEmpty()) {
            long change = made.pop();
            Answer undone = requests.ask(post("/api/changes/" + change + "/undo"));
            assertEquals(200, undone.status(), undone.text());
            List<String> was = states.pop();
            List<String> is = state();
            for (int i = 0; i < was.size(); i++) {
                assertEquals(was.get(i), is.get(i), "after change " + change + " was undone");
            }
        }
    }
}
