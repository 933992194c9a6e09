package syntoma.app.store;

import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.PosixFilePermission;
import java.nio.file.attribute.PosixFilePermissions;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;

/**
 * The files of a data directory by what they are for. Only their owner may read them.
 *
 * @param dir the data directory
 */
public record StoreFiles(Path dir) {
    private static final Set<PosixFilePermission> OWNER_FILE = PosixFilePermissions.fromString("rw-------");
    private static final Set<PosixFilePermission> OWNER_DIR = PosixFilePermissions.fromString("rwx------");
    private static final String PREFIX = "syntoma.";
    private static final DateTimeFormatter STAMP = DateTimeFormatter.ofPattern("yyyyMMdd-HHmmss");

    /** The names under which H2 knows the store, and the one that is being made. */
    static final String DATABASE = "syntoma";

    static final String WORKING_DATABASE = "syntoma.making";

    /** Where the data are when nothing else is said. */
    public static final String OWN = "data/own";

    /** The files in a directory as a person names it. */
    public static StoreFiles in(String directory) {
        return new StoreFiles(Path.of(directory).toAbsolutePath());
    }

    /** The log itself. */
    public Path store() {
        return dir.resolve(PREFIX + "mv.db");
    }

    /** What the store was when it was last forced. */
    Path lastMark() {
        return dir.resolve(PREFIX + "last");
    }

    /** A store that is being made or converted; never one that was in use. */
    Path working() {
        return dir.resolve(WORKING_DATABASE + ".mv.db");
    }

    /** Locked by the process that has the directory. */
    public Path lock() {
        return dir.resolve("in-use.lock");
    }

    /** Bodies on their way in or out; emptied at each start. */
    public Path spool() {
        return dir.resolve("spool");
    }

    /** Pictures, each under the hash of what is in it. */
    public Path photos() {
        return dir.resolve("photos");
    }

    /** The pass phrase, who has logged in, certificates: never part of the store, its exports or an archive. */
    public Path access() {
        return dir.resolve("access");
    }

    /** The hash of the pass phrase; there when one is set. */
    public Path phrase() {
        return access().resolve("phrase");
    }

    /** The moment as it stands in the names of files. */
    public static String stamp() {
        return STAMP.format(LocalDateTime.now(ZoneId.systemDefault()));
    }

    /** A name in the data directory that nothing has yet: a second file of the same moment gets a number. */
    public Path unused(String stem, String ending) {
        Path file = dir.resolve(stem + ending);
        for (int number = 2; Files.exists(file, LinkOption.NOFOLLOW_LINKS); number++) {
            file = dir.resolve(stem + "-" + number + ending);
        }
        return file;
    }

    /** Moves what there is of some files into a new directory beside them, and returns that. */
    Path moveAside(Path... there) throws IOException {
        Path aside = unused("aside-" + stamp(), "");
        Files.createDirectory(aside);
        restrict(aside, OWNER_DIR);
        moveInto(aside, there);
        return aside;
    }

    void moveInto(Path aside, Path... there) throws IOException {
        for (Path file : there) {
            if (Files.exists(file, LinkOption.NOFOLLOW_LINKS)) {
                Files.move(file, aside.resolve(file.getFileName()), StandardCopyOption.ATOMIC_MOVE);
            }
        }
        sync(aside);
        sync(dir);
    }

    /** Makes the disk keep a file, or the names in a directory. */
    public static void sync(Path path) throws IOException {
        try (FileChannel channel = FileChannel.open(path, StandardOpenOption.READ)) {
            channel.force(true);
        }
    }

    /** Deletes the store and its pictures; for the demo, which begins again each time. */
    void deleteStore() throws IOException {
        for (Path file : own()) {
            Files.delete(file);
        }
        deletePhotos();
    }

    /** Deletes all pictures. */
    public void deletePhotos() throws IOException {
        if (!Files.isDirectory(photos(), LinkOption.NOFOLLOW_LINKS)) {
            return;
        }
        try (Stream<Path> all = Files.list(photos())) {
            for (Path photo : all.toList()) {
                Files.delete(photo);
            }
        }
    }

    /** Makes the directory of pictures where it is missing. */
    public void preparePhotos() throws IOException {
        if (!Files.isDirectory(photos(), LinkOption.NOFOLLOW_LINKS)) {
            Files.createDirectories(photos());
        }
        restrict(photos(), OWNER_DIR);
    }

    private List<Path> own() throws IOException {
        try (Stream<Path> files = Files.list(dir)) {
            return files.filter(f -> f.getFileName().toString().startsWith(PREFIX))
                    .toList();
        }
    }

    /**
     * Makes the directory where it is missing, closes it to others where it is Syntoma's alone. A directory that holds
     * other things keeps the rights it has.
     */
    public void prepare() throws IOException {
        boolean made = !Files.exists(dir);
        Files.createDirectories(dir);
        boolean ours = made || isEmpty() || Files.exists(store());
        if (ours) {
            restrict(dir, OWNER_DIR);
        }
        for (Path file : own()) {
            restrict(file, OWNER_FILE);
        }
        if (!Files.isDirectory(spool(), LinkOption.NOFOLLOW_LINKS)) {
            Files.createDirectory(spool());
        }
        restrict(spool(), OWNER_DIR);
    }

    /** Deletes what an earlier run left on its way in or out. */
    public void emptySpool() throws IOException {
        try (Stream<Path> left = Files.list(spool())) {
            for (Path file : left.toList()) {
                Files.delete(file);
            }
        }
    }

    private boolean isEmpty() throws IOException {
        try (Stream<Path> files = Files.list(dir)) {
            return files.findAny().isEmpty();
        }
    }

    /** Makes the directory of secrets where it is missing, closed to all others. */
    public void prepareAccess() throws IOException {
        if (!Files.isDirectory(access(), LinkOption.NOFOLLOW_LINKS)) {
            Files.createDirectories(access());
        }
        restrict(access(), OWNER_DIR);
    }

    /** Leaves a file to its owner, where the disk knows owners. */
    public static void restrictFile(Path file) throws IOException {
        restrict(file, OWNER_FILE);
    }

    private static void restrict(Path path, Set<PosixFilePermission> permissions) throws IOException {
        if (Files.isSymbolicLink(path)
                || !path.getFileSystem().supportedFileAttributeViews().contains("posix")) {
            return;
        }
        try {
            Files.setPosixFilePermissions(path, permissions);
        } catch (UnsupportedOperationException | java.nio.file.FileSystemException notOurs) {
            // another owner's, or a disk without owners: what it allows is not ours to change
        }
    }
}
