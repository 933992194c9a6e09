package syntoma.app.store;

import static org.junit.jupiter.api.Assertions.assertArrayEquals;
import static org.junit.jupiter.api.Assertions.assertDoesNotThrow;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.Statement;
import java.time.LocalDateTime;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** A bad last page is told at the start, nothing of the file is changed, and the way back leads to what can be read. */
class DamagedStoreTest {
    private static final int ROWS = 60;
    private static final int PAGE = 4096;

    @TempDir
    private Path dir;

    private StoreFiles files;
    private Path killed;

    /** A store that was written to and killed, and the same one closed in order. */
    @BeforeEach
    void write() throws Exception {
        Path written = Files.createDirectory(dir.resolve("closed"));
        files = new StoreFiles(written);
        StoreAddress address = StoreAddress.of(written.toString());
        killed = Files.createDirectory(dir.resolve("killed"));
        try (TestStore store = TestStore.open(files, address)) {
            Statement sql = store.sql();
            sql.execute("create table measurement (id int primary key, taken_at varchar(40), note varchar(900))");
            for (int i = 1; i <= ROWS; i++) {
                sql.execute("insert into measurement values (" + i + ", '2026-08-14', '" + "n".repeat(800) + "')");
                store.force().force();
            }
            for (Path file : new Path[] {files.store(), files.lastMark()}) {
                Files.copy(file, killed.resolve(file.getFileName()));
            }
        }
        StoreCheck.noteClosing(files);
    }

    private void spoil(StoreFiles store, String how) throws Exception {
        try (FileChannel file = FileChannel.open(store.store(), StandardOpenOption.WRITE)) {
            switch (how) {
                case "zeros" -> file.write(ByteBuffer.allocate(PAGE), file.size() - PAGE);
                case "one bit" -> file.write(ByteBuffer.wrap(new byte[] {1}), file.size() - PAGE + 100);
                case "cut" -> file.truncate(file.size() - PAGE);
                case "cut short" -> file.truncate(file.size() - 100);
                default -> file.truncate(100);
            }
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"zeros", "one bit", "cut", "cut short", "all but the head"})
    void after_a_kill_a_bad_last_page_is_told_and_mended(String how) throws Exception {
        StoreFiles store = new StoreFiles(killed);
        spoil(store, how);
        byte[] before = Files.readAllBytes(store.store());
        String said = refusal(store);
        assertTrue(said.contains("damaged") && said.contains("--mend"), said);
        assertArrayEquals(before, Files.readAllBytes(store.store()));
        if (how.startsWith("all")) {
            assertThrows(StartRefusedException.class, () -> new Mend(store).mend(LocalDateTime.of(2026, 8, 14, 18, 5)));
            assertArrayEquals(before, Files.readAllBytes(store.store()));
        } else {
            mend(store);
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"zeros", "one bit", "cut"})
    void after_a_stop_in_order_too(String how) throws Exception {
        spoil(files, how);
        assertTrue(refusal(files).contains("damaged"));
    }

    private void mend(StoreFiles store) throws Exception {
        String saved = new Mend(store).mend(LocalDateTime.of(2026, 8, 14, 18, 5));
        assertTrue(saved.startsWith("Mended: "), saved);
        assertTrue(Files.exists(store.dir().resolve("damaged-20260814-180500.mv.db")));
        assertDoesNotThrow(() -> new StoreCheck(store).beforeOpening());
        assertTrue(rows(store) >= ROWS - 2, saved);
        try (Stream<Path> left = Files.list(store.dir())) {
            assertEquals(
                    0, left.filter(f -> f.toString().contains("syntoma.mend")).count());
        }
    }

    private static int rows(StoreFiles store) throws Exception {
        String address = StoreAddress.of(store.dir().toString()).jdbc("syntoma");
        try (Connection connection = DriverManager.getConnection(address, "sa", "");
                Statement sql = connection.createStatement();
                ResultSet found = sql.executeQuery("select count(*) from measurement")) {
            found.next();
            return found.getInt(1);
        }
    }

    @Test
    void a_sound_store_is_opened_after_a_kill_and_after_a_stop() throws Exception {
        for (StoreFiles store : new StoreFiles[] {files, new StoreFiles(killed)}) {
            assertDoesNotThrow(() -> new StoreCheck(store).beforeOpening());
            assertEquals(ROWS, rows(store));
        }
    }

    @Test
    void a_store_that_is_gone_is_not_passed_over() throws Exception {
        Files.delete(files.store());
        assertTrue(refusal(files).contains("is gone"));
    }

    private static String refusal(StoreFiles store) {
        String said = assertThrows(StartRefusedException.class, () -> new StoreCheck(store).beforeOpening())
                .getMessage();
        assertEquals(1, said.lines().count());
        return said;
    }
}
