package syntoma.core.roof;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import syntoma.core.sentence.Quantity;
import syntoma.core.sentence.Sentence;
import syntoma.core.unit.Values;

/**
 * A mast with its antenna: where it is while it is driven and while it stands, and what carries it.
 *
 * @param raisedM its top over the ground
 * @param laidM over the roof while it is driven
 * @param weightKg of mast and antenna
 * @param holdsKg that its clamp or the ladder carries
 */
public record Mast(
        Wind wind, OptionalDouble raisedM, OptionalDouble laidM, OptionalDouble weightKg, OptionalDouble holdsKg) {
    /**
     * @throws IllegalArgumentException naming the value and what is allowed
     */
    public Mast {
        raisedM.ifPresent(m -> Values.within("raised", m, 0.5, 20, "m"));
        laidM.ifPresent(m -> Values.within("laid down", m, 0, 3, "m"));
        weightKg.ifPresent(kg -> Values.within("weight", kg, 0.1, 100, "kg"));
        holdsKg.ifPresent(kg -> Values.within("carries", kg, 0.1, 500, "kg"));
    }

    /** What is to be minded, in sentences; none where all is well. */
    public List<Sentence> notes(Roof roof) {
        List<Sentence> said = new ArrayList<>();
        laidM.ifPresent(laid -> {
            double over = laid - roof.headroomM();
            if (over > 0) {
                said.add(Sentence.of(
                        "Laid down, the mast is ",
                        Quantity.height(roof.heightM() + laid),
                        " over the ground, ",
                        Quantity.metres(over, 2),
                        " over the vehicle’s limit: take it off to drive."));
            }
        });
        raisedM.ifPresent(up -> {
            if (up > roof.limitM()) {
                said.add(Sentence.of("Raised, the mast is ", Quantity.height(up), " over the ground: parked only."));
            }
        });
        if (weightKg.isPresent() && holdsKg.isPresent() && weightKg.getAsDouble() > holdsKg.getAsDouble()) {
            said.add(Sentence.of(
                    "The mast weighs ",
                    Quantity.kilograms(weightKg.getAsDouble()),
                    " with its antenna; what carries it holds ",
                    Quantity.kilograms(holdsKg.getAsDouble()),
                    "."));
        }
        return said;
    }
}
