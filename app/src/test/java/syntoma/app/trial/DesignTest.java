package syntoma.app.trial;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.MediaType;
import org.springframework.test.context.TestPropertySource;
import org.springframework.test.web.servlet.MockMvc;
import syntoma.app.ApiTest;
import syntoma.app.Requests;

/** Trials as they are designed, kept, and led by their run sheet. */
@ApiTest
@TestPropertySource(properties = "syntoma.demo=true")
class DesignTest {
    private static final String TWO =
            "[{\"setup\":\"Roof dome\",\"carrier\":\"Tarnwave\"},{\"setup\":\"Mast panel\",\"carrier\":\"Tarnwave\"}]";

    @Autowired
    private MockMvc mvc;

    private Requests requests;

    @BeforeEach
    void open() {
        requests = new Requests(mvc);
    }

    private Requests.Answer send(String path, String body) throws Exception {
        return requests.ask(post(path).contentType(MediaType.APPLICATION_JSON).content(body));
    }

    private JsonNode design(String more) throws Exception {
        Requests.Answer answer = send("/api/trials/design", "{\"contenders\":" + TWO + more + "}");
        assertEquals(200, answer.status(), answer.text());
        return answer.json();
    }

    @Test
    void is_designed_from_the_rig_and_the_log_and_keeps_nothing() throws Exception {
        long before = requests.read("/api/revision").json().get("revision").asLong();
        JsonNode design = design(",\"difference\":2,\"seed\":3");
        assertTrue(design.get("fits").asBoolean() && design.get("enough").asBoolean(), design.toString());
        assertTrue(design.get("chance").asDouble() >= 0.8, design.toString());
        int visits = 2 * design.get("rounds").asInt();
        assertEquals(visits, design.get("visits").size());
        assertTrue(design.toString().contains("plug the leads of Rowan into Curlew"), design.toString());
        assertTrue(design.at("/contenders/0/known").asBoolean(), "the dome was measured on that carrier");
        assertTrue(design.at("/restsOn/0").asText().startsWith("From your own "), design.toString());
        assertEquals(design, design(",\"difference\":2,\"seed\":3"), "the seed says the order");
        assertEquals(
                before, requests.read("/api/revision").json().get("revision").asLong());
    }

    @Test
    void in_little_time_it_says_so() throws Exception {
        JsonNode design = design(",\"difference\":1.8,\"minutes\":40,\"gb\":0.5,\"kind\":\"full\",\"saving\":\"data\"");
        assertTrue(!design.get("enough").asBoolean(), design.toString());
        assertTrue(design.get("sentence").asText().contains("is only")
                || !design.get("fits").asBoolean());
        assertTrue(design.get("advice").size() >= 2, design.toString());
    }

