package syntoma.app.instrument;

import syntoma.core.reply.RouterReading;

/** A way to ask one router, with one connection at a time. */
interface RouterSource {
    /**
     * Asks once.
     *
     * @throws RouterException when nothing was answered in time, or nothing that can be read
     */
    RouterReading read() throws RouterException, InterruptedException;

    /** The bytes that were moved for it both ways since this was asked last, as far as they are known. */
    long bytesMoved();

    /** Ends the connection. */
    void close();
}
