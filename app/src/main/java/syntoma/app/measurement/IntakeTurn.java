package syntoma.app.measurement;

import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import syntoma.app.platform.ConflictException;

/**
 * Imports come in turn, and while one is under way the names that it has looked up must go on to mean what they did: who merges
 * or parts them takes a turn too.
 */
@Component
public class IntakeTurn {
    private final Semaphore turn = new Semaphore(1, true);

    /** How many wait for their turn. */
    public int waiting() {
        return turn.getQueueLength();
    }

    /** Takes the turn if it comes within a time. */
    public boolean take(int ms) throws InterruptedException {
        return turn.tryAcquire(ms, TimeUnit.MILLISECONDS);
    }

    public void give() {
        turn.release();
    }

    /**
     * Takes the turn until the end of the transaction.
     *
     * @throws ConflictException when an import is under way
     */
    public void requireFree() {
        if (!turn.tryAcquire()) {
            throw new ConflictException(
                    "an import is under way, which reads the names that this would change; try again when it is done");
        }
        TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
            @Override
            public void afterCompletion(int status) {
                turn.release();
            }
        });
    }
}
