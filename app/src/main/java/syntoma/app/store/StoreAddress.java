package syntoma.app.store;

import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;

/**
 * A data directory as H2 reaches it: by a number, so that no character of its path can be read as part of an address; and
 * the last chunk that H2 wrote there.
 */
public final class StoreAddress {
    /** The store's file within the directory. */
    static final String FILE = "/syntoma.mv.db";

    private static final List<StoreAddress> ALL = new CopyOnWriteArrayList<>();

    private final String dir;
    private final int number;
    private volatile LastChunk lastChunk = LastChunk.NONE;

    private StoreAddress(String dir, int number) {
        this.dir = dir;
        this.number = number;
    }

    /** Lets H2 reach a directory, which is given as H2 names it. */
    public static StoreAddress of(String dir) {
        synchronized (ALL) {
            StoreAddress address = new StoreAddress(dir, ALL.size());
            ALL.add(address);
            StorePath.register();
            return address;
        }
    }

    static StoreAddress numbered(int number) {
        return ALL.get(number);
    }

    /** The address that the file of a store belongs to, the latest that was opened; null for any other file. */
    static StoreAddress ofFile(String file) {
        for (int i = ALL.size() - 1; i >= 0; i--) {
            if (file.equals(ALL.get(i).dir + FILE)) {
                return ALL.get(i);
            }
        }
        return null;
    }

    /** The JDBC address of a database in the directory. */
    public String jdbc(String database) {
        return "jdbc:h2:" + StorePath.SCHEME + ":#" + number + "/" + database;
    }

    String dir() {
        return dir;
    }

    LastChunk lastChunk() {
        return lastChunk;
    }

    void wrote(LastChunk chunk) {
        lastChunk = chunk;
    }
}
