package syntoma.app.store;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.channels.ReadableByteChannel;
import java.nio.channels.WritableByteChannel;
import org.h2.store.fs.FileBaseDefault;

/** A file as H2 uses it, handed on to another; who extends it looks at what passes. */
abstract class HandedOn extends FileBaseDefault {
    private final FileChannel base;

    HandedOn(FileChannel base) {
        this.base = base;
    }

    @Override
    public int write(ByteBuffer src, long position) throws IOException {
        return base.write(src, position);
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
