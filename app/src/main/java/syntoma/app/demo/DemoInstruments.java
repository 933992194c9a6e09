package syntoma.app.demo;

import jakarta.annotation.PreDestroy;
import java.time.Clock;
import java.util.Map;
import java.util.Optional;
import org.springframework.context.event.EventListener;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Component;
import syntoma.app.aim.AntennaTurnedEvent;
import syntoma.app.campsite.StandingChangedEvent;
import syntoma.app.campsite.StandingService;
import syntoma.app.instrument.Routers;
import syntoma.app.instrument.RunBegun;
import syntoma.app.instrument.SpeedServers;
import syntoma.standin.DemoLog;
import syntoma.standin.WorldLink;
import syntoma.standin.air.Hands;
import syntoma.standin.port.LocalServer;
import syntoma.standin.router.RouterServer;
import syntoma.standin.speed.Limits;
import syntoma.standin.speed.SpeedServer;

/** What there is to measure with while the demo is shown: a router and a speed server over the air of the made-up world, on real sockets. */
@Component
class DemoInstruments {
    private static final String HERE = "127.0.0.1";

    private final SpeedServers servers;
    private final Routers routers;
    private final StandingService standing;
    private final Clock clock;

    @Nullable
    private SpeedServer server;

    @Nullable
    private LocalServer router;

    @Nullable
    private WorldLink link;

    DemoInstruments(SpeedServers servers, Routers routers, StandingService standing, Clock clock) {
        this.servers = servers;
        this.routers = routers;
        this.standing = standing;
        this.clock = clock;
    }

    /** Sets them up, and has runs use them. */
    synchronized void setUp() {
        putAway();
        DemoLog.OngoingStay evening = DemoLog.EVENING;
        link = new WorldLink(clock, Hands.of(evening.campsite(), evening.setup(), evening.carrier()));
        try {
            server = SpeedServer.start(HERE, 0, "", Limits.USUAL, link);
            router = RouterServer.start(HERE, 0, link);
        } catch (Exception e) {
            throw new IllegalStateException("the demo's router and speed server do not start", e);
        }
        servers.set(new SpeedServers.ServerRequest("http://" + HERE + ":" + server.port(), "", false), true);
        routers.set(
                new Routers.RouterRequest(
                        "http-json",
                        "http://" + HERE + ":" + router.port(),
                        RouterServer.PATH,
                        "",
                        "",
                        "",
                        Map.of(),
                        false),
                true);
    }

    /** Has in hand what a run is to measure. */
    @EventListener
    public synchronized void onRunBegun(RunBegun run) {
        if (link != null) {
            String campsite = standing.line().campsite();
            link.hold(Hands.of(campsite == null ? DemoLog.EVENING.campsite() : campsite, run.setup(), run.carrier()));
        }
    }

    /** Has in hand what the standing line says. */
    @EventListener
    public synchronized void onStandingChanged(StandingChangedEvent line) {
        if (link != null) {
            Hands now = link.hands();
            link.hold(Hands.of(
                    Optional.ofNullable(line.campsite()).orElse(now.campsite()),
                    Optional.ofNullable(line.setup()).orElse(now.setup()),
                    Optional.ofNullable(line.carrier()).orElse(now.carrier())));
        }
    }

    /** Points the antenna where a sweep says that it points. */
    @EventListener
    public synchronized void onAntennaTurned(AntennaTurnedEvent to) {
        if (link != null) {
            link.hold(link.hands().aimed(to.trueDeg()));
        }
    }

    @PreDestroy
    synchronized void putAway() {
        if (router != null) {
            router.close();
            router = null;
        }
        if (server != null) {
            server.close();
            server = null;
            link = null;
        }
    }
}
