package syntoma.app.trial;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;
import syntoma.app.ApiTest;
import syntoma.app.Requests;

/** Trials judged by their plans, wherever they are met, and told in a line each. */
@ApiTest(eachAnew = true)
class TrialResultsTest {
    private static final double[] A = {4.1, 3.6, 4.4, 3.2, 3.9};
    private static final double[] B = {7.9, 6.1, 9.0, 5.2, 7.4};

    @Autowired
    private MockMvc mvc;

    private Requests requests;

    @BeforeEach
    void open() throws Exception {
        requests = new Requests(mvc);
    }

    private void plan(String name, int rounds) throws Exception {
        assertEquals(
                201,
                requests.send("/api/trials", Map.of("campsite", "Quarry Lake", "name", name, "plannedRounds", rounds))
                        .status());
    }

    private void arrive() throws Exception {
        requests.importCsv("taken_at,campsite,setup,carrier,up_mbps,outcome,trial,round\n"
                + "2026-08-01T08:00:00+03:00,Quarry Lake,A,Tarnwave,4,ok,,\n");
    }

    /** Rounds of a trial on a day of August, an hour each; without a trial's name, runs like them. */
    private void measure(String trial, int day, int rounds, double factor) throws Exception {
        StringBuilder csv =
                new StringBuilder("taken_at,campsite,setup,carrier,up_mbps,down_mbps,outcome,trial,round\n");
        for (int i = 0; i < rounds; i++) {
            for (String setup : List.of("A", "B")) {
                csv.append(String.format(
                        Locale.ROOT,
                        "2026-08-%02dT1%d:%s:00+03:00,Quarry Lake,%s,Tarnwave,%.2f,%d,ok,%s,%s%n",
                        day,
                        i,
                        setup.equals("A") ? "00" : "20",
                        setup,
                        setup.equals("A") ? A[i] : B[i] * factor,
                        setup.equals("A") ? 9 + i : 10 + i,
                        trial,
                        trial.isEmpty() ? "" : Integer.toString(i + 1)));
            }
        }
        requests.importCsv(csv.toString());
    }

    private JsonNode trial(String name) throws Exception {
        return requests.read("/api/results/trial?campsite=Quarry Lake&trial=" + name)
                .json();
    }

    @Test
    void rounds_past_the_plan_are_judged_more_strictly() throws Exception {
        arrive();
        plan("Short", 3);
        measure("Short", 2, 5, 1);
        JsonNode result = requests.read("/api/compare?baseline=A&candidate=B&metric=up&trial=Short")
                .json();
        assertEquals(0.999, result.get("level").asDouble(), 1e-9);
        assertTrue(result.get("sentence").asText().contains("past the plan, judged more strictly"));
    }

    @Test
    void a_stay_that_holds_a_planned_trial_is_judged_as_that_trial() throws Exception {
        arrive();
        plan("Planned", 5);
        measure("Planned", 2, 5, 1);
        measure("", 3, 3, 1);
        JsonNode asTrial = trial("Planned");
        int stay = requests.read("/api/stays").json().get(0).get("id").asInt();
        JsonNode asStay = requests.read("/api/results/stay?stay=" + stay + "&baseline=A&candidate=B")
                .json();
        assertEquals("Planned", asStay.get("judgedBy").asText());
        assertEquals(asTrial.at("/contrasts/0/effects/0/result"), asStay.at("/contrasts/0/effects/0/result"));
        assertTrue(asStay.at("/contrasts/0/cautions").toString().contains("7 other measurements are aside"));
        assertEquals(
                asTrial.at("/contrasts/0/effects/0/result/low"),
                requests.read("/api/compare?baseline=A&candidate=B&metric=up&campsite=Quarry Lake")
                        .json()
                        .get("low"));
    }

