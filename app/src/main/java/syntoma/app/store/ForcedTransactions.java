package syntoma.app.store;

import jakarta.persistence.EntityManagerFactory;
import java.util.ArrayDeque;
import java.util.Deque;
import org.springframework.orm.jpa.JpaTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.DefaultTransactionStatus;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Transactions whose commit returns when it is on disk. One that changes anything holds the pen from its beginning until
 * it is committed; the disk is forced after that, together with others that wait for it.
 */
public final class ForcedTransactions extends JpaTransactionManager {
    private static final String ALONGSIDE = "alongside";

    private final Pen pen;
    private final Force force;
    private final Revision revision;

    /** Whether each transaction of this thread, the innermost first, holds the pen. */
    private final ThreadLocal<Deque<Boolean>> holding = ThreadLocal.withInitial(ArrayDeque::new);

    ForcedTransactions(EntityManagerFactory entities, Pen pen, Force force, Revision revision) {
        super(entities);
        this.pen = pen;
        this.force = force;
        this.revision = revision;
    }

    /**
     * A transaction that lasts too long to hold the pen and adds rows that nobody else touches; it takes the pen by itself
     * where it needs it.
     */
    public TransactionTemplate alongside() {
        TransactionTemplate template = new TransactionTemplate(this);
        template.setName(ALONGSIDE);
        return template;
    }

    @Override
    protected void doBegin(Object transaction, TransactionDefinition definition) {
        if (!definition.isReadOnly()) {
            force.requireSavable();
        }
        boolean takes = !definition.isReadOnly() && !ALONGSIDE.equals(definition.getName());
        if (takes) {
            pen.take();
        }
        try {
            super.doBegin(transaction, definition);
            holding.get().push(takes);
        } catch (RuntimeException | Error failed) {
            if (takes) {
                pen.give();
            }
            throw failed;
        }
    }

    @Override
    protected void doCommit(DefaultTransactionStatus status) {
        super.doCommit(status);
        if (!status.isReadOnly()) {
            give();
            force.force();
            revision.increment();
        }
    }

    @Override
    protected void doCleanupAfterCompletion(Object transaction) {
        give();
        holding.get().pop();
        super.doCleanupAfterCompletion(transaction);
    }

    private void give() {
        if (Boolean.TRUE.equals(holding.get().peek())) {
            holding.get().pop();
            holding.get().push(false);
            pen.give();
        }
    }
}
