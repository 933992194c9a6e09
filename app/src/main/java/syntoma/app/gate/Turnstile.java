package syntoma.app.gate;

import java.util.ArrayDeque;
import java.util.Queue;

/** Lets so many large bodies be worked on at a time, so that they fit into memory together; the others wait in turn. */
final class Turnstile {
    private final Queue<Runnable> waiting = new ArrayDeque<>();
    private int free;

    Turnstile(int atATime) {
        free = atATime;
    }

    /** Runs something now or when its turn comes; {@link #leave} must follow once. */
    void enter(Runnable work) {
        synchronized (this) {
            if (free == 0) {
                waiting.add(work);
                return;
            }
            free--;
        }
        work.run();
    }

    void leave() {
        Runnable next;
        synchronized (this) {
            next = waiting.poll();
            if (next == null) {
                free++;
            }
        }
        if (next != null) {
            next.run();
        }
    }
}
