package syntoma.app.store;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.h2.store.fs.FilePath;
import org.h2.store.fs.FilePathWrapper;

/**
 * A disk whose power is cut: what was written since the last force reaches it in part, in any order, and torn, as a disk's
 * own memory lets it. Public with a public constructor, because H2 makes its paths by itself.
 */
public final class CutDisk extends FilePathWrapper {
    static final String SCHEME = "cut";
    private static final int SECTOR = 512;

    /** Writes since the last force, in their order. */
    private static final List<Write> WAITING = new ArrayList<>();

    private record Write(long position, byte[] bytes) {}

    /** Makes the disk known to H2; directories on it are named {@code cut:/...}. */
    static void plugIn() {
        FilePath.register(new CutDisk());
        WAITING.clear();
    }

    /** Writes what of the waiting writes reached the disk into a copy of the file as it was forced. */
    static synchronized void cut(FileChannel copy, Random random) throws IOException {
        for (Write write : WAITING) {
            int sectors = (write.bytes.length + SECTOR - 1) / SECTOR;
            boolean torn = random.nextInt(3) == 0;
            boolean lost = random.nextInt(3) == 0;
            for (int s = 0; s < sectors && !lost; s++) {
                if (!torn || random.nextBoolean()) {
                    int from = s * SECTOR;
                    int length = Math.min(SECTOR, write.bytes.length - from);
                    copy.write(ByteBuffer.wrap(write.bytes, from, length), write.position + from);
                }
            }
        }
    }

    private static synchronized void wait(long position, ByteBuffer src) {
        byte[] bytes = new byte[src.remaining()];
        src.duplicate().get(bytes);
        WAITING.add(new Write(position, bytes));
    }

    private static synchronized void forced(FileChannel durable) throws IOException {
        for (Write write : WAITING) {
            durable.write(ByteBuffer.wrap(write.bytes), write.position);
        }
        WAITING.clear();
    }

    @Override
    public String getScheme() {
        return SCHEME;
    }

    @Override
    public FileChannel open(String mode) throws IOException {
        FileChannel base = getBase().open(mode);
        if (!getBase().toString().endsWith(".mv.db") || mode.equals("r")) {
            return base;
        }
        return new Waiting(base, FilePath.get(getBase() + ".durable").open("rw"));
    }

    /** Shows what was written at once, and lets it wait for the force. */
    private static final class Waiting extends HandedOn {
        private final FileChannel durable;

        private Waiting(FileChannel base, FileChannel durable) {
            super(base);
            this.durable = durable;
        }

        @Override
        public int write(ByteBuffer src, long position) throws IOException {
            CutDisk.wait(position, src);
            return super.write(src, position);
        }

        @Override
        public void force(boolean metaData) throws IOException {
            CutDisk.forced(durable);
        }

        @Override
        protected void implCloseChannel() throws IOException {
            super.implCloseChannel();
            durable.close();
        }
    }
}
