package syntoma.app.rig;

import jakarta.persistence.EntityManager;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import syntoma.app.history.Edits;
import syntoma.app.logbook.Logbook;
import syntoma.app.platform.Conflict;
import syntoma.app.platform.InvalidInput;
import syntoma.app.platform.NotFound;
import syntoma.core.fit.FitCase;
import syntoma.core.fit.FitCheck;
import syntoma.core.fit.FitFinding;
import syntoma.core.fit.Severity;
import syntoma.core.unit.Text;

/** Setups with their revisions. A revision that has measurements is never changed: a change makes the next one. */
@Service
@Transactional
public class SetupService {
    private static final int LONGEST_CHAIN = 200_000;
    private static final OffsetDateTime EVER = OffsetDateTime.of(1900, 1, 1, 0, 0, 0, 0, ZoneOffset.UTC);

    private final EntityManager entities;
    private final Logbook logbook;
    private final Json json;
    private final FitService fits;
    private final Edits edits;

    SetupService(EntityManager entities, Logbook logbook, Json json, FitService fits, Edits edits) {
        this.entities = entities;
        this.logbook = logbook;
        this.json = json;
        this.fits = fits;
        this.edits = edits;
    }

    /** A setup in the list; one without a chain is known by its name alone. */
    public record SetupRow(
            Logbook.SetupName setup,
            int revision,
            long measured,
            boolean complete,
            String summary,
            String headline,
            int blockers) {}

    /** All setups, those to be completed first. */
    @Transactional(readOnly = true)
    public List<SetupRow> all() {
        Map<Long, SetupRevision> latest = latest();
        Map<Long, Long> measured = logbook.measuredPerSetup();
        FitService.Ground ground = fits.ground(Optional.empty(), Optional.empty());
        return logbook.setups().stream()
                .map(s -> row(s, latest.get(s.id()), measured.getOrDefault(s.id(), 0L), ground))
                .sorted(Comparator.comparing(SetupRow::complete))
                .toList();
    }

    private SetupRow row(Logbook.SetupName setup, SetupRevision revision, long measured, FitService.Ground ground) {
        ChainPlan plan = revision == null ? ChainPlan.EMPTY : json.plan(revision.chain);
        FitCase fit = FitService.fit(plan, Optional.empty(), ground);
        List<FitFinding> findings = FitCheck.of(fit);
        return new SetupRow(
                setup,
                revision == null ? 0 : revision.revision,
                measured,
                plan.device() != null,
                FitService.summary(fit.chain()),
                FitCheck.headline(fit, findings),
                (int) findings.stream()
                        .filter(f -> f.severity() == Severity.BLOCKER)
                        .count());
    }

    private Map<Long, SetupRevision> latest() {
        return entities.createQuery("from SetupRevision r order by r.revision", SetupRevision.class)
                .getResultStream()
                .collect(Collectors.toMap(r -> r.setupId, r -> r, (older, newer) -> newer));
    }

    /** The chain of a setup as it is now. */
    @Transactional(readOnly = true)
    ChainPlan plan(long setup) {
        SetupRevision latest = latest().get(named(setup).id());
        return latest == null ? ChainPlan.EMPTY : json.plan(latest.chain);
    }

    Logbook.SetupName named(long id) {
        return logbook.setups().stream()
                .filter(s -> s.id() == id)
                .findFirst()
                .orElseThrow(() -> new NotFound("no setup has the number " + id));
    }

    /** A setup with all that is computed of it. */
    @Transactional(readOnly = true)
    public SetupView view(long id, Optional<String> carrier, Optional<String> region) {
        Logbook.SetupName setup = named(id);
        SetupRevision latest = latest().get(id);
        ChainPlan plan = latest == null ? ChainPlan.EMPTY : json.plan(latest.chain);
        FitService.Of of = new FitService.Of(
                setup,
                latest == null ? 0 : latest.revision,
                latest == null ? logbook.measured(id, EVER) : logbook.measured(id, latest.since),
                edits.version(Edits.Kind.CHAIN, id));
        return fits.view(of, plan, Optional.empty(), carrier, region);
    }

    /** Makes a setup of a new name. */
    public Logbook.SetupName add(String wanted) {
        String name = InvalidInput.naming("name", () -> Text.name("name", wanted, Logbook.LONGEST_NAME));
        if (logbook.setups().stream().anyMatch(s -> s.name().equals(name))) {
            throw new Conflict("name", "name is " + Text.quoted(name) + ", which another setup has");
        }
        return logbook.addSetup(name);
    }

    /**
     * Stores the chain of a setup: in its latest revision where nothing was measured with that yet, else as the next. The
     * first chain of a setup known by name alone is what it was measured with.
     *
     * @param seen the version that was looked at; null when that is not known
     */
    public void put(long id, ChainPlan plan, @Nullable Integer seen) {
        Logbook.SetupName setup = named(id);
        fits.check(plan);
        String chain = json.write(plan);
        if (chain.length() > LONGEST_CHAIN) {
            throw new InvalidInput(
                    "plan", "the chain has " + chain.length() + " characters; allowed are up to " + LONGEST_CHAIN);
        }
        SetupRevision latest = latest().get(id);
        ChainPlan before = latest == null ? ChainPlan.EMPTY : json.plan(latest.chain);
        if (latest != null && before.equals(plan)) {
            return;
        }
        edits.change(Edits.Kind.CHAIN, id, setup.name(), seen, before, plan);
        if (latest == null) {
            entities.persist(new SetupRevision(id, 1, EVER, chain));
        } else if (logbook.measured(id, latest.since) == 0) {
            latest.chain = chain;
        } else {
            entities.persist(new SetupRevision(id, latest.revision + 1, logbook.now(), chain));
        }
        entities.flush();
    }
}
