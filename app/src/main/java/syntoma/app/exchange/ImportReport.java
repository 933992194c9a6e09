package syntoma.app.exchange;

import java.util.List;

/**
 * What an import did, or with a dry run would do.
 *
 * @param rejectedRows how many rows were rejected in all; {@code rejected} lists the first 10,000 of them
 */
record ImportReport(int accepted, int duplicates, int rejectedRows, List<Rejection> rejected, Created created) {
    /** A row that was not taken, with the column at fault; empty text when it is the whole row. */
    record Rejection(long line, String column, String message) {}

    /** Names that were not known before. */
    record Created(List<String> campsites, List<String> setups, List<String> carriers) {}
}
