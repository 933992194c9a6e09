package syntoma.core.design;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import syntoma.core.band.Bands;
import syntoma.core.chain.RadioMode;
import syntoma.core.sentence.Quantity;
import syntoma.core.sentence.Sentence;
import syntoma.core.state.ExtraStep;
import syntoma.core.state.Work;
import syntoma.core.unit.Labels;
import syntoma.core.unit.Text;
import syntoma.core.unit.Values;

/**
 * What is different about a setup while it is tried: the same chain with one thing changed, under a name of its own.
 *
 * @param value of the kind that {@link Kind#allowedValues} says
 */
public record Variation(Kind kind, String value) {
    private static final int LONGEST = 40;
    private static final double HIGHEST_M = 15;
    private static final double FURTHEST_M = 10;

    /** What is changed. */
    public enum Kind {
        BANDS("locked bands", "bands such as B3 or B3 + B20, all but B3, LTE only, NR SA only, NSA", Work.BANDS),
        BOOSTER("booster", "off", Work.BOOSTER),
        ANTENNAS("antennas", "own, for the device’s own", Work.LEADS),
        PLACE("place", "a place such as on the table", Work.PLACE),
        HEIGHT("height", "metres above the roof, 0 to 15", Work.MAST_UP),
        SPACING("distance to the indoor antenna", "metres, 0.1 to 10", Work.PLACE),
        PLATE("ground plane", "with or without", Work.PLACE);

        private final String says;
        private final String allowedValues;
        private final Work work;

        Kind(String says, String allowed, Work work) {
            this.says = says;
            this.allowedValues = allowed;
            this.work = work;
        }

        /** The name in the API. */
        public String label() {
            return name().toLowerCase(Locale.ROOT);
        }

        public String says() {
            return says;
        }

        public String allowedValues() {
            return allowedValues;
        }

        /**
         * The kind of a name in the API.
         *
         * @throws IllegalArgumentException naming the text and the kinds there are
         */
        public static Kind fromLabel(String text) {
            return Labels.find("kind", text, values(), Kind::label);
        }
    }

    /**
     * @throws IllegalArgumentException naming the value and what is allowed
     */
    public Variation {
        value = Text.name("value", value, LONGEST);
        switch (kind) {
            case BANDS -> restrictionText(value);
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
                        kind.says + " is " + Text.quote(value) + "; allowed are " + kind.allowedValues));
    }

    private static final String ALL_BUT = "all but ";
    private static final String SA_ONLY = "NR SA only";
    private static final String NSA = "NSA";

    /** What the device is held to, as one says it: bands, all but some, or a mode. */
    private static String restrictionText(String value) {
        for (String mode : List.of(RadioMode.LTE_ONLY.label(), SA_ONLY, NSA)) {
            if (mode.equalsIgnoreCase(value)) {
                return mode;
            }
        }
        boolean butSome = value.regionMatches(true, 0, ALL_BUT, 0, ALL_BUT.length());
        String bands = String.join(" + ", bandList(butSome ? value.substring(ALL_BUT.length()) : value));
        return butSome ? ALL_BUT + bands : bands;
    }

    private static List<String> bandList(String bands) {
        return Arrays.stream(bands.split("[+, ]+"))
                .map(name -> Bands.of(name).name())
                .toList();
    }

    /** The bands that alone are held; of that kind alone, and none where it is held to something else. */
    public List<String> bands() {
        String held = restrictionText(value);
        return held.startsWith(ALL_BUT) || mode() != RadioMode.LOCKED || held.equals(NSA) ? List.of() : bandList(held);
    }

    /** How the radio is set while bands are held; of that kind alone. */
    public RadioMode mode() {
        String held = restrictionText(value);
        return held.equals(RadioMode.LTE_ONLY.label())
                ? RadioMode.LTE_ONLY
                : held.equals(SA_ONLY) ? RadioMode.NR_ONLY : RadioMode.LOCKED;
    }

    /** Whether a signal chain can say it: it has bands that are held and a mode, and no bands that are left out. */
    public boolean isInChain() {
        return kind != Kind.BANDS || mode() != RadioMode.LOCKED || !bands().isEmpty();
    }

    /** In m; of heights and distances alone. */
    public double metres() {
        return metres(kind, value);
    }

    /** What it adds to the name of its setup. */
    public String phrase() {
        return switch (kind) {
            case BANDS -> bands().isEmpty() ? restrictionText(value) : String.join(" + ", bands()) + " alone";
            case BOOSTER -> "booster off";
            case ANTENNAS -> "own antennas";
            case PLACE -> value;
            case HEIGHT -> metres() == 0 ? "on the roof" : Values.format(metres()) + " m up";
            case SPACING -> Values.format(metres()) + " m from it";
            case PLATE -> value + " a plate";
        };
    }

    /**
     * What stays of it for hands to arrange.
     *
     * @param contender whose chain, where it is known, has what has a place in one
     */
    public Optional<ExtraStep> arranged(Contender contender) {
        return switch (kind) {
            case PLACE, SPACING, PLATE -> Optional.of(arranged(contender.deviceName()));
            case BANDS, BOOSTER, ANTENNAS, HEIGHT ->
                contender.isKnown() && isInChain() ? Optional.empty() : Optional.of(arranged(contender.deviceName()));
        };
    }

    /** @param device its name */
    private ExtraStep arranged(String device) {
        Sentence says = Sentence.of(
                switch (kind) {
                    case SPACING ->
                        Sentence.of("Put " + device + " ", Quantity.metres(metres()), " from the indoor antenna.");
                    case PLATE ->
                        value.equals("with")
                                ? "Put the metal plate under the antenna."
                                : "Remove the metal plate from under the antenna.";
                    case PLACE -> "Put " + device + " " + phrase() + ".";
                    case BANDS -> "Set " + device + " to " + phrase() + ".";
                    case BOOSTER -> "Switch the booster off.";
                    case ANTENNAS -> "Let " + device + " use its own antennas.";
                    case HEIGHT -> "Bring the antenna to its height: " + phrase() + ".";
                });
        return new ExtraStep(kind.work, phrase(), says);
    }
}
