package syntoma.core.fit;

/** How much a finding of the fit check weighs; the heaviest first. */
public enum Severity {
    BLOCKER("blocker"),
    CAUTION("caution"),
    NOTE("note");

    private final String label;

    Severity(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }
}
