package syntoma.app.platform;

import static org.junit.jupiter.api.Assertions.assertDoesNotThrow;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.net.InetAddress;
import java.net.ServerSocket;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import syntoma.app.store.StartRefusedException;
import syntoma.app.store.StoreFiles;

/** What stands in the way of a start is said in one line. */
class StartTest {
    @TempDir
    private Path dir;

    private static int freePort() throws Exception {
        try (ServerSocket socket = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
            return socket.getLocalPort();
        }
    }

    private String refusal(Path data, boolean demo, int port) {
        String message = assertThrows(
                        StartRefusedException.class, () -> Start.prepare(new StoreFiles(data), demo, port))
                .getMessage();
        assertEquals(1, message.lines().count());
        return message;
    }

    @Test
    void a_busy_port_is_named() throws Exception {
        try (ServerSocket taken = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
            assertTrue(refusal(dir, false, taken.getLocalPort()).contains("port " + taken.getLocalPort()));
        }
    }

    @Test
    void a_second_start_on_the_same_data_stops() throws Exception {
        int port = freePort();
        assertDoesNotThrow(() -> Start.prepare(new StoreFiles(dir), false, port));
        assertTrue(refusal(dir, false, port).contains(dir.toString()));
    }

    @Test
    void a_directory_that_cannot_be_made_is_named() throws Exception {
        Path file = Files.writeString(dir.resolve("file"), "x");
        assertTrue(refusal(file.resolve("data"), false, freePort()).contains("cannot be written"));
        assertTrue(refusal(file, false, freePort()).contains("a file is in its place"));
    }

    @Test
    void a_demo_empties_its_own_directory_and_no_other() throws Exception {
        Path own = Files.createDirectory(dir.resolve("own"));
        Files.writeString(own.resolve("syntoma.mv.db"), "precious");
        assertTrue(refusal(own, true, freePort()).contains("not the demo's"));
        assertTrue(Files.exists(own.resolve("syntoma.mv.db")));

        Path demo = Files.createDirectory(dir.resolve("demo"));
        Files.writeString(demo.resolve("demo-data"), "");
        Files.writeString(demo.resolve("syntoma.mv.db"), "old");
        Start.prepare(new StoreFiles(demo), true, freePort());
        assertFalse(Files.exists(demo.resolve("syntoma.mv.db")));
    }

    @Test
    void what_is_made_is_its_owners_alone() throws Exception {
        Path data = dir.resolve("new");
        Start.prepare(new StoreFiles(data), false, freePort());
        assertEquals("rwx------", PosixFilePermissions.toString(Files.getPosixFilePermissions(data)));
        try (Stream<Path> made = Files.list(data)) {
            for (Path each : made.toList()) {
                String others = PosixFilePermissions.toString(Files.getPosixFilePermissions(each))
                        .substring(3);
                assertEquals("------", others, each.toString());
            }
        }
        assertTrue(Files.exists(data.resolve("in-use.lock")));
    }
}
