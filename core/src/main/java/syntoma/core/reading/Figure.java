package syntoma.core.reading;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import syntoma.core.trial.Outcome;
import syntoma.core.unit.Text;

/**
 * The catalogue of what a measurement holds, in the order of its CSV form. All that reads, writes, checks, shows or compares
 * measurements follows from it.
 *
 * <p>The name of a constant is the name of its column in CSV and in the tables. From where a difference matters is
 * Syntoma's default (docs/methods.md#9-verdicts).
 */
public enum Figure {
    TAKEN_AT("takenAt", 40),
    CAMPSITE("campsite", 120),
    LAT("lat", Figure.LONGEST_NUMBER),
    LON("lon", Figure.LONGEST_NUMBER),
    SETUP("setup", 120),
    CARRIER("carrier", 120),
    RAT("rat", 8),
    BAND("band", 16),
    ARFCN("arfcn", 10),
    CELL_ID("cellId", new TextFigure(40)),
    RSSI_DBM("rssiDbm", Measure.of(0, "RSSI", Measure.Kind.RADIO)),
    RSRP_DBM("rsrpDbm", Measure.of(1, "RSRP", Measure.Kind.RADIO).comparedBy("rsrp", Scales.LEVEL, true)),
    RSRQ_DB("rsrqDb", Measure.of(2, "RSRQ", Measure.Kind.RADIO).comparedBy("rsrq", Scales.LEVEL, true)),
    SINR_DB("sinrDb", Measure.of(3, "SINR", Measure.Kind.RADIO).comparedBy("sinr", Scales.LEVEL, true)),
    DOWN_MBPS("downMbps", Measure.of(4, "download", Measure.Kind.RATE).comparedBy("down", Scales.SPEED, true)),
    UP_MBPS("upMbps", Measure.of(5, "upload", Measure.Kind.RATE).comparedBy("up", Scales.SPEED, true)),
    IDLE_MS("idleMs", Measure.of(6, "idle latency", Measure.Kind.LATENCY).comparedBy("idle", Scales.LATENCY, false)),
    DOWN_LOADED_MS(
            "downLoadedMs",
            Measure.of(7, "latency while downloading", Measure.Kind.LATENCY)
                    .comparedBy("downLoaded", Scales.LATENCY, false)),
    UP_LOADED_MS(
            "upLoadedMs",
            Measure.of(8, "latency while uploading", Measure.Kind.LATENCY)
                    .comparedBy("upLoaded", Scales.LATENCY, false)),
    JITTER_MS("jitterMs", Measure.of(9, "jitter", Measure.Kind.JITTER).comparedBy("jitter", Scales.JITTER, false)),
    LOSS_PCT("lossPct", Measure.of(10, "loss", Measure.Kind.SHARE).comparedBy("loss", Scales.LOSS, false)),
    SERVER("server", new TextFigure(200)),
    OUTCOME("outcome", 12),
    TRIAL("trial", 120),
    ROUND("round", 6),
    NOTE("note", new TextFigure(4000));

    /** 40 digits with their sign and point. */
    private static final int LONGEST_NUMBER = 42;

    /** From where a difference matters. A class of its own, so that it is there before the figures are. */
    private static final class Scales {
        static final Scale LEVEL = new Scale.Decibel(2);
        static final Scale SPEED = new Scale.Ratio(1.2, Measure.LEAST_MBPS);
        static final Scale LATENCY = new Scale.Ratio(1.25, Measure.LEAST_MS);

        /** Under a tenth of a millisecond no two tests agree, and some say 0. */
        static final Scale JITTER = new Scale.Ratio(1.25, 0.1);

        /** One point, chosen: half of what a video call bears, and as fine as 100 probes can tell. */
        static final Scale LOSS = new Scale.Share(1);
    }

    /** A text that is nothing else; at most so many characters. */
    private record TextFigure(int longest) {}

    private final String label = name().toLowerCase(Locale.ROOT);
    private final String field;
    private final int longest;
    private final boolean isPlain;
    private final Optional<Measure> measure;

