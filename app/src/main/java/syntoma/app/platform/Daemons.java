package syntoma.app.platform;

import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.ThreadFactory;

/** Threads that work beside the requests, and do not keep the application from ending. */
public final class Daemons {
    private Daemons() {}

    /** One thread that works at times. */
    public static ScheduledExecutorService ticking(String name) {
        return Executors.newSingleThreadScheduledExecutor(threadFactory(name));
    }

    /** One thread that works one thing after the other. */
    public static ExecutorService one(String name) {
        return Executors.newSingleThreadExecutor(threadFactory(name));
    }

    /** As many threads as there is work at a time. */
    public static ExecutorService cachedPool(String name) {
        return Executors.newCachedThreadPool(threadFactory(name));
    }

    private static ThreadFactory threadFactory(String name) {
        return work -> {
            Thread thread = new Thread(work, name);
            thread.setDaemon(true);
            return thread;
        };
    }
}
