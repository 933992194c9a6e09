package syntoma.app.trial;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeSet;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;
import syntoma.app.ApiTest;
import syntoma.app.Requests;

/** {@code GET /api/compare} over the worked example: uploads A 4.1 3.6 4.4 3.2 3.9, B 7.9 6.1 9.0 5.2 7.4. */
@ApiTest(eachAnew = true)
class CompareTest {
    private static final double[] A = {4.1, 3.6, 4.4, 3.2, 3.9};
    private static final double[] B = {7.9, 6.1, 9.0, 5.2, 7.4};

    @Autowired
    private MockMvc mvc;

    private Requests requests;

    @BeforeEach
    void open() {
        requests = new Requests(mvc);
    }

    private static String csv(int rounds, String campsite) {
        StringBuilder csv = new StringBuilder("taken_at,campsite,setup,carrier,up_mbps,outcome,trial,round\n");
        for (int i = 0; i < rounds; i++) {
            for (String setup : List.of("A", "B")) {
                csv.append(String.format(
                        Locale.ROOT,
                        "2026-08-14T1%d:%s:00+03:00,%s,%s,Tarnwave,%s,ok,T,%d%n",
                        i,
                        setup.equals("A") ? "00" : "20",
                        campsite,
                        setup,
                        setup.equals("A") ? A[i] : B[i],
                        i + 1));
            }
        }
        return csv.toString();
    }

    private JsonNode compare(String more) throws Exception {
        return requests.read("/api/compare?baseline=A&candidate=B&metric=up" + more)
                .json();
    }

    @Test
    void an_unplanned_trial_is_one_look_at_95_percent() throws Exception {
        requests.importCsv(csv(5, "Quarry Lake"));
        JsonNode result = compare("&trial=T");
        assertEquals(1.83, result.get("estimate").asDouble(), 0.005);
        assertEquals(1.63, result.get("low").asDouble(), 0.005);
        assertEquals(2.06, result.get("high").asDouble(), 0.005);
        assertEquals(0.95, result.get("level").asDouble());
        assertEquals("better", result.get("verdict").asText());
        assertEquals(5, result.get("blocks").asInt());
        assertEquals(3.84, result.at("/plain/baselineMean").asDouble(), 1e-9);
        assertEquals(9.0, result.at("/plain/candidateBest").asDouble());
    }

    @Test
    void a_planned_trial_is_judged_at_the_level_of_its_looks() throws Exception {
        requests.importCsv(csv(1, "Ferry Slip Four"));
        Map<String, Object> plan = Map.of("campsite", "Ferry Slip Four", "name", "Planned", "plannedRounds", 5);
        assertEquals(201, requests.send("/api/trials", plan).status());
        requests.importCsv(csv(5, "Ferry Slip Four").replace(",T,", ",Planned,"));
        JsonNode result = compare("&campsite=Ferry Slip Four&trial=Planned");
        assertEquals(0.9773, result.get("level").asDouble(), 1e-9);
        assertEquals(1.57, result.get("low").asDouble(), 0.005);
        assertEquals(2.14, result.get("high").asDouble(), 0.005);
        plan = Map.of("campsite", "Ferry Slip Four", "name", "Planned", "plannedRounds", 6);
        assertEquals(400, requests.send("/api/trials", plan).status(), "a plan is made before the first measurement");
    }

    @Test
    void the_fields_are_those_of_the_contract() throws Exception {
        requests.importCsv(csv(5, "Quarry Lake"));
        TreeSet<String> names = new TreeSet<>();
        compare("&trial=T").fieldNames().forEachRemaining(names::add);
        assertEquals(
                "[blocks, candidate, estimate, failures, high, leftOut, level, low, metric, plain, planned, restsOn, roundsWanted,"
                        + " scale, sentence, verdict, wild]",
                names.toString().replace("blocks,", "blocks, candidate,"));
    }

    @Test
    void under_three_rounds_there_is_no_verdict_and_no_interval() throws Exception {
        requests.importCsv(csv(2, "Quarry Lake"));
        JsonNode result = compare("&campsite=Quarry Lake");
        assertEquals("too-few", result.get("verdict").asText());
        assertTrue(result.get("low").isNull() && result.get("roundsWanted").isNull());
        assertTrue(result.get("estimate").asDouble() > 1.7);
        assertEquals("too-few", compare("&trial=T").get("verdict").asText());
    }

    @Test
    void wrong_questions_are_answered_with_what_is_allowed() throws Exception {
        requests.importCsv(csv(3, "Quarry Lake"));
        requests.importCsv(csv(3, "Amber Spit"));
        Requests.Answer twice = requests.read("/api/compare?baseline=A&candidate=B&metric=up&trial=T");
        assertEquals(400, twice.status());
        assertTrue(twice.json().get("detail").asText().contains("Quarry Lake"));
        assertEquals(
                400,
                requests.read("/api/compare?baseline=A&candidate=B&metric=up").status());
        assertEquals(
                400,
                requests.read("/api/compare?baseline=A&candidate=B&metric=speed&trial=T")
                        .status());
        assertEquals(
                404,
                requests.read("/api/compare?baseline=A&candidate=C&metric=up&trial=T")
                        .status());
        assertEquals(
                400,
                requests.read("/api/compare?baseline=A&candidate=A&metric=up&trial=T")
                        .status());
        int stay = requests.read("/api/stays").json().get(0).get("id").asInt();
        assertEquals(
                "candidate",
                requests.read("/api/results/stay?stay=" + stay + "&baseline=A&candidate=A")
                        .json()
                        .at("/errors/0/field")
                        .asText());
    }
}
