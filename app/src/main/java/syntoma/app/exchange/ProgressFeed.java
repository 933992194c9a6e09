package syntoma.app.exchange;

import jakarta.annotation.PreDestroy;
import java.io.IOException;
import java.time.Duration;
import java.util.Queue;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;
import syntoma.app.platform.ConflictException;
import syntoma.app.platform.Daemons;

/** Tells those who follow an import how far it is, all of them from one thread. */
@Component
class ProgressFeed {
    private static final Duration PAUSE = Duration.ofMillis(250);
    private static final int MOST_FOLLOWERS = 500;

    /** Told this often that no import of the name is under way, a follower is let go; its browser asks again. */
    private static final int LOOKS_FOR_A_BEGINNING = 4;

    private final ImportProgress progress;
    private final Queue<Follower> followers = new ConcurrentLinkedQueue<>();
    private final ScheduledExecutorService ticks = Daemons.ticking("import-progress");

    ProgressFeed(ImportProgress progress) {
        this.progress = progress;
        ticks.scheduleWithFixedDelay(this::tick, PAUSE.toMillis(), PAUSE.toMillis(), TimeUnit.MILLISECONDS);
    }

    /** Rows an import has read so far; {@code done} when it is not under way any more. */
    record Progress(int rows, boolean done) {}

    private static final class Follower {
        private final String name;
        private final SseEmitter emitter = new SseEmitter(0L);
        private int looks;
        private boolean seen;

        private Follower(String name) {
            this.name = name;
        }
    }

    SseEmitter follow(String name) {
        if (followers.size() >= MOST_FOLLOWERS) {
            throw new ConflictException("imports are followed by " + MOST_FOLLOWERS + " already; close some of them");
        }
        Follower follower = new Follower(name);
        follower.emitter.onError(gone -> followers.remove(follower));
        followers.add(follower);
        return follower.emitter;
    }

    private void tick() {
        followers.removeIf(this::isServed);
    }

    /** Tells one follower; true when that was the last. */
    private boolean isServed(Follower follower) {
        ImportProgress.Run run = progress.find(follower.name);
        try {
            if (run != null) {
                follower.seen = true;
                follower.emitter.send(new Progress(run.rows(), false));
                return false;
            }
            if (follower.seen) {
                follower.emitter.send(new Progress(0, true));
            } else if (++follower.looks < LOOKS_FOR_A_BEGINNING) {
                return false;
            }
            follower.emitter.complete();
        } catch (IOException | IllegalStateException gone) {
            follower.emitter.complete();
        }
        return true;
    }

    @PreDestroy
    void stop() {
        ticks.shutdownNow();
    }
}
