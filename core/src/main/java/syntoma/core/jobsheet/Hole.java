package syntoma.core.jobsheet;

import java.util.Optional;
import java.util.OptionalDouble;
import syntoma.core.roof.HoleFinder;
import syntoma.core.roof.Passage;
import syntoma.core.roof.Spot;
import syntoma.core.sentence.Quantity;
import syntoma.core.sentence.Sentence;

/**
 * The hole that is drilled, and where.
 *
 * @param neededMm its diameter at least
 * @param marks where to measure for it; empty where the antenna is not placed yet
 */
public record Hole(double neededMm, Optional<Marks> marks) {

    /** Where to measure: outside from the edges of the roof, inside from the walls. */
    public record Marks(HoleFinder.Outside outside, Spot inside) {
        private Sentence sentence() {
            return Sentence.of(
                    Quantity.drawnLength(outside.spot().x()),
                    " from the front and ",
                    Quantity.drawnLength(outside.spot().y()),
                    " from the left");
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
    Sentence tool() {
        OptionalDouble saw = sawMm();
        boolean wider = saw.isPresent() && saw.getAsDouble() - neededMm >= 0.1;
        return Sentence.of(
                "hole saw of ",
                diameter(),
                wider ? Sentence.of(" (the hole needs ", mm(neededMm), ")") : Sentence.EMPTY);
    }

    /** The diameter that is drilled: a common saw's. */
    Quantity diameter() {
        return mm(sawMm().orElse(neededMm));
    }

    private static Quantity mm(double value) {
        return Quantity.millimetres(Math.round(value * 10) / 10.0);
    }

    /** How it is marked. */
    Sentence marking() {
        return marks.map(marks -> Sentence.of("Mark the hole ", marks.sentence()))
                .orElse(Sentence.of("Choose the antenna’s place in the roof plan, then mark the hole"));
    }
}
