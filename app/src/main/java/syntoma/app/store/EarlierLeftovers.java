package syntoma.app.store;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;

/**
 * What versions up to layout 27 may have left in a data directory: the mark of a first start that was broken off, and the copy from
 * before a change of layout that was broken off. Neither says which store it belongs to, so the store itself is looked at, and what
 * gives way is moved aside.
 */
final class EarlierLeftovers {
    /** Written by the migrations themselves: a store that holds no more than these was never used. */
    private static final String SEEDED = "('standing', 'rig', 'compass', 'flyway_schema_history')";

    private final StoreFiles files;

    EarlierLeftovers(StoreFiles files) {
        this.files = files;
    }

    List<String> settle() throws IOException {
        List<String> notices = new ArrayList<>();
        Path copy = files.dir().resolve("syntoma.before.zip");
        if (Files.exists(copy)) {
            notices.add(goBackTo(copy));
        }
        Path mark = files.dir().resolve("syntoma.new");
        if (Files.exists(mark)) {
            if (Files.exists(files.store()) && isUnused()) {
                Path aside = files.moveAside(files.store(), files.lastMark());
                notices.add(
                        "The first start in " + files.dir() + " was broken off; the empty log it left is in " + aside);
            } else if (Files.exists(files.store())) {
                notices.add(
                        "The mark of a first start that was broken off lay beside a log that holds data. The log is used"
                                + " as it is, and the mark was removed");
            }
            Files.delete(mark);
        }
        return notices;
    }

    private boolean isUnused() {
        String address = StoreAddress.of(files.dir().toString()).jdbc(StoreFiles.DATABASE) + StoreLayout.READ_ONLY;
        try (Connection connection = DriverManager.getConnection(address, "sa", "")) {
            for (String table : tables(connection)) {
                try (Statement sql = connection.createStatement();
                        ResultSet row = sql.executeQuery("select 1 from \"" + table + "\" limit 1")) {
                    if (row.next()) {
                        return false;
                    }
                }
            }
            return true;
        } catch (SQLException unreadable) {
            // the check of the store says what is wrong with it
            return false;
        }
    }

    private static List<String> tables(Connection connection) throws SQLException {
        List<String> tables = new ArrayList<>();
        try (Statement sql = connection.createStatement();
                ResultSet rows =
                        sql.executeQuery("select table_name from information_schema.tables where table_schema ="
                                + " 'PUBLIC' and table_type = 'BASE TABLE' and lower(table_name) not in " + SEEDED)) {
            while (rows.next()) {
                tables.add(rows.getString(1));
            }
        }
        return tables;
    }

    /** The store as it was before the change of layout; the half-changed one is moved aside. */
    private String goBackTo(Path copy) throws IOException {
        Path whole = files.working();
        Files.deleteIfExists(whole);
        try (ZipInputStream zip = new ZipInputStream(Files.newInputStream(copy))) {
            for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
                if (entry.getName().endsWith(".mv.db")) {
                    copy(zip, whole);
                }
            }
        }
        if (!Files.exists(whole)) {
            throw new StartRefusedException(
                    "the copy " + copy + " holds no log; move it away, and put back a copy of your own");
        }
        Path aside = files.moveAside(files.store(), files.lastMark());
        Files.move(whole, files.store(), StandardCopyOption.ATOMIC_MOVE);
        files.moveInto(aside, copy);
        return "A change of the log's layout was broken off. The log from before it is used; what was begun is in "
                + aside;
    }

    private static void copy(InputStream in, Path file) throws IOException {
        Files.copy(in, file);
        StoreFiles.restrictFile(file);
        StoreFiles.sync(file);
    }
}
