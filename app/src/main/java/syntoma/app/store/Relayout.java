package syntoma.app.store;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import javax.sql.DataSource;
import org.flywaydb.core.Flyway;
import org.springframework.boot.autoconfigure.flyway.FlywayMigrationStrategy;

/**
 * Brings the store to the layout of this version as a whole or not at all: H2 commits each change of a table by itself, so
 * a copy is kept until all are made, and a start that was broken off in between begins from the copy.
 */
final class Relayout implements FlywayMigrationStrategy {
    private final StoreFiles files;
    private final DataSource source;
    private final Force force;

    Relayout(StoreFiles files, DataSource source, Force force) {
        this.files = files;
        this.source = source;
        this.force = force;
    }

    @Override
    public void migrate(Flyway flyway) {
        try {
            boolean pending = flyway.info().pending().length > 0;
            boolean keep = pending && !Files.exists(files.fresh()) && Files.exists(files.store());
            if (keep) {
                System.out.println(
                        "The log is brought into the layout of this version, after a copy of it is kept; a long"
                                + " log takes some minutes");
                keepCopy();
            }
            flyway.migrate();
            force.force();
            Files.deleteIfExists(files.before());
            Files.deleteIfExists(files.fresh());
            sync(files.dir());
        } catch (IOException | SQLException e) {
            throw new IllegalStateException(e);
        }
    }

    private void keepCopy() throws IOException, SQLException {
        Path half = files.dir().resolve("syntoma.half.zip");
        try (Connection connection = source.getConnection();
                Statement sql = connection.createStatement()) {
            Files.deleteIfExists(half);
            sql.execute("backup to '" + half.toString().replace("'", "''") + "'");
        }
        StoreFiles.restrictFile(half);
        sync(half);
        Files.move(half, files.before(), StandardCopyOption.ATOMIC_MOVE);
        sync(files.dir());
    }

    /** Puts the store back as it was before a change of its layout that was broken off. */
    static void takeBack(StoreFiles files) throws IOException {
        if (!Files.exists(files.before())) {
            return;
        }
        Path half = files.dir().resolve("syntoma.half.mv.db");
        try (ZipInputStream zip = new ZipInputStream(Files.newInputStream(files.before()))) {
            for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
                if (entry.getName().endsWith(".mv.db")) {
                    copy(zip, half);
                }
            }
        }
        sync(half);
        Files.move(half, files.store(), StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
        Files.deleteIfExists(files.noted());
        Files.delete(files.before());
        sync(files.dir());
    }

    private static void copy(InputStream in, Path file) throws IOException {
        try (OutputStream out = Files.newOutputStream(file)) {
            in.transferTo(out);
        }
    }

    private static void sync(Path path) throws IOException {
        try (FileChannel channel = FileChannel.open(path, StandardOpenOption.READ)) {
            channel.force(true);
        }
    }
}
