package syntoma.standin.fault;

import java.util.Arrays;
import java.util.Locale;
import java.util.stream.Collectors;
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
        String[] said = words.strip().toUpperCase(Locale.ROOT).split(" +");
        if (said.length == 2 && said[0].equals("ROUTER")) {
            router = one(RouterFault.values(), said[1], words);
        } else if (said.length == 2 && said[0].equals("SPEED")) {
            speed = one(SpeedFault.values(), said[1], words);
        } else {
            throw new IllegalArgumentException(
                    "fault is " + Text.quoted(words) + "; allowed is router or speed, and what is wrong with it");
        }
    }

    private static <E extends Enum<E>> E one(E[] all, String name, String words) {
        return Arrays.stream(all)
                .filter(fault -> fault.name().equals(name))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("fault is " + Text.quoted(words) + "; allowed is "
                        + Arrays.stream(all)
                                .map(fault -> fault.name().toLowerCase(Locale.ROOT))
                                .collect(Collectors.joining(", "))));
    }
}
