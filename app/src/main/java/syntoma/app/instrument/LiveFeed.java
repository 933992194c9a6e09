package syntoma.app.instrument;

import jakarta.annotation.PreDestroy;
import java.io.IOException;
import java.util.Queue;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;
import syntoma.app.campsite.StandingService;
import syntoma.app.platform.ConflictException;
import syntoma.app.platform.Daemons;
import syntoma.core.unit.Text;

/** Tells those who look what the router says, once a second, all of them from one thread. */
@Component
class LiveFeed {
    private static final long EVERY_MS = 1_000;
    private static final int MOST_FOLLOWERS = 100;

    private final Watch watch;
    private final StandingService standing;
    private final Queue<Follower> followers = new ConcurrentLinkedQueue<>();
    private final ScheduledExecutorService ticks = Daemons.ticking("live-feed");

    LiveFeed(Watch watch, StandingService standing) {
        this.watch = watch;
        this.standing = standing;
        ticks.scheduleAtFixedRate(this::tick, EVERY_MS, EVERY_MS, TimeUnit.MILLISECONDS);
    }

    /** Who looks; at the reading alone, or at it drawn. */
    private record Follower(SseEmitter emitter, boolean isDrawing) {}

    SseEmitter follow(boolean drawn) {
        if (followers.size() >= MOST_FOLLOWERS) {
            throw new ConflictException("the router is watched by " + MOST_FOLLOWERS + " already; close some of them");
        }
        Follower follower = new Follower(new SseEmitter(0L), drawn);
        follower.emitter().onError(gone -> followers.remove(follower));
        LiveView view = currentView();
        isTold(follower, view);
        followers.add(follower);
        return follower.emitter();
    }

    /** What is told now. */
    LiveView currentView() {
        return LiveView.of(reading(), watch.recent());
    }

    private void tick() {
        if (followers.isEmpty()) {
            return;
        }
        LiveView view = currentView();
        followers.removeIf(follower -> !isTold(follower, view));
    }

    /**
     * Whether the router is on a carrier.
     *
     * @param on the other carrier that it is on; null where it is on this one, or does not say
     * @param says what to ask then; null where there is nothing to ask
     */
    record CarrierCheck(@Nullable String on, @Nullable String says) {}

    CarrierCheck check(String carrier) {
        LiveReading reading = watch.look();
        return isOnAnother(reading, carrier)
                ? new CarrierCheck(
                        reading.carrier(),
                        Text.capital(onAnother(reading, carrier)) + ". What is measured is " + reading.carrier() + ".")
                : new CarrierCheck(null, null);
    }

    private static boolean isOnAnother(LiveReading reading, String carrier) {
        return reading.problem() == null && reading.carrier() != null && !carrier.equalsIgnoreCase(reading.carrier());
    }

    private static String onAnother(LiveReading reading, String carrier) {
        return "the router is on " + reading.carrier() + ", and the line says " + carrier;
    }

    /** The reading, with what does not fit what the standing line says. */
    private LiveReading reading() {
        LiveReading reading = watch.look();
        String carrier = standing.line().carrier();
        if (carrier == null || !isOnAnother(reading, carrier)) {
            return reading;
        }
        return new LiveReading(
                reading.takenAt(),
                reading.ageMs(),
                onAnother(reading, carrier),
                reading.mode(),
                reading.carrier(),
                reading.cells());
    }

    private static boolean isTold(Follower follower, LiveView view) {
        try {
            follower.emitter()
                    .send(
                            follower.isDrawing()
                                    ? SseEmitter.event().name("live").data(view)
                                    : SseEmitter.event().name("reading").data(view.reading()));
            return true;
        } catch (IOException | IllegalStateException gone) {
            follower.emitter().complete();
            return false;
        }
    }

    @PreDestroy
    void stop() {
        ticks.shutdownNow();
    }
}
