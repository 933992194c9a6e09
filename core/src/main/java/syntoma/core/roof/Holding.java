package syntoma.core.roof;

import java.util.ArrayList;
import java.util.List;
import syntoma.core.chain.Shell;
import syntoma.core.unit.Values;

/** What is to be said of an antenna on a roof wherever it stands: whether it is held, and whether it goes down the road. */
public final class Holding {
    private Holding() {}

    /** In sentences; none where all is well. */
    public static List<String> of(Roof roof, Foot foot) {
        List<String> said = new ArrayList<>();
        if (foot.fixing() == Foot.Fixing.MAGNET && roof.shell() != Shell.STEEL) {
            said.add("A magnet does not hold on " + roof.shell().label()
                    + ": glue a steel plate down, or fix it otherwise.");
        }
        if (foot.fixing() == Foot.Fixing.DRILLED) {
            said.add("The gland or bolt must be longer than the roof is thick: " + Values.plain(roof.thicknessMm())
                    + " mm.");
            if (roof.doubleSkin()) {
                said.add("Put a sleeve between the two skins, so that tightening does not crush them.");
            }
        }
        double over = foot.heightM() - roof.headroomM();
        if (over > 0) {
            said.add("With " + foot.name() + " the vehicle is "
                    + Values.rounded(roof.heightM() + foot.heightM(), 2) + " m high, "
                    + Values.rounded(over, 2) + " m over its limit of " + Values.rounded(roof.limitM(), 2)
                    + " m: parked only, laid down or taken off to drive.");
        }
        return said;
    }
}
