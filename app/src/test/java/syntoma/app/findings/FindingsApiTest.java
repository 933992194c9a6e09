package syntoma.app.findings;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertNotEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static syntoma.app.findings.Camps.HEADER;
import static syntoma.app.findings.Camps.row;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;
import syntoma.app.ApiTest;
import syntoma.app.Requests;

/** Findings over the API, as the contract promises. */
@ApiTest(eachAnew = true)
class FindingsApiTest {
    @Autowired
    private MockMvc mvc;

    private Requests requests;

    @BeforeEach
    void open() {
        requests = new Requests(mvc);
    }

    private static JsonNode setup(JsonNode finding, String name) {
        for (JsonNode setup : finding.get("setups")) {
            if (setup.get("setup").asText().equals(name)) {
                return setup;
            }
        }
        throw new AssertionError(name + " is not in " + finding);
    }

    private JsonNode findings(String query) throws Exception {
        Requests.Answer answer = requests.read("/api/findings?" + query);
        assertEquals(200, answer.status(), answer.text());
        return answer.json();
    }

    @Test
    void setups_are_compared_on_one_sim_within_an_hour() throws Exception {
        StringBuilder log = new StringBuilder(HEADER);
        for (int stay = 0; stay < 5; stay++) {
            log.append(row(stay, 0, "Base", "Tarnwave", 4)).append(row(stay, 60, "Other", "Tarnwave", 8));
            // on another SIM, and an hour and a minute later: no pair
            log.append(row(stay, 130, "Base", "Ostrel", 4)).append(row(stay, 191, "Other", "Ostrel", 400));
        }
        requests.importCsv(log.toString());
        JsonNode finding = findings("metric=up&baseline=Base");
        assertEquals(5, finding.get("blocks").asInt());
        assertEquals(5, finding.get("stays").asInt());
        assertEquals(0.95, finding.get("level").asDouble());
        assertEquals(1, setup(finding, "Base").get("estimate").asDouble());
        JsonNode other = setup(finding, "Other");
        assertEquals(2, other.get("estimate").asDouble(), 1e-9);
        assertEquals("better", other.get("verdict").asText());
        assertEquals(204, other.get("plainMean").asDouble(), 1e-9);
        assertEquals(3, other.get("byStrength").size());
        assertEquals("strong-good", other.at("/byStrength/0/strength").asText());
    }

    @Test
    void a_round_of_a_trial_is_a_block_whatever_time_it_took() throws Exception {
        StringBuilder log = new StringBuilder(HEADER);
        for (int stay = 0; stay < 4; stay++) {
            log.append(row(stay, 0, "Base", "Tarnwave", 4).replace("ok,,,", "ok,Long,1,"));
            log.append(row(stay, 200, "Other", "Tarnwave", 6).replace("ok,,,", "ok,Long,1,"));
        }
        requests.importCsv(log.toString());
        JsonNode finding = findings("metric=up&baseline=Base");
        // trials of one name at four campsites are four
        assertEquals(4, finding.get("blocks").asInt());
        assertEquals(1.5, setup(finding, "Other").get("estimate").asDouble(), 1e-9);
    }

    @Test
    void what_is_logged_later_counts_at_once_and_what_is_taken_back_does_not() throws Exception {
        StringBuilder log = new StringBuilder(HEADER);
        for (int stay = 0; stay < 4; stay++) {
            log.append(row(stay, 0, "Base", "Tarnwave", 4)).append(row(stay, 10, "Other", "Tarnwave", 8));
        }
        requests.importCsv(log.toString());
        assertEquals(4, findings("metric=up&baseline=Base").get("blocks").asInt());
        requests.importCsv(HEADER + row(4, 0, "Base", "Tarnwave", 4) + row(4, 10, "Other", "Tarnwave", 16));
        JsonNode more = findings("metric=up&baseline=Base");
        assertEquals(5, more.get("blocks").asInt());
        assertNotEquals(2, setup(more, "Other").get("estimate").asDouble());
        JsonNode change = requests.read("/api/changes").json().get(0);
        assertEquals(
                200,
                requests.send("/api/changes/" + change.get("id").asText() + "/undo", List.of())
                        .status());
        JsonNode back = findings("metric=up&baseline=Base");
        assertEquals(4, back.get("blocks").asInt());
        assertEquals(2, setup(back, "Other").get("estimate").asDouble(), 1e-9);
    }

