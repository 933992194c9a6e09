package syntoma.core.statustext;

/** Looks for the stems of which a pattern needs one at least: most lines of a long text have none, and are skipped at once. */
final class Stems {
    private final String[] stems;

    private Stems(String... stems) {
        this.stems = stems;
    }

    static Stems of(String... stems) {
        return new Stems(stems);
    }

    /** Whether a line in lower case has one of them. */
    boolean areIn(String lower) {
        for (String stem : stems) {
            if (lower.contains(stem)) {
                return true;
            }
        }
        return false;
    }
}
