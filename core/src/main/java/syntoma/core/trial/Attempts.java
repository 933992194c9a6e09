package syntoma.core.trial;

import java.time.Instant;

/** What was measured in the order of time, as far as blocks are formed of it; each by its place. */
public interface Attempts {
    /** In no trial, or in no block. */
    int NONE = -1;

    int size();

    /** Nanoseconds since 1970, as {@link #nanos}. */
    long atNanos(int i);

    /** The visit. */
    long stay(int i);

    /** A number of the SIM, small and from 0. */
    int sim(int i);

    /** A number of the trial, which no other trial has; {@link #NONE} outside one, or where no round is stated. */
    int trial(int i);

    /** The round; only in a trial. */
    int round(int i);

    /** A moment as a number; from 1678 to 2262, beyond it the end that is nearer. */
    static long nanos(Instant moment) {
        try {
            return Math.addExact(Math.multiplyExact(moment.getEpochSecond(), 1_000_000_000L), moment.getNano());
        } catch (ArithmeticException beyond) {
            return moment.getEpochSecond() < 0 ? Long.MIN_VALUE : Long.MAX_VALUE - Blocks.WINDOW.toNanos();
        }
    }
}
