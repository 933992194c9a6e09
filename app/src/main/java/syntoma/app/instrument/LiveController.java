package syntoma.app.instrument;

import jakarta.servlet.http.HttpServletRequest;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;
import syntoma.app.platform.LocalMachine;

/** The router: how it is asked, and what it says. */
@RestController
@RequestMapping("/api")
class LiveController {
    private final Routers routers;
    private final RouterProbe probe;
    private final LiveFeed feed;

    LiveController(Routers routers, RouterProbe probe, LiveFeed feed) {
        this.routers = routers;
        this.probe = probe;
        this.feed = feed;
    }

    @GetMapping("/measure/router")
    Routers.RouterView router() {
        return routers.view();
    }

    @PutMapping("/measure/router")
    Routers.RouterView setRouter(@RequestBody Routers.RouterRequest asked, HttpServletRequest request) {
        return routers.set(asked, LocalMachine.isSender(request));
    }

    /**
     * Asks the router that is set once, and proposes what of its answer is which figure. All values of the answer are shown on this machine
     * alone; another device is shown those that are mapped.
     */
    @PostMapping("/measure/router/probe")
    RouterProbe.ProbeResult tryRouter(HttpServletRequest request) {
        return probe.probe(LocalMachine.isSender(request));
    }

    /** Whether the router is on the carrier that a run is to be logged on. */
    @GetMapping("/measure/carrier")
    LiveFeed.CarrierCheck carrier(@RequestParam String carrier) {
        return feed.check(carrier);
    }

    /** What the router says, once a second. */
    @GetMapping(path = "/live", produces = MediaType.TEXT_EVENT_STREAM_VALUE)
    SseEmitter live() {
        return feed.follow(false);
    }

    /** The same on the scales of the metrics, with the spread of the last five minutes. */
    @GetMapping(path = "/live/view", produces = MediaType.TEXT_EVENT_STREAM_VALUE)
    SseEmitter followDrawing() {
        return feed.follow(true);
    }

    /** The form of what is told there. */
    @GetMapping("/live/now")
    LiveView now() {
        return feed.currentView();
    }
}
