package syntoma.app.gate;

import java.io.BufferedOutputStream;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;

/** Bytes on their way in or out: a few in memory, many in a file of their own that goes when this is closed. */
final class Spool extends OutputStream {
    /** What stays in memory. */
    static final int IN_MEMORY = 64 << 10;

    private final Path dir;
    private ByteArrayOutputStream memory = new ByteArrayOutputStream();
    private Path file;
    private OutputStream out;
    private long size;

    /** Keeps what does not fit into memory in a directory. */
    Spool(Path dir) {
        this.dir = dir;
    }

    long size() {
        return size;
    }

    boolean isLarge() {
        return file != null;
    }

    @Override
    public void write(int value) throws IOException {
        write(new byte[] {(byte) value}, 0, 1);
    }

    @Override
    public void write(byte[] bytes, int from, int length) throws IOException {
        try {
            if (out == null && size + length > IN_MEMORY) {
                file = Files.createTempFile(dir, "body", "");
                out = new BufferedOutputStream(Files.newOutputStream(file), IN_MEMORY);
                memory.writeTo(out);
                memory = null;
            }
            (out == null ? memory : out).write(bytes, from, length);
        } catch (IOException failed) {
            throw new SpoolException(failed);
        }
        size += length;
    }

    /** All has been written: what the disk does not take shows here, and not later. */
    void finish() throws IOException {
        try {
            if (out != null) {
                out.flush();
            }
        } catch (IOException failed) {
            throw new SpoolException(failed);
        }
    }

    /** All that was written, from its beginning. */
    InputStream read() throws IOException {
        if (out == null) {
            return new ByteArrayInputStream(memory.toByteArray());
        }
        finish();
        return Files.newInputStream(file);
    }

    /** Forgets what was written. */
    void clear() throws IOException {
        close();
        memory = new ByteArrayOutputStream();
        file = null;
        out = null;
        size = 0;
    }

    /** Closed as often as is asked; its file goes even where the disk did not take what was written last. */
    @Override
    public void close() throws IOException {
        if (out == null) {
            return;
        }
        try {
            out.close();
        } catch (IOException full) {
            // nobody reads it any more
        } finally {
            Files.deleteIfExists(file);
        }
    }
}
