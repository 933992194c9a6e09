package syntoma.app.exchange;

import java.util.List;
import org.springframework.lang.Nullable;

/**
 * What an import did, or with a dry run would do.
 *
 * @param close names that were not known and are close to one that is
 * @param change the number of the change, by which the import can be undone; null where nothing was kept
 * @param rejectedRows how many rows were rejected in all; {@code rejected} lists the first 10,000 of them
 */
record ImportReport(
        int accepted,
        int duplicates,
        int rejectedRows,
        List<Rejection> rejected,
        CreatedName created,
        List<CloseName> close,
        @Nullable Long change) {
    /** A name that may be meant to be another. @param kind campsite, setup or carrier */
    record CloseName(String kind, String name, String known) {}

    /** A row that was not taken, with the column at fault; empty text when it is the whole row. */
    record Rejection(long line, String column, String message) {}

    /** Names that were not known before. */
    record CreatedName(List<String> campsites, List<String> setups, List<String> carriers) {}
}
