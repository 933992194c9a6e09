package syntoma.app.trial;

import io.swagger.v3.oas.annotations.media.Schema;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.lang.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import syntoma.app.platform.InvalidInputException;
import syntoma.app.platform.Register;
import syntoma.core.reading.Figure;
import syntoma.core.trial.NextStep;

/** Trials, their results, and comparisons of any two setups. */
@RestController
@RequestMapping("/api")
class TrialController {
    private final Plans plans;
    private final Results results;
    private final Comparisons comparisons;
    private final Gains gains;
    private final TrialResults trialResults;
    private final Sheets sheets;
    private final TrialRuns trialRuns;

    TrialController(
            Plans plans,
            Results results,
            Comparisons comparisons,
            Gains gains,
            TrialResults trialResults,
            Sheets sheets,
            TrialRuns trialRuns) {
        this.plans = plans;
        this.sheets = sheets;
        this.trialRuns = trialRuns;
        this.results = results;
        this.comparisons = comparisons;
        this.gains = gains;
        this.trialResults = trialResults;
    }

    /** A trial to be planned before its first measurement. */
    @Schema(name = "TrialPlanRequest")
    record Plan(String campsite, String name, int plannedRounds) {}

    @GetMapping("/trials")
    List<Plans.TrialRow> list() {
        return plans.all();
    }

    /** What each trial came to, in the order of the list. */
    @GetMapping("/trials/results")
    List<TrialResults.TrialResult> results() {
        return trialResults.all();
    }

    @PostMapping("/trials")
    @ResponseStatus(HttpStatus.CREATED)
    void plan(@RequestBody Plan plan) {
        if (plan.campsite() == null) {
            throw new InvalidInputException("campsite", "campsite is missing");
        }
        String name = Register.name("name", plan.name());
        plans.plan(plan.campsite(), name, plan.plannedRounds());
    }

    /**
     * What to measure next in a trial whose runs are logged by hand.
     *
     * @param setup null in the first round, which nothing says the setups of
     */
    record NextMeasurement(int round, @Nullable String setup) {}

    @GetMapping("/trials/next")
    NextMeasurement next(@RequestParam String campsite, @RequestParam String trial) {
        NextStep next = sheets.next(campsite, trial).orElseGet(() -> plans.next(campsite, trial));
        return new NextMeasurement(next.round(), next.setup().orElse(null));
    }

    @GetMapping("/results/trial")
    ResultView trial(
            @RequestParam String campsite,
            @RequestParam String trial,
            @RequestParam(required = false) String baseline) {
        return results.ofTrial(campsite, trial, Optional.ofNullable(baseline));
    }

    /** The same as one page that needs nothing else, to print, to send, to keep. */
    @GetMapping(path = "/results/trial/page", produces = MediaType.TEXT_HTML_VALUE)
    ResponseEntity<String> page(
            @RequestParam String campsite,
            @RequestParam String trial,
            @RequestParam(required = false) String baseline) {
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"verdict.html\"")
                .contentType(new MediaType(MediaType.TEXT_HTML, StandardCharsets.UTF_8))
                .body(VerdictPage.of(results.ofTrial(campsite, trial, Optional.ofNullable(baseline))));
    }

    /** Every run of a trial, with its samples. */
    @GetMapping("/results/trial/runs")
    List<TrialRuns.TrialRun> runs(@RequestParam String campsite, @RequestParam String trial) {
        return trialRuns.of(campsite, trial);
    }

    @GetMapping("/results/stay")
    ResultView stay(
            @RequestParam long stay,
            @RequestParam(required = false) String baseline,
            @RequestParam(required = false) String candidate) {
        return results.ofStay(stay, Optional.ofNullable(baseline), Optional.ofNullable(candidate));
    }

    /** What a setup brings by measurement, beside what is predicted. */
    @GetMapping("/results/gain")
    Gains.GainsView gain(@RequestParam String setup, @RequestParam(required = false) String against) {
        return gains.of(setup, Optional.ofNullable(against));
    }

    @GetMapping("/compare")
    CompareResult compare(
            @RequestParam String baseline,
            @RequestParam String candidate,
            @RequestParam String metric,
            @RequestParam(required = false) String campsite,
            @RequestParam(required = false) String trial) {
        Figure wanted = InvalidInputException.naming("metric", () -> Figure.metric(metric));
        return CompareResult.of(comparisons.compare(
                baseline, candidate, wanted, Optional.ofNullable(campsite), Optional.ofNullable(trial)));
    }
}
