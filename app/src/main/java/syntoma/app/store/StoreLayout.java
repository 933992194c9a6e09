package syntoma.app.store;

import java.io.IOException;
import java.nio.file.FileSystemException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.flywaydb.core.Flyway;
import org.springframework.core.io.Resource;
import org.springframework.core.io.support.PathMatchingResourcePatternResolver;

/**
 * Brings a store into the layout of this version. H2 commits each change of a table by itself, so nothing is changed in place: a copy
 * is converted beside the store and takes its place in one move when it is complete. The previous one is kept.
 */
final class StoreLayout {
    static final String READ_ONLY = ";ACCESS_MODE_DATA=r;IFEXISTS=TRUE";

    /** Copies from before the latest changes of layout that are kept. */
    private static final int KEPT = 3;

    private static final String MIGRATIONS = "db/migration";
    private static final Pattern MIGRATION = Pattern.compile("V(\\d+)__\\w+\\.sql");
    private static final String KEPT_AS = "before-layout-";

    private final StoreFiles files;
    private final StoreAddress address;

    StoreLayout(StoreFiles files) {
        this.files = files;
        this.address = StoreAddress.of(files.dir().toString());
    }

    List<String> bringUpToDate() throws IOException {
        Files.deleteIfExists(files.working());
        if (!Files.exists(files.store())) {
            convert();
            replaceStore();
            return List.of();
        }
        int found = layout();
        int known = newestKnown();
        if (found > known) {
            throw new StartRefusedException(
                    "the log in " + files.dir() + " has layout " + found + ", written by a newer version of"
                            + " Syntoma; this version knows layouts up to " + known
                            + ". Start it with the newer version, or choose"
                            + " another directory with --data. Nothing was changed");
        }
        if (found == known) {
            return List.of();
        }
        System.out.println("The log is being brought into the layout of this version; a long log takes some minutes");
        return List.of(convertCopy(found, known));
    }

    private String convertCopy(int found, int known) throws IOException {
        Path kept;
        try {
            Files.copy(files.store(), files.working());
            StoreFiles.restrictFile(files.working());
            convert();
            kept = keep(found, known);
        } catch (FileSystemException full) {
            Files.deleteIfExists(files.working());
            throw new StartRefusedException(
                    "the log has to be brought into the layout of this version, which needs about "
                            + Math.max(1, 3 * Files.size(files.store()) / 1_000_000) + " MB of free space in "
                            + files.dir()
                            + " ("
                            + full.getReason() + "). The log is as it was");
        }
        // the note describes the store from before, and would call the new one damaged
        Files.deleteIfExists(files.lastMark());
        replaceStore();
        prune();
        return "The log has the layout " + known + " now. As it was before, in layout " + found + ", it is kept as "
                + kept;
    }

    /** The layout of the store, as the number of its last migration. */
    private int layout() {
        try (Connection connection =
                        DriverManager.getConnection(address.jdbc(StoreFiles.DATABASE) + READ_ONLY, "sa", "");
                Statement sql = connection.createStatement();
                ResultSet row = sql.executeQuery(
                        "select max(cast(\"version\" as decimal)) from \"flyway_schema_history\" where \"success\"")) {
            row.next();
            return row.getInt(1);
        } catch (SQLException unreadable) {
            throw new StartRefusedException("the file " + files.store() + " cannot be opened as a log of Syntoma ("
                    + String.valueOf(unreadable.getMessage())
                            .lines()
                            .findFirst()
                            .orElse("")
                            .replaceAll(" \\[.*", "")
                    + "). Nothing of it was changed; start again with --mend, or choose another directory with --data");
        }
    }

    static int newestKnown() throws IOException {
        int newest = 0;
        for (Resource migration :
                new PathMatchingResourcePatternResolver().getResources("classpath*:" + MIGRATIONS + "/V*__*.sql")) {
            Matcher name = MIGRATION.matcher(String.valueOf(migration.getFilename()));
            if (name.matches()) {
                newest = Math.max(newest, Integer.parseInt(name.group(1)));
            }
        }
        return newest;
    }

    /** Makes the working file, or converts the one that is there. */
    private void convert() throws IOException {
        String database = address.jdbc(StoreFiles.WORKING_DATABASE);
        // the connection keeps the store open from one migration to the next
        try (Connection connection = DriverManager.getConnection(database, "sa", "");
                Statement sql = connection.createStatement()) {
            Flyway.configure()
                    .dataSource(database, "sa", "")
                    .locations("classpath:" + MIGRATIONS)
                    .javaMigrations(new LeadsByKey())
                    .load()
                    .migrate();
            sql.execute("shutdown");
        } catch (SQLException failed) {
            throw new IOException("the new layout cannot be made: " + failed.getMessage(), failed);
        }
        StoreFiles.restrictFile(files.working());
        StoreFiles.sync(files.working());
    }

    private void replaceStore() throws IOException {
        Files.move(files.working(), files.store(), StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
        StoreFiles.sync(files.dir());
    }

    private Path keep(int found, int known) throws IOException {
        Path kept = files.unused(KEPT_AS + known + "-from-" + found + "-" + StoreFiles.stamp(), ".mv.db");
        try {
            Files.createLink(kept, files.store());
        } catch (UnsupportedOperationException | FileSystemException noLinks) {
            Files.copy(files.store(), kept);
            StoreFiles.sync(kept);
        }
        StoreFiles.restrictFile(kept);
        return kept;
    }

    /** Leaves the newest copies; a copy that a person has renamed is not one of these. */
    private void prune() throws IOException {
        try (Stream<Path> all = Files.list(files.dir())) {
            List<Path> copies = all.filter(
                            f -> f.getFileName().toString().matches(KEPT_AS + "\\d+-from-\\d+-[\\d-]+\\.mv\\.db"))
                    .sorted((a, b) -> stampOf(b).compareTo(stampOf(a)))
                    .toList();
            for (Path old : copies.subList(Math.min(KEPT, copies.size()), copies.size())) {
                Files.delete(old);
            }
        }
    }

    private static String stampOf(Path copy) {
        return copy.getFileName().toString().replaceFirst("^.*-from-\\d+-", "");
    }
}
