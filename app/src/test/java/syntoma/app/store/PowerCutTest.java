package syntoma.app.store;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.Statement;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The power is cut at any moment: what was forced is there, whatever of the rest the disk has kept. */
class PowerCutTest {
    private static final int CUTS = 40;
    private static final long SEED = 11;

    @TempDir
    private Path dir;

    @Test
    void what_was_forced_survives_a_cut_of_power() throws Exception {
        CutDisk.plugIn();
        StoreFiles files = new StoreFiles(dir);
        StoreAddress address = StoreAddress.of(CutDisk.SCHEME + ":" + dir);
        Random random = new Random(SEED);
        int acknowledged = 0;
        int committed = 0;
        try (TestStore store = TestStore.open(files, address)) {
            Statement sql = store.sql();
            Force force = store.force();
            sql.execute("create table log (id int primary key, note varchar(1000))");
            force.force();
            for (int cut = 0; cut < CUTS; cut++) {
                for (int i = random.nextInt(4); i >= 0; i--) {
                    sql.execute(
                            "insert into log values (" + ++committed + ", '" + "x".repeat(random.nextInt(900)) + "')");
                }
                if (random.nextBoolean()) {
                    force.force();
                    acknowledged = committed;
                } else {
                    // written, and not forced
                    force.store().commit();
                }
                look(cut, acknowledged, committed, random);
            }
        }
    }

    /** Starts from what the disk would have after a cut here. */
    private void look(int cut, int acknowledged, int committed, Random random) throws Exception {
        Path after = Files.createDirectory(dir.resolve("cut" + cut));
        StoreFiles files = new StoreFiles(after);
        Files.copy(dir.resolve("syntoma.mv.db.durable"), files.store());
        Files.copy(new StoreFiles(dir).lastMark(), files.lastMark());
        try (FileChannel copy = FileChannel.open(files.store(), StandardOpenOption.WRITE)) {
            CutDisk.cut(copy, random);
        }
        new StoreCheck(files).beforeOpening();
        String address = StoreAddress.of(after.toString()).jdbc("syntoma");
        try (Connection connection = DriverManager.getConnection(address, "sa", "");
                Statement sql = connection.createStatement();
                ResultSet found = sql.executeQuery("select count(*), max(id) from log")) {
            found.next();
            assertEquals(found.getInt(1), found.getInt(2), "a hole after cut " + cut);
            assertTrue(found.getInt(1) >= acknowledged, "cut " + cut + " lost of " + acknowledged);
            assertTrue(found.getInt(1) <= committed);
        }
    }
}
