package syntoma.app.trial;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import syntoma.app.platform.InvalidInput;
import syntoma.core.reading.Figure;
import syntoma.core.unit.Text;

/** Trials, their results, and comparisons of any two setups. */
@RestController
@RequestMapping("/api")
class TrialController {
    private static final int LONGEST_NAME = 120;

    private final TrialService trials;

    TrialController(TrialService trials) {
        this.trials = trials;
    }

    /** A trial to be planned before its first measurement. */
    @Schema(name = "TrialPlanRequest")
    record Plan(String campsite, String name, int plannedRounds) {}

    @GetMapping("/trials")
    List<TrialService.TrialRow> list() {
        return trials.trials();
    }

    @PostMapping("/trials")
    @ResponseStatus(HttpStatus.CREATED)
    void plan(@RequestBody Plan plan) {
        if (plan.campsite() == null) {
            throw new InvalidInput("campsite", "campsite is missing");
        }
        String name = InvalidInput.naming("name", () -> Text.name("name", plan.name(), LONGEST_NAME));
        trials.plan(plan.campsite(), name, plan.plannedRounds());
    }

    @GetMapping("/results/trial")
    ResultView trial(
            @RequestParam String campsite,
            @RequestParam String trial,
            @RequestParam(required = false) String baseline) {
        return trials.trialResult(campsite, trial, Optional.ofNullable(baseline));
    }

    @GetMapping("/results/stay")
    ResultView stay(
            @RequestParam long stay,
            @RequestParam(required = false) String baseline,
            @RequestParam(required = false) String candidate) {
        return trials.stayResult(stay, Optional.ofNullable(baseline), Optional.ofNullable(candidate));
    }

    @GetMapping("/compare")
    CompareResult compare(
            @RequestParam String baseline,
            @RequestParam String candidate,
            @RequestParam String metric,
            @RequestParam(required = false) String campsite,
            @RequestParam(required = false) String trial) {
        Figure wanted = InvalidInput.naming("metric", () -> Figure.metric(metric));
        return CompareResult.of(
                trials.compare(baseline, candidate, wanted, Optional.ofNullable(campsite), Optional.ofNullable(trial)));
    }
}
