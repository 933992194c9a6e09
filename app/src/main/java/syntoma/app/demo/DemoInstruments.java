package syntoma.app.demo;

import jakarta.annotation.PreDestroy;
import java.time.Clock;
import org.springframework.context.event.EventListener;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Component;
import syntoma.app.campsite.StandingService;
import syntoma.app.instrument.RunBegun;
import syntoma.app.instrument.SpeedServers;
import syntoma.standin.DemoLog;
import syntoma.standin.WorldLink;
import syntoma.standin.speed.Limits;
import syntoma.standin.speed.SpeedServer;

/** What there is to measure with while the demo is shown: a speed server over the air of the made-up world, on a real socket. */
@Component
class DemoInstruments {
    private static final String HERE = "127.0.0.1";

    private final SpeedServers servers;
    private final StandingService standing;
    private final Clock clock;

    @Nullable
    private SpeedServer server;

    @Nullable
    private WorldLink link;

    DemoInstruments(SpeedServers servers, StandingService standing, Clock clock) {
        this.servers = servers;
        this.standing = standing;
        this.clock = clock;
    }

    /** Sets them up, and has runs use them. */
    synchronized void setUp() {
        putAway();
        DemoLog.Now evening = DemoLog.EVENING;
        link = new WorldLink(clock, new WorldLink.Hands(evening.campsite(), evening.setup(), evening.carrier()));
        try {
            server = SpeedServer.start(HERE, 0, "", Limits.USUAL, link);
        } catch (Exception e) {
            throw new IllegalStateException("the demo's speed server does not start", e);
        }
        servers.set(new SpeedServers.ServerRequest("http://" + HERE + ":" + server.port(), ""));
    }

    /** Has in hand what a run is to measure. */
    @EventListener
    public synchronized void begun(RunBegun run) {
        if (link != null) {
            String campsite = standing.line().campsite();
            link.hold(new WorldLink.Hands(
                    campsite == null ? DemoLog.EVENING.campsite() : campsite, run.setup(), run.carrier()));
        }
    }

    @PreDestroy
    synchronized void putAway() {
        if (server != null) {
            server.close();
            server = null;
            link = null;
        }
    }
}
