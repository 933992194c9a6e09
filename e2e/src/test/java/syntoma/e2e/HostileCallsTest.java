package syntoma.e2e;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Wrong calls of every kind; {@code ./syntoma endure} makes many times as many. */
class HostileCallsTest {
    private static final long SEED = 20260814;

    @TempDir
    private Path dir;

    @Test
    void every_wrong_call_is_refused_in_words() throws Exception {
        try (RunningApp app = RunningApp.start(dir, true)) {
            List<String> faults = new HostileCalls(app, Long.getLong("endure.seed", SEED))
                    .run(Integer.getInteger("endure.calls", 800));
            assertEquals(List.of(), faults);
        }
    }
}
