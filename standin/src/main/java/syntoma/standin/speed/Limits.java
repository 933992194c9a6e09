package syntoma.standin.speed;

import java.time.Duration;

/**
 * What the speed server allows.
 *
 * @param runs at a time
 * @param time of one run, over all of its streams
 * @param bytes of one run, both ways together
 */
public record Limits(int runs, Duration time, long bytes) {
    /** Four at a time, a minute and 4 GB each: four runs of 600 Mb/s both ways end before they reach it. */
    public static final Limits USUAL = new Limits(4, Duration.ofSeconds(60), 4_000_000_000L);
}
