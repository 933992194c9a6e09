package syntoma.e2e;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;

/** What an earlier version left: a data directory, and the archive that the version gave of it. */
final class EarlierData {
    private static final ObjectMapper JSON = new ObjectMapper();

    /** The demo sets up its own router and speed server again at each start. */
    private static final Set<String> SET_UP_AT_START = Set.of("tables/router.jsonl", "tables/speed_server.jsonl");

    private final Map<String, byte[]> files;

    private EarlierData(Map<String, byte[]> files) {
        this.files = files;
    }

    static EarlierData ofLayout(int layout) throws IOException {
        return new EarlierData(entries(EarlierData.class.getResourceAsStream("layout-" + layout + ".zip")));
    }

    /** Copies the data directory. */
    void copyTo(Path dir) throws IOException {
        for (Map.Entry<String, byte[]> file : files.entrySet()) {
            if (file.getKey().startsWith("data/") && !file.getKey().endsWith("/")) {
                Path at = dir.resolve(file.getKey().substring("data/".length()));
                Files.createDirectories(at.getParent());
                Files.write(at, file.getValue());
            }
        }
    }

    byte[] archive() {
        return files.get("archive.zip");
    }

    /** Compares all rows and pictures with what an application has after it opened the directory. */
    void requireAllIn(RunningApp app) throws IOException {
        Map<String, byte[]> before = entries(new ByteArrayInputStream(archive()));
        before.keySet().removeAll(SET_UP_AT_START);
        requireSame(before, entries(new ByteArrayInputStream(app.bytes("/api/archive"))));
    }

    /** Compares all rows and pictures with what an application has after it restored the archive. */
    void requireAllRestoredIn(RunningApp app) throws IOException {
        requireSame(
                entries(new ByteArrayInputStream(archive())),
                entries(new ByteArrayInputStream(app.bytes("/api/archive"))));
    }

    private static void requireSame(Map<String, byte[]> before, Map<String, byte[]> now) throws IOException {
        int rows = 0;
        for (Map.Entry<String, byte[]> file : before.entrySet()) {
            if (file.getKey().startsWith("tables/")) {
                rows += requireSameRows(file.getKey(), lines(file.getValue()), lines(now.get(file.getKey())));
            } else if (file.getKey().startsWith("photos/")) {
                assertEquals(file.getValue().length, now.get(file.getKey()).length, file.getKey());
            }
        }
        assertTrue(rows > 900, rows + " rows");
    }

    /** Each row is there with what it had; it may have more. */
    private static int requireSameRows(String table, List<String> before, List<String> now) throws IOException {
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
