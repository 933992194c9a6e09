package syntoma.standin.fault;

import java.util.Locale;
import syntoma.core.unit.Labels;
import syntoma.core.unit.Text;

/** The faults that are on at this moment. */
public final class Faults {
    private volatile RouterFault router = RouterFault.NONE;
    private volatile SpeedFault speed = SpeedFault.NONE;

    public RouterFault router() {
        return router;
    }

    public SpeedFault speed() {
        return speed;
    }

    public void set(RouterFault fault) {
        router = fault;
    }

    public void set(SpeedFault fault) {
        speed = fault;
    }

    /**
     * Sets what is told in words: “router garbage”, “speed stall”, “speed none”.
     *
     * @throws IllegalArgumentException naming what is allowed
     */
    public void tell(String words) {
        String[] said = words.strip().split(" +");
        if (said.length == 2 && said[0].equalsIgnoreCase("router")) {
            router = Labels.find("fault", said[1], RouterFault.values(), Faults::word);
        } else if (said.length == 2 && said[0].equalsIgnoreCase("speed")) {
            speed = Labels.find("fault", said[1], SpeedFault.values(), Faults::word);
        } else {
            throw new IllegalArgumentException(
                    "fault is " + Text.quote(words) + "; allowed is router or speed, and what is wrong with it");
        }
    }

    private static String word(Enum<?> fault) {
        return fault.name().toLowerCase(Locale.ROOT);
    }
}
