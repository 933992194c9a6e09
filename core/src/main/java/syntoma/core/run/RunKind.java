package syntoma.core.run;

import java.util.Locale;
import syntoma.core.unit.Labels;

/**
 * How much a run measures, and what it may take for it.
 *
 * <p>A full run loads each direction for 12 s. A light run ends a direction as soon as its median is known to a tenth, and takes
 * at most a third of the time, so at most about a third of the bytes; where the link is so slow that a third is next to nothing it
 * goes on up to 1.5 MB each way. A run for the latency alone loads each direction with one slow stream.
 *
 * <pre>{@code
 * RunKind.FULL.usualBytes(20)  // 30000000
 * RunKind.LIGHT.usualBytes(20) // 9375000
 * }</pre>
 */
public enum RunKind {
    FULL(12_000, 12_000, Long.MAX_VALUE, 4, "12 s each way at full speed: 15 MB each way for every 10 Mb/s."),
    LIGHT(
            3_750,
            12_000,
            1_500_000,
            4,
            "Stops once the speed is known to within 10 %, after 4 s each way at most: a third of the data or less."),
    LATENCY(4_000, 4_000, Long.MAX_VALUE, 1, "Latency, idle and next to one slow stream: under 1 MB.");

    /** The kind that a trial is planned with where nothing else was asked for. */
    public static final RunKind USUAL_OF_TRIAL = LIGHT;

    /** What the one slow stream of a run for the latency alone is held at: 0.35 MB in each direction's 4 s. */
    public static final double SLOW_STREAM_MBPS = 0.7;

    private static final double ENDING_MS = 1_000;

    /** The median is known when the interval of 95 % lies within so much of it. */
    static final double KNOWN_WITHIN = 0.10;

    private final int usualMs;
    private final int mostMs;
    private final long leastBytes;
    private final int streams;
    private final String says;

    RunKind(int usualMs, int mostMs, long leastBytes, int streams, String says) {
        this.usualMs = usualMs;
        this.mostMs = mostMs;
        this.leastBytes = leastBytes;
        this.streams = streams;
        this.says = says;
    }

    /** The name in the API. */
    public String label() {
        return name().toLowerCase(Locale.ROOT);
    }

    /**
     * The kind of a name in the API.
     *
     * @throws IllegalArgumentException naming the text and the kinds there are
     */
    public static RunKind fromLabel(String text) {
        return Labels.find("kind", text, values(), RunKind::label);
    }

    /** What it does and what it takes, in a sentence. */
    public String says() {
        return says;
    }

    /** How many streams load a direction side by side. */
    public int streams() {
        return streams;
    }

    /** The longest that a direction is loaded, in ms. */
    public int mostMs() {
        return mostMs;
    }

    /** How long a direction is loaded, in ms, where nothing is known of its rate meanwhile. */
    public int usualMs() {
        return usualMs;
    }

    /** How many bytes a direction takes before it ends at its usual time. */
    public long leastBytes() {
        return leastBytes;
    }

    /** How long a run usually takes, in s: some answers alone, both directions, and its ending. */
    public double usualSeconds() {
        return (Pace.USUAL.idleLeastMs() + 2.0 * usualMs + ENDING_MS) / 1_000;
    }

    /**
     * What a direction usually takes at a rate, in byte.
     *
     * @param mbps as the link gives
     */
    public double usualBytes(double mbps) {
        double perMs = (measuresRate() ? mbps : Math.min(mbps, SLOW_STREAM_MBPS)) * 125;
        return measuresRate() && leastBytes < Long.MAX_VALUE
                ? Math.min(Math.max(perMs * usualMs, leastBytes), perMs * mostMs)
                : perMs * usualMs;
    }

    /** Whether it asks for the rate at all. */
    public boolean measuresRate() {
        return this != LATENCY;
    }

    /**
     * Whether a direction has been loaded for long enough.
     *
     * @param atMs since its first byte was asked for
     * @param bytes that it took so far
     */
    public boolean isEnough(Rates rates, long atMs, long bytes) {
        if (atMs >= mostMs) {
            return true;
        }
        return switch (this) {
            case FULL, LATENCY -> false;
            case LIGHT -> atMs >= usualMs && bytes >= leastBytes || rates.isKnownWithin(KNOWN_WITHIN);
        };
    }
}
