package syntoma.app.state;

import java.util.List;
import org.springframework.lang.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What is where in the vehicle. */
@RestController
@RequestMapping("/api/state")
class StateController {
    private final StateService states;

    StateController(StateService states) {
        this.states = states;
    }

    /** An antenna. @param at what its leads are on; null where they are loose */
    record AntennaPlace(@Nullable String name, @Nullable String at, double raisedM) {}

    /** A SIM. @param device that it is in; null where it is in none */
    record SimSlot(@Nullable String name, @Nullable String device, boolean active) {}

    /** A device. @param bands what it is held to, such as B3 + B20; “automatic” where it chooses */
    record DeviceBands(@Nullable String name, @Nullable String bands) {}

    /** How it is; what is not named stays. @param boosterOn null where none is on */
    record StateCorrection(
            @Nullable List<AntennaPlace> antennas,
            @Nullable List<SimSlot> sims,
            @Nullable List<DeviceBands> devices,
            @Nullable String boosterOn) {}

    /** An answer to the question after a drive. */
    record DriveAnswer(boolean down) {}

    /** What is where, as far as it is known. */
    @GetMapping
    StateView view() {
        return states.view();
    }

    /** Corrects what is where. */
    @PutMapping
    StateView correct(@RequestBody StateCorrection asked) {
        return states.correct(asked);
    }

    /** Says whether what was up before the drive is down. */
    @PostMapping("/after-the-drive")
    StateView answer(@RequestBody DriveAnswer asked) {
        return states.answer(asked.down());
    }
}
