package syntoma.app.fitout;

import org.springframework.http.HttpStatus;
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

/** The build on a drawing. */
@RestController
@RequestMapping("/api/fitout")
class FitoutController {
    private final RoofPlans plans;
    private final RoofAssessor assessor;

    private final Extensions extensions;

    FitoutController(RoofPlans plans, RoofAssessor assessor, Extensions extensions) {
        this.extensions = extensions;
        this.plans = plans;
        this.assessor = assessor;
    }

    @GetMapping
    RoofPlans.FitoutView view() {
        return plans.view();
    }

    @PostMapping("/plans")
    @ResponseStatus(HttpStatus.CREATED)
    RoofPlans.RoofPlanView begin(@RequestBody RoofPlans.RoofPlanRequest asked) {
        return plans.begin(asked);
    }

    @GetMapping("/plans/{id}")
    RoofPlans.RoofPlanView plan(@PathVariable long id) {
        return plans.view(id);
    }

    @PutMapping("/plans/{id}")
    RoofPlans.RoofPlanView keep(
            @PathVariable long id, @RequestBody RoofPlan plan, @RequestParam(required = false) Integer version) {
        return plans.put(id, plan, version);
    }

    @DeleteMapping("/plans/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(@PathVariable long id) {
        plans.remove(id);
    }

    /** Brings back a plan that was deleted. */
    @PostMapping("/plans/{id}/restored")
    RoofPlans.RoofPlanView restore(@PathVariable long id) {
        return plans.restore(id);
    }

    /** Puts the extension that a plan comes to into a setup with its antenna. */
    @PostMapping("/plans/{id}/extension")
    Extensions.ExtensionPut extend(@PathVariable long id, @RequestBody Extensions.ExtensionRequest asked) {
        return extensions.put(id, asked);
    }

    /** What a plan comes to; nothing is kept. */
    @PostMapping("/assessment")
    RoofAssessment assess(@RequestBody RoofPlan plan) {
        return assessor.of(plan);
    }
}
