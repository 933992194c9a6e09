package syntoma.core.chain;

import syntoma.core.unit.Labels;

/** Where an antenna, or a device with its own antennas, is put. */
public enum Placement {
    ROOF("roof"),
    MAST("mast"),
    WINDOW("window"),
    INSIDE("inside");

    private final String label;

    Placement(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }

    /** Whether the shell of the vehicle stands between here and the mast of the network. */
    public boolean isBehindShell() {
        return this == WINDOW || this == INSIDE;
    }

    /**
     * The place of a label.
     *
     * @throws IllegalArgumentException naming the text and the labels there are
     */
    public static Placement fromLabel(String text) {
        return Labels.find("placement", text, values(), Placement::label);
    }
}
