package syntoma.app.store;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
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

    /** Notes chunks as they are written. */
    private static final class Noting extends HandedOn {
        private final StoreAddress address;

        private Noting(FileChannel base, StoreAddress address) {
            super(base);
            this.address = address;
        }

        @Override
        public int write(ByteBuffer src, long position) throws IOException {
            LastChunk chunk = LastChunk.of(src, position);
            int written = super.write(src, position);
            if (chunk.isChunk()) {
                address.wrote(chunk);
            }
            return written;
        }
    }
}
