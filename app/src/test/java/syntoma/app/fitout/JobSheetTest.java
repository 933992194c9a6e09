package syntoma.app.fitout;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.delete;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.put;

import com.fasterxml.jackson.databind.JsonNode;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import java.util.stream.IntStream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.MediaType;
import org.springframework.jdbc.core.JdbcTemplate;
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

    @Autowired
    private JdbcTemplate jdbc;

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
        assertTrue(
                sheet.get("parts").toString().contains("hole saw of 16 mm (the hole needs 15 mm)"), sheet.toString());
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
        assertTrue(early.text().contains("do this first: Measure what you have now"), early.text());
        for (String key : new String[] {"gather", "table", "baseline", "tape", "roof-test", "mark", "look"}) {
            assertEquals(204, step(id, key, "done").status(), key);
        }
        assertEquals(204, step(id, "look", "done").status(), "ticked on two devices is done once");
        Requests.Answer blind = step(id, "pilot", "done");
        assertEquals(409, blind.status(), blind.text());
        assertTrue(
                blind.text().contains("tick the last check first: The distances from all four edges agree"),
                blind.text());
        assertEquals(204, step(id, "pilot", "looked").status());
        assertEquals(204, step(id, "pilot", "done").status());
        Requests.Answer back = step(id, "look", "not-done");
        assertEquals(409, back.status());
        assertTrue(back.text().contains("depend on it: Pilot hole"), back.text());
        assertEquals(204, step(id, "drill", "looked").status());
        assertEquals(204, step(id, "drill", "done").status());
        assertEquals(204, step(id, "edge", "done").status());
        Requests.Answer wet = step(id, "fit", "done");
        assertEquals(409, wet.status(), wet.text());
        assertTrue(wet.text().contains("it has to wait until "), wet.text());
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

    private Requests.Answer photo(long id, String task, byte[] sent) throws Exception {
        return requests.ask(post("/api/fitout/plans/" + id + "/job-sheet/photos?task=" + task)
                .contentType(MediaType.APPLICATION_OCTET_STREAM)
                .content(sent));
    }

    @Test
    void photos_stand_with_their_task_once_and_can_be_taken_away_and_brought_back() throws Exception {
        long id = plan("Photographed", "magnet");
        BufferedImage image = new BufferedImage(80, 40, BufferedImage.TYPE_INT_RGB);
        ByteArrayOutputStream png = new ByteArrayOutputStream();
        ImageIO.write(image, "png", png);
        Requests.Answer added = photo(id, "gather", png.toByteArray());
        assertEquals(201, added.status(), added.text());
        assertEquals(80, added.json().get("widthPx").asInt());
        long photo = added.json().get("id").asLong();
        assertEquals(
                photo, photo(id, "gather", png.toByteArray()).json().get("id").asLong());
        String at = "/api/fitout/plans/" + id + "/job-sheet/photos/" + photo;
        assertEquals(200, requests.read(at).status());
        assertEquals(
                404,
                requests.read(at.replace("plans/" + id, "plans/" + (id + 1000))).status());
        assertEquals(1, task(sheet(id, "").json(), "gather").get("photos").size());
        assertEquals(204, requests.ask(delete(at)).status());
        assertEquals(0, task(sheet(id, "").json(), "gather").get("photos").size());
        assertEquals(204, requests.ask(post(at + "/restored")).status());
        assertEquals(1, task(sheet(id, "").json(), "gather").get("photos").size());
        Requests.Answer none = photo(id, "gather", "no picture".getBytes(StandardCharsets.UTF_8));
        assertEquals(400, none.status());
        assertEquals("photo", none.json().at("/errors/0/field").asText(), none.text());
        Requests.Answer nowhere = photo(id, "polish", png.toByteArray());
        assertEquals("task", nowhere.json().at("/errors/0/field").asText(), nowhere.text());
        assertEquals(413, photo(id, "gather", new byte[30_000_000]).status());
        assertEquals(1, task(sheet(id, "").json(), "gather").get("photos").size());
    }

    @Test
    void what_a_task_took_is_learned_and_a_trial_is_filed_with_it() throws Exception {
        long id = plan("Timed", "magnet");
        assertEquals(204, step(id, "gather", "begun").status());
        assertEquals(204, step(id, "gather", "done").status());
        assertTrue(task(sheet(id, "").json(), "gather").get("learned").isNull(), "over at once: ticked afterwards");
        jdbc.update("update job_step set begun_at = dateadd(minute, -25, done_at) where plan_id = ?", id);
        JsonNode gather = task(sheet(id, "").json(), "gather");
        assertEquals(25, gather.get("minutes").asInt(), gather.toString());
        assertEquals(1, gather.get("learned").asInt());
        Requests.Answer early = step(id, "tape", "begun");
        assertEquals(409, early.status(), early.text());
        assertEquals(204, step(id, "gather", "not-done").status());
        assertEquals(15, task(sheet(id, "").json(), "gather").get("minutes").asInt());

        Requests.Answer missing = requests.send(
                "/api/fitout/plans/" + id + "/job-sheet/steps",
                Map.of("task", "prove", "kind", "trial", "text", "No such trial", "campsite", "Amber Spit"));
        assertEquals(404, missing.status(), missing.text());
        assertEquals(
                201,
                requests.send("/api/trials", Map.of("campsite", "Amber Spit", "name", "Proof", "plannedRounds", 5))
                        .status());
        assertEquals(
                204,
                requests.send(
                                "/api/fitout/plans/" + id + "/job-sheet/steps",
                                Map.of("task", "prove", "kind", "trial", "text", "Proof", "campsite", "Amber Spit"))
                        .status());
        JsonNode filed = task(sheet(id, "").json(), "prove").get("filed");
        assertEquals("Proof", filed.get("name").asText());
        assertEquals("Amber Spit", filed.get("campsite").asText());
        assertEquals(204, step(id, "prove", "no-trial").status());
        assertTrue(task(sheet(id, "").json(), "prove").get("filed").isNull());
    }

    @Test
    void tasks_by_hand_are_scheduled_with_the_others_and_what_cannot_be_is_not_kept() throws Exception {
        long id = plan("By hand", "magnet");
        String body = "{" + ANTENNA.formatted("magnet") + ",\"tasks\":[{\"key\":\"own-1\",\"name\":\"Paint the plate\","
                + "\"minutes\":20,\"waitMin\":600,\"after\":[%s],\"before\":[\"fit\"]}]}";
        Requests.Answer kept = requests.ask(put("/api/fitout/plans/" + id)
                .contentType(MediaType.APPLICATION_JSON)
                .content(body.formatted("\"roof-test\"")));
        assertEquals(200, kept.status(), kept.text());
        JsonNode sheet = sheet(id, "start=2026-09-06").json();
        assertTrue(task(sheet, "own-1").get("byHand").asBoolean());
        assertTrue(task(sheet, "fit").get("from").asText().startsWith("2026-09-07T"), sheet.toString());
        Requests.Answer circle = requests.ask(put("/api/fitout/plans/" + id)
                .contentType(MediaType.APPLICATION_JSON)
                .content(body.formatted("\"plug\"")));
        assertEquals(400, circle.status());
        assertTrue(circle.text().contains("these wait for each other"), circle.text());
        assertEquals("tasks", circle.json().at("/errors/0/field").asText(), circle.text());
    }
}
