package syntoma.e2e;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * Data directories that earlier versions have left are opened, and nothing of them is missing. Each fixture holds a directory with the
 * demo and own data of every kind, and the archive that its version gave of it. They stay as they are for ever.
 */
class EarlierDataTest {
    @TempDir
    private Path dir;

    @Test
    void a_directory_of_layout_27_is_opened_with_everything_in_it() throws Exception {
        EarlierData earlier = EarlierData.ofLayout(27);
        earlier.copyTo(dir);
        try (RunningApp app = RunningApp.start(dir, false)) {
            earlier.requireAllIn(app);
            assertTrue(app.read("/api/network").contains("\"phraseSet\":true"));
        }
        try (Stream<Path> all = Files.list(dir)) {
            assertEquals(
                    1,
                    all.filter(f -> f.getFileName().toString().matches("before-layout-\\d+-from-27-.*\\.mv\\.db"))
                            .count());
        }
    }

    @Test
    void an_archive_of_layout_27_is_taken_in_with_everything_in_it() throws Exception {
        EarlierData earlier = EarlierData.ofLayout(27);
        try (RunningApp app = RunningApp.start(dir, false)) {
            assertEquals(200, app.send("POST", "/api/archive", "application/zip", earlier.archive()));
            earlier.requireAllRestoredIn(app);
        }
    }
}
