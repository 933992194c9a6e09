package syntoma.e2e;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * Data directories that earlier versions have left are opened, and nothing of them is missing. Each fixture holds a directory with the
 * demo and own data of every kind, and the archive that its version gave of it. They stay as they are for ever.
 */
class EarlierDataTest {
    private static final ObjectMapper JSON = new ObjectMapper();

    @TempDir
    private Path dir;

    @Test
    void a_directory_of_layout_27_is_opened_with_everything_in_it() throws Exception {
        Map<String, byte[]> fixture = entries(EarlierDataTest.class.getResourceAsStream("layout-27.zip"));
        for (Map.Entry<String, byte[]> file : fixture.entrySet()) {
            if (file.getKey().startsWith("data/") && !file.getKey().endsWith("/")) {
                Path at = dir.resolve(file.getKey().substring("data/".length()));
                Files.createDirectories(at.getParent());
                Files.write(at, file.getValue());
            }
        }
        Map<String, byte[]> before = entries(new ByteArrayInputStream(fixture.get("archive.zip")));
        Map<String, byte[]> now;
        try (RunningApp app = RunningApp.start(dir, false)) {
            now = entries(new ByteArrayInputStream(bytes(app.address("/api/archive"))));
            assertTrue(app.read("/api/network").contains("\"phraseSet\":true"));
        }
        // the demo sets its own router and speed server up at each start
        before.keySet().removeAll(Set.of("tables/router.jsonl", "tables/speed_server.jsonl"));
        sameAs(before, now);
        try (Stream<Path> all = Files.list(dir)) {
            assertEquals(
                    1,
                    all.filter(f -> f.getFileName().toString().matches("before-layout-\\d+-from-27-.*\\.mv\\.db"))
                            .count());
        }
    }

    @Test
    void an_archive_of_layout_27_is_taken_in_with_everything_in_it() throws Exception {
        byte[] archive = entries(EarlierDataTest.class.getResourceAsStream("layout-27.zip"))
                .get("archive.zip");
        try (RunningApp app = RunningApp.start(dir, false)) {
            HttpResponse<String> taken = HttpClient.newHttpClient()
                    .send(
                            HttpRequest.newBuilder(URI.create(app.address("/api/archive")))
                                    .header("Content-Type", "application/zip")
                                    .POST(HttpRequest.BodyPublishers.ofByteArray(archive))
                                    .build(),
                            HttpResponse.BodyHandlers.ofString());
            assertEquals(200, taken.statusCode(), taken.body());
            sameAs(
                    entries(new ByteArrayInputStream(archive)),
                    entries(new ByteArrayInputStream(bytes(app.address("/api/archive")))));
        }
    }

    private static void sameAs(Map<String, byte[]> before, Map<String, byte[]> now) throws IOException {
        int rows = 0;
        for (Map.Entry<String, byte[]> file : before.entrySet()) {
            if (file.getKey().startsWith("tables/")) {
                rows += sameRows(file.getKey(), lines(file.getValue()), lines(now.get(file.getKey())));
            } else if (file.getKey().startsWith("photos/")) {
                assertEquals(file.getValue().length, now.get(file.getKey()).length, file.getKey());
            }
        }
        assertTrue(rows > 900, rows + " rows");
    }

    /** Each row is there with what it had; it may have more. */
    private static int sameRows(String table, List<String> before, List<String> now) throws IOException {
        assertEquals(before.size(), now.size(), table);
        for (int i = 0; i < before.size(); i++) {
            JsonNode had = JSON.readTree(before.get(i));
            JsonNode has = JSON.readTree(now.get(i));
            for (Map.Entry<String, JsonNode> value : had.properties()) {
                assertEquals(
                        value.getValue(), has.get(value.getKey()), table + ", row " + (i + 1) + ", " + value.getKey());
            }
        }
        return before.size();
    }

    private static List<String> lines(byte[] text) {
        return new String(text, StandardCharsets.UTF_8).lines().toList();
    }

    private static byte[] bytes(String address) throws IOException, InterruptedException {
        return HttpClient.newHttpClient()
                .send(HttpRequest.newBuilder(URI.create(address)).build(), HttpResponse.BodyHandlers.ofByteArray())
                .body();
    }

    private static Map<String, byte[]> entries(InputStream zipped) throws IOException {
        Map<String, byte[]> entries = new TreeMap<>();
        try (ZipInputStream zip = new ZipInputStream(zipped)) {
            for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
                entries.put(entry.getName(), zip.readAllBytes());
            }
        }
        return entries;
    }
}
