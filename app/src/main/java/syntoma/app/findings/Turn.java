package syntoma.app.findings;

import java.util.concurrent.locks.ReentrantLock;
import java.util.function.Supplier;
import org.springframework.stereotype.Component;

/** One question to the whole log at a time: each takes about as much memory as the log itself. */
@Component
class Turn {
    private final ReentrantLock turn = new ReentrantLock(true);

    <T> T of(Supplier<T> question) {
        turn.lock();
        try {
            return question.get();
        } finally {
            turn.unlock();
        }
    }
}
