package syntoma.app.fitout;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.put;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import java.util.stream.IntStream;
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

/** Job sheets: scheduled, ticked off in their order, given to a calendar. */
@ApiTest
@TestPropertySource(properties = "syntoma.demo=true")
class JobSheetTest {
    private static final String ANTENNA =
            "\"antenna\":{\"name\":\"Alder\",\"lengthM\":0.2,\"widthM\":0.2,\"heightM\":0.1,\"fixing\":\"%s\"}";

    @Autowired
    private MockMvc mvc;

    private Requests requests;

    @BeforeEach
    void open() {
        requests = new Requests(mvc);
    }

    private long plan(String name, String fixing) throws Exception {
        long id = requests.send("/api/fitout/plans", Map.of("name", name))
                .json()
                .get("id")
                .asLong();
        Requests.Answer kept = requests.ask(put("/api/fitout/plans/" + id)
                .contentType(MediaType.APPLICATION_JSON)
                .content("{" + ANTENNA.formatted(fixing) + ",\"leads\":{\"count\":4,\"cableMm\":5,\"plugMm\":9}}"));
        assertEquals(200, kept.status(), kept.text());
        return id;
    }

    private Requests.Answer sheet(long id, String hours) throws Exception {
        return requests.read("/api/fitout/plans/" + id + "/job-sheet?" + hours);
    }

    private Requests.Answer step(long id, String task, String kind) throws Exception {
        return requests.ask(post("/api/fitout/plans/" + id + "/job-sheet/steps")
                .contentType(MediaType.APPLICATION_JSON)
                .content("{\"task\":\"" + task + "\",\"kind\":\"" + kind + "\",\"text\":\"by the rail\"}"));
    }

    private static JsonNode task(JsonNode sheet, String key) {
        for (JsonNode task : sheet.get("tasks")) {
            if (task.get("key").asText().equals(key)) {
                return task;
            }
        }
        throw new AssertionError(key + " is not on " + sheet);
    }

    @Test
    void a_drilled_build_takes_the_night_for_its_sealant_and_goes_to_a_calendar() throws Exception {
        long id = plan("Drilled", "drilled");
        JsonNode sheet = sheet(id, "start=2026-09-06&days=2&people=1").json();
        assertTrue(sheet.get("problem").isNull(), sheet.toString());
        assertEquals("gather", sheet.get("next").asText());
        assertEquals("2026-09-06T09:00:00", sheet.at("/tasks/0/from").asText());
        assertTrue(task(sheet, "leak-test").get("from").asText().startsWith("2026-09-07T"), sheet.toString());
        assertTrue(sheet.get("parts").toString().contains("hole saw for 15.0 mm"), sheet.toString());
        Requests.Answer calendar =
                requests.read("/api/fitout/plans/" + id + "/job-sheet/calendar?start=2026-09-06&days=2");
        assertEquals(200, calendar.status(), calendar.text());
        assertEquals(sheet.get("tasks").size(), calendar.text().split("BEGIN:VEVENT", -1).length - 1, calendar.text());
        JsonNode short1 = sheet(id, "days=1&from=09:00&until=12:00").json();
        assertTrue(short1.get("problem").asText().contains("(and 12 h to wait)"), short1.toString());
        assertTrue(short1.at("/tasks/0/from").isNull());
        assertEquals(
                400,
                requests.read("/api/fitout/plans/" + id + "/job-sheet/calendar?days=1&until=12:00")
                        .status());
    }

    @Test
    void tasks_are_ticked_in_their_order_and_the_last_look_before_what_cannot_be_undone() throws Exception {
        long id = plan("Ticked", "drilled");
        Requests.Answer early = step(id, "tape", "done");
        assertEquals(409, early.status(), early.text());
        assertTrue(early.text().contains("first comes: Measure what you have now"), early.text());
        for (String key : new String[] {"gather", "table", "baseline", "tape", "roof-test", "mark", "look"}) {
            assertEquals(204, step(id, key, "done").status(), key);
        }
        assertEquals(204, step(id, "look", "done").status(), "ticked on two devices is done once");
        Requests.Answer blind = step(id, "pilot", "done");
        assertEquals(409, blind.status(), blind.text());
        assertTrue(blind.text().contains("tick the last look first: The check across agrees"), blind.text());
        assertEquals(204, step(id, "pilot", "looked").status());
        assertEquals(204, step(id, "pilot", "done").status());
        Requests.Answer back = step(id, "look", "not-done");
        assertEquals(409, back.status());
        assertTrue(back.text().contains("resting on it: Pilot hole"), back.text());
        assertEquals(204, step(id, "drill", "looked").status());
        assertEquals(204, step(id, "drill", "done").status());
        assertEquals(204, step(id, "edge", "done").status());
        Requests.Answer wet = step(id, "fit", "done");
        assertEquals(409, wet.status(), wet.text());
        assertTrue(wet.text().contains("it waits until "), wet.text());
        assertEquals(204, step(id, "fit", "note").status());
        JsonNode sheet = sheet(id, "").json();
        assertEquals("by the rail", task(sheet, "fit").get("note").asText());
        assertTrue(task(sheet, "fit").get("readyAt").isTextual(), sheet.toString());
        assertTrue(sheet.get("sentence").asText().startsWith("10 of "), sheet.toString());
        assertTrue(
                List.of("settings", "router").contains(sheet.get("next").asText()),
                "what does not wait fills the wait: " + sheet.get("next"));
    }

    @Test
    void what_many_devices_tick_at_once_is_done_once() throws Exception {
        long id = plan("At once", "magnet");
        List<Integer> answers = IntStream.range(0, 8)
                .mapToObj(i -> CompletableFuture.supplyAsync(() -> {
                    try {
                        return step(id, "gather", i % 2 == 0 ? "done" : "note").status();
                    } catch (Exception e) {
                        throw new IllegalStateException(e);
                    }
                }))
                .toList()
                .stream()
                .map(CompletableFuture::join)
                .distinct()
                .toList();
        assertEquals(List.of(204), answers);
        assertEquals("table", sheet(id, "").json().get("next").asText());
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "start|start=tomorrow",
                "days|days=0",
                "people|people=9",
                "from|from=morning",
                "until|from=18:00&until=09:00"
            })
    void hours_that_are_none_are_refused_by_their_field(String field, String hours) throws Exception {
        long id = plan("Hours " + hours, "magnet");
        Requests.Answer refused = sheet(id, hours);
        assertEquals(400, refused.status(), refused.text());
        assertEquals(field, refused.json().at("/errors/0/field").asText(), refused.text());
    }

    @Test
    void a_plan_without_an_antenna_has_no_sheet() throws Exception {
        long id = requests.send("/api/fitout/plans", Map.of("name", "Bare"))
                .json()
                .get("id")
                .asLong();
        Requests.Answer refused = sheet(id, "");
        assertEquals(400, refused.status());
        assertEquals("antenna", refused.json().at("/errors/0/field").asText());
        assertEquals(400, step(plan("Unknown", "glued"), "paint-it-red", "done").status());
    }
}
