package syntoma.core.jobsheet;

/** What is said at the step where it matters, and nowhere else; local rules and licensed practice go before it. */
public enum Caution {
    HEIGHT("Working at height: a proper ladder, a second person, and dry, calm weather."),
    DRILLING(
            "Look for wiring, gas and water lines and rafters on both sides first; a pilot hole before the large one."),
    GAS_LINE("Never tie a cable to a gas line."),
    DIRECT_CURRENT("Isolate the battery first; a fuse at the source; the wire sized to the fuse."),
    MAINS("Mains and inverters are for a licensed electrician."),
    TRANSMITTING("Keep clear of an antenna that transmits, as far as its maker states."),
    BOOSTER("Boosters are registered, licensed or forbidden, depending on the country and the carrier."),
    GAIN_LIMIT("Transmit gain has limits: a stronger antenna may be one too strong for where you are."),
    IDENTITY("Changing a device’s identity number is illegal in many places, and is not supported."),
    MAST("Never drive with the mast up."),
    LIGHTNING("Lay the mast down, and unplug its leads, before a thunderstorm."),
    PASSWORDS("Change every password that is still its maker’s."),
    HELP("Never rely on cellular alone to call for help: keep a second means.");

    private final String says;

    Caution(String says) {
        this.says = says;
    }

    public String says() {
        return says;
    }
}
