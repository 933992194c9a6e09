package syntoma.app.mending;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.delete;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;
import syntoma.app.ApiTest;
import syntoma.app.Requests;
import syntoma.app.Requests.Answer;

/** The log put right, and every step of it undone to the last digit. */
@ApiTest(eachAnew = true)
class MendingTest {
    private static final String LOG =
            """
            taken_at,campsite,setup,carrier,up_mbps,outcome,trial,round
            2026-08-01T18:00:00+03:00,Pine Bend,Dome,Bluecell,4.40,ok,Mast,1
            2026-08-01T18:10:00+03:00,Pine Bend,Panel,Bluecell,44,ok,Mast,1
            2026-08-20T18:00:00+03:00,Pinebend,Dome,bluecell,5.10,ok,Mast,1
            2026-08-20T18:10:00+03:00,Pinebend,Panel,bluecell,5.2,ok,Mast,1
            2026-08-20T19:00:00+03:00,Pinebend,dome,bluecell,5.3,ok,,
            2026-08-25T10:00:00+03:00,Amber Spit,Dome,Bluecell,9,ok,,
            """;

    @Autowired
    private MockMvc mvc;

    private Requests requests;
    private long imported;

    @BeforeEach
    void open() throws Exception {
        requests = new Requests(mvc);
        JsonNode report = requests.importCsv(LOG).json();
        assertEquals(6, report.get("accepted").asInt(), report.toString());
        imported = report.get("change").asLong();
    }

    private String export() throws Exception {
        return requests.read("/api/measurements.csv").text();
    }

    private long id(String list, String name) throws Exception {
        for (JsonNode item : requests.read("/api/" + list).json()) {
            if (item.get("name").asText().equals(name)) {
                return item.get("id").asLong();
            }
        }
        throw new AssertionError(name);
    }

    private JsonNode measured(String up) throws Exception {
        for (JsonNode item : requests.read("/api/measurements").json()) {
            if (item.get("upMbps").asText().equals(up)) {
                return item;
            }
        }
        throw new AssertionError(up);
    }

    private Answer undo(JsonNode done) throws Exception {
        return requests.ask(post("/api/changes/" + done.get("change").asLong() + "/undo"));
    }

    private void undone(JsonNode done) throws Exception {
        Answer answer = undo(done);
        assertEquals(200, answer.status(), answer.text());
    }

    private int stays() throws Exception {
        return requests.read("/api/stays").json().size();
    }

    private JsonNode merge(String kind, String list, String from, String into) throws Exception {
        String address = "/api/names/" + kind + "/" + id(list, from) + "/merge";
        Map<String, Object> body = Map.of("into", id(list, into));
        String before = export();
        JsonNode preview = requests.send(address + "/preview", body).json();
        assertEquals(before, export());
        Answer merged = requests.send(address, body);
        assertEquals(200, merged.status(), merged.text());
        assertEquals(preview.get("measurements"), merged.json().get("measurements"));
        assertEquals(preview.get("same"), merged.json().get("same"));
        assertEquals(preview.get("renamed"), merged.json().get("renamed"));
        return merged.json();
    }

    @Test
    void merged_campsites_are_one_files_of_before_add_nothing_and_undo_keeps_every_digit() throws Exception {
        requests.send("/api/trials", Map.of("campsite", "Pinebend", "name", "Later", "plannedRounds", 4));
        String before = export();
        JsonNode merged = merge("campsite", "campsites", "Pinebend", "Pine Bend");
        assertEquals(3, merged.get("measurements").asInt());
        assertEquals("Mast (Pinebend)", merged.at("/renamed/Mast").asText());
        assertFalse(export().contains(",Pinebend,"));
        assertTrue(export().contains("5.10"));
        assertEquals(0, requests.importCsv(LOG).json().get("accepted").asInt());
        assertEquals(0, requests.importCsv(export()).json().get("accepted").asInt());
        assertEquals(
                0, requests.importCsv(before).json().at("/created/campsites").size());
        assertEquals(3, stays());
        assertEquals(2, requests.read("/api/campsites").json().size());
        undone(merged);
        assertEquals(before, export());
        assertEquals(0, requests.importCsv(LOG).json().get("accepted").asInt());
        assertEquals(409, undo(merged).status());
        assertEquals(
                409,
                requests.send("/api/trials", Map.of("campsite", "Pinebend", "name", "Later", "plannedRounds", 4))
                        .status());
    }

    @Test
    void what_is_there_twice_is_kept_once_until_the_merge_is_undone() throws Exception {
        requests.importCsv(
                LOG.lines().limit(2).reduce("", (a, b) -> a + b + "\n").replace("Pine Bend", "Pine  Bend"));
        String before = export();
        JsonNode merged = merge("campsite", "campsites", "Pine  Bend", "Pine Bend");
        assertEquals(1, merged.get("same").asInt());
        assertEquals(0, merged.get("measurements").asInt());
        assertEquals(7, export().lines().count());
        undone(merged);
        assertEquals(before, export());
    }

