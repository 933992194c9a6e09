package syntoma.app.rig;

import java.util.List;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.lang.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import syntoma.app.logbook.Logbook;
import syntoma.app.platform.InvalidInput;
import syntoma.app.rig.Chains.WhatIfRequest;

/** The Rig view: needs, setups and what is computed of them, candidates. */
@RestController
@RequestMapping("/api/rig")
class RigController {
    private final WishService wishes;
    private final SetupService setups;
    private final FitService fits;
    private final CandidateService candidates;

    RigController(WishService wishes, SetupService setups, FitService fits, CandidateService candidates) {
        this.wishes = wishes;
        this.setups = setups;
        this.fits = fits;
        this.candidates = candidates;
    }

    /** A name for a new setup. */
    record NewSetupRequest(String name) {}

    /** A chain to be looked at, stored or not, and what to try on it. */
    record CheckRequest(
            ChainPlan plan, @Nullable WhatIfRequest whatIf, @Nullable String carrier, @Nullable String region) {}

    @GetMapping("/wishes")
    WishService.WishView wishes() {
        return wishes.view();
    }

    @PutMapping("/wishes/rig")
    WishService.WishView putRig(
            @RequestBody WishService.RigRequest rig, @RequestParam(required = false) Integer version) {
        wishes.put(rig, version);
        return wishes.view();
    }

    @PutMapping("/wishes/need")
    WishService.WishView putNeed(
            @RequestBody WishService.NeedRequest need, @RequestParam(required = false) Integer version) {
        wishes.put(need, version);
        return wishes.view();
    }

    @PutMapping("/wishes/region")
    WishService.WishView putRegion(@RequestBody WishService.RegionView region) {
        wishes.put(region);
        return wishes.view();
    }

    @GetMapping("/setups")
    List<SetupService.SetupRow> setups() {
        return setups.all();
    }

    @PostMapping("/setups")
    @ResponseStatus(HttpStatus.CREATED)
    Logbook.SetupName add(@RequestBody NewSetupRequest request) {
        return setups.add(request.name());
    }

    @GetMapping("/setups/{id}")
    SetupView setup(
            @PathVariable long id,
            @RequestParam(required = false) String carrier,
            @RequestParam(required = false) String region) {
        return setups.view(id, Optional.ofNullable(carrier), Optional.ofNullable(region));
    }

    @PutMapping("/setups/{id}")
    SetupView put(@PathVariable long id, @RequestBody ChainPlan plan, @RequestParam(required = false) Integer version) {
        setups.put(id, plan, version);
        return setups.view(id, Optional.empty(), Optional.empty());
    }

    @PostMapping("/check")
    SetupView check(@RequestBody CheckRequest request) {
        if (request.plan() == null) {
            throw new InvalidInput("plan", "plan is missing");
        }
        return fits.view(
                FitService.Of.DRAFT,
                request.plan(),
                Optional.ofNullable(request.whatIf()).filter(w -> !w.isEmpty()),
                Optional.ofNullable(request.carrier()),
                Optional.ofNullable(request.region()));
    }

    @PostMapping("/candidates")
    CandidateService.CandidatesView candidates(@RequestBody CandidateService.CandidatesRequest request) {
        return candidates.compare(request);
    }
}
