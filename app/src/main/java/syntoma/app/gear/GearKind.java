package syntoma.app.gear;

import syntoma.core.unit.Labels;

/** What a piece of gear is. */
public enum GearKind {
    DEVICE("device"),
    ANTENNA("antenna"),
    CABLE("cable"),
    ADAPTER("adapter"),
    BOOSTER("booster"),
    MOUNT("mount"),
    SIM("SIM");

    private final String label;

    GearKind(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }

    /**
     * The kind of a label.
     *
     * @throws IllegalArgumentException naming the text and the kinds there are
     */
    public static GearKind fromLabel(String text) {
        return Labels.find("kind", text, values(), GearKind::label);
    }
}
