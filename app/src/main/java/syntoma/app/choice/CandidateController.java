package syntoma.app.choice;

import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Candidates side by side. */
@RestController
@RequestMapping("/api/candidates")
class CandidateController {
    private final CandidateService candidates;

    CandidateController(CandidateService candidates) {
        this.candidates = candidates;
    }

    @PostMapping
    CandidateService.CandidatesView compare(@RequestBody CandidateService.CandidatesRequest request) {
        return candidates.compare(request);
    }
}
