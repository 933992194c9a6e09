package syntoma.app.archive;

import static org.junit.jupiter.api.Assertions.assertArrayEquals;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.UnaryOperator;
import java.util.zip.CRC32;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.request.MockMvcRequestBuilders;
import syntoma.app.ApiTest;
import syntoma.app.ForkFiles;
import syntoma.app.Requests;
import syntoma.app.store.Emptying;
import syntoma.app.store.StoreTables;

/** Everything out and in again. */
@ApiTest(eachAnew = true)
class ArchiveTest {
    @Autowired
    private MockMvc mvc;

    @Autowired
    private StoreTables tables;

    @Autowired
    private Emptying emptying;

    private Requests requests;

    @BeforeEach
    void open() {
        requests = new Requests(mvc);
    }

    private byte[] archive() throws Exception {
        MockHttpServletResponse response = mvc.perform(MockMvcRequestBuilders.get("/api/archive"))
                .andReturn()
                .getResponse();
        assertEquals(200, response.getStatus());
        return response.getContentAsByteArray();
    }

    private Requests.Answer restore(byte[] zip, boolean replace) throws Exception {
        return requests.ask(MockMvcRequestBuilders.post("/api/archive?replace=" + replace)
                .contentType("application/zip")
                .content(zip));
    }

    private static byte[] picture() throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(new BufferedImage(40, 30, BufferedImage.TYPE_INT_RGB), "png", out);
        return out.toByteArray();
    }

    private void lived() throws Exception {
        requests.send("/api/demo", List.of());
        String stay = requests.read("/api/logbook").json().at("/stays/2/id").asText();
        requests.put("/api/stays/" + stay + "/note", Map.of("note", "line one\nline two"));
        requests.put("/api/stays/" + stay + "/note", Map.of("note", "as it is now"));
        assertEquals(
                201,
                requests.ask(MockMvcRequestBuilders.post("/api/stays/" + stay + "/photos")
                                .contentType("application/octet-stream")
                                .content(picture()))
                        .status());
        JsonNode measured = requests.read("/api/measurements?limit=1").json().get(0);
        requests.ask(MockMvcRequestBuilders.delete(
                "/api/measurements/" + measured.get("id").asText()));
        requests.send(
                "/api/ledger/" + requests.gear("Ostrel SIM").get("id").asText() + "/readings", Map.of("usedGb", 21.5));
        requests.put(
                "/api/measure/router",
                Map.of(
                        "kind",
                        "http-json",
                        "address",
                        "http://127.0.0.1:1",
                        "path",
                        "/a",
                        "user",
                        "u",
                        "password",
                        "hidden-word",
                        "token",
                        "",
                        "mapping",
                        Map.of()));
    }

    @Test
    void what_comes_back_gives_the_same_archive_with_history_and_photos() throws Exception {
        lived();
        byte[] first = archive();
        String changes = requests.read("/api/changes").text();
        requests.ask(MockMvcRequestBuilders.delete("/api/demo"));
        assertEquals(0, requests.read("/api/stays").json().size());
        Requests.Answer restored = restore(first, false);
        assertEquals(200, restored.status(), restored.text());
        assertEquals(1, restored.json().get("photos").asInt());
        assertSame(first, archive());
        assertEquals(changes, requests.read("/api/changes").text());
        // and life goes on: what is logged next meets no number that is taken
        assertEquals(
                201,
                requests.send(
                                "/api/measurements",
                                Map.of(
                                        "takenAt",
                                        "2026-09-05T20:30:00+02:00",
                                        "campsite",
                                        "Lighthouse Meadow",
                                        "setup",
                                        "Mast panel",
                                        "carrier",
                                        "Tarnwave",
                                        "outcome",
                                        "ok",
                                        "rsrpDbm",
                                        "-90"))
                        .status());
        JsonNode undone = requests.read("/api/changes").json().get(0);
        assertEquals(
                200,
                requests.send("/api/changes/" + undone.get("id").asText() + "/undo", List.of())
                        .status());
    }

    @Test
    void secrets_never_leave() throws Exception {
        lived();
        for (String text : entries(archive()).values().stream()
                .map(b -> new String(b, StandardCharsets.ISO_8859_1))
                .toList()) {
            assertFalse(text.contains("hidden-word"));
        }
    }

    @Test
    void what_is_there_is_not_overwritten_unless_that_is_said() throws Exception {
        lived();
        byte[] zip = archive();
        assertEquals(409, restore(zip, false).status());
        Requests.Answer replaced = restore(zip, true);
        assertEquals(200, replaced.status(), replaced.text());
        assertTrue(replaced.json().get("keptAs").asText().startsWith("before-archive-"));
        assertSame(zip, archive());
    }

    @Test
    void a_vehicle_a_mast_a_router_or_a_game_alone_is_something_too() throws Exception {
        byte[] empty = archive();
        assertEquals(200, restore(empty, false).status());
        Map<String, Runnable> things = new LinkedHashMap<>();
        things.put(
                "a mast",
                () -> sent(
                        "/api/aim/masts",
                        Map.of("name", "M", "carrier", "Ostrel", "cellId", "1", "lat", 59, "lon", 18)));
        things.put(
                "a need",
                () -> changed(
                        "/api/needs",
                        Map.of(
                                "name",
                                "Telemetry",
                                "upMbps",
                                1,
                                "hoursADay",
                                2,
                                "partOfDay",
                                "any time",
                                "chosen",
                                true)));
        things.put("the declination", () -> changed("/api/aim/declination", Map.of("declinationDeg", 7)));
        things.put(
                "a server", () -> changed("/api/measure/server", Map.of("address", "http://127.0.0.1:1", "key", "")));
        things.put("a game", () -> sent("/api/practice", Map.of()));
        things.put("a plan", () -> sent("/api/fitout/plans", Map.of("name", "Roof")));
        for (Map.Entry<String, Runnable> thing : things.entrySet()) {
            assertTrue(tables.areUntouched(), "before " + thing.getKey());
            thing.getValue().run();
            assertFalse(tables.areUntouched(), thing.getKey());
            emptying.empty();
        }
        things.get("a mast").run();
        assertEquals(409, restore(empty, false).status());
        assertTrue(restore(empty, true).json().get("keptAs").asText().startsWith("before-archive-"));
        assertEquals(200, restore(empty, false).status());
    }

    private void sent(String path, Object body) {
        try {
            Requests.Answer answer = requests.send(path, body);
            assertTrue(answer.status() < 300, answer.text());
        } catch (Exception e) {
            throw new AssertionError(e);
        }
    }

    private void changed(String path, Object body) {
        try {
            Requests.Answer answer = requests.put(path, body);
            assertTrue(answer.status() < 300, answer.text());
        } catch (Exception e) {
            throw new AssertionError(e);
        }
    }

    @Test
    void two_copies_of_one_second_are_two() throws Exception {
        lived();
        byte[] zip = archive();
        String first = restore(zip, true).json().get("keptAs").asText();
        String second = restore(zip, true).json().get("keptAs").asText();
        assertFalse(first.equals(second), first);
        for (String kept : List.of(first, second)) {
            assertTrue(Files.size(ForkFiles.files().dir().resolve(kept)) > 1_000, kept);
        }
    }

    @Test
    void files_that_climb_out_are_doubled_or_damaged_are_named() throws Exception {
        lived();
        byte[] zip = archive();
        for (String name : List.of("../evil", "/etc/evil", "a\\b", "tables/unknown.jsonl", "more.txt")) {
            Map<String, byte[]> more = entries(zip);
            more.put(name, new byte[] {1});
            Requests.Answer refused = restore(zipped(more), true);
            assertEquals(400, refused.status(), name);
            assertTrue(refused.json().get("detail").asText().contains("which is not known"), refused.text());
        }
        Map<String, byte[]> twin = entries(zip);
        twin.put("README.tyt", twin.get("README.txt"));
        byte[] doubled = replaced(zipped(twin), "README.tyt", "README.txt");
        assertTrue(restore(doubled, true).json().get("detail").asText().contains("README.txt twice"));
        // a stored file can be changed without the zip noticing by itself
        byte[] stored = stored(entries(zip));
        byte[] spoilt = replaced(stored, "Lighthouse Meadow", "Lighthouse Shadow");
        Requests.Answer damaged = restore(spoilt, true);
        assertEquals(400, damaged.status(), damaged.text());
        assertTrue(damaged.json().get("detail").asText().contains("is damaged"), damaged.text());
        assertSame(zip, archive());
    }

    private static byte[] replaced(byte[] zip, String from, String to) {
        return new String(zip, StandardCharsets.ISO_8859_1).replace(from, to).getBytes(StandardCharsets.ISO_8859_1);
    }

    private static byte[] stored(Map<String, byte[]> entries) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(out)) {
            zip.setMethod(ZipOutputStream.STORED);
            for (Map.Entry<String, byte[]> entry : entries.entrySet()) {
                ZipEntry plain = new ZipEntry(entry.getKey());
                CRC32 sum = new CRC32();
                sum.update(entry.getValue());
                plain.setSize(entry.getValue().length);
                plain.setCrc(sum.getValue());
                zip.putNextEntry(plain);
                zip.write(entry.getValue());
            }
        }
        return out.toByteArray();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "tables/stay.jsonl | \"campsite_id\":1 | \"campsite_id\":\"one\" | campsite_id",
                "tables/stay.jsonl | \"campsite_id\":1 | \"campsite_id\":999 | campsite",
                "tables/stay.jsonl | \"campsite_id\":1 | \"colour\":1 | campsite_id",
                "tables/stay.jsonl | \"stated\" | \"unknown\" | stated",
                "tables/stay.jsonl | 2026-07 | yesterday | arrived_at",
                "tables/need.jsonl | { | [ | line 1",
                "manifest.json | \"version\" : 1 | \"version\" : 9 | version is 9",
                "manifest.json | syntoma-archive | another | another",
                "manifest.json | \"stay\" : 12 | \"stay\" : 13 | 13"
            })
    void an_archive_that_was_changed_is_refused_with_the_reason_and_nothing_is_kept(
            String file, String from, String to, String named) throws Exception {
        lived();
        byte[] zip = archive();
        byte[] changed = changed(zip, file, text -> text.replaceFirst(java.util.regex.Pattern.quote(from), to));
        requests.ask(MockMvcRequestBuilders.delete("/api/demo"));
        Requests.Answer refused = restore(changed, false);
        assertEquals(400, refused.status(), refused.text());
        assertTrue(refused.json().get("detail").asText().contains(named), refused.text());
        assertEquals(0, requests.read("/api/stays").json().size());
        assertEquals(200, restore(zip, false).status());
    }

    @Test
    void what_is_no_archive_is_refused() throws Exception {
        assertEquals(
                400, restore("hello".getBytes(StandardCharsets.UTF_8), false).status());
        assertEquals(400, restore(new byte[0], false).status());
        lived();
        byte[] zip = archive();
        byte[] cut = java.util.Arrays.copyOf(zip, zip.length / 2);
        assertEquals(400, restore(cut, true).status());
        assertEquals(
                400, restore(changed(zip, "manifest.json", text -> "no"), true).status());
        Map<String, byte[]> more = entries(zip);
        more.put("tables/../../evil.jsonl", new byte[0]);
        assertEquals(400, restore(zipped(more), true).status());
        more = entries(zip);
        more.replaceAll((name, bytes) -> name.startsWith("photos/") ? new byte[] {(byte) 0xff, (byte) 0xd8, 1} : bytes);
        Requests.Answer other = restore(zipped(more), true);
        assertEquals(400, other.status());
        assertTrue(other.text().contains("not the picture"));
        assertSame(zip, archive());
    }

    /** Two archives are the same byte for byte; where they are not, the file in them that differs is named. */
    private static void assertSame(byte[] expected, byte[] found) throws IOException {
        Map<String, byte[]> files = entries(found);
        Map<String, byte[]> wanted = entries(expected);
        assertEquals(wanted.keySet(), files.keySet());
        for (Map.Entry<String, byte[]> file : wanted.entrySet()) {
            assertEquals(
                    new String(file.getValue(), StandardCharsets.ISO_8859_1),
                    new String(files.get(file.getKey()), StandardCharsets.ISO_8859_1),
                    file.getKey());
        }
        assertArrayEquals(expected, found);
    }

    private static byte[] changed(byte[] zip, String file, UnaryOperator<String> change) throws IOException {
        Map<String, byte[]> entries = entries(zip);
        entries.computeIfPresent(file, (name, bytes) -> change.apply(new String(bytes, StandardCharsets.UTF_8))
                .getBytes(StandardCharsets.UTF_8));
        return zipped(entries);
    }

    private static Map<String, byte[]> entries(byte[] zip) throws IOException {
        Map<String, byte[]> entries = new LinkedHashMap<>();
        try (ZipInputStream in = new ZipInputStream(new ByteArrayInputStream(zip))) {
            for (ZipEntry entry = in.getNextEntry(); entry != null; entry = in.getNextEntry()) {
                entries.put(entry.getName(), in.readAllBytes());
            }
        }
        return entries;
    }

    private static byte[] zipped(Map<String, byte[]> entries) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(out)) {
            for (Map.Entry<String, byte[]> entry : entries.entrySet()) {
                zip.putNextEntry(new ZipEntry(entry.getKey()));
                zip.write(entry.getValue());
            }
        }
        return out.toByteArray();
    }
}