    /** Of three setups in a plan, two met at the stay are judged within the family of all three. */
    @Test
    void a_pair_of_a_planned_trial_is_no_narrower_at_the_stay_than_in_the_trial() throws Exception {
        arrive();
        plan("Three", 5);
        measure("Three", 2, 5, 1);
        StringBuilder third = new StringBuilder("taken_at,campsite,setup,carrier,up_mbps,outcome,trial,round\n");
        for (int i = 0; i < 5; i++) {
            third.append(String.format(
                    Locale.ROOT,
                    "2026-08-02T1%d:40:00+03:00,Quarry Lake,C,Tarnwave,%.1f,ok,Three,%d%n",
                    i,
                    5.0 + i % 2,
                    i + 1));
        }
        requests.importCsv(third.toString());
        int stay = requests.read("/api/stays").json().get(0).get("id").asInt();
        JsonNode asStay = requests.read("/api/results/stay?stay=" + stay + "&baseline=A&candidate=B")
                .json();
        assertEquals(1, asStay.get("contrasts").size());
        assertEquals(
                trial("Three").at("/contrasts/0/effects/0/result/low"), asStay.at("/contrasts/0/effects/0/result/low"));
        assertEquals(
                1 - 0.0227 / 3, asStay.at("/contrasts/0/effects/0/result/level").asDouble(), 1e-9);
        JsonNode oneNamed =
                requests.read("/api/results/stay?stay=" + stay + "&baseline=C").json();
        assertEquals("C", oneNamed.at("/contrasts/0/baseline/name").asText());
    }

    /** Three planned and finished trials steady the fourth; one that is not finished, or not planned, gives nothing. */
    @Test
    void the_fourth_planned_trial_leans_on_the_three_before_it() throws Exception {
        arrive();
        for (int i = 1; i <= 3; i++) {
            plan("Before " + i, 5);
            measure("Before " + i, 1 + i, 5, 1);
        }
        plan("Third", 3);
        measure("Imported", 6, 5, 1);
        measure("Third", 8, 3, 1);
        assertFalse(judged("Before 3").contains("steadied"), "two before it are too few");
        assertTrue(
                judged("Third").contains("The run-to-run scatter is estimated with the help of three earlier trials."));
        assertFalse(judged("Imported").contains("steadied"), "what was not planned takes nothing");
    }

    private String judged(String trial) throws Exception {
        return trial(trial).at("/contrasts/0/judged").toString();
    }

    @Test
    void what_the_need_asks_for_comes_first_and_whether_it_was_met_is_counted() throws Exception {
        arrive();
        measure("T", 2, 5, 1);
        assertEquals("Upload", trial("T").at("/contrasts/0/effects/0/label").asText());
        choose("HD film");
        JsonNode result = trial("T");
        assertEquals("Download", result.at("/contrasts/0/effects/0/label").asText());
        assertTrue(result.at("/contrasts/0/effects/0/asked").asBoolean());
        assertFalse(result.at("/contrasts/0/effects/1/asked").asBoolean());
        assertTrue(result.at("/contrasts/0/headline").asText().contains("is enough for HD film"));
        assertEquals("HD film", result.get("need").asText());
        assertEquals(5, result.at("/met/0/met").asInt());
    }

    private void choose(String name) throws Exception {
        for (JsonNode need : requests.read("/api/needs").json().get("needs")) {
            if (need.get("name").asText().equals(name)) {
                ObjectNode chosen = need.deepCopy();
                chosen.remove("version");
                chosen.put("chosen", true);
                assertEquals(200, requests.put("/api/needs", chosen).status());
            }
        }
    }

    @Test
    void each_trial_is_told_in_a_line() throws Exception {
        arrive();
        measure("Clear", 2, 5, 1);
        measure("Even", 4, 5, 0.53);
        List<String> lines = new ArrayList<>();
        JsonNode results = requests.read("/api/trials/results").json();
        results.forEach(r -> lines.add(
                r.get("trial").asText() + ": " + r.at("/line/result/verdict").asText()));
        assertEquals(List.of("Even: no-difference", "Clear: better"), lines);
        assertEquals("B", results.at("/1/line/candidate/name").asText());
        assertTrue(results.at("/1/sentence").asText().startsWith("B’s upload is nearly double that of A."));
        assertTrue(results.at("/1/need").isNull());
    }
}
