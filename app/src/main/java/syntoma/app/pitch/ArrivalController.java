package syntoma.app.pitch;

import java.util.List;
import org.springframework.lang.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import syntoma.app.campsite.StandingService;

/** Arriving at a campsite. */
@RestController
@RequestMapping("/api/arrival")
class ArrivalController {
    private final ArrivalService arrivals;

    ArrivalController(ArrivalService arrivals) {
        this.arrivals = arrivals;
    }

    /**
     * What a phone shows of a carrier; texts as they are typed, “no service” among them; bars are not asked for.
     *
     * @param outside in dBm
     * @param inside in dBm
     */
    record PhoneRequest(String carrier, @Nullable String outside, @Nullable String inside) {}

    /**
     * An arrival.
     *
     * @param coordinates in any common notation
     * @param again whether a stay begins again although the vehicle is there already
     * @param mastDown whether what was up at the last campsite was lowered for the drive; null where that was not asked or not said
     */
    record ArrivalRequest(
            String campsite,
            @Nullable String coordinates,
            List<String> surroundings,
            List<PhoneRequest> phones,
            boolean again,
            @Nullable Boolean mastDown) {}

    /** What there is to know before: campsites nearby, and what held at one last time. */
    @GetMapping
    ArrivalView look(
            @RequestParam(required = false) @Nullable String campsite,
            @RequestParam(required = false) @Nullable String coordinates) {
        return arrivals.look(campsite, coordinates);
    }

    /** Arrives: a stay begins, unless the vehicle is there already; what phones show and what the place is like are kept. */
    @PostMapping
    StandingService.StandingLine arrive(@RequestBody ArrivalRequest request) {
        return arrivals.arrive(request);
    }
}