    @Test
    void a_designed_trial_is_led_by_its_sheet_and_counts_what_is_logged() throws Exception {
        String asked = "{\"campsite\":\"Quarry Lake\",\"name\":\"Led\",\"design\":{\"contenders\":" + TWO
                + ",\"difference\":2,\"seed\":3}}";
        Requests.Answer kept = send("/api/trials/designed", asked);
        assertEquals(201, kept.status(), kept.text());
        assertEquals(409, send("/api/trials/designed", asked).status(), "a name is planned once");
        JsonNode sheet = kept.json();
        assertEquals(0, sheet.get("next").asInt());
        int runs = sheet.get("runs").asInt();
        int first = sheet.at("/visits/0/contender").asInt();
        String setup = sheet.at("/contenders/" + first + "/setup/name").asText();
        for (int run = 0; run < runs; run++) {
            requests.send(
                    "/api/measurements",
                    Map.of(
                            "takenAt",
                            "2026-08-24T10:0" + run + ":00+03:00",
                            "campsite",
                            "Quarry Lake",
                            "setup",
                            setup,
                            "carrier",
                            "Tarnwave",
                            "outcome",
                            run == 0 ? "failed" : "ok",
                            "upMbps",
                            run == 0 ? "" : "4",
                            "trial",
                            "Led",
                            "round",
                            "1"));
        }
        JsonNode now = requests.read("/api/trials/sheet?campsite={place}&trial=Led", "Quarry Lake")
                .json();
        assertEquals(1, now.get("next").asInt(), now.toString());
        assertEquals(runs, now.at("/made/0").asInt(), "a run that failed was made");
        assertTrue(now.get("minutesLeft").asDouble() < sheet.get("minutesLeft").asDouble());
        int second = now.at("/visits/1/contender").asInt();
        JsonNode next = requests.read("/api/trials/next?campsite={place}&trial=Led", "Quarry Lake")
                .json();
        assertEquals(
                now.at("/contenders/" + second + "/setup/name").asText(),
                next.get("setup").asText(),
                "who logs by hand is led by the same sheet");
        assertEquals(1, next.get("round").asInt());
        assertEquals(
                404,
                requests.read("/api/trials/sheet?campsite={place}&trial=None", "Quarry Lake")
                        .status());
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "contenders|{\"contenders\":[{\"setup\":\"Roof dome\"}]}",
                "contenders|{}",
                "contenders|{\"contenders\":[{\"setup\":\"Roof dome\"},{\"setup\":\"Roof dome\"}]}",
                "contenders[1].setup|{\"contenders\":[{\"setup\":\"Roof dome\"},{}]}",
                "contenders[0].setup|{\"contenders\":[{\"setup\":\"Nothing\"},{\"setup\":\"Roof dome\"}]}",
                "minutes|{\"contenders\":%s,\"minutes\":0}",
                "gb|{\"contenders\":%s,\"gb\":-1}",
                "difference|{\"contenders\":%s,\"difference\":1}",
                "kind|{\"contenders\":%s,\"kind\":\"best\"}",
                "saving|{\"contenders\":%s,\"saving\":\"face\"}",
                "order|{\"contenders\":%s,\"order\":\"tidy\"}",
                "spread[0]|{\"contenders\":%s,\"spread\":[\"noon\"]}",
                "spread|{\"contenders\":%s,\"spread\":[\"01:00\",\"02:00\",\"03:00\",\"04:00\",\"05:00\",\"06:00\",\"07:00\"]}",
                "contenders[0].change|{\"contenders\":[{\"setup\":\"Roof dome\",\"change\":{\"kind\":\"bands\",\"value\":\"B999\"}},{\"setup\":\"Roof dome\"}]}",
                "contenders[0].change|{\"contenders\":[{\"setup\":\"Roof dome\",\"change\":{\"kind\":\"tune\",\"value\":\"on\"}},{\"setup\":\"Roof dome\"}]}"
            })
    void what_is_asked_wrongly_is_refused_by_its_field(String field, String body) throws Exception {
        Requests.Answer refused = send("/api/trials/design", body.replace("%s", TWO));
        assertEquals(400, refused.status(), refused.text());
        assertEquals(field, refused.json().at("/errors/0/field").asText(), refused.text());
    }

    @Test
    void a_band_sweep_is_filled_in_from_the_rig_and_kept_with_setups_of_its_own() throws Exception {
        JsonNode sweep = template("bands");
        assertTrue(sweep.get("contenders").size() >= 3, sweep.toString());
        JsonNode third = sweep.at("/contenders/2");
        assertEquals("bands", third.at("/change/kind").asText());
        Requests.Answer kept = send(
                "/api/trials/designed",
                "{\"campsite\":\"Quarry Lake\",\"name\":\"Sweep\",\"design\":{\"difference\":2,\"contenders\":"
                        + sweep.get("contenders") + "}}");
        assertEquals(201, kept.status(), kept.text());
        String name = kept.json().at("/contenders/2/setup/name").asText();
        String band = third.at("/change/value").asText();
        assertEquals(third.get("setup").asText() + ", " + band + " alone", name);
        JsonNode setup = requests.read("/api/setups/"
                        + kept.json().at("/contenders/2/setup/id").asLong())
                .json();
        assertEquals(band, setup.at("/plan/lockedBands/0").asText(), "what is tried stands in Gear as it was tried");
        assertTrue(kept.text().contains("Set Curlew to " + band + " only."), kept.text());

        StringBuilder csv = new StringBuilder("taken_at,campsite,setup,carrier,up_mbps,outcome,trial,round\n");
        for (int round = 1; round <= 3; round++) {
            // the baseline is measured last, and is the baseline all the same
            for (int i = sweep.get("contenders").size() - 1; i >= 0; i--) {
                csv.append("2026-08-24T1%d:%02d:00+03:00,Quarry Lake,\"%s\",Tarnwave,%d,ok,Sweep,%d\n"
                        .formatted(
                                round,
                                10 - i,
                                kept.json()
                                        .at("/contenders/" + i + "/setup/name")
                                        .asText(),
                                10 + i + round,
                                round));
            }
        }
        requests.importCsv(csv.toString());
        JsonNode result = requests.read("/api/results/trial?campsite={place}&trial=Sweep", "Quarry Lake")
                .json();
        assertEquals(
                sweep.at("/contenders/0/setup").asText(), result.get("baseline").asText());
        JsonNode next = result.get("next");
        assertTrue(next.get("says").asText().contains("did best compared with automatic"), next.toString());
        assertTrue(next.at("/contenders/2/change/value").asText().contains(" + "), next.toString());
        assertTrue(next.at("/contenders/0/change").isNull(), next.toString());
    }

    @Test
    void more_than_eight_are_screened_and_the_best_go_on() throws Exception {
        String some = Stream.of("Roof dome", "Mast panel", "Window whips")
                .flatMap(setup -> Stream.of("", "B3", "B20", "B28")
                        .map(band -> "{\"setup\":\"" + setup + "\",\"carrier\":\"Tarnwave\""
                                + (band.isEmpty()
                                        ? "}"
                                        : ",\"change\":{\"kind\":\"bands\",\"value\":\"" + band + "\"}}")))
                .collect(Collectors.joining(","));
        Requests.Answer kept = send(
                "/api/trials/designed",
                "{\"campsite\":\"Quarry Lake\",\"name\":\"Screen\",\"design\":{\"seed\":3,\"contenders\":[" + some
                        + "]}}");
        assertEquals(201, kept.status(), kept.text());
        StringBuilder csv = new StringBuilder("taken_at,campsite,setup,carrier,up_mbps,outcome,trial,round\n");
        for (int round = 1; round <= 3; round++) {
            for (int i = 0; i < 12; i++) {
                csv.append("2026-08-24T1%d:%02d:00+03:00,Quarry Lake,\"%s\",Tarnwave,%d,ok,Screen,%d\n"
                        .formatted(
                                round,
                                2 * i,
                                kept.json()
                                        .at("/contenders/" + i + "/setup/name")
                                        .asText(),
                                10 + i + round,
                                round));
            }
        }
        requests.importCsv(csv.toString());
        JsonNode next = requests.read("/api/results/trial?campsite={place}&trial=Screen", "Quarry Lake")
                .json()
                .get("next");
        assertTrue(next.get("says").asText().startsWith("This trial screens 12 setups."), next.toString());
        assertEquals(5, next.get("contenders").size(), next.toString());
        assertEquals("Window whips", next.at("/contenders/1/setup").asText());
        assertEquals("B28", next.at("/contenders/1/change/value").asText());
        Requests.Answer decides =
                send("/api/trials/design", "{\"contenders\":" + next.get("contenders") + ",\"difference\":1.5}");
        assertTrue(decides.json().get("fits").asBoolean(), decides.text());
    }

    private JsonNode template(String key) throws Exception {
        for (JsonNode template : requests.read("/api/trials/templates").json()) {
            if (template.get("key").asText().equals(key)) {
                return template;
            }
        }
        throw new AssertionError(key);
    }

    @Test
    void a_roof_test_begins_with_what_one_has() throws Exception {
        JsonNode roof = template("roof_test");
        JsonNode design = send(
                        "/api/trials/design",
                        "{\"seed\":" + roof.get("seed") + ",\"contenders\":" + roof.get("contenders") + "}")
                .json();
        assertEquals(0, design.at("/visits/0/contender").asInt(), design.toString());
    }

    @Test
    void a_trial_is_spread_over_the_day_with_a_calendar() throws Exception {
        String asked = "{\"campsite\":\"Quarry Lake\",\"name\":\"Spread\",\"design\":{\"contenders\":" + TWO
                + ",\"difference\":2,\"seed\":3,\"spread\":[\"20:00\",\"08:00\"]}}";
        JsonNode kept = send("/api/trials/designed", asked).json();
        assertEquals(2, kept.get("sessions").size(), kept.toString());
        assertEquals(0, kept.get("rounds").asInt() % 2, "as many rounds at each time of day");
        Requests.Answer calendar = requests.read("/api/trials/calendar?campsite={place}&trial=Spread", "Quarry Lake");
        assertEquals(200, calendar.status(), calendar.text());
        assertEquals(2, calendar.text().split("BEGIN:VEVENT", -1).length - 1, calendar.text());
        assertTrue(calendar.text().contains("SUMMARY:Spread: rounds 1 to "), calendar.text());
        assertTrue(calendar.text().contains("LOCATION:Quarry Lake"), calendar.text());
        assertEquals(
                404,
                requests.read("/api/trials/calendar?campsite={place}&trial=Saturday evening", "Lighthouse Meadow")
                        .status(),
                "a trial that was not designed has no times");
    }

    @Test
    void what_a_carrier_s_plan_is_left_with_is_said() throws Exception {
        JsonNode left = design(",\"difference\":2,\"seed\":3").at("/left/0");
        assertEquals("Tarnwave", left.get("carrier").asText());
        assertTrue(
                left.get("gb").asDouble() > 0
                        && left.get("leftGb").asDouble() + left.get("gb").asDouble() <= 500,
                left.toString());
    }

    private JsonNode enter(String trial, String more) throws Exception {
        Requests.Answer answer = send(
                "/api/trials/sheet/entries", "{\"campsite\":\"Quarry Lake\",\"trial\":\"" + trial + "\"," + more + "}");
        assertEquals(200, answer.status(), answer.text());
        return answer.json();
    }

    private void plan(String trial) throws Exception {
        Requests.Answer kept = send(
                "/api/trials/designed",
                "{\"campsite\":\"Quarry Lake\",\"name\":\"" + trial + "\",\"design\":{\"contenders\":" + TWO
                        + ",\"difference\":3,\"seed\":3}}");
        assertEquals(201, kept.status(), kept.text());
    }

    private String mark(String trial) throws Exception {
        return requests.read("/api/trials/sheet/mark?campsite=Quarry Lake&trial=" + trial)
                .json()
                .get("mark")
                .asText();
    }

    @Test
    void what_is_done_on_a_sheet_is_seen_from_every_device_and_counts_once() throws Exception {
        plan("Entered");
        String before = mark("Entered");
        JsonNode stands = enter("Entered", "\"kind\":\"stands\",\"visit\":0");
        String since = stands.get("stoodAt").asText();
        assertTrue(!mark("Entered").equals(before), "who looks all the time is told");
        String marked = mark("Entered");
        assertEquals(
                since,
                enter("Entered", "\"kind\":\"stands\",\"visit\":0")
                        .get("stoodAt")
                        .asText());
        assertEquals(marked, mark("Entered"), "the same on a second device is nothing new");
        assertTrue(
                enter("Entered", "\"kind\":\"back\",\"visit\":0").get("stoodAt").isNull());
        JsonNode skipped = enter("Entered", "\"kind\":\"skip\",\"visit\":0");
        assertEquals(1, skipped.get("next").asInt());
        assertEquals(
                0,
                enter("Entered", "\"kind\":\"unskip\",\"visit\":0").get("next").asInt());
        assertTrue(enter("Entered", "\"kind\":\"pause\"").get("pausedAt").isTextual());
        assertTrue(enter("Entered", "\"kind\":\"resume\"").get("pausedAt").isNull());
        JsonNode noted = enter("Entered", "\"kind\":\"note\",\"visit\":0,\"text\":\"A lorry parked in front\"");
        assertEquals("A lorry parked in front", noted.at("/notes/0/text").asText());
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "visit|\"kind\":\"stands\"",
                "visit|\"kind\":\"skip\",\"visit\":99",
                "visit|\"kind\":\"stands\",\"visit\":-1",
                "measurement|\"kind\":\"keep\",\"measurement\":1",
                "text|\"kind\":\"note\",\"text\":\" \"",
                "kind|\"kind\":\"dance\""
            })
    void an_entry_that_says_nothing_is_refused_by_its_field(String field, String entry) throws Exception {
        if (requests.read("/api/trials/sheet?campsite=Quarry Lake&trial=Refused")
                        .status()
                == 404) {
            plan("Refused");
        }
        Requests.Answer refused =
                send("/api/trials/sheet/entries", "{\"campsite\":\"Quarry Lake\",\"trial\":\"Refused\"," + entry + "}");
        assertEquals(400, refused.status(), refused.text());
        assertEquals(field, refused.json().at("/errors/0/field").asText(), refused.text());
    }

    @Test
    void what_was_logged_under_another_band_than_was_to_be_held_is_asked_about() throws Exception {
        String held = "[{\"setup\":\"Roof dome\",\"carrier\":\"Tarnwave\"},{\"setup\":\"Roof dome\",\"carrier\":"
                + "\"Tarnwave\",\"change\":{\"kind\":\"bands\",\"value\":\"B3\"}}]";
        send(
                "/api/trials/designed",
                "{\"campsite\":\"Quarry Lake\",\"name\":\"Held\",\"design\":{\"difference\":3,\"contenders\":" + held
                        + "}}");
        requests.send(
                "/api/measurements",
                Map.of(
                        "takenAt", "2026-08-24T12:00:00+03:00",
                        "campsite", "Quarry Lake",
                        "setup", "Roof dome, B3 alone",
                        "carrier", "Tarnwave",
                        "outcome", "ok",
                        "upMbps", "4",
                        "band", "B20",
                        "trial", "Held",
                        "round", "1"));
        JsonNode sheet = requests.read("/api/trials/sheet?campsite=Quarry Lake&trial=Held")
                .json();
        assertTrue(
                sheet.at("/doubts/0/says/0").asText().contains("on B20; it should be locked to B3"), sheet.toString());
        long measurement = sheet.at("/doubts/0/measurement").asLong();
        assertEquals(
                0,
                enter("Held", "\"kind\":\"keep\",\"measurement\":" + measurement)
                        .get("doubts")
                        .size());
    }
}
