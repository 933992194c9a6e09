package syntoma.app.trial;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import syntoma.app.campsite.Campsites;
import syntoma.app.measurement.Measurements;
import syntoma.app.measurement.PlannedTrials;
import syntoma.app.measurement.Selection;
import syntoma.app.measurement.TrialSpan;
import syntoma.app.platform.ConflictException;
import syntoma.app.platform.InvalidInputException;
import syntoma.app.platform.NotFoundException;
import syntoma.app.setup.SetupName;
import syntoma.core.trial.NextStep;
import syntoma.core.unit.Text;
import syntoma.core.verdict.InterimLooks;

/** Trials, with how many rounds they were planned for where that was said before the first. */
@Service
@Transactional
public class Plans implements PlannedTrials {
    private static final int MOST_SHEETS = 20;

    private final EntityManager entities;
    private final Campsites campsites;
    private final Measurements measurements;
    private final Clock clock;

    Plans(EntityManager entities, Campsites campsites, Measurements measurements, Clock clock) {
        this.entities = entities;
        this.campsites = campsites;
        this.measurements = measurements;
        this.clock = clock;
    }

    /**
     * A trial in the list.
     *
     * @param trial what was measured of it; of one that was not begun its moment is that of its planning, and it has no rounds
     * @param plannedRounds null when it was not planned in Syntoma
     * @param designed whether it has a run sheet
     */
    public record TrialRow(TrialSpan trial, @Nullable Integer plannedRounds, boolean designed) {}

    private record Key(long campsite, String name) {}

    /** All trials, from the moment they are planned, the latest first. */
    @Transactional(readOnly = true)
    public List<TrialRow> all() {
        List<TrialPlan> plans = plans();
        List<TrialRow> all = new ArrayList<>(measuredTrials(plans));
        Set<Key> begun = all.stream()
                .map(row -> new Key(row.trial.campsiteId(), row.trial.name()))
                .collect(Collectors.toSet());
        List<TrialPlan> waiting = plans.stream()
                .filter(p -> !begun.contains(new Key(p.campsiteId, p.name)))
                .toList();
        if (waiting.isEmpty()) {
            return all;
        }
        Map<Long, String> places = campsites.names();
        waiting.stream()
                .map(p -> new TrialRow(
                        new TrialSpan(p.campsiteId, places.get(p.campsiteId), p.name, p.plannedAt, p.plannedAt, 0, 0),
                        p.plannedRounds,
                        p.isDesigned()))
                .forEach(all::add);
        all.sort(Comparator.comparing((TrialRow row) -> row.trial.from()).reversed());
        return all;
    }

    /** The trials that have measurements, the latest first. */
    @Transactional(readOnly = true)
    public List<TrialRow> measuredTrials() {
        return measuredTrials(plans());
    }

    private List<TrialRow> measuredTrials(List<TrialPlan> all) {
        Map<Key, TrialPlan> plans = new HashMap<>();
        all.forEach(p -> plans.put(new Key(p.campsiteId, p.name), p));
        return measurements.trials().stream()
                .map(t -> {
                    Optional<TrialPlan> plan = Optional.ofNullable(plans.get(new Key(t.campsiteId(), t.name())));
                    return new TrialRow(
                            t,
                            plan.map(p -> p.plannedRounds).orElse(null),
                            plan.filter(TrialPlan::isDesigned).isPresent());
                })
                .toList();
    }

    private List<TrialPlan> plans() {
        return entities.createQuery("from TrialPlan p", TrialPlan.class).getResultList();
    }

    /**
     * Notes before the first measurement how many rounds a trial is planned for.
     *
     * @throws InvalidInputException when it has measurements already, or the rounds are not 3 to 20
     * @throws ConflictException when it is planned already
     */
    public void plan(String campsite, String name, int rounds) {
        InvalidInputException.naming("plannedRounds", () -> InterimLooks.level(rounds, 0));
        keep(campsite, name, rounds);
    }

