package syntoma.app.pitch;

import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The Pitch view. */
@RestController
@RequestMapping("/api")
class PitchController {
    private final PitchService pitch;

    PitchController(PitchService pitch) {
        this.pitch = pitch;
    }

    @GetMapping("/pitch")
    PitchView pitch() {
        return pitch.view();
    }
}
