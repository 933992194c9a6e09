package syntoma.app.measurement;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.delete;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.Callable;
import java.util.concurrent.CyclicBarrier;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;
import syntoma.app.ApiTest;
import syntoma.app.Requests;
import syntoma.app.Requests.Answer;

/** Two at the same time: one outcome, the other is served or told; nothing is there twice, empty or parted. */
@ApiTest
class RacesTest {
    private static final int ROUNDS = 20;

    @Autowired
    private MockMvc mvc;

    private Requests requests;
    private final ExecutorService two = Executors.newFixedThreadPool(2);

    /** What the tests before this one have left, by address. */
    private final Map<String, Integer> left = new HashMap<>();

    @BeforeEach
    void open() throws Exception {
        requests = new Requests(mvc);
        for (String address : List.of("/api/campsites", "/api/setups", "/api/stays", "/api/measurements")) {
            left.put(address, requests.read(address).json().size());
        }
    }

    /** How many there are beside what was left. */
    private int own(String address) throws Exception {
        return requests.read(address).json().size() - left.get(address);
    }

    @AfterEach
    void close() {
        two.shutdownNow();
    }

    private List<Answer> race(Callable<Answer> one, Callable<Answer> other) throws Exception {
        CyclicBarrier start = new CyclicBarrier(2);
        List<Future<Answer>> both = new ArrayList<>();
        for (Callable<Answer> runner : List.of(one, other)) {
            both.add(two.submit(() -> {
                start.await();
                return runner.call();
            }));
        }
        List<Answer> answers = List.of(both.get(0).get(), both.get(1).get());
        answers.forEach(a -> assertTrue(a.status() < 300 || a.status() == 409 || a.status() == 404, a.text()));
        return answers;
    }

    private static Map<String, Object> reading(int day, String minute, String campsite, String setup) {
        return Map.of(
                "takenAt",
                time(day, minute, campsite),
                "campsite",
                campsite,
                "setup",
                setup,
                "rsrpDbm",
                "-90",
                "outcome",
                "ok");
    }

    /** Each test has its own campsites and by them its own year, so that none parts the stays of another. */
    private static String time(int day, String minute, String campsite) {
        return "%d-08-%02dT10:%s:00+03:00".formatted(2000 + campsite.charAt(0) % 32, day, minute);
    }

    private static String row(int day, String minute, String campsite, String setup) {
        return "taken_at,campsite,setup,rsrp_dbm,outcome\n%s,%s,%s,-90,ok\n"
                .formatted(time(day, minute, campsite), campsite, setup);
    }

    private long count(String address) throws Exception {
        JsonNode list = requests.read(address).json();
        Set<String> names = new HashSet<>();
        list.forEach(item -> names.add(item.get("name").asText()));
        assertEquals(list.size(), names.size(), address + " has a name twice");
        return own(address);
    }

    @Test
    void the_same_new_names_logged_twice_are_made_once() throws Exception {
        for (int i = 1; i <= ROUNDS; i++) {
            int day = i;
            race(
                    () -> requests.send("/api/measurements", reading(day, "00", "Camp " + day, "Setup " + day)),
                    () -> requests.send("/api/measurements", reading(day, "05", "Camp " + day, "Setup " + day)));
            assertEquals(i, count("/api/campsites"));
            assertEquals(i, count("/api/setups"));
            assertEquals(i, own("/api/stays"));
        }
    }

    @Test
    void the_same_measurement_logged_and_imported_is_there_once() throws Exception {
        for (int i = 1; i <= ROUNDS; i++) {
            int day = i;
            race(
                    () -> requests.send("/api/measurements", reading(day, "00", "Bog Boardwalk", "Whips " + day)),
                    () -> requests.importCsv(row(day, "00", "Bog Boardwalk", "Whips " + day)));
        }
        assertEquals(ROUNDS, own("/api/measurements"));
    }

    private static String undo(Answer change) {
        return "/api/changes/" + change.json().get("change").asLong() + "/undo";
    }

    @Test
    void deleted_imported_and_put_back_it_is_there_once() throws Exception {
        for (int i = 1; i <= ROUNDS; i++) {
            int day = i;
            long id = requests.send("/api/measurements", reading(day, "00", "Amber Spit", "Dome"))
                    .json()
                    .get("id")
                    .asLong();
            Answer gone = requests.ask(delete("/api/measurements/" + id));
            assertEquals(200, gone.status());
            race(() -> requests.ask(post(undo(gone))), () -> requests.importCsv(row(day, "00", "Amber Spit", "Dome")));
            assertEquals(i, own("/api/measurements"));
            for (JsonNode stay : requests.read("/api/stays").json()) {
                assertTrue(
                        !stay.get("campsite").asText().equals("Amber Spit")
                                || stay.get("measurements").asInt() > 0,
                        "an empty stay");
            }
        }
    }