    /** What was said of a name outlives the import that brought it: imported again, it means the same. */
    @Test
    void merges_stay_when_the_import_that_brought_the_name_is_undone() throws Exception {
        String late = "taken_at,campsite,setup,carrier,up_mbps,outcome\n"
                + "2026-09-01T10:00:00+03:00,Pine-Bend,Whips,Bluecell,7.77,ok\n";
        Answer first = requests.importCsv(late);
        assertEquals(200, first.status(), first.text());
        JsonNode second = first.json();
        assertEquals(1, second.get("accepted").asInt(), second.toString());
        JsonNode merged = merge("campsite", "campsites", "Pine-Bend", "Pine Bend");
        undone(second);
        assertFalse(export().contains("7.77"));
        JsonNode again = requests.importCsv(late).json();
        assertEquals(1, again.get("accepted").asInt(), again.toString());
        assertEquals(0, again.at("/created/campsites").size(), again.toString());
        assertEquals("Pine Bend", measured("7.77").get("campsite").asText());
        undone(merged);
    }

    @Test
    void carriers_and_bare_setups_are_merged_in_turn_and_undone_in_any_order_that_makes_sense() throws Exception {
        String before = export();
        JsonNode carrier = merge("carrier", "carriers", "bluecell", "Bluecell");
        JsonNode setup = merge("setup", "setups", "dome", "Dome");
        assertEquals(1, setup.get("measurements").asInt());
        assertEquals(0, requests.importCsv(LOG).json().get("accepted").asInt());
        undone(carrier);
        undone(setup);
        assertEquals(before, export());
        long dome = id("setups", "Dome");
        assertEquals(
                400,
                requests.send("/api/names/setup/" + dome + "/merge", Map.of("into", dome))
                        .status());
    }

    @Test
    void a_renamed_campsite_is_found_by_both_names_and_renamed_back() throws Exception {
        long bend = id("campsites", "Pine Bend");
        JsonNode renamed = requests.put("/api/names/campsite/" + bend, Map.of("name", "Pine Corner"))
                .json();
        assertTrue(export().contains("Pine Corner"));
        assertEquals(0, requests.importCsv(LOG).json().get("accepted").asInt());
        assertEquals(
                409,
                requests.put("/api/names/campsite/" + id("campsites", "Amber Spit"), Map.of("name", "Pine Bend"))
                        .status());
        undone(renamed);
        assertTrue(export().contains("Pine Bend"));
        assertEquals(0, requests.importCsv(LOG).json().get("accepted").asInt());
        assertEquals(
                200,
                requests.put("/api/names/campsite/" + id("campsites", "Amber Spit"), Map.of("name", "Pine Corner"))
                        .status());
    }

    @Test
    void a_close_name_is_told_and_can_be_said_to_be_the_other() throws Exception {
        String row = "taken_at,campsite,setup,up_mbps,outcome\n2026-08-26T10:00:00+03:00,Amber Spitt,Dome,8,ok\n";
        JsonNode close = requests.importCsv(row.getBytes(), true).json().get("close");
        assertEquals("Amber Spit", close.at("/0/known").asText());
        assertEquals("campsite", close.at("/0/kind").asText());
        assertEquals(
                "Amber Spit",
                requests.read("/api/names/campsite/close?name={0}", "amber spit")
                        .json()
                        .get("name")
                        .asText());
        JsonNode also = requests.put("/api/names/campsite/also?known=Amber Spit", Map.of("name", "Amber Spitt"))
                .json();
        JsonNode report = requests.importCsv(row).json();
        assertEquals(0, report.at("/created/campsites").size());
        assertTrue(export().contains("2026-08-26T10:00:00+03:00,Amber Spit,"));
        undone(also);
        assertEquals(
                1,
                requests.importCsv(row.getBytes(), true)
                        .json()
                        .at("/created/campsites")
                        .size());
    }

    @Test
    void a_correction_keeps_its_history_is_undone_and_the_old_file_still_adds_nothing() throws Exception {
        String before = export();
        long id = measured("44").get("id").asLong();
        JsonNode view = requests.read("/api/measurements/" + id).json();
        Map<String, Object> typed = new HashMap<>();
        view.get("typed")
                .properties()
                .forEach(e -> typed.put(e.getKey(), e.getValue().asText()));
        typed.put("upMbps", "4.4");
        JsonNode done =
                requests.put("/api/measurements/" + id + "?version=0", typed).json();
        assertEquals(4.4, measured("4.4").get("upMbps").asDouble());
        assertEquals(0, requests.importCsv(LOG).json().get("accepted").asInt());
        JsonNode history = requests.read("/api/measurements/" + id).json().get("history");
        assertEquals("44", history.at("/1/changes/0/was").asText());
        typed.put("upMbps", "6");
        Answer second = requests.put("/api/measurements/" + id + "?version=0", typed);
        assertEquals(409, second.status());
        assertEquals("4.4", second.json().at("/changes/0/now").asText());
        typed.put("upMbps", "a lot");
        assertEquals(
                "upMbps",
                requests.put("/api/measurements/" + id, typed)
                        .json()
                        .at("/errors/0/field")
                        .asText());
        undone(done);
        assertEquals(before, export());
        typed.put("upMbps", "44");
        assertTrue(requests.put("/api/measurements/" + id, typed)
                .json()
                .get("change")
                .isNull());
        String sentence = requests.read("/api/changes").json().at("/0/sentence").asText();
        assertTrue(sentence.contains("upload from 44 to 4.4"), sentence);
    }

