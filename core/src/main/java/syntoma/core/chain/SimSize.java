package syntoma.core.chain;

import syntoma.core.unit.Labels;

/** The size of a card, or of the slot for it; the largest first. */
public enum SimSize {
    FULL("full"),
    MICRO("micro"),
    NANO("nano"),
    ESIM("eSIM");

    private final String label;

    SimSize(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }

    /**
     * The size of a label.
     *
     * @throws IllegalArgumentException naming the text and the labels there are
     */
    public static SimSize fromLabel(String text) {
        return Labels.find("card size", text, values(), SimSize::label);
    }
}
