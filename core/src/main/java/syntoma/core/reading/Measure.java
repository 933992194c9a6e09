package syntoma.core.reading;

import static syntoma.core.unit.Values.within;

import java.util.Optional;

/**
 * What a figure that is a number says: its name in a sentence, its unit, what is allowed, and how setups are compared on it.
 *
 * @param slot its place where numbers are stored in a row; for ever, so a new figure takes the next free one
 * @param phrase the name in a sentence
 * @param kind what it is a value of
 * @param comparing empty where setups are not compared on it
 */
public record Measure(int slot, String phrase, Kind kind, Optional<Comparing> comparing) {
    /** What a number is a value of: decides its unit and what is allowed. */
    public enum Kind {
        /** Of a radio metric, in dBm or dB. */
        RADIO,
        /** A throughput in Mb/s. */
        RATE,
        /** A time in ms that cannot be 0. */
        LATENCY,
        /** A difference between times in ms, that can. */
        JITTER,
        /** A share in percent. */
        SHARE
    }

    /**
     * How setups are compared.
     *
     * @param key the name in the API
     */
    public record Comparing(String key, Scale scale, boolean isHigherBetter) {}

    /** The fastest that a run is believed: a hundred times what the fastest networks give. */
    private static final double MOST_MBPS = 100_000;

    /** The slowest that a run is believed: ten minutes, after which every test has given up. */
    private static final double MOST_MS = 600_000;

    /** The finest that tests report. */
    static final double LEAST_MS = 0.01;

    static final double LEAST_MBPS = 0.001;

    Measure comparedBy(String key, Scale scale, boolean higherIsBetter) {
        return new Measure(slot, phrase, kind, Optional.of(new Comparing(key, scale, higherIsBetter)));
    }

    static Measure of(int slot, String phrase, Kind kind) {
        return new Measure(slot, phrase, kind, Optional.empty());
    }

    /** The radio metric; only of a number of that kind. */
    private RadioMetric metric() {
        return RadioMetric.valueOf(phrase);
    }

    /** The radio metric this is a value of; empty for what a speed run reports. */
    public Optional<RadioMetric> radio() {
        return kind == Kind.RADIO ? Optional.of(metric()) : Optional.empty();
    }

    public String unit() {
        return switch (kind) {
            case RADIO -> metric().unit();
            case RATE -> "Mb/s";
            case LATENCY, JITTER -> "ms";
            case SHARE -> "%";
        };
    }

    /**
     * Checks a value.
     *
     * @param rat empty when not stated; then what any technology can report is allowed
     * @param ok whether the run ended ok; an ok run that moved nothing does not exist, it is a failed run
     * @throws IllegalArgumentException naming the figure, the value and what is allowed
     */
    public void check(double value, Optional<Rat> rat, boolean ok) {
        switch (kind) {
            case RADIO -> metric().check(value, rat);
            case RATE -> rate(value, ok);
            case LATENCY -> within(phrase, value, LEAST_MS, MOST_MS, unit());
            case JITTER -> within(phrase, value, 0, MOST_MS, unit());
            case SHARE -> within(phrase, value, 0, 100, unit());
        }
    }

    private void rate(double value, boolean ok) {
        if (value == 0 && ok) {
            throw new IllegalArgumentException(
                    phrase + " is 0 Mb/s; a run that moved nothing is a failed run, so log its outcome as failed");
        }
        within(phrase, value, ok ? LEAST_MBPS : 0, MOST_MBPS, unit());
    }
}
