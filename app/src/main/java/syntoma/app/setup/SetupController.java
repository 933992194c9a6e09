package syntoma.app.setup;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.lang.Nullable;
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
import syntoma.app.platform.InvalidInputException;
import syntoma.app.setup.Chains.WhatIfRequest;
import syntoma.app.setup.SetupService.PlugRequest;
import syntoma.core.chain.CableClass;
import syntoma.core.chain.Placement;
import syntoma.core.chain.RadioMode;
import syntoma.core.chain.Source;

/** Setups: their names, their chains, and what is computed of them. */
@RestController
@RequestMapping("/api/setups")
class SetupController {
    private final Setups names;
    private final SetupService setups;

    SetupController(Setups names, SetupService setups) {
        this.names = names;
        this.setups = setups;
    }

    /** A name for a setup. */
    record SetupNameRequest(String name) {}

    /** Whether a setup should no longer be offered. */
    record RetireRequest(boolean retired) {}

    /** A chain to be looked at, stored or not; what to plug elsewhere in it, and what to try on it. */
    record CheckRequest(
            ChainPlan plan,
            @Nullable PlugRequest plug,
            @Nullable WhatIfRequest whatIf,
            @Nullable String carrier,
            @Nullable String region) {}

    /** What there is to choose from for a chain. */
    record ChainChoices(List<String> places, List<String> modes, List<String> sources, List<String> cableClasses) {}

    @GetMapping
    List<SetupName> names() {
        return names.all();
    }

    @GetMapping("/fit")
    List<SetupService.SetupRow> all() {
        return setups.all();
    }

    @GetMapping("/choices")
    ChainChoices choices() {
        return new ChainChoices(
                Arrays.stream(Placement.values()).map(Placement::label).toList(),
                Arrays.stream(RadioMode.values()).map(RadioMode::label).toList(),
                Arrays.stream(Source.values()).map(Source::label).toList(),
                CableClass.all().stream()
                        .filter(c -> c.ohms() == CableClass.RADIO_OHMS)
                        .map(CableClass::name)
                        .toList());
    }

    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    SetupName add(@RequestBody SetupNameRequest request) {
        return names.add(request.name());
    }

    @PutMapping("/{id}/retired")
    SetupName retire(@PathVariable long id, @RequestBody RetireRequest request) {
        return names.retire(id, request.retired());
    }

    @DeleteMapping("/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void delete(@PathVariable long id) {
        setups.delete(id);
    }

    @GetMapping("/{id}")
    SetupView setup(
            @PathVariable long id,
            @RequestParam(required = false) Integer revision,
            @RequestParam(required = false) String carrier,
            @RequestParam(required = false) String region) {
        return setups.view(
                id, Optional.ofNullable(revision), Optional.ofNullable(carrier), Optional.ofNullable(region));
    }

    @PutMapping("/{id}")
    SetupView put(@PathVariable long id, @RequestBody ChainPlan plan, @RequestParam(required = false) Integer version) {
        setups.put(id, plan, version);
        return setups.view(id, Optional.empty(), Optional.empty(), Optional.empty());
    }

    @PostMapping("/check")
    SetupView check(@RequestBody CheckRequest request) {
        if (request.plan() == null) {
            throw new InvalidInputException("plan", "plan is missing");
        }
        return setups.draft(
                request.plan(),
                Optional.ofNullable(request.plug()),
                Optional.ofNullable(request.whatIf()).filter(w -> !w.isEmpty()),
                Optional.ofNullable(request.carrier()),
                Optional.ofNullable(request.region()));
    }
}
