package syntoma.app.exchange;

import java.time.OffsetDateTime;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import syntoma.app.history.Journal;
import syntoma.app.history.Undoing;
import syntoma.app.measurement.IntakeTurn;
import syntoma.app.measurement.Withdrawal;

/** Undoes imports: their rows go, and the names that were made for them where nothing else needs these. */
@Component
class ImportUndoing implements Undoing {
    private final Withdrawal withdrawal;
    private final ImportNames names;
    private final IntakeTurn turn;

    ImportUndoing(Withdrawal withdrawal, ImportNames names, IntakeTurn turn) {
        this.withdrawal = withdrawal;
        this.names = names;
        this.turn = turn;
    }

    /**
     * What undoing an import needs.
     *
     * @param first when the first of its rows was measured, in ISO 8601
     * @param names the numbers of those that were made for it, by their kind
     */
    record ImportedEntry(String first, String last, Map<String, List<Long>> names) {}

    @Override
    public Set<Journal.Kind> kinds() {
        return Set.of(Journal.Kind.IMPORTED);
    }

    @Override
    public void undo(long entry, Journal.Kind kind, String detail) {
        turn.requireFree();
        ImportedEntry made = Journal.read(detail, ImportedEntry.class);
        withdrawal.takeOut(entry, OffsetDateTime.parse(made.first()), OffsetDateTime.parse(made.last()));
        names.unmake(made.names());
        TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
            @Override
            public void afterCommit() {
                names.takeBackMade();
            }
        });
    }
}
