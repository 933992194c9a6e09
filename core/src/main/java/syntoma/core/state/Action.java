package syntoma.core.state;

import java.util.Collections;
import java.util.Optional;
import java.util.SortedMap;
import java.util.SortedSet;
import java.util.TreeMap;
import java.util.TreeSet;
import syntoma.core.chain.Source;

/** One thing that changes what is where, without its words. */
public sealed interface Action {
    /** Another device is used, or another setup whose parts are not known. */
    record Use(String inUse, Optional<String> instead) implements Action {}

    /** A device draws on another source. */
    record Draw(String device, Source source) implements Action {}

    /**
     * A SIM is put into a device.
     *
     * @param from the device that it is in; empty where it is in none
     * @param out the SIM that makes room for it; empty where there is room
     */
    record PutSim(String sim, String carrier, Optional<String> from, String to, Optional<String> out)
            implements Action {}

    /** A device switches to another of the SIMs that are in it. */
    record SwitchSim(String sim, String device) implements Action {}

    /** An antenna is put where it is wanted. @param from empty where it was stowed */
    record PutAntenna(String antenna, Optional<Spot> from, Spot to) implements Action {}

    /** An antenna is stowed for the drive. */
    record Stow(String antenna, Spot from) implements Action {}

    /**
     * Leads are plugged and unplugged at one device or booster.
     *
     * @param off antennas whose leads come off
     * @param on antennas whose leads are plugged in, each with what its leads are on before; empty text where they are loose
     */
    record Leads(String at, SortedSet<String> off, SortedMap<String, String> on) implements Action {
        public Leads {
            off = Collections.unmodifiableSortedSet(new TreeSet<>(off));
            on = Collections.unmodifiableSortedMap(new TreeMap<>(on));
        }
    }

    /** A booster is switched on or off. */
    record SwitchBooster(String booster, boolean isOn) implements Action {}

    /** A device is put in another place. */
    record PutDevice(String device, String place) implements Action {}

    /** A device is held to bands, or let choose. */
    record Hold(String device, String bands) implements Action {}

    /** Something is arranged, or put back; empty for as it usually is. */
    record Arrange(Optional<ExtraStep> how) implements Action {}
}
