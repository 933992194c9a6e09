package syntoma.core.tabletext;

/** What tells the measurements apart that stand side by side in one row. */
public enum Each {
    /** They are runs, one after another. */
    RUN("run"),
    /** Each is of another setup, whose name stands in the headings. */
    SETUP("setup"),
    /** Each is of another carrier, whose name stands in the headings. */
    CARRIER("carrier"),
    /** Something else, which goes into the note. */
    NOTE("note");

    private final String label;

    Each(String label) {
        this.label = label;
    }

    /** The name in the API. */
    public String label() {
        return label;
    }
}
