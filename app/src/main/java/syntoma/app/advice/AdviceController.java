package syntoma.app.advice;

import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Advice for tonight, and its record. */
@RestController
@RequestMapping("/api/advice")
class AdviceController {
    private final AdviceService advice;
    private final AdviceRecord record;

    AdviceController(AdviceService advice, AdviceRecord record) {
        this.advice = advice;
        this.record = record;
    }

    /** What to put up where the vehicle stands, for the needs that are chosen. */
    @GetMapping
    AdviceView advice() {
        return advice.view();
    }

    /** @param setup and @param carrier that are put up */
    record FollowRequest(String setup, String carrier) {}

    /** Follows advice: the standing line says so, and what was expected is kept to be compared with what comes. */
    @PostMapping("/followed")
    AdviceView follow(@RequestBody FollowRequest request) {
        return advice.follow(request.setup(), request.carrier());
    }

    /** @param met whether it did for the need */
    record OutcomeRequest(Boolean met) {}

    /** Says what came of advice that was followed, where nothing was measured. */
    @PostMapping("/followed/{id}/outcome")
    AdviceView outcome(@PathVariable long id, @RequestBody OutcomeRequest request) {
        record.answer(id, request.met());
        return advice.view();
    }
}
