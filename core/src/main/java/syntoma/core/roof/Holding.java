package syntoma.core.roof;

import java.util.ArrayList;
import java.util.List;
import syntoma.core.chain.Shell;
import syntoma.core.sentence.Quantity;
import syntoma.core.sentence.Sentence;

/** What is to be said of an antenna on a roof wherever it stands: whether it is held, and whether it goes down the road. */
public final class Holding {
    private Holding() {}

    /** In sentences; none where all is well. */
    public static List<Sentence> of(Roof roof, Foot foot) {
        List<Sentence> said = new ArrayList<>();
        if (foot.fixing() == Foot.Fixing.MAGNET && roof.shell() != Shell.STEEL) {
            said.add(Sentence.of("A magnet does not hold on " + roof.shell().label()
                    + ": glue a steel plate down, or fix it otherwise."));
        }
        if (foot.fixing() == Foot.Fixing.DRILLED) {
            said.add(Sentence.of(
                    "The gland or bolt must be longer than the roof is thick: ",
                    Quantity.millimetres(roof.thicknessMm()),
                    "."));
            if (roof.isDoubleSkin()) {
                said.add(Sentence.of("Put a sleeve between the two skins, so that tightening does not crush them."));
            }
        }
        double over = foot.heightM() - roof.headroomM();
        if (over > 0) {
            said.add(Sentence.of(
                    "With " + foot.name() + " the vehicle is ",
                    Quantity.height(roof.heightM() + foot.heightM()),
                    " high, ",
                    Quantity.metres(over, 2),
                    " over its limit of ",
                    Quantity.height(roof.limitM()),
                    ": parked only, laid down or taken off to drive."));
        }
        return said;
    }
}
