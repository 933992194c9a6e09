package syntoma.app.store;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.Optional;
import org.h2.mvstore.MVStore;
import org.h2.mvstore.MVStoreException;

/**
 * Looks at the store before it is opened: damage is told instead of passed over. Nothing of a damaged store is changed.
 */
final class StoreCheck {
    /** The end of the file that is looked through after a stop in order; a page's worth of reading, not the whole log. */
    private static final int END = 4 << 20;

    private final StoreFiles files;

    StoreCheck(StoreFiles files) {
        this.files = files;
    }

    /**
     * Looks whether the store is what was last noted of it.
     *
     * @throws StartRefusedException when it is damaged; says what is lost and the way back
     */
    void beforeOpening() throws IOException {
        Optional<StoreMark> noted = StoreMark.read(files.lastMark());
        if (!Files.exists(files.store())) {
            if (noted.isPresent()) {
                throw new StartRefusedException(
                        "the log " + files.store() + " is gone, though there was one; put it back, or" + " delete "
                                + files.lastMark().getFileName() + " beside it to begin with an empty log");
            }
            return;
        }
        if (noted.isPresent()) {
            damage(noted.get()).ifPresent(what -> {
                throw new StartRefusedException("the log " + files.store() + " is damaged: " + what
                        + ". Nothing of it was changed. Start again with --mend: a copy as it is now stays beside it, and"
                        + " you go on with all that can be read. If you put an older copy there yourself, --mend takes it"
                        + " as it is");
            });
            noted.get().reopen().write(files.lastMark());
        }
    }

    /** Notes the store as it is after it was closed in order. */
    static void noteClosing(StoreFiles files) throws IOException {
        Optional<StoreMark> last = StoreMark.read(files.lastMark());
        if (last.isEmpty() || !Files.exists(files.store())) {
            return;
        }
        try (MVStore store = open(files.store())) {
            new StoreMark(
                            last.get().turn() + 1,
                            creationTime(store),
                            store.getCurrentVersion(),
                            LastChunk.NONE,
                            Files.size(files.store()),
                            endCrc(files.store()))
                    .write(files.lastMark());
        }
    }

    static long creationTime(MVStore store) {
        Object created = store.getStoreHeader().get("created");
        return created instanceof Number number ? number.longValue() : Long.parseUnsignedLong(created.toString(), 16);
    }

    /** When the store of a file was made, in H2's own words; a copy has that of what it was copied from. */
    static long creationTime(Path file) {
        try (MVStore store = open(file)) {
            return creationTime(store);
        }
    }

    private static MVStore open(Path file) {
        return new MVStore.Builder()
                .fileName("file:" + file.toAbsolutePath())
                .readOnly()
                .cacheSize(1)
                .open();
    }

    private Optional<String> damage(StoreMark noted) throws IOException {
        long size = Files.size(files.store());
        try (MVStore store = open(files.store())) {
            if (creationTime(store) != noted.created()) {
                return Optional.empty();
            }
            if (store.getCurrentVersion() < noted.version()) {
                return Optional.of(
                        "its end cannot be read, so that the last changes that were acknowledged are missing");
            }
            if (noted.isClosed()) {
                boolean same = size == noted.closedSize() && endCrc(files.store()) == noted.closedCrc();
                return same ? Optional.empty() : Optional.of("its end is not what was written when it was closed");
            }
            return isChanged(noted.chunk(), store)
                    ? Optional.of("the page that was written last is not what was written")
                    : Optional.empty();
        } catch (MVStoreException unreadable) {
            return Optional.of("it cannot be read");
        }
    }

    /** Whether a chunk that the store still uses where it was written holds other bytes than were written. */
    private boolean isChanged(LastChunk chunk, MVStore store) throws IOException {
        if (!chunk.isChunk()) {
            return false;
        }
        String entry = store.getLayoutMap().get("chunk." + Integer.toHexString(chunk.id()));
        boolean inUse = entry == null
                ? store.getCurrentVersion() == chunk.version()
                : LastChunk.hex(entry, "block") * 4096 == chunk.position()
                        && LastChunk.hex(entry, "version") == chunk.version();
        return inUse && crc(files.store(), chunk.position(), chunk.length()) != chunk.crc();
    }

    private static int endCrc(Path file) throws IOException {
        long size = Files.size(file);
        int length = (int) Math.min(END, size);
        return crc(file, size - length, length);
    }

    private static int crc(Path file, long position, int length) throws IOException {
        try (FileChannel channel = FileChannel.open(file, StandardOpenOption.READ)) {
            ByteBuffer bytes = ByteBuffer.allocate(length);
            while (bytes.hasRemaining()) {
                if (channel.read(bytes, position + bytes.position()) < 0) {
                    break;
                }
            }
            return LastChunk.crc(bytes.flip());
        }
    }
}