    @Test
    void filters_narrow_the_log_and_combine() throws Exception {
        StringBuilder log = new StringBuilder(HEADER);
        for (int stay = 0; stay < 6; stay++) {
            log.append(row(stay, 0, "Base", "Tarnwave", 4))
                    .append(row(stay, 10, "Other", "Tarnwave", stay < 3 ? 8 : 2));
        }
        requests.importCsv(log.toString());
        assertEquals(
                3,
                findings("metric=up&baseline=Base&area=50,10,57.5,30")
                        .get("blocks")
                        .asInt());
        assertEquals(
                2,
                setup(findings("metric=up&baseline=Base&area=50,10,57.5,30"), "Other")
                        .get("estimate")
                        .asDouble(),
                1e-9);
        assertEquals(
                1,
                findings("metric=up&baseline=Base&campsite=Camp 1&campsite=Camp 5&to=2026-07-03")
                        .get("blocks")
                        .asInt());
        assertEquals(
                0,
                findings("metric=up&baseline=Base&when=evening")
                        .get("measurements")
                        .asInt());
        assertEquals(
                6,
                findings("of=carriers&metric=up")
                                .get("setups")
                                .get(0)
                                .get("runs")
                                .asInt()
                        / 2);
    }

    @ParameterizedTest
    @CsvSource({
        "metric=speed, metric",
        "of=antennas, of",
        "stay=two, stay",
        "when=noon, when",
        "from=yesterday, from",
        "'area=1,2', area",
        "'area=60,0,50,10', area"
    })
    void what_cannot_be_asked_is_refused_by_its_field(String query, String field) throws Exception {
        requests.importCsv(HEADER + row(0, 0, "Base", "Tarnwave", 4));
        Requests.Answer answer = requests.read("/api/findings?" + query);
        assertEquals(400, answer.status(), answer.text());
        assertEquals(field, answer.json().at("/errors/0/field").asText());
    }

    @Test
    void an_empty_log_says_so() throws Exception {
        assertEquals(0, findings("metric=up").get("blocks").asInt());
        assertEquals("[]", requests.read("/api/findings/questions").json().toString());
        assertEquals(
                404, requests.read("/api/findings?metric=up&baseline=Nobody").status());
    }

    @Test
    void the_demo_is_told_the_trap_the_change_and_the_answers() throws Exception {
        requests.send("/api/demo", List.of());
        JsonNode finding = findings("metric=up&baseline=Roof dome");
        assertEquals(
                "Plain averages mislead here: they put Window whips first, but at the same places and times Mast panel is"
                        + " ahead. Window whips was mostly used at strong sites.",
                finding.at("/remarks/0/sentence").asText());
        assertEquals("better", setup(finding, "Mast panel").get("verdict").asText());
        assertEquals(1, setup(finding, "Window whips").get("plainRank").asInt());
        assertEquals(3, setup(finding, "Window whips").get("adjustedRank").asInt());
        String changed = requests.read("/api/findings/drift?baseline=Roof dome")
                .json()
                .get("headline")
                .asText();
        assertTrue(changed.startsWith("Something changed for Roof dome on or about "), changed);
        List<String> keys = new ArrayList<>();
        for (JsonNode question : requests.read("/api/findings/questions").json()) {
            keys.add(question.get("key").asText());
            String answer = question.get("answer").asText();
            assertFalse(answer.isBlank());
            assertFalse(answer.startsWith("Can’t tell yet. Can’t tell"), answer);
            if (question.get("key").asText().equals("carriers")) {
                assertTrue(
                        answer.startsWith("Can’t tell Ostrel or Brissa from Tarnwave on upload yet; that would"),
                        answer);
            }
        }
        assertTrue(
                keys.containsAll(List.of(
                        "setups",
                        "carriers",
                        "carriers-west",
                        "place",
                        "hour",
                        "data",
                        "changed",
                        "worth",
                        "averages")),
                keys::toString);
        Map<String, String> answers = new HashMap<>();
        requests.read("/api/findings/questions")
                .json()
                .forEach(q -> answers.put(q.get("key").asText(), q.get("answer").asText()));
        assertTrue(answers.get("place").startsWith("Best for Video calls and HD film was "), answers.get("place"));
        assertTrue(answers.get("hour").startsWith("From "), answers.get("hour"));
        assertTrue(answers.get("data").contains(" GB left until "), answers.get("data"));
        assertTrue(
                answers.get("setup-Mast panel")
                        .contains("But Roof dome has heard 8.2 dB less since about 9 Aug: look at"),
                answers.get("setup-Mast panel"));
        assertTrue(
                answers.get("setup-Bittern booster")
                        .startsWith("Not so far: 605\u00a0€, and 0 of 5 runs got through, at 1 stay."),
                answers.get("setup-Bittern booster"));
        assertTrue(
                finding.toString().contains("\"code\":\"fault\""),
                finding.get("remarks").toString());
        JsonNode behind = requests.read("/api/findings/behind?metric=up&baseline=Roof dome&unit=Mast panel")
                .json();
        assertEquals(7, behind.size());
        JsonNode worth = requests.read("/api/findings/worth?baseline=Roof dome").json();
        assertEquals("Mast panel", worth.get("fastest").asText());
        assertEquals("Window whips", worth.get("cheapest").asText());
        assertTrue(
                worth.get("headline")
                        .asText()
                        .startsWith(
                                "Window whips (165\u00a0€) is the cheapest setup that is good enough for Video calls and HD film"),
                worth.get("headline").asText());
    }
}
