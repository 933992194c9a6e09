package syntoma.core.jobsheet;

import java.util.Optional;
import java.util.OptionalDouble;
import syntoma.core.roof.HoleFinder;
import syntoma.core.roof.Passage;
import syntoma.core.roof.Spot;
import syntoma.core.unit.Values;

/**
 * The hole that is drilled, and where.
 *
 * @param neededMm its diameter at least
 * @param marks where to measure for it; empty where the antenna is not placed yet
 */
public record Hole(double neededMm, Optional<Marks> marks) {

    /** Where to measure: outside from the edges of the roof, inside from the walls. */
    public record Marks(HoleFinder.Outside outside, Spot inside) {
        private String said() {
            return m(outside.spot().x()) + " from the front and "
                    + m(outside.spot().y()) + " from the left";
        }

        private static String m(double metres) {
            return Values.rounded(metres, 2) + " m";
        }
    }

    /** A hole whose place is not known. */
    public static Hole of(double mm) {
        return new Hole(mm, Optional.empty());
    }

    private OptionalDouble sawMm() {
        return Passage.sawFor(neededMm);
    }

    /** What is bought for it. */
    String tool() {
        OptionalDouble saw = sawMm();
        boolean wider = saw.isPresent() && saw.getAsDouble() - neededMm >= 0.1;
        return "hole saw of " + diameter() + (wider ? " (the hole needs " + mm(neededMm) + ")" : "");
    }

    /** The diameter that is drilled: a common saw's. */
    String diameter() {
        return mm(sawMm().orElse(neededMm));
    }

    private static String mm(double value) {
        return Values.plain(Math.round(value * 10) / 10.0) + " mm";
    }

    /** How it is marked. */
    String marking() {
        return marks.map(marks -> "Mark the hole " + marks.said())
                .orElse("Choose the antenna’s place in the roof plan, then mark the hole");
    }
}
