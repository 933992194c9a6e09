package syntoma.app;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** Rooms keep to their own tables: a query names the entities of its own package alone, and none is in SQL. */
class QueriesTest {
    private static final Path SOURCES = Path.of("src/main/java/syntoma/app");
    private static final Pattern ENTITY = Pattern.compile("@Entity\\s[^{]*?class (\\w+)", Pattern.DOTALL);
    private static final Pattern NAMED = Pattern.compile("(?:from|join|into|update) ([A-Z]\\w+)\\b");
    private static final Pattern TEXT = Pattern.compile("\"((?:[^\"\\\\\\n]|\\\\.)*)\"");

    @Test
    void a_query_names_entities_of_its_own_room() throws IOException {
        Map<String, String> rooms = new TreeMap<>();
        List<Path> files;
        try (Stream<Path> tree = Files.walk(SOURCES)) {
            files = tree.filter(f -> f.toString().endsWith(".java")).toList();
        }
        for (Path file : files) {
            Matcher entity = ENTITY.matcher(Files.readString(file));
            while (entity.find()) {
                rooms.put(entity.group(1), room(file));
            }
        }
        assertTrue(rooms.size() > 10, rooms.toString());
        List<String> strangers = new ArrayList<>();
        int queries = 0;
        for (Path file : files) {
            Matcher text = TEXT.matcher(Files.readString(file));
            while (text.find()) {
                Matcher named = NAMED.matcher(text.group(1));
                while (named.find()) {
                    queries++;
                    String home = rooms.get(named.group(1));
                    if (home != null && !home.equals(room(file))) {
                        strangers.add(SOURCES.relativize(file) + " asks for " + named.group(1) + " of " + home);
                    }
                }
            }
        }
        assertTrue(queries > 20, queries + " queries");
        assertEquals(List.of(), strangers);
    }

    @Test
    void no_statement_goes_around_the_entities() throws IOException {
        try (Stream<Path> tree = Files.walk(SOURCES)) {
            List<String> around = tree.filter(f -> f.toString().endsWith(".java"))
                    .filter(f -> !room(f).equals("store"))
                    .filter(f -> read(f).contains("createNativeQuery"))
                    .map(Path::toString)
                    .toList();
            assertEquals(List.of(), around);
        }
    }

    private static String read(Path file) {
        try {
            return Files.readString(file);
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
    }

    private static String room(Path file) {
        return SOURCES.relativize(file).getName(0).toString();
    }
}
