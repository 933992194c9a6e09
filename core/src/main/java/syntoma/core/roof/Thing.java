package syntoma.core.roof;

import java.util.Locale;
import syntoma.core.sentence.Quantity;
import syntoma.core.sentence.Sentence;
import syntoma.core.unit.Labels;
import syntoma.core.unit.Text;
import syntoma.core.unit.Values;

/**
 * Something on the roof, or hidden under it.
 *
 * @param heightM above the roof's skin; of what is hidden it says nothing
 * @param clearM that it asks to be left free around it, beside what an antenna asks for
 * @param freeMm across what passes through it, of an existing cable entry; 0 where that is not known
 */
public record Thing(Kind kind, String name, Rect rect, double heightM, double clearM, double freeMm) {
    private static final int LONGEST_NAME = 60;
    private static final double HIGHEST_M = 3;

    /** What it is, and what that means for an antenna beside it. */
    public enum Kind {
        VENT("vent", true, true, 0),
        PANEL("solar panel", true, false, 0),
        AIR_CONDITIONER("air conditioner", true, true, 0),
        RAIL("rail", true, false, 0),
        AWNING("awning", true, false, 0),
        ANTENNA("antenna", true, false, 0),
        LADDER("ladder", true, false, 0),
        OTHER("other", true, false, 0),
        INLET("existing cable entry", true, false, 0),
        WIRING("wiring", false, false, 0.05),
        GAS("gas line", false, false, 0.15),
        RAFTER("rafter", false, false, 0.02);

        /** A lead runs beside wiring without harm; it keeps off a gas line, and needs a way through a rafter. */
        private static final double FROM_GAS_M = 0.05;

        private final String says;
        private final boolean onRoof;
        private final boolean opens;
        private final double fromHoleM;

        Kind(String says, boolean onRoof, boolean opens, double fromHoleM) {
            this.says = says;
            this.onRoof = onRoof;
            this.opens = opens;
            this.fromHoleM = fromHoleM;
        }

        /** The name in the API. */
        public String label() {
            return name().toLowerCase(Locale.ROOT).replace('_', '-');
        }

        public String says() {
            return says;
        }

        /** Whether it stands on the roof; else it lies hidden under it. */
        public boolean isOnRoof() {
            return onRoof;
        }

        /** Whether it is gear that an antenna keeps its distance from; a hole with a lid is none. */
        public boolean isGear() {
            return onRoof && this != INLET;
        }

        /** Whether the roof has a hole beneath it, which no ground plane goes over. */
        public boolean opensRoof() {
            return opens;
        }

        /**
         * How far the edge of a hole stays from it, in m: chosen so that a drill that wanders and a line that lies beside where it
         * is thought to lie do not meet.
         */
        public double fromHoleM() {
            return fromHoleM;
        }

        /** How far a lead stays from it, in m; 0 for what it does not mind. */
        double fromCableM() {
            return switch (this) {
                case GAS -> FROM_GAS_M;
                case WIRING, RAFTER -> Double.MIN_VALUE;
                default -> 0;
            };
        }

        /** What to do where a lead comes too close to it. */
        Sentence besideCable() {
            return switch (this) {
                case GAS ->
                    Sentence.of(
                            "run them round it, ",
                            Quantity.centimetres(100 * FROM_GAS_M),
                            " away at least, and never tie them to it.");
                case WIRING -> Sentence.of("cross it at a right angle, and do not run along it.");
                default -> Sentence.of("find the gap beneath it, or run them round it.");
            };
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
    public Thing {
        name = Text.name("name", name, LONGEST_NAME);
        Values.within("height", heightM, 0, HIGHEST_M, "m");
        Values.within("clearance", clearM, 0, HIGHEST_M, "m");
        Values.within("free width", freeMm, 0, 500, "mm");
    }
}
