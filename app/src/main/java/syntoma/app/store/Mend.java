package syntoma.app.store;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.util.stream.Stream;
import org.h2.tools.Recover;

/**
 * Makes a store again from all that can be read of a damaged one. The damaged file stays beside it as it was.
 */
public final class Mend {
    private static final DateTimeFormatter STAMP = DateTimeFormatter.ofPattern("yyyyMMdd-HHmmss");
    private static final String WORK = "syntoma.mend";
    private static final String MENDED = WORK + "ed";

    private final StoreFiles files;

    public Mend(StoreFiles files) {
        this.files = files;
    }

    /**
     * Mends the store.
     *
     * @param now stands in the name of the copy that is kept
     * @return what was saved, as a sentence
     * @throws StartRefusedException when nothing can be read of it; the damaged file is as it was
     */
    public String mend(LocalDateTime now) throws IOException {
        if (!Files.exists(files.store())) {
            throw new StartRefusedException(
                    "there is no log in " + files.dir() + " that could be mended; start without --mend");
        }
        Path kept = files.dir().resolve("damaged-" + STAMP.format(now) + ".mv.db");
        Files.copy(files.store(), kept);
        StoreFiles.restrictFile(kept);
        try {
            clear();
            String saved = rebuild();
            Files.move(
                    files.dir().resolve(MENDED + ".mv.db"),
                    files.store(),
                    StandardCopyOption.REPLACE_EXISTING,
                    StandardCopyOption.ATOMIC_MOVE);
            Files.deleteIfExists(files.lastMark());
            return saved + " The damaged file is kept as " + kept + ".";
        } catch (SQLException unreadable) {
            throw new StartRefusedException("the log cannot be mended ("
                    + unreadable.getMessage().lines().findFirst().orElse("")
                    + "); it is as it was. Put back a copy of your own, or begin with an empty log by --data");
        } finally {
            clear();
        }
    }

    private void clear() throws IOException {
        try (Stream<Path> all = Files.list(files.dir())) {
            for (Path file :
                    all.filter(f -> f.getFileName().toString().startsWith(WORK)).toList()) {
                Files.delete(file);
            }
        }
    }

    private String rebuild() throws IOException, SQLException {
        StoreAddress address = StoreAddress.of(files.dir().toString());
        Files.copy(files.store(), files.dir().resolve(WORK + ".mv.db"));
        Path script;
        try {
            script = files.dir().resolve(WORK + ".sql");
            run(address.jdbc(WORK), "script to '" + quote(script) + "'");
        } catch (SQLException unreadable) {
            Recover.execute(files.dir().toString(), WORK);
            script = files.dir().resolve(WORK + ".h2.sql");
        }
        String mended = address.jdbc(MENDED);
        run(mended, "runscript from '" + quote(script) + "'");
        try (Connection connection = DriverManager.getConnection(mended, "sa", "");
                Statement sql = connection.createStatement();
                ResultSet found = sql.executeQuery("select count(*), max(taken_at) from measurement")) {
            found.next();
            String last = found.getLong(1) == 0 ? "" : ", the last of them taken at " + found.getString(2);
            return "Mended: " + found.getLong(1) + " measurements could be read" + last + ".";
        }
    }

    private static String quote(Path path) {
        return path.toString().replace("'", "''");
    }

    private static void run(String address, String statement) throws SQLException {
        try (Connection connection = DriverManager.getConnection(address, "sa", "");
                Statement sql = connection.createStatement()) {
            sql.execute(statement);
        }
    }
}
