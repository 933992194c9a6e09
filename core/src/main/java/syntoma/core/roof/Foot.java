package syntoma.core.roof;

import java.util.Locale;
import syntoma.core.unit.Labels;
import syntoma.core.unit.Text;
import syntoma.core.unit.Values;

/**
 * An antenna as it is to stand on a roof.
 *
 * @param heightM its own
 * @param clearanceM to other gear that it asks for
 * @param groundPlaneM side of the square of metal that it needs beneath it; 0 for none
 * @param plateM side of a steel plate that is put beneath it; 0 for none
 * @param holeMm through the roof beneath it, where it is drilled for
 */
public record Foot(
        String name,
        double lengthM,
        double widthM,
        double heightM,
        double clearanceM,
        double groundPlaneM,
        double plateM,
        Fixing fixing,
        double holeMm) {
    /** What is kept free around an antenna whose sheet says nothing. */
    public static final double USUAL_CLEARANCE_M = 0.5;

    private static final int LONGEST_NAME = 120;
    private static final double MM_PER_M = 1_000;

    /** How it is held. */
    public enum Fixing {
        DRILLED("through a hole beneath it"),
        GLUED("by adhesive"),
        MAGNET("by a magnet");

        private final String says;

        Fixing(String says) {
            this.says = says;
        }

        /** The name in the API. */
        public String label() {
            return name().toLowerCase(Locale.ROOT);
        }

        public String says() {
            return says;
        }

        /**
         * The fixing of a name in the API.
         *
         * @throws IllegalArgumentException naming the text and those there are
         */
        public static Fixing fromLabel(String text) {
            return Labels.find("fixing", text, values(), Fixing::label);
        }
    }

    /**
     * @throws IllegalArgumentException naming the value and what is allowed
     */
    public Foot {
        name = Text.name("name", name, LONGEST_NAME);
        Values.within("antenna length", lengthM, 0.01, 5, "m");
        Values.within("antenna width", widthM, 0.01, 5, "m");
        Values.within("antenna height", heightM, 0, 15, "m");
        Values.within("clearance", clearanceM, 0, 5, "m");
        Values.within("ground plane", groundPlaneM, 0, 2, "m");
        Values.within("steel plate", plateM, 0, 2, "m");
        Values.within("hole", holeMm, 0, 150, "mm");
    }

    /** What it takes of the roof: itself, or its plate where that is larger. */
    Rect at(Spot centre) {
        return Rect.around(centre, Math.max(lengthM, plateM), Math.max(widthM, plateM));
    }

    /** Half of its hole; 0 where none is drilled beneath it. */
    double holeRadiusM() {
        return fixing == Fixing.DRILLED ? holeMm / MM_PER_M / 2 : 0;
    }

    /** From where it hears, above the skin. */
    double hearsFromM() {
        return heightM / 2;
    }
}
