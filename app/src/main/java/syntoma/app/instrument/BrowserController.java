package syntoma.app.instrument;

import jakarta.servlet.http.HttpServletRequest;
import java.util.Random;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.lang.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import syntoma.app.platform.InvalidInputException;
import syntoma.app.platform.LocalMachine;
import syntoma.core.unit.Values;

/** Runs that a browser makes, and its way to this machine. */
@RestController
@RequestMapping("/api")
class BrowserController {
    private static final int MOST_BYTES = 8_000_000;

    private final BrowserRuns runs;

    BrowserController(BrowserRuns runs) {
        this.runs = runs;
    }

    /** What a page needs to make a run; null where none waits for one. */
    record PlanView(@Nullable BrowserPlan plan) {}

    /** What came of a payload. */
    record Came(long bytes) {}

    /** Has a run wait for a browser. */
    @PostMapping("/runs/by-browser")
    @ResponseStatus(HttpStatus.CREATED)
    RunView begin(@RequestBody BrowserRequest asked, HttpServletRequest request) {
        return runs.begin(asked, LocalMachine.isSender(request));
    }

    /** What a page of the speed server's needs to make the run. */
    @GetMapping("/runs/{id}/plan")
    PlanView plan(@PathVariable long id) {
        return new PlanView(runs.plan(id).orElse(null));
    }

    /** Takes the samples of a run that a browser has made; the second time it changes nothing. */
    @PostMapping("/runs/{id}/brought")
    RunView bring(@PathVariable long id, @RequestBody BrowserResult brought) {
        return runs.bring(id, brought);
    }

    /** Bytes that cannot be made smaller, to see what the way between a browser and this machine carries. */
    @GetMapping(path = "/leg", produces = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    byte[] leg(@RequestParam int bytes) {
        InvalidInputException.naming("bytes", () -> Values.within("bytes", bytes, 1, MOST_BYTES, "byte"));
        byte[] random = new byte[bytes];
        new Random(bytes).nextBytes(random);
        return random;
    }

    /** Takes bytes, and says how many. */
    @PostMapping(path = "/leg", consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    Came leg(@RequestBody byte[] payload) {
        return new Came(payload.length);
    }
}
