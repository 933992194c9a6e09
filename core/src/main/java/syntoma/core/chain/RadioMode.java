package syntoma.core.chain;

import syntoma.core.unit.Labels;

/** How the radio of a device is set. */
public enum RadioMode {
    AUTOMATIC("automatic"),
    LTE_ONLY("LTE only"),
    NR_ONLY("NR only"),
    LOCKED("locked");

    private final String label;

    RadioMode(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }

    /**
     * The one of a label.
     *
     * @throws IllegalArgumentException naming the text and the labels there are
     */
    public static RadioMode labelled(String text) {
        return Labels.find("mode", text, values(), RadioMode::label);
    }
}
