package syntoma.app.measurement;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.delete;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.HashMap;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.MediaType;
import org.springframework.test.web.servlet.MockMvc;
import syntoma.app.ApiTest;
import syntoma.app.Requests;

/** One measurement, as typed. */
@ApiTest(eachAnew = true)
class MeasurementFormTest {
    @Autowired
    private MockMvc mvc;

    private Requests requests;

    @BeforeEach
    void open() {
        requests = new Requests(mvc);
    }

    private static Map<String, String> typed(String... pairs) {
        Map<String, String> typed = new HashMap<>(Map.of(
                "takenAt", "2026-08-14T18:05:00+03:00",
                "campsite", "Quarry Lake",
                "setup", "Mast panel",
                "outcome", "ok"));
        for (int i = 0; i < pairs.length; i += 2) {
            typed.put(pairs[i], pairs[i + 1]);
        }
        return typed;
    }

    @Test
    void megabytes_are_told_from_megabits() throws Exception {
        assertEquals(
                201,
                requests.send("/api/measurements", typed("downMbps", "1.5 MB/s", "upMbps", "4,1"))
                        .status());
        JsonNode stored = requests.read("/api/measurements").json().get(0);
        assertEquals(12.0, stored.get("downMbps").asDouble());
        assertEquals(4.1, stored.get("upMbps").asDouble());
    }

    @Test
    void a_channel_number_is_turned_into_its_band() throws Exception {
        requests.send("/api/measurements", typed("rat", "LTE", "arfcn", "1300", "rsrpDbm", "-97"));
        assertEquals(
                "B3", requests.read("/api/measurements").json().at("/0/band").asText());
        JsonNode open = requests.send("/api/measurements/check", typed("rat", "NR-SA", "arfcn", "640000"))
                .json();
        assertTrue(open.get("band").isNull());
        assertEquals(3600.0, open.get("downlinkMhz").asDouble());
        assertTrue(open.get("candidates").toString().contains("n77"));
    }

    @Test
    void a_check_grades_what_is_there_and_names_what_is_wrong() throws Exception {
        JsonNode check = requests.send("/api/measurements/check", typed("rsrpDbm", "-97", "sinrDb", "60"))
                .json();
        assertEquals("fair", check.at("/grades/0/grade").asText());
        assertEquals("sinrDb", check.at("/problems/0/field").asText());
        assertTrue(check.at("/problems/0/message").asText().contains("−23 to 40 dB"));
    }

    @Test
    void a_failed_run_is_kept_as_a_failed_run() throws Exception {
        requests.send("/api/measurements", typed("outcome", "failed", "downMbps", "0"));
        assertEquals(
                "failed",
                requests.read("/api/measurements").json().at("/0/outcome").asText());
        Requests.Answer zero = requests.send("/api/measurements", typed("downMbps", "0"));
        assertEquals(400, zero.status());
        assertEquals("downMbps", zero.json().at("/errors/0/field").asText());
    }

    @Test
    void what_is_deleted_can_be_put_back_and_stays_follow() throws Exception {
        int id = requests.send("/api/measurements", typed("rsrpDbm", "-97"))
                .json()
                .get("id")
                .asInt();
        assertEquals(1, requests.read("/api/stays").json().size());
        Requests.Answer gone = requests.ask(delete("/api/measurements/" + id));
        assertEquals(200, gone.status());
        assertEquals(0, requests.read("/api/stays").json().size());
        assertEquals(404, requests.ask(delete("/api/measurements/" + id)).status());
        String undo = "/api/changes/" + gone.json().get("change").asInt() + "/undo";
        assertEquals(200, requests.ask(post(undo)).status());
        assertEquals(409, requests.ask(post(undo)).status());
        assertEquals(1, requests.read("/api/stays").json().at("/0/measurements").asInt());
    }

    @Test
    void bad_bodies_and_parameters_are_4xx_with_the_field() throws Exception {
        assertEquals(
                400, requests.send("/api/measurements", Map.of("rsrp", "-97")).status());
        Requests.Answer broken = requests.ask(post("/api/measurements")
                .contentType(MediaType.APPLICATION_JSON)
                .content("{"));
        assertEquals(400, broken.status());
        Requests.Answer limit = requests.read("/api/measurements?limit=many");
        assertEquals(400, limit.status());
        assertEquals("limit", limit.json().at("/errors/0/field").asText());
        assertEquals(400, requests.read("/api/measurements?limit=0").status());
        assertEquals(404, requests.read("/api/measurements?stay=99").status());
        assertEquals(404, requests.read("/api/nothing").status());
        assertEquals(405, requests.ask(delete("/api/measurements")).status());
    }
}
