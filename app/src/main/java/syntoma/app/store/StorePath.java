package syntoma.app.store;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.channels.ReadableByteChannel;
import java.nio.channels.WritableByteChannel;
import org.h2.store.fs.FileBaseDefault;
import org.h2.store.fs.FilePath;
import org.h2.store.fs.FilePathWrapper;

/**
 * How H2 reaches the files of a {@link StoreAddress}, past a note of the last chunk that was written. Public with a public
 * constructor, because H2 makes its paths by itself.
 */
public class StorePath extends FilePathWrapper {
    static final String SCHEME = "syntoma";

    /** Makes the scheme known to H2. */
    static void register() {
        FilePath.register(new StorePath());
    }

    @Override
    public String getScheme() {
        return SCHEME;
    }

    @Override
    protected FilePath unwrap(String path) {
        String rest = path.substring(SCHEME.length() + 1);
        if (!rest.startsWith("#")) {
            return FilePath.get(rest);
        }
        int slash = rest.indexOf('/');
        return FilePath.get(StoreAddress.numbered(Integer.parseInt(rest.substring(1, slash)))
                        .dir()
                + rest.substring(slash));
    }

    @Override
    public FileChannel open(String mode) throws IOException {
        FileChannel base = getBase().open(mode);
        StoreAddress address = StoreAddress.ofFile(getBase().toString());
        return address == null ? base : new Noting(base, address);
    }

    /** Hands everything on, and notes chunks as they are written. */
    private static final class Noting extends FileBaseDefault {
        private final FileChannel base;
        private final StoreAddress address;

        private Noting(FileChannel base, StoreAddress address) {
            this.base = base;
            this.address = address;
        }

        @Override
        public int write(ByteBuffer src, long position) throws IOException {
            LastChunk chunk = LastChunk.of(src, position);
            int written = base.write(src, position);
            if (chunk.isChunk()) {
                address.wrote(chunk);
            }
            return written;
        }

        @Override
        public int read(ByteBuffer dst, long position) throws IOException {
            return base.read(dst, position);
        }

        @Override
        public long size() throws IOException {
            return base.size();
        }

        @Override
        protected void implTruncate(long size) throws IOException {
            base.truncate(size);
        }

        @Override
        public void force(boolean metaData) throws IOException {
            base.force(metaData);
        }

        @Override
        public FileLock tryLock(long position, long size, boolean shared) throws IOException {
            return base.tryLock(position, size, shared);
        }

        @Override
        protected void implCloseChannel() throws IOException {
            base.close();
        }

        @Override
        public long transferTo(long position, long count, WritableByteChannel target) throws IOException {
            return base.transferTo(position, count, target);
        }

        @Override
        public long transferFrom(ReadableByteChannel src, long position, long count) throws IOException {
            return base.transferFrom(src, position, count);
        }
    }
}
