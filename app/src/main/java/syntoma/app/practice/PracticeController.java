package syntoma.app.practice;

import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** The practice pitch. */
@RestController
@RequestMapping("/api/practice")
class PracticeController {
    private final Practice practice;

    PracticeController(Practice practice) {
        this.practice = practice;
    }

    /** How often one was right, and how often one claimed too much. */
    @GetMapping
    Practice.PracticeScore score() {
        return practice.score();
    }

    /** Begins one; the one that goes on, where there is one. */
    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    Practice.PracticeView begin() {
        return practice.begin();
    }

    @GetMapping("/{id}")
    Practice.PracticeView view(@PathVariable long id) {
        return practice.view(id);
    }

    /** What a trial would take; keeps nothing. */
    @PostMapping("/{id}/effort")
    Practice.PracticeEffort effort(@PathVariable long id, @RequestBody Practice.PracticePlan plan) {
        return practice.effort(id, plan);
    }

    /** Sends the simulated hands out. */
    @PostMapping("/{id}/trial")
    Practice.PracticeView make(@PathVariable long id, @RequestBody Practice.PracticePlan plan) {
        return practice.make(id, plan);
    }

    /** Takes the verdict, and tells the truth. */
    @PostMapping("/{id}/verdict")
    Practice.PracticeView judge(@PathVariable long id, @RequestBody Practice.PracticeVerdict verdict) {
        return practice.judge(id, verdict);
    }
}