    private TrialPlan keep(String campsite, String name, int rounds) {
        long place = campsites.of(campsite).id();
        boolean begun = measurements.trials().stream()
                .anyMatch(t -> t.campsiteId() == place && t.name().equals(name));
        if (begun) {
            throw new InvalidInputException(
                    "name", "trial " + Text.quote(name) + " has measurements; a plan is made before the first");
        }
        if (rounds(place, name).isPresent()) {
            throw new ConflictException(
                    "name", "trial " + Text.quote(name) + " is planned already; choose another name");
        }
        TrialPlan plan = new TrialPlan(place, name, rounds, OffsetDateTime.now(clock));
        entities.persist(plan);
        return plan;
    }

    /**
     * Keeps a trial as it was designed, before its first measurement.
     *
     * @param start what was where then
     * @throws InvalidInputException when it has measurements already
     * @throws ConflictException when it is planned already
     */
    void plan(
            String campsite, String name, DesignView design, DesignRequest asked, List<SetupName> names, String start) {
        keep(campsite, name, design.rounds()).designed(design, asked, names, start);
    }

    /** The latest plans that were designed, the last first. */
    @Transactional(readOnly = true)
    List<TrialPlan> designed() {
        return entities.createQuery(
                        "from TrialPlan p where p.runs is not null order by p.plannedAt desc, p.id desc",
                        TrialPlan.class)
                .setMaxResults(MOST_SHEETS)
                .getResultList();
    }

    /** The plan of a trial that was designed; empty where it was not. */
    @Transactional(readOnly = true)
    Optional<TrialPlan> designed(long campsite, String trial) {
        return plan(campsite, trial).filter(TrialPlan::isDesigned);
    }

    /** What to measure next in a trial, by what was logged of it. */
    @Transactional(readOnly = true)
    public NextStep next(String campsite, String trial) {
        return NextStep.after(
                measurements.list(Selection.at(campsites.of(campsite).id()).ofTrial(trial)).stream()
                        .filter(m -> m.round() != null)
                        .map(m -> new NextStep.Step(m.round(), m.setup()))
                        .toList());
    }

    /** How many rounds a trial was planned for; empty when it was not planned. */
    @Transactional(readOnly = true)
    public OptionalInt rounds(long campsite, String trial) {
        return plan(campsite, trial).stream().mapToInt(p -> p.plannedRounds).findFirst();
    }

    private Optional<TrialPlan> plan(long campsite, String trial) {
        return entities.createQuery(
                        "from TrialPlan p where p.campsiteId = :campsite and p.name = :name", TrialPlan.class)
                .setParameter("campsite", campsite)
                .setParameter("name", trial)
                .getResultStream()
                .findFirst();
    }

    /** A planned trial by its number, as what was made with it names it. */
    public record PlannedTrial(long id, String campsite, String name) {}

    /**
     * A planned trial.
     *
     * @throws NotFoundException when no such trial is planned there
     */
    @Transactional(readOnly = true)
    public PlannedTrial plannedTrials(String campsite, String name) {
        return plan(campsites.of(campsite).id(), name)
                .map(p -> new PlannedTrial(p.id, campsite, p.name))
                .orElseThrow(
                        () -> new NotFoundException("no trial " + Text.quote(name) + " is planned at " + campsite));
    }

    /** The planned trials of some numbers. */
    @Transactional(readOnly = true)
    public List<PlannedTrial> plannedTrials(Collection<Long> numbers) {
        Map<Long, String> names = campsites.names();
        return entities.createQuery("from TrialPlan p where p.id in :numbers", TrialPlan.class)
                .setParameter("numbers", numbers)
                .getResultStream()
                .map(p -> new PlannedTrial(p.id, names.get(p.campsiteId), p.name))
                .toList();
    }

    @Override
    @Transactional(readOnly = true)
    public Set<String> at(long campsite) {
        return plannedTrials(campsite).stream().map(p -> p.name).collect(Collectors.toSet());
    }

    private List<TrialPlan> plannedTrials(long campsite) {
        return entities.createQuery("from TrialPlan p where p.campsiteId = :campsite", TrialPlan.class)
                .setParameter("campsite", campsite)
                .getResultList();
    }

    @Override
    public void move(long from, long to, Map<String, String> names) {
        plannedTrials(from).stream().filter(p -> names.containsKey(p.name)).forEach(p -> {
            p.name = names.get(p.name);
            p.campsiteId = to;
        });
        entities.flush();
    }
}
