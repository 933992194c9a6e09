package syntoma.core.fit;

import java.util.ArrayList;
import java.util.List;
import syntoma.core.chain.Chain;
import syntoma.core.chain.PowerInput;

/** A part of a chain that takes power. */
record PoweredPart(String name, PowerInput power) {
    static List<PoweredPart> of(Chain chain) {
        List<PoweredPart> parts = new ArrayList<>();
        chain.device().ifPresent(d -> parts.add(new PoweredPart(d.name(), d.power())));
        chain.booster().ifPresent(b -> parts.add(new PoweredPart(b.name(), b.power())));
        return parts;
    }
}