    @Test
    void an_import_is_undone_as_a_whole_with_what_was_made_for_it() throws Exception {
        long id = measured("9").get("id").asLong();
        requests.ask(delete("/api/measurements/" + id));
        requests.put("/api/standing", Map.of("carrier", "Bluecell"));
        assertEquals(
                200, requests.ask(post("/api/changes/" + imported + "/undo")).status());
        assertEquals(1, export().lines().count());
        assertEquals(0, stays());
        assertEquals("[]", requests.read("/api/campsites").json().toString());
        assertEquals("[]", requests.read("/api/setups").json().toString());
        // in use by now, so it stays
        assertEquals(1, requests.read("/api/carriers").json().size());
        assertEquals(6, requests.importCsv(LOG).json().get("accepted").asInt());
    }

    @Test
    void a_stays_dates_are_changed_and_put_back() throws Exception {
        JsonNode stay = requests.read("/api/stays").json().get(0);
        String address = "/api/stays/" + stay.get("id").asLong();
        Map<String, Object> dates =
                Map.of("arrivedAt", "2026-08-24T12:00:00+03:00", "leftAt", "2026-08-26T09:00:00+03:00");
        JsonNode done = requests.put(address + "?version=0", dates).json();
        JsonNode changed = requests.read("/api/stays").json().get(0);
        assertTrue(changed.get("stated").asBoolean());
        assertEquals(1, changed.get("measurements").asInt());
        assertEquals(
                409,
                requests.put(address + "?version=0", Map.of("arrivedAt", "2026-08-24T13:00:00+03:00"))
                        .status());
        Answer overlap = requests.put(
                address, Map.of("arrivedAt", "2026-08-19T12:00:00+03:00", "leftAt", "2026-08-26T09:00:00+03:00"));
        assertEquals(409, overlap.status());
        assertTrue(overlap.text().contains("overlaps the stay at Pinebend"), overlap.text());
        assertEquals(
                "leftAt",
                requests.put(
                                address,
                                Map.of("arrivedAt", "2026-08-25T12:00:00+03:00", "leftAt", "2026-08-25T09:00:00+03:00"))
                        .json()
                        .at("/errors/0/field")
                        .asText());
        assertEquals(
                "leftAt",
                requests.put(
                                address,
                                Map.of(
                                        "arrivedAt",
                                        "2026-08-25T12:00:00+03:00",
                                        "leftAt",
                                        "+999999999-01-01T00:00:00Z"))
                        .json()
                        .at("/errors/0/field")
                        .asText());
        undone(done);
        assertEquals(stay.get("arrivedAt"), requests.read("/api/stays").json().at("/0/arrivedAt"));
        assertFalse(requests.read("/api/stays").json().at("/0/stated").asBoolean());
    }

    @Test
    void a_stay_is_split_and_its_later_part_was_elsewhere() throws Exception {
        String before = export();
        long stay = requests.read("/api/stays").json().at("/1/id").asLong();
        JsonNode done = requests.send(
                        "/api/stays/" + stay + "/split",
                        Map.of("at", "2026-08-20T18:30:00+03:00", "campsite", "Birch Hollow"))
                .json();
        assertEquals(1, done.get("moved").asInt());
        assertEquals(4, stays());
        assertTrue(export().contains("19:00:00+03:00,Birch Hollow,"));
        assertEquals(0, requests.importCsv(LOG).json().get("accepted").asInt());
        undone(done);
        assertEquals(before, export());
        assertEquals(3, stays());
    }

    @Test
    void measurements_are_moved_to_the_stay_they_belong_to() throws Exception {
        String before = export();
        long there = requests.read("/api/stays").json().at("/0/id").asLong();
        long id = measured("5.3").get("id").asLong();
        JsonNode done = requests.send("/api/measurements/move", Map.of("measurements", List.of(id), "stay", there))
                .json();
        Answer crossing = requests.send(
                "/api/measurements/move",
                Map.of("measurements", List.of(measured("44").get("id").asLong()), "stay", there));
        assertEquals(409, crossing.status(), crossing.text());
        JsonNode stay = requests.read("/api/stays").json().get(0);
        assertEquals(2, stay.get("measurements").asInt());
        assertEquals("Amber Spit", measured("5.3").get("campsite").asText());
        undone(done);
        assertEquals(before, export());
        assertEquals(
                404,
                requests.send("/api/measurements/move", Map.of("measurements", List.of(999999), "stay", there))
                        .status());
    }
}
