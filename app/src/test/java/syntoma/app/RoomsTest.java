package syntoma.app;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** The page of the architecture names every room, and every room says what it holds. */
class RoomsTest {
    private static final Path APP = Path.of("src/main/java/syntoma/app");
    private static final Path CORE = Path.of("../core/src/main/java/syntoma/core");

    private static List<Path> rooms(Path parent) throws IOException {
        try (Stream<Path> inside = Files.list(parent)) {
            return inside.filter(Files::isDirectory).sorted().toList();
        }
    }

    @Test
    void every_room_is_on_the_page() throws IOException {
        String page = Files.readString(Path.of("../docs/architecture.md"));
        List<String> missing = Stream.of(APP, CORE)
                .flatMap(parent -> {
                    try {
                        return rooms(parent).stream();
                    } catch (IOException e) {
                        throw new java.io.UncheckedIOException(e);
                    }
                })
                .map(room -> room.getFileName().toString())
                .filter(room -> !page.contains("| `" + room + "` |"))
                .toList();
        assertEquals(List.of(), missing);
    }

    @Test
    void every_room_has_a_page_of_its_own_and_those_of_the_core_hold_no_null() throws IOException {
        assertTrue(rooms(CORE).size() > 8);
        for (Path room : rooms(CORE)) {
            String page = Files.readString(room.resolve("package-info.java"));
            assertTrue(page.startsWith("/**") && page.contains("@NullMarked"), room.toString());
        }
        for (Path room : rooms(APP)) {
            assertTrue(Files.readString(room.resolve("package-info.java")).startsWith("/**"), room.toString());
        }
    }
}
