package syntoma.app.instrument;

import jakarta.servlet.http.HttpServletRequest;
import java.util.Arrays;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.lang.Nullable;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;
import syntoma.app.platform.InvalidInputException;
import syntoma.app.platform.LocalMachine;
import syntoma.core.run.RunKind;

/** The speed server, and runs. */
@RestController
@RequestMapping("/api")
class MeasureController {
    private static final int MOST_LISTED = 500;

    private final SpeedServers servers;
    private final ServerProbe probe;
    private final Runs runs;
    private final RunFeed feed;
    private final PlanUse plans;

    MeasureController(SpeedServers servers, ServerProbe probe, Runs runs, RunFeed feed, PlanUse plans) {
        this.plans = plans;
        this.servers = servers;
        this.probe = probe;
        this.runs = runs;
        this.feed = feed;
    }

    /**
     * Whether something was reached.
     *
     * @param problem why not, in words; null where it was
     */
    record Reach(boolean reached, @Nullable String problem, @Nullable Double answerMs) {}

    /** A kind of run, and what it does and takes. */
    record KindView(String kind, String says) {}

    @GetMapping("/measure/kinds")
    List<KindView> kinds() {
        return Arrays.stream(RunKind.values())
                .map(kind -> new KindView(kind.label(), kind.says()))
                .toList();
    }

    @GetMapping("/measure/server")
    SpeedServers.ServerView server() {
        return servers.view();
    }

    @PutMapping("/measure/server")
    SpeedServers.ServerView setServer(@RequestBody SpeedServers.ServerRequest asked, HttpServletRequest request) {
        return servers.set(asked, LocalMachine.isSender(request));
    }

    /** Tries the speed server that is set. */
    @PostMapping("/measure/server/probe")
    Reach tryServer() {
        return probe.reach();
    }

    /** What runs have taken of a carrier's plan this month. */
    @GetMapping("/measure/plan")
    PlanUse.PlanUseView plan(@RequestParam String carrier) {
        return plans.of(carrier);
    }

    /** Begins a run; one at a time. */
    @PostMapping("/runs")
    @ResponseStatus(HttpStatus.CREATED)
    RunView start(@RequestBody RunRequest asked) {
        return runs.start(asked);
    }

    /** The latest runs, the last first, without their curves. */
    @GetMapping("/runs")
    List<RunView> latest(@RequestParam(defaultValue = "20") int limit) {
        if (limit < 1 || limit > MOST_LISTED) {
            throw new InvalidInputException("limit", "limit is " + limit + "; allowed is 1 to " + MOST_LISTED);
        }
        return runs.latest(limit);
    }

    @GetMapping("/runs/{id}")
    RunView run(@PathVariable long id) {
        return runs.view(id);
    }

    /** Cancels a run that goes on. */
    @DeleteMapping("/runs/{id}")
    RunView cancel(@PathVariable long id) {
        return runs.cancel(id);
    }

    /** The run as it goes on, four times a second, until it is over. */
    @GetMapping(path = "/runs/{id}/events", produces = MediaType.TEXT_EVENT_STREAM_VALUE)
    SseEmitter follow(@PathVariable long id) {
        return feed.follow(id);
    }
}
