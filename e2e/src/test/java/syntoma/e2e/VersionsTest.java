package syntoma.e2e;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.jar.JarFile;
import org.junit.jupiter.api.Test;

/**
 * What ships, with its versions, is what the list says, and nothing of it is older than the version that mended a fault we
 * know of. Both without a network. After a change run this with {@code -Dversions.write=true} and commit the list.
 */
class VersionsTest {
    private static final Path ROOT = Path.of(System.getProperty("syntoma.root"));
    private static final Path LIST = ROOT.resolve("docs/versions.md");
    private static final String LIBRARIES = "BOOT-INF/lib/";

    @Test
    void the_list_of_versions_is_current() throws IOException {
        String list = list();
        if (Boolean.getBoolean("versions.write")) {
            Files.writeString(LIST, list);
        }
        assertEquals(list, Files.readString(LIST));
    }

    @Test
    void nothing_that_ships_has_a_fault_we_know_of() throws IOException {
        Map<String, String> shipped = new TreeMap<>(libraries());
        shipped.putAll(packages());
        int found = 0;
        try (InputStream in = VersionsTest.class.getResourceAsStream("known-faults.csv")) {
            for (String line : new String(in.readAllBytes(), StandardCharsets.UTF_8)
                    .lines()
                    .skip(1)
                    .toList()) {
                String[] fault = line.split(",", 3);
                String version = shipped.get(fault[0]);
                if (version != null) {
                    found++;
                    assertTrue(
                            isAtLeast(version, fault[1]),
                            fault[0] + " " + version + " has a fault that " + fault[1] + " has not: " + fault[2]);
                }
            }
        }
        assertTrue(found > 8, "the faults name what does not ship: only " + found + " found");
    }

    @Test
    void versions_are_compared_by_their_numbers() {
        assertTrue(isAtLeast("10.1.55", "10.1.9") && isAtLeast("2.0", "2.0") && isAtLeast("6.6.53.Final", "6.6.9"));
        assertTrue(!isAtLeast("3.17.0", "3.18.0") && !isAtLeast("2.1", "2.1.1"));
    }

    private static boolean isAtLeast(String version, String wanted) {
        String[] has = version.split("[.-]");
        String[] needs = wanted.split("[.-]");
        for (int i = 0; i < needs.length; i++) {
            int own = i < has.length && has[i].matches("\\d{1,9}") ? Integer.parseInt(has[i]) : 0;
            int other = Integer.parseInt(needs[i]);
            if (own != other) {
                return own > other;
            }
        }
        return true;
    }

    private static String list() throws IOException {
        List<String> lines = new ArrayList<>(List.of(
                "# Versions",
                "",
                "What ships, as a test of every build checks it against what is packaged. The same test refuses a version"
                        + " with a fault we know of; with a network, `npm audit` in `ui/` asks for those we do not.",
                "",
                "## Libraries of the application",
                "",
                "| library | version |",
                "|---|---|"));
        libraries().forEach((name, version) -> lines.add("| " + name + " | " + version + " |"));
        lines.addAll(List.of("", "## Packages of the interface", "", "| package | version |", "|---|---|"));
        packages().forEach((name, version) -> lines.add("| " + name + " | " + version + " |"));
        return String.join("\n", lines) + "\n";
    }

    private static Map<String, String> libraries() throws IOException {
        Map<String, String> libraries = new TreeMap<>();
        try (JarFile jar = new JarFile(System.getProperty("syntoma.jar"))) {
            jar.stream()
                    .map(java.util.zip.ZipEntry::getName)
                    .filter(name -> name.startsWith(LIBRARIES) && name.endsWith(".jar"))
                    .map(name -> name.substring(LIBRARIES.length(), name.length() - ".jar".length()))
                    .forEach(name -> {
                        int cut = 0;
                        while (!(name.charAt(cut) == '-' && Character.isDigit(name.charAt(cut + 1)))) {
                            cut++;
                        }
                        libraries.put(name.substring(0, cut), name.substring(cut + 1));
                    });
        }
        return libraries;
    }

    /** What package.json asks for, in the versions that are locked. */
    private static Map<String, String> packages() throws IOException {
        ObjectMapper json = new ObjectMapper();
        JsonNode asked = json.readTree(ROOT.resolve("ui/package.json").toFile());
        JsonNode locked =
                json.readTree(ROOT.resolve("ui/package-lock.json").toFile()).get("packages");
        Map<String, String> packages = new TreeMap<>();
        for (String group : List.of("dependencies", "devDependencies")) {
            asked.get(group)
                    .fieldNames()
                    .forEachRemaining(name -> packages.put(
                            name,
                            locked.get("node_modules/" + name).get("version").asText()));
        }
        return packages;
    }
}