    @Test
    void deleted_twice_or_put_back_twice_only_one_does_it() throws Exception {
        for (int i = 1; i <= ROUNDS; i++) {
            long id = requests.send("/api/measurements", reading(i, "00", "Sawmill Yard", "Dome"))
                    .json()
                    .get("id")
                    .asLong();
            Callable<Answer> away = () -> requests.ask(delete("/api/measurements/" + id));
            List<Answer> both = race(away, away);
            assertEquals(
                    Set.of(200, 404),
                    new HashSet<>(both.stream().map(Answer::status).toList()));
            Answer gone =
                    both.stream().filter(a -> a.status() == 200).findFirst().orElseThrow();
            Callable<Answer> back = () -> requests.ask(post(undo(gone)));
            race(back, back);
            assertEquals(i, own("/api/measurements"));
        }
    }

    @Test
    void two_arrivals_leave_one_stay_open() throws Exception {
        for (int i = 1; i <= ROUNDS; i++) {
            String here = "Harbour Crane " + i;
            Callable<Answer> arrive = () -> requests.put("/api/standing", Map.of("campsite", here));
            race(arrive, arrive);
            int open = 0;
            for (JsonNode stay : requests.read("/api/stays").json()) {
                open += stay.get("leftAt").isNull() ? 1 : 0;
            }
            assertEquals(1, open);
            assertEquals(i, own("/api/stays"));
        }
    }

    @Test
    void two_imports_of_one_file_keep_it_once() throws Exception {
        for (int i = 1; i <= ROUNDS; i++) {
            String file = row(i, "00", "Quarry Lake " + i % 3, "Dome " + i);
            race(() -> requests.importCsv(file), () -> requests.importCsv(file));
            assertEquals(i, own("/api/measurements"));
        }
        assertEquals(3, count("/api/campsites"));
    }

    @Test
    void of_two_who_change_the_same_gear_the_second_is_told_what_the_first_did() throws Exception {
        Map<String, Object> gear = Map.of("kind", "antenna", "name", "Alder", "state", "owned", "sheet", Map.of());
        long id = requests.send("/api/gear", gear).json().get("id").asLong();
        for (int version = 0; version < ROUNDS; version++) {
            String address = "/api/gear/" + id + "?version=" + version;
            int price = 100 + version;
            List<Answer> answers = race(
                    () -> requests.put(address, Map.of("kind", "antenna", "name", "Alder", "price", price + 1000)),
                    () -> requests.put(address, Map.of("kind", "antenna", "name", "Alder", "price", price + 2000)));
            assertEquals(
                    Set.of(200, 409),
                    new HashSet<>(answers.stream().map(Answer::status).toList()));
            JsonNode told = answers.stream()
                    .filter(a -> a.status() == 409)
                    .findFirst()
                    .orElseThrow()
                    .json();
            assertEquals(version + 1, told.get("version").asInt());
            assertTrue(told.get("changes").toString().contains("\"field\":\"price\""), told.toString());
        }
    }

    @Test
    void setups_needs_and_chains_of_one_name_are_made_once() throws Exception {
        for (int i = 1; i <= ROUNDS; i++) {
            String name = "Booster " + i;
            Callable<Answer> setup = () -> requests.send("/api/setups", Map.of("name", name));
            assertEquals(
                    Set.of(201, 409),
                    new HashSet<>(
                            race(setup, setup).stream().map(Answer::status).toList()));
            Map<String, Object> need = Map.of(
                    "chosen", true, "name", "Radio " + i, "downMbps", 2, "partOfDay", "evenings", "hoursADay", 1);
            Callable<Answer> put = () -> requests.put("/api/needs", need);
            race(put, put);
            race(() -> requests.send("/api/trials", plan(name)), () -> requests.send("/api/trials", plan(name)));
        }
        JsonNode needs = requests.read("/api/needs").json().get("needs");
        Set<String> names = new HashSet<>();
        needs.forEach(n -> assertTrue(names.add(n.get("name").asText())));
    }

    private static Map<String, Object> plan(String name) {
        return Map.of("campsite", "nowhere", "name", name, "plannedRounds", 5);
    }

    @Test
    void fifty_imports_of_one_file_at_once_keep_it_once() throws Exception {
        String file = row(1, "00", "Tidal Flat", "Dome")
                + row(1, "05", "Tidal Flat", "Dome").lines().skip(1).findFirst().orElseThrow();
        ExecutorService fifty = Executors.newFixedThreadPool(50);
        try {
            List<Future<Answer>> all = new ArrayList<>();
            for (int i = 0; i < 50; i++) {
                all.add(fifty.submit(() -> requests.importCsv(file)));
            }
            int accepted = 0;
            for (Future<Answer> one : all) {
                Answer answer = one.get();
                assertTrue(answer.status() == 200 || answer.status() == 409, answer.text());
                accepted +=
                        answer.status() == 200 ? answer.json().get("accepted").asInt() : 0;
            }
            assertEquals(2, accepted);
            assertEquals(2, own("/api/measurements"));
        } finally {
            fifty.shutdownNow();
        }
    }
}
