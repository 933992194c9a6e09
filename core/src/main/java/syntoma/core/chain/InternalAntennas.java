package syntoma.core.chain;

import syntoma.core.unit.Labels;

/** What becomes of a device's own antennas when a lead is plugged in. */
public enum InternalAntennas {
    NONE("none"),
    STAY_ON("stay on"),
    SWITCH_BY_THEMSELVES("switch by themselves"),
    SWITCHED_BY_SETTING("switched by a setting"),
    /** They are screwed onto the ports, so that a lead can only take the place of one. */
    SCREWED_ON("screwed onto the ports");

    private final String label;

    InternalAntennas(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }

    /**
     * The behaviour of a label.
     *
     * @throws IllegalArgumentException naming the text and the labels there are
     */
    public static InternalAntennas fromLabel(String text) {
        return Labels.find("own antennas", text, values(), InternalAntennas::label);
    }
}
