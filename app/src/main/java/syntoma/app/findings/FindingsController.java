package syntoma.app.findings;

import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** What the whole trip says. */
@RestController
@RequestMapping("/api/findings")
class FindingsController {
    private final FindingsService findings;
    private final Drifts drifts;
    private final Worths worths;
    private final Questions questions;
    private final Faults faults;
    private final Turn turn;

    FindingsController(
            FindingsService findings, Drifts drifts, Worths worths, Questions questions, Faults faults, Turn turn) {
        this.findings = findings;
        this.drifts = drifts;
        this.worths = worths;
        this.questions = questions;
        this.faults = faults;
        this.turn = turn;
    }

    /** All that was compared against the baseline, pair by pair and unadjusted, with plain averages beside it. */
    @GetMapping
    FindingsView findings(FindingsRequest request) {
        return turn.of(() -> faults.annotate(findings.view(request)));
    }

    /** The stays behind what is said of one of them. */
    @GetMapping("/behind")
    List<FindingsView.BehindView> behind(FindingsRequest request, @RequestParam String unit) {
        return turn.of(() -> findings.behind(request, unit));
    }

    /** Measured less predicted, per setup over the trip. */
    @GetMapping("/drift")
    FindingsView.DriftsView drift(FindingsRequest request) {
        return turn.of(() -> drifts.view(request));
    }

    /** What setups cost beside what they bring. */
    @GetMapping("/worth")
    FindingsView.WorthView worth(FindingsRequest request) {
        return turn.of(() -> worths.view(request));
    }

    /** The questions that this log can be asked. */
    @GetMapping("/questions")
    List<FindingsView.QuestionView> questions() {
        return turn.of(() -> questions.all());
    }
}
