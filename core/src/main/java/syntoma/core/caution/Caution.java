package syntoma.core.caution;

import java.util.Collection;
import java.util.List;
import java.util.TreeSet;
import java.util.stream.Collectors;
import syntoma.core.unit.Text;

/** A caution, in a sentence or two. */
public enum Caution {
    LADDER("Use a proper ladder and a second person who holds it, and stay off a wet or icy roof."),
    DRILLING(
            "Wear eye protection. Look for wiring, gas and water lines and rafters on both sides first. Drill a pilot hole before"
                    + " the large one, with a bit just longer than the roof is thick, and a stop on it."),
    TIGHTENING("Tighten SMA plugs by hand, or with a torque wrench at 0.5 to 1 N·m: more breaks the socket."),
    CLAMPING("Tighten U-bolts on a hollow tube only until they hold: more crushes it."),
    SEALING("Press the foot down until the sealant shows all round, and do not squeeze it out."),
    GAS_LINE("Never tie a cable to a gas line."),
    DIRECT_CURRENT("Isolate the battery first; a fuse at the source; the wire sized to the fuse."),
    MAINS("Mains and inverters are for a licensed electrician."),
    POWER_OFF(
            "Switch the device off before you put in a SIM or plug a lead, and on only with its antennas plugged in."),
    TRANSMITTING("Keep the distance from a transmitting antenna that its maker states."),
    BOOSTER("Boosters are registered, licensed or forbidden, depending on the country and the carrier."),
    BOOSTER_ON("Its antenna has to be plugged in first. Stay clear of the antennas while it transmits."),
    GAIN_LIMIT("Transmit gain is limited by law: a stronger antenna may exceed the limit where you are."),
    IDENTITY("Changing a device’s identity number is illegal in many places, and is not supported."),
    DRIVING("Never drive with a mast up: it hits bridges, branches and lines."),
    MAST("Not in strong wind or a thunderstorm, and clear of overhead lines. A second person holds the mast."),
    LIGHTNING("Lay the mast down, and unplug its leads, before a thunderstorm."),
    WALKING(
            "Watch your step and the traffic, not the screen. Keep away from overhead lines and out of a thunderstorm."),
    PASSWORDS("Change every default password."),
    LOCAL_RULES("Local rules and licensed people come first: for gas, mains, the roof’s structure and transmitters."),
    HELP("Never rely on cellular alone to call for help: carry another way to call.");

    private final String says;

    Caution(String says) {
        this.says = says;
    }

    public String says() {
        return says;
    }

    /** Leads are changed with the power off. @param also what else leads are on; empty texts where they are loose */
    public static String leads(String at, Collection<String> also) {
        List<String> powered = also.stream()
                .filter(name -> !name.isEmpty() && !name.equals(at))
                .collect(Collectors.toCollection(TreeSet::new))
                .stream()
                .toList();
        String names = powered.isEmpty() ? at : Text.list(List.of(at, Text.list(powered)));
        return "Switch " + names
                + " off first, and on again only when the antennas are plugged in. Tighten the plugs by hand"
                + " only.";
    }
}
