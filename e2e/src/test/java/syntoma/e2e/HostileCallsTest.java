package syntoma.e2e;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Wrong calls of every kind; {@code ./syntoma endure} makes many times as many. */
class HostileCallsTest {
    private static final long SEED = 20260814;
    private static final int CALLS = 250;

    @TempDir
    private Path dir;

    @Test
    void every_wrong_call_is_refused_in_words() throws Exception {
        try (RunningApp app = RunningApp.start(dir, true)) {
            assertEquals(List.of(), new HostileCalls(app, SEED).run(CALLS));
        }
    }
}
