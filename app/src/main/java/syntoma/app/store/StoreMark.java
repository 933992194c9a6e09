package syntoma.app.store;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.Optional;
import java.util.zip.CRC32C;

/**
 * What the store was when it was last forced, kept beside it: H2 goes back to an older state without a word where the end
 * of its file is damaged, and this is what tells. Two places are written in turn, so that one is always whole.
 *
 * @param turn counts the notes
 * @param created when the store was made, in H2's own words; another store has another
 * @param version the version that was forced
 * @param chunk the last chunk written by then
 * @param closedSize the size of the file in bytes after it was closed in order; −1 while it is open
 * @param closedCrc CRC-32C of the end of the file after it was closed in order
 */
record StoreMark(long turn, long created, long version, LastChunk chunk, long closedSize, int closedCrc) {
    static final long OPEN = -1;
    private static final int PLACE = 128;
    private static final int USED = 8 + 8 + 8 + 4 + 8 + 8 + 4 + 4 + 8 + 4;

    boolean isClosed() {
        return closedSize != OPEN;
    }

    StoreMark reopen() {
        return new StoreMark(turn + 1, created, version, chunk, OPEN, 0);
    }

    /** The newest whole note of a file; empty when there is none. */
    static Optional<StoreMark> read(Path file) throws IOException {
        if (!Files.isRegularFile(file, LinkOption.NOFOLLOW_LINKS)) {
            return Optional.empty();
        }
        byte[] bytes = Files.readAllBytes(file);
        Optional<StoreMark> newest = Optional.empty();
        for (int place = 0; place + PLACE <= bytes.length; place += PLACE) {
            ByteBuffer slot = ByteBuffer.wrap(bytes, place, PLACE);
            CRC32C crc = new CRC32C();
            crc.update(bytes, place, USED);
            StoreMark read = new StoreMark(
                    slot.getLong(),
                    slot.getLong(),
                    slot.getLong(),
                    new LastChunk(slot.getInt(), slot.getLong(), slot.getLong(), slot.getInt(), slot.getInt()),
                    slot.getLong(),
                    slot.getInt());
            boolean whole = slot.getInt() == (int) crc.getValue() && read.turn > 0;
            if (whole && (newest.isEmpty() || newest.get().turn < read.turn)) {
                newest = Optional.of(read);
            }
        }
        return newest;
    }

    /** Writes this note into its place. */
    void write(FileChannel file) throws IOException {
        ByteBuffer slot = ByteBuffer.allocate(PLACE);
        slot.putLong(turn)
                .putLong(created)
                .putLong(version)
                .putInt(chunk.id())
                .putLong(chunk.version())
                .putLong(chunk.position())
                .putInt(chunk.length())
                .putInt(chunk.crc())
                .putLong(closedSize)
                .putInt(closedCrc);
        CRC32C crc = new CRC32C();
        crc.update(slot.array(), 0, USED);
        slot.putInt((int) crc.getValue());
        slot.position(0);
        file.write(slot, turn % 2 * PLACE);
    }

    /** Writes this note and forces it to disk. */
    void write(Path path) throws IOException {
        try (FileChannel file = channel(path)) {
            write(file);
            file.force(true);
        }
    }

    static FileChannel channel(Path path) throws IOException {
        FileChannel file =
                FileChannel.open(path, StandardOpenOption.CREATE, StandardOpenOption.WRITE, LinkOption.NOFOLLOW_LINKS);
        StoreFiles.restrictFile(path);
        return file;
    }
}
