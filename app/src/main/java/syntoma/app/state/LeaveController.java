package syntoma.app.state;

import org.springframework.lang.Nullable;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Leaving a campsite. */
@RestController
@RequestMapping("/api/leave")
class LeaveController {
    private final Departure departure;

    LeaveController(Departure departure) {
        this.departure = departure;
    }

    /** A step that is done, or is not after all. */
    record TickRequest(@Nullable String step, boolean done) {}

    /** What to take down before driving off, and what of it is done. */
    @GetMapping
    LeaveView view() {
        return departure.view();
    }

    /** Ticks a step, or takes its tick back. */
    @PutMapping
    LeaveView tick(@RequestBody TickRequest asked) {
        return departure.tick(asked.step(), asked.done());
    }

    /** Drives off: ends the stay; refused while a mast is up. */
    @PostMapping
    LeaveView drive() {
        return departure.drive();
    }

    /** Takes back that the vehicle drove off. */
    @DeleteMapping
    LeaveView stayOn() {
        return departure.stayOn();
    }
}
