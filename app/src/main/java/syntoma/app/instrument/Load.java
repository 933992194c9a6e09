package syntoma.app.instrument;

import java.util.List;
import java.util.Optional;

/** One direction, loaded: streams that go on until they are ended, and what they bring in samples. */
interface Load {
    /** Takes a sample, if there is a new one; called every 250 ms. */
    void sample();

    /** The goodput so far, in Mb/s, from the first byte on. */
    List<Double> mbps();

    /** The payload so far, in byte. */
    long bytes();

    /** Why it cannot go on, in words. */
    Optional<String> problem();

    /** Whether all that it may take was taken. */
    boolean isSpent();

    /** Ends the streams, and waits for what is under way. */
    void end() throws InterruptedException;
}
