package syntoma.app.measurement;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;

import com.fasterxml.jackson.databind.ObjectMapper;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.MediaType;
import org.springframework.test.web.servlet.MockMvc;
import syntoma.app.ApiTest;
import syntoma.app.Requests;

/** What a device sends again because it heard nothing is stored once. */
@ApiTest
class DeliveryTest {
    private static final ObjectMapper JSON = new ObjectMapper();

    @Autowired
    private MockMvc mvc;

    private Requests requests;

    @BeforeEach
    void open() {
        requests = new Requests(mvc);
    }

    private Requests.Answer deliver(String key, Map<String, String> measurement) throws Exception {
        return requests.ask(post("/api/measurements")
                .header("Idempotency-Key", key)
                .contentType(MediaType.APPLICATION_JSON)
                .content(JSON.writeValueAsString(measurement)));
    }

    private static Map<String, String> measurement(int minute) {
        Map<String, String> typed = new HashMap<>();
        typed.put("takenAt", "2026-08-14T18:%02d:00+03:00".formatted(minute));
        typed.put("campsite", "Quarry Lake");
        typed.put("setup", "Dome");
        typed.put("outcome", "ok");
        typed.put("rsrpDbm", "-90.5");
        return typed;
    }

    private long stored() throws Exception {
        return requests.read("/api/measurements.csv").text().lines().count() - 1;
    }

    @Test
    void the_same_key_is_answered_as_at_first_and_stored_once() throws Exception {
        long before = stored();
        Requests.Answer first = deliver("a-key-of-a-phone-1", measurement(1));
        assertEquals(201, first.status(), first.text());
        assertEquals(first, deliver("a-key-of-a-phone-1", measurement(1)));
        assertEquals(before + 1, stored());
        requests.ask(org.springframework.test.web.servlet.request.MockMvcRequestBuilders.delete(
                "/api/measurements/" + first.json().get("id").asLong()));
        assertEquals(
                first.json().get("id"),
                deliver("a-key-of-a-phone-1", measurement(1)).json().get("id"));
        assertEquals(before, stored(), "what was deleted meanwhile stays deleted");
    }

    @Test
    void a_key_is_for_one_measurement() throws Exception {
        assertEquals(201, deliver("a-key-of-a-phone-2", measurement(2)).status());
        Requests.Answer other = deliver("a-key-of-a-phone-2", measurement(3));
        assertEquals(409, other.status());
        assertTrue(other.text().contains("Idempotency-Key"), other.text());
        for (String wrong : List.of("short", "x".repeat(65), "with blanks in it", "ünglaublich")) {
            assertEquals(400, deliver(wrong, measurement(4)).status(), wrong);
        }
    }

    @Test
    void a_refused_one_may_be_mended_and_sent_under_its_key() throws Exception {
        Map<String, String> wrong = measurement(5);
        wrong.put("rsrpDbm", "-9999");
        assertEquals(400, deliver("a-key-of-a-phone-3", wrong).status());
        assertEquals(201, deliver("a-key-of-a-phone-3", measurement(5)).status());
    }

    @Test
    void sent_eight_times_at_once_it_is_stored_once() throws Exception {
        long before = stored();
        ExecutorService devices = Executors.newFixedThreadPool(8);
        try {
            List<Callable<Requests.Answer>> sending = new ArrayList<>();
            for (int i = 0; i < 8; i++) {
                sending.add(() -> deliver("a-key-of-a-phone-4", measurement(6)));
            }
            Set<Requests.Answer> answers = new HashSet<>();
            for (Future<Requests.Answer> answer : devices.invokeAll(sending)) {
                answers.add(answer.get());
            }
            assertEquals(1, answers.size(), answers.toString());
        } finally {
            devices.shutdownNow();
        }
        assertEquals(before + 1, stored());
    }

    @Test
    void two_devices_that_measure_the_same_run_are_told_and_both_are_kept() throws Exception {
        long before = stored();
        Map<String, String> mine = measurement(10);
        mine.put("trial", "Evening");
        mine.put("round", "3");
        assertEquals(
                0, deliver("the-desk-measured-1", mine).json().get("beside").size());
        Map<String, String> yours = new HashMap<>(mine);
        yours.put("takenAt", "2026-08-14T18:11:00+03:00");
        yours.put("rsrpDbm", "-91");
        Requests.Answer answer = deliver("a-phone-measured-1", yours);
        assertEquals(1, answer.json().get("beside").size());
        String other = answer.json().at("/beside/0/sentence").asText();
        assertTrue(other.contains("Dome") && other.contains(": RSRP −") && other.contains(" dBm"), other);
        assertEquals(answer, deliver("a-phone-measured-1", yours));
        assertEquals(before + 2, stored());
    }

    @Test
    void the_revision_grows_with_each_change_and_not_with_what_is_read() throws Exception {
        long first = revision();
        requests.read("/api/pitch");
        requests.send("/api/measurements/check", measurement(20));
        assertEquals(first, revision());
        assertEquals(201, deliver("a-key-of-a-phone-5", measurement(20)).status());
        assertTrue(revision() > first);
    }

    private long revision() throws Exception {
        return requests.read("/api/revision").json().get("revision").asLong();
    }
}
