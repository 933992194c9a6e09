package syntoma.core.chain;

import syntoma.core.unit.Labels;

/** What a setup draws on. */
public enum Source {
    CELLULAR("cellular"),
    CAMPGROUND_WIFI("campground Wi-Fi"),
    SATELLITE("satellite");

    private final String label;

    Source(String label) {
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
    public static Source fromLabel(String text) {
        return Labels.find("source", text, values(), Source::label);
    }
}
