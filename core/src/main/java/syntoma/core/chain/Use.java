package syntoma.core.chain;

import syntoma.core.unit.Labels;

/** What a port, or a lead of an antenna, is for. */
public enum Use {
    CELLULAR("cellular"),
    WIFI("Wi-Fi"),
    GNSS("GNSS");

    private final String label;

    Use(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }

    /**
     * The use of a label.
     *
     * @throws IllegalArgumentException naming the text and the labels there are
     */
    public static Use fromLabel(String text) {
        return Labels.find("use", text, values(), Use::label);
    }
}
