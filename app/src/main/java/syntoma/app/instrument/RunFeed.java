package syntoma.app.instrument;

import jakarta.annotation.PreDestroy;
import java.io.IOException;
import java.util.Queue;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;
import syntoma.app.platform.ConflictException;
import syntoma.app.platform.Daemons;
import syntoma.app.platform.NotFoundException;

/** Tells those who follow a run how far it is, all of them from one thread, until it is over. */
@Component
class RunFeed {
    private static final long EVERY_MS = 250;
    private static final int MOST_FOLLOWERS = 100;

    private final Runs runs;
    private final Queue<Follower> followers = new ConcurrentLinkedQueue<>();
    private final ScheduledExecutorService ticks = Daemons.ticking("run-feed");

    RunFeed(Runs runs) {
        this.runs = runs;
        ticks.scheduleWithFixedDelay(
                () -> followers.removeIf(this::isServed), EVERY_MS, EVERY_MS, TimeUnit.MILLISECONDS);
    }

    private record Follower(long run, SseEmitter emitter) {}

    SseEmitter follow(long run) {
        runs.view(run);
        if (followers.size() >= MOST_FOLLOWERS) {
            throw new ConflictException("runs are followed by " + MOST_FOLLOWERS + " already; close some of them");
        }
        Follower follower = new Follower(run, new SseEmitter(0L));
        follower.emitter().onError(gone -> followers.remove(follower));
        followers.add(follower);
        return follower.emitter();
    }

    /** Tells one follower; true when that was the last. */
    private boolean isServed(Follower follower) {
        try {
            RunView view = runs.view(follower.run());
            follower.emitter().send(SseEmitter.event().name("run").data(view));
            boolean over = view.sentence() != null || view.state().equals(RunState.CANCELLED.label());
            if (over) {
                follower.emitter().complete();
            }
            return over;
        } catch (IOException | IllegalStateException | NotFoundException gone) {
            follower.emitter().complete();
            return true;
        }
    }

    @PreDestroy
    void stop() {
        ticks.shutdownNow();
    }
}
