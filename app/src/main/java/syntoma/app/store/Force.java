package syntoma.app.store;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.channels.FileChannel;
import java.nio.file.FileStore;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.BasicFileAttributes;
import java.sql.Connection;
import java.sql.SQLException;
import java.util.concurrent.atomic.AtomicLong;
import java.util.concurrent.locks.ReentrantLock;
import javax.sql.DataSource;
import org.h2.engine.SessionLocal;
import org.h2.jdbc.JdbcConnection;
import org.h2.mvstore.MVStore;
import org.springframework.lang.Nullable;

/**
 * Forces what is committed to disk. Those who ask while another force is under way share the next one.
 *
 * <p>A commit of H2 is in memory only. {@link MVStore#commit()} writes it, and {@link MVStore#sync()} makes the disk keep
 * it; without H2's own background writer (WRITE_DELAY=0) both happen in the thread that asks, so that nothing waits
 * unwritten behind it.
 */
public final class Force implements AutoCloseable {
    /** Chunks that are less than half used are rewritten after so many forces, a little at a time. */
    private static final int TIDY_AFTER = 200;

    /** What a change, and tidying up after it, may take at once. */
    private static final long LEAST_FREE_BYTES = 8 << 20;

    private static final int TIDY_FILL_PERCENT = 50;
    private static final int TIDY_BYTES = 4 << 20;

    private final DataSource source;
    private final StoreFiles files;
    private final StoreAddress address;
    private final ReentrantLock one = new ReentrantLock();
    private final AtomicLong asked = new AtomicLong();
    private boolean closed;
    private long done;
    private long turn;
    private FileChannel notes;

    @Nullable
    private volatile Object fileKey;

    /** Kept while this is in use: who asks for a force may hold the last connection that is free. */
    private Connection connection;

    private MVStore store;

    /** Forces the store of a data source, and notes beside it what was forced. */
    Force(DataSource source, StoreFiles files, StoreAddress address) {
        this.source = source;
        this.files = files;
        this.address = address;
    }

    /** Returns when everything committed before the call is on disk. */
    public void force() {
        long ticket = asked.incrementAndGet();
        one.lock();
        try {
            if (done >= ticket) {
                return;
            }
            if (closed) {
                throw new BusyException("Syntoma is stopping; whether this was kept shows at the next start");
            }
            long upTo = asked.get();
            if (store == null) {
                open();
            }
            if (store.isPersistent()) {
                write();
            }
            done = upTo;
        } catch (SQLException e) {
            throw new IllegalStateException("the store cannot be reached", e);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } finally {
            one.unlock();
        }
    }

    /**
     * Makes sure, before anything is changed, that it can be saved: that the file which is written to is still the one in the data directory
     * (where that was deleted or moved, the system would go on writing to a file that nobody finds again), and that the disk has room. H2
     * closes a store that it cannot write to, so that it must not come to that.
     *
     * @throws CannotSaveException when it cannot
     */
    public void requireSavable() {
        Object opened = fileKey;
        if (opened == null) {
            return;
        }
        if (!opened.equals(keyOf(files.store()))) {
            throw CannotSaveException.directoryGone(files.dir());
        }
        try {
            FileStore disk = Files.getFileStore(files.store());
            long free = disk.getUsableSpace();
            if (free < LEAST_FREE_BYTES && disk.getTotalSpace() > 0) {
                throw CannotSaveException.full(files.dir(), free);
            }
        } catch (IOException unknown) {
            // a disk that does not tell is written to, and tells then
        }
    }

    /** What tells a file from another of the same name; null where there is none, or the system has no such thing. */
    @Nullable
    private static Object keyOf(Path file) {
        try {
            return Files.readAttributes(file, BasicFileAttributes.class).fileKey();
        } catch (IOException gone) {
            return null;
        }
    }

    private void open() throws SQLException, IOException {
        connection = source.getConnection();
        store = ((SessionLocal) connection.unwrap(JdbcConnection.class).getSession())
                .getDatabase()
                .getStore()
                .getMvStore();
        if (store.isPersistent()) {
            turn = StoreMark.read(files.lastMark()).map(StoreMark::turn).orElse(0L);
            notes = StoreMark.channel(files.lastMark());
            StoreFiles.restrictFile(files.store());
            fileKey = keyOf(files.store());
        }
    }

    private void write() throws IOException {
        store.commit();
        long version = store.getCurrentVersion();
        LastChunk chunk = address.lastChunk();
        store.sync();
        new StoreMark(++turn, StoreCheck.creationTime(store), version, chunk, StoreMark.OPEN, 0).write(notes);
        if (turn % TIDY_AFTER == 0) {
            store.compact(TIDY_FILL_PERCENT, TIDY_BYTES);
        }
    }

    /** H2's own store, once it was asked for. */
    MVStore store() {
        return store;
    }

    @Override
    public void close() throws IOException, SQLException {
        one.lock();
        try {
            closed = true;
        } finally {
            one.unlock();
        }
        if (notes != null) {
            notes.close();
        }
        if (connection != null) {
            connection.close();
        }
    }
}
