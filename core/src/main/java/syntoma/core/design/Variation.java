package syntoma.core.design;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import syntoma.core.band.Bands;
import syntoma.core.unit.Labels;
import syntoma.core.unit.Text;
import syntoma.core.unit.Values;

/**
 * What is different about a setup while it is tried: the same chain with one thing changed, under a name of its own.
 *
 * @param value of the kind that {@link Kind#allowed} says
 */
public record Variation(Kind kind, String value) {
    private static final int LONGEST = 40;
    private static final double HIGHEST_M = 15;
    private static final double FURTHEST_M = 10;

    /** What is changed. */
    public enum Kind {
        BANDS("bands held", "bands such as B3 or B3 + B20", Work.BANDS),
        BOOSTER("booster", "off", Work.BOOSTER),
        ANTENNAS("antennas", "own, for the device’s own", Work.LEADS),
        PLACE("place", "a place such as on the table", Work.PLACE),
        HEIGHT("height", "metres above the roof, 0 to 15", Work.MAST_UP),
        SPACING("distance to the indoor antenna", "metres, 0.1 to 10", Work.PLACE),
        PLATE("ground plane", "with or without", Work.PLACE);

        private final String says;
        private final String allowed;
        private final Work work;

        Kind(String says, String allowed, Work work) {
            this.says = says;
            this.allowed = allowed;
            this.work = work;
        }

        /** The name in the API. */
        public String label() {
            return name().toLowerCase(Locale.ROOT);
        }

        public String says() {
            return says;
        }

        public String allowed() {
            return allowed;
        }

        /**
         * The kind of a name in the API.
         *
         * @throws IllegalArgumentException naming the text and the kinds there are
         */
        public static Kind labelled(String text) {
            return Labels.find("kind", text, values(), Kind::label);
        }
    }

    /**
     * @throws IllegalArgumentException naming the value and what is allowed
     */
    public Variation {
        value = Text.name("value", value, LONGEST);
        switch (kind) {
            case BANDS -> bands(value);
            case BOOSTER -> one(kind, value, "off");
            case ANTENNAS -> one(kind, value, "own");
            case PLATE -> one(kind, value, "with", "without");
            case HEIGHT -> Values.within("height", metres(kind, value), 0, HIGHEST_M, "m");
            case SPACING -> Values.within("distance", metres(kind, value), 0.1, FURTHEST_M, "m");
            case PLACE -> {}
        }
    }

    private static void one(Kind kind, String value, String... allowed) {
        Labels.find(kind.says, value, allowed, text -> text);
    }

    private static double metres(Kind kind, String value) {
        return Values.typed(value)
                .orElseThrow(() -> new IllegalArgumentException(
                        kind.says + " is " + Text.quoted(value) + "; allowed are " + kind.allowed));
    }

    private static List<String> bands(String value) {
        return Arrays.stream(value.split("[+, ]+"))
                .map(name -> Bands.named(name).name())
                .toList();
    }

    /** The bands that are held; of that kind alone. */
    public List<String> bands() {
        return bands(value);
    }

    /** In m; of heights and distances alone. */
    public double metres() {
        return metres(kind, value);
    }

    /** What it adds to the name of its setup. */
    public String phrase() {
        return switch (kind) {
            case BANDS -> String.join(" + ", bands()) + " alone";
            case BOOSTER -> "booster off";
            case ANTENNAS -> "own antennas";
            case PLACE -> value;
            case HEIGHT -> metres() == 0 ? "on the roof" : Values.plain(metres()) + " m up";
            case SPACING -> Values.plain(metres()) + " m from it";
            case PLATE -> value + " a plate";
        };
    }

    /**
     * What stays of it for hands to arrange.
     *
     * @param inChain whether the chain of its setup is known; what has a place in a chain is told from there
     */
    public Optional<Arranged> arranged(boolean inChain) {
        return switch (kind) {
            case PLACE, SPACING, PLATE -> Optional.of(new Arranged(kind, phrase()));
            case BANDS, BOOSTER, ANTENNAS, HEIGHT ->
                inChain ? Optional.empty() : Optional.of(new Arranged(kind, phrase()));
        };
    }

    /** What hands arrange that is no part of a chain. */
    public record Arranged(Kind kind, String phrase) {
        Move move(String device) {
            String says =
                    switch (kind) {
                        case SPACING -> "Put " + device + " " + phrase.replace("it", "the indoor antenna") + ".";
                        case PLATE ->
                            phrase.startsWith("without")
                                    ? "Take the metal plate from under the antenna."
                                    : "Put the metal plate under the antenna.";
                        case PLACE -> "Put " + device + " " + phrase + ".";
                        case BANDS -> "Hold " + device + " to " + phrase + ".";
                        case BOOSTER -> "Switch the booster off.";
                        case ANTENNAS -> "Let " + device + " use its own antennas.";
                        case HEIGHT -> "Bring the antenna to its height: " + phrase + ".";
                    };
            return Move.of(kind.work, says);
        }
    }
}
