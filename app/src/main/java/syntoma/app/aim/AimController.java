package syntoma.app.aim;

import org.springframework.http.HttpStatus;
import org.springframework.lang.Nullable;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Aiming a directional antenna. Headings in degrees clockwise from true north unless said. */
@RestController
@RequestMapping("/api/aim")
class AimController {
    private final Aims aims;
    private final Masts masts;
    private final Sweeps sweeps;

    AimController(Aims aims, Masts masts, Sweeps sweeps) {
        this.aims = aims;
        this.masts = masts;
        this.sweeps = sweeps;
    }

    /** By how much the compass points east of true north here; west is negative. */
    record DeclinationRequest(@Nullable Double declinationDeg) {}

    /** A crossing to be kept as a mast. */
    record KeepRequest(@Nullable String key) {}

    @GetMapping
    Aims.AimView view() {
        return aims.view();
    }

    @PutMapping("/declination")
    Aims.AimView setDeclination(@RequestBody DeclinationRequest asked) {
        return aims.setDeclination(asked.declinationDeg());
    }

    @PostMapping("/masts")
    @ResponseStatus(HttpStatus.CREATED)
    Aims.AimView keep(@RequestBody Masts.MastRequest asked) {
        masts.keep(asked);
        return aims.view();
    }

    @DeleteMapping("/masts/{id}")
    Aims.AimView forget(@PathVariable long id) {
        masts.forget(id);
        return aims.view();
    }

    /** Keeps where bearings cross as an estimated mast. */
    @PostMapping("/crossings")
    @ResponseStatus(HttpStatus.CREATED)
    Aims.AimView keepCrossing(@RequestBody KeepRequest asked) {
        return aims.keepCrossing(asked.key());
    }

    /** Begins a sweep with what the standing line says. */
    @PostMapping("/sweeps")
    @ResponseStatus(HttpStatus.CREATED)
    SweepView begin() {
        return sweeps.begin();
    }

    @GetMapping("/sweeps/{id}")
    SweepView sweep(@PathVariable long id) {
        return sweeps.view(id);
    }

    /** Says that the antenna points to a heading, and is held still. */
    @PostMapping("/sweeps/{id}/turned")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void turn(@PathVariable long id, @RequestBody Sweeps.TurnRequest asked) {
        sweeps.turn(id, asked);
    }

    /** Reads the level at a heading, or takes it as it is typed. */
    @PostMapping("/sweeps/{id}/points")
    @ResponseStatus(HttpStatus.CREATED)
    SweepView read(@PathVariable long id, @RequestBody Sweeps.PointRequest asked) {
        return sweeps.read(id, asked);
    }

    /** Takes a level back. */
    @DeleteMapping("/sweeps/{id}/points/{point}")
    SweepView remove(@PathVariable long id, @PathVariable long point) {
        return sweeps.remove(id, point, true);
    }

    /** Puts a level back that was taken back. */
    @PostMapping("/sweeps/{id}/points/{point}/restore")
    SweepView restore(@PathVariable long id, @PathVariable long point) {
        return sweeps.remove(id, point, false);
    }
}
