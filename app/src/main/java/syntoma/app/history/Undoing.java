package syntoma.app.history;

import java.util.Set;

/** Undoes changes of some kinds; each room undoes what it wrote into the journal. */
public interface Undoing {
    /** The kinds that it undoes. */
    Set<Journal.Kind> kinds();

    /**
     * Undoes a change, in the transaction that notes it.
     *
     * @param entry its number
     * @param detail as it was written, in JSON
     * @throws syntoma.app.platform.ConflictException when something later stands in the way
     */
    void undo(long entry, Journal.Kind kind, String detail);
}
