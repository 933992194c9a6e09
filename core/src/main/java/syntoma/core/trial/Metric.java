package syntoma.core.trial;

import java.util.Arrays;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import syntoma.core.unit.Text;

/**
 * A metric on which setups are compared. Speeds and latencies are compared as ratios, on the natural logarithm; dB metrics
 * as differences.
 */
public enum Metric {
    DOWN("down", "download", "Mb/s", true, true, 1.2),
    UP("up", "upload", "Mb/s", true, true, 1.2),
    IDLE("idle", "idle latency", "ms", true, false, 1.25),
    DOWN_LOADED("downLoaded", "latency while downloading", "ms", true, false, 1.25),
    UP_LOADED("upLoaded", "latency while uploading", "ms", true, false, 1.25),
    RSRP("rsrp", "RSRP", "dBm", false, true, 2),
    RSRQ("rsrq", "RSRQ", "dB", false, true, 2),
    SINR("sinr", "SINR", "dB", false, true, 2);

    private final String key;
    private final String phrase;
    private final String unit;
    private final boolean ratio;
    private final boolean higherIsBetter;
    private final double margin;

    Metric(String key, String phrase, String unit, boolean ratio, boolean higherIsBetter, double margin) {
        this.key = key;
        this.phrase = phrase;
        this.unit = unit;
        this.ratio = ratio;
        this.higherIsBetter = higherIsBetter;
        this.margin = margin;
    }

    /** The name in the API. */
    public String key() {
        return key;
    }

    /** The name in a sentence. */
    public String phrase() {
        return phrase;
    }

    public String unit() {
        return unit;
    }

    /** Whether values are compared as ratios; else as differences in dB. */
    public boolean isRatio() {
        return ratio;
    }

    public boolean isRadio() {
        return !ratio;
    }

    public boolean higherIsBetter() {
        return higherIsBetter;
    }

    /** The difference that matters, on the scale of the computation: a natural logarithm, or dB. */
    public double marginOnScale() {
        return ratio ? Math.log(margin) : margin;
    }

    /** A value on the scale of the computation. */
    public double toScale(double value) {
        return ratio ? Math.log(value) : value;
    }

    /** A value or an effect from the scale of the computation: a ratio, or dB. */
    public double fromScale(double value) {
        return ratio ? Math.exp(value) : value;
    }

    /**
     * The metric of an API name.
     *
     * @throws IllegalArgumentException naming the text and the names there are
     */
    public static Metric keyed(String text) {
        return Arrays.stream(values())
                .filter(m -> m.key.equals(text))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("metric is " + Text.quoted(text) + "; allowed is "
                        + Stream.of(values()).map(Metric::key).collect(Collectors.joining(", "))));
    }
}