    Figure(String field, int longest) {
        this(field, longest, false, Optional.empty());
    }

    Figure(String field, TextFigure plain) {
        this(field, plain.longest, true, Optional.empty());
    }

    Figure(String field, Measure measure) {
        this(field, LONGEST_NUMBER, false, Optional.of(measure));
    }

    Figure(String field, int longest, boolean isPlain, Optional<Measure> measure) {
        this.field = field;
        this.longest = longest;
        this.isPlain = isPlain;
        this.measure = measure;
    }

    private static final List<Figure> NUMBERS =
            Arrays.stream(values()).filter(f -> f.measure.isPresent()).toList();

    private static final List<Figure> TEXTS =
            Arrays.stream(values()).filter(f -> f.isPlain).toList();

    /** The figures that are numbers. */
    public static List<Figure> numbers() {
        return NUMBERS;
    }

    /** The figures that are text and nothing else: no name of something, no choice, no number, no time. */
    public static List<Figure> texts() {
        return TEXTS;
    }

    /** The radio metrics that have grades. */
    public static List<Figure> graded() {
        return NUMBERS.stream()
                .filter(f -> f.measure().radio().filter(RadioMetric::isGraded).isPresent())
                .toList();
    }

    /**
     * The metrics to compare setups on: the usual ones in the order in which they matter to most, then those of the others
     * that were measured.
     */
    public static List<Figure> comparedFigures(Predicate<Figure> measured) {
        List<Figure> usual = List.of(UP_MBPS, DOWN_MBPS, UP_LOADED_MS, DOWN_LOADED_MS, RSRP_DBM, SINR_DB);
        List<Figure> compared = new ArrayList<>(usual);
        NUMBERS.stream()
                .filter(f -> f.measure().comparing().isPresent() && !usual.contains(f) && measured.test(f))
                .forEach(compared::add);
        return compared;
    }

    /** The column in the CSV form and in the tables. */
    public String label() {
        return label;
    }

    /** The field in the API. */
    public String field() {
        return field;
    }

    /** The most characters that it is written in. */
    public int longest() {
        return longest;
    }

    public boolean isNumber() {
        return measure.isPresent();
    }

    /** What it is one of; empty where it is no choice. */
    public List<String> choices() {
        return switch (this) {
            case RAT -> Arrays.stream(Rat.values()).map(Rat::label).toList();
            case OUTCOME -> Arrays.stream(Outcome.values()).map(Outcome::label).toList();
            default -> List.of();
        };
    }

    /** What it says; only of a figure that is a number. */
    public Measure measure() {
        return measure.orElseThrow(() -> new IllegalStateException(label + " is no number"));
    }

    /** How setups are compared on it; only of a metric. */
    public Measure.Comparing comparing() {
        return measure().comparing().orElseThrow(() -> new IllegalStateException(label + " is no metric"));
    }

    /** The scale on which setups are compared on it; only of a metric. */
    public Scale scale() {
        return comparing().scale();
    }

    /** The figure of a field in the API. */
    public static Optional<Figure> ofField(String field) {
        return Arrays.stream(values()).filter(f -> f.field.equals(field)).findFirst();
    }

    /** The column of a name, in either case. */
    public static Optional<Figure> fromLabel(String text) {
        return Arrays.stream(values())
                .filter(f -> f.label.equalsIgnoreCase(text.strip()))
                .findFirst();
    }

    /**
     * The metric of a name in the API.
     *
     * @throws IllegalArgumentException naming the text and the metrics there are
     */
    public static Figure metric(String key) {
        List<Figure> metrics = NUMBERS.stream()
                .filter(f -> f.measure().comparing().isPresent())
                .toList();
        return metrics.stream()
                .filter(f -> f.comparing().key().equals(key))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("metric is " + Text.quote(key) + "; allowed is "
                        + metrics.stream().map(f -> f.comparing().key()).collect(Collectors.joining(", "))));
    }
}
