package syntoma.app.diagnosis;

import org.springframework.lang.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** What limits the connection where the vehicle stands. */
@RestController
@RequestMapping("/api")
class DiagnosisController {
    private final DiagnosisService diagnosis;

    DiagnosisController(DiagnosisService diagnosis) {
        this.diagnosis = diagnosis;
    }

    /**
     * What the evidence points to for the setup and carrier that the standing line says; of an earlier stay, for those that are
     * asked about, as it was when they were measured there last.
     */
    @GetMapping("/diagnosis")
    DiagnosisView diagnosis(
            @RequestParam(required = false) @Nullable Long stay,
            @RequestParam(required = false) @Nullable String setup,
            @RequestParam(required = false) @Nullable String carrier) {
        return diagnosis.view(stay, setup, carrier);
    }
}
