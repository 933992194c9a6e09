package syntoma.app.setup;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import syntoma.app.history.Edits;
import syntoma.app.platform.ConflictException;
import syntoma.app.platform.InvalidInputException;
import syntoma.app.platform.Json;
import syntoma.app.platform.NotFoundException;
import syntoma.app.setup.Chains.WhatIfRequest;
import syntoma.app.setup.FitService.Ground;
import syntoma.core.fit.Findings;
import syntoma.core.fit.FitCase;
import syntoma.core.fit.FitCheck;
import syntoma.core.sentence.Sentence;

/** Setups with their chains, and what is computed of them. */
@Service
@Transactional
public class SetupService {
    private static final int LONGEST_CHAIN = 200_000;

    private final Setups setups;
    private final Revisions revisions;
    private final SetupMeasurements measured;
    private final FitService fits;
    private final Edits edits;
    private final Json json;
    private final ApplicationEventPublisher events;

    SetupService(
            Setups setups,
            Revisions revisions,
            SetupMeasurements measured,
            FitService fits,
            Edits edits,
            Json json,
            ApplicationEventPublisher events) {
        this.setups = setups;
        this.revisions = revisions;
        this.measured = measured;
        this.fits = fits;
        this.edits = edits;
        this.json = json;
        this.events = events;
    }

    /** A setup in the list; one without a chain is known by its name alone. */
    public record SetupRow(
            SetupName setup,
            int revision,
            long measured,
            boolean complete,
            String summary,
            Sentence headline,
            int blockers) {}

    /** A lead to be plugged elsewhere; without a port it is to hang loose. */
    public record PlugRequest(String lead, @Nullable String port) {}

    /** All setups, those to be completed first. */
    @Transactional(readOnly = true)
    public List<SetupRow> all() {
        Map<Long, SetupRevision> latest = revisions.latest();
        Map<Long, Long> counts = measured.perSetup();
        Ground ground = fits.ground();
        return setups.all().stream()
                .map(s -> row(s, latest.get(s.id()), counts.getOrDefault(s.id(), 0L), ground))
                .sorted(Comparator.comparing(SetupRow::complete))
                .toList();
    }

    private SetupRow row(SetupName setup, SetupRevision revision, long count, Ground ground) {
        ChainPlan plan = revisions.plan(revision);
        FitCase fit = FitService.fit(plan, ground);
        Findings findings = FitCheck.of(fit);
        return new SetupRow(
                setup,
                revision == null ? 0 : revision.revision,
                count,
                plan.device() != null,
                fit.chain().summary(),
                findings.headline(),
                findings.blockers().size());
    }

    /** A setup with its chain as it is now; empty where it has none. */
    public record PlannedSetup(SetupName setup, ChainPlan plan) {}

    /** Whether anything is known of a setup but its name. */
    @Transactional(readOnly = true)
    public boolean hasChain(long id) {
        return !revisions.of(id).isEmpty();
    }

    /** The chains of all setups, by the setups' numbers. */
    @Transactional(readOnly = true)
    public Map<Long, PlannedSetup> plans() {
        Map<Long, SetupRevision> latest = revisions.latest();
        return setups.all().stream()
                .collect(Collectors.toMap(SetupName::id, s -> new PlannedSetup(s, revisions.plan(latest.get(s.id())))));
    }

    /**
     * A setup with all that is computed of it.
     *
     * @param wanted the revision; the latest where none is said
     * @throws NotFoundException when there is no such setup or revision
     */
    @Transactional(readOnly = true)
    public SetupView view(long id, Optional<Integer> wanted, Optional<String> carrier, Optional<String> region) {
        SetupName setup = setups.of(id);
        List<SetupRevision> all = revisions.of(id);
        SetupRevision shown = wanted.map(number -> all.stream()
                        .filter(r -> r.revision == number)
                        .findFirst()
                        .orElseThrow(() -> new NotFoundException(setup.name() + " has no revision " + number)))
                .orElse(all.isEmpty() ? null : all.get(all.size() - 1));
        List<SetupView.RevisionView> views = all.stream()
                .map(r -> new SetupView.RevisionView(
                        r.revision, r.since.isEqual(Revisions.EVER) ? null : r.since, revisions.countMeasured(r, all)))
                .toList();
        Ground ground = fits.ground(carrier, region);
        if (shown != null) {
            ground = ground.with(revisions.shelf(shown, ground.shelf()));
        }
        SetupView.SetupReference of = new SetupView.SetupReference(
                setup,
                shown == null ? 0 : shown.revision,
                shown == null
                        ? measured.during(id, Revisions.EVER, null)
                        : views.get(all.indexOf(shown)).measured(),
                edits.version(Edits.Kind.CHAIN, id),
                views);
        ChainPlan plan = revisions.plan(shown);
        return SetupViews.of(of, plan, FitService.fit(plan, ground), ground);
    }

    /** All that is computed of a chain that is not stored. */
    @Transactional(readOnly = true)
    public SetupView draft(
            ChainPlan plan,
            Optional<PlugRequest> plug,
            Optional<WhatIfRequest> whatIf,
            Optional<String> carrier,
            Optional<String> region) {
        Ground ground = fits.ground(carrier, region);
        FitService.check(plan, ground);
        ChainPlan plugged = plug.map(p -> FitService.withLeadAt(
                        plan,
                        Optional.ofNullable(p.lead())
                                .orElseThrow(() -> new InvalidInputException("plug.lead", "plug.lead is missing")),
                        Optional.ofNullable(p.port()),
                        ground))
                .orElse(plan);
        return SetupViews.of(SetupView.SetupReference.DRAFT, plugged, FitService.fit(plugged, whatIf, ground), ground);
    }

    /**
     * Stores the chain of a setup. The first chain of a setup known by name alone is what it was measured with.
     *
     * @param seen the version that was looked at; null when that is not known
     */
    public void put(long id, ChainPlan plan, @Nullable Integer seen) {
        SetupName setup = setups.of(id);
        FitService.check(plan, fits.ground());
        String chain = json.write(plan);
        if (chain.length() > LONGEST_CHAIN) {
            throw new InvalidInputException(
                    "plan", "the chain has " + chain.length() + " characters; allowed are up to " + LONGEST_CHAIN);
        }
        SetupRevision latest = revisions.latest().get(id);
        ChainPlan before = revisions.plan(latest);
        if (latest != null && before.equals(plan)) {
            return;
        }
        edits.change(Edits.Kind.CHAIN, id, setup.name(), seen, before, plan);
        revisions.put(id, chain);
        events.publishEvent(new SetupChangedEvent(id));
    }

    /**
     * Deletes a setup that nothing was measured with.
     *
     * @throws ConflictException when something was
     */
    public void delete(long id) {
        SetupName setup = setups.of(id);
        if (measured.hasEver(id)) {
            throw new ConflictException(
                    setup.name() + " was measured with, so it stays; retire it, and it is offered no more");
        }
        events.publishEvent(new SetupDeletedEvent(id));
        revisions.forget(id);
        setups.remove(id);
    }
}
