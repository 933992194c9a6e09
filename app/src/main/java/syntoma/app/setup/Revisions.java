package syntoma.app.setup;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import syntoma.app.gear.GearItem;
import syntoma.app.gear.GearUse;
import syntoma.app.platform.Json;

/**
 * The revisions of setups. One that something was measured with is never changed, nor are the sheets of its parts: a change
 * makes the next one.
 */
@Component
@Transactional
class Revisions implements GearUse {
    /** From when on the first chain of a setup holds: it is what all before was measured with. */
    static final OffsetDateTime EVER = OffsetDateTime.of(1900, 1, 1, 0, 0, 0, 0, ZoneOffset.UTC);

    private final EntityManager entities;
    private final Setups setups;
    private final SetupMeasurements measurements;
    private final Json json;
    private final Clock clock;

    Revisions(EntityManager entities, Setups setups, SetupMeasurements measurements, Json json, Clock clock) {
        this.entities = entities;
        this.setups = setups;
        this.measurements = measurements;
        this.json = json;
        this.clock = clock;
    }

    /** Of each setup that has a chain the latest, by its number. */
    @Transactional(readOnly = true)
    public Map<Long, SetupRevision> latest() {
        return everything().collect(Collectors.toMap(r -> r.setupId, r -> r, (older, newer) -> newer));
    }

    /** Those of one setup, the latest last. */
    @Transactional(readOnly = true)
    public List<SetupRevision> of(long setup) {
        return entities.createQuery(
                        "from SetupRevision r where r.setupId = :setup order by r.revision", SetupRevision.class)
                .setParameter("setup", setup)
                .getResultList();
    }

    private java.util.stream.Stream<SetupRevision> everything() {
        return entities.createQuery("from SetupRevision r order by r.setupId, r.revision", SetupRevision.class)
                .getResultStream();
    }

    ChainPlan plan(SetupRevision revision) {
        return revision == null ? ChainPlan.EMPTY : json.read(revision.chain, ChainPlan.class);
    }

    /** How many measurements were made with one of a setup's revisions. */
    @Transactional(readOnly = true)
    public long countMeasured(SetupRevision revision, List<SetupRevision> all) {
        OffsetDateTime before = all.stream()
                .filter(r -> r.revision > revision.revision)
                .map(r -> r.since)
                .min(OffsetDateTime.timeLineOrder())
                .orElse(null);
        return measurements.during(revision.setupId, revision.since, before);
    }

    /** Stores a setup's chain: in the latest revision where nothing was measured with that yet, else as the next. */
    public void put(long setup, String chain) {
        List<SetupRevision> all = of(setup);
        if (all.isEmpty()) {
            entities.persist(new SetupRevision(setup, 1, EVER, chain));
            return;
        }
        SetupRevision latest = all.get(all.size() - 1);
        if (countMeasured(latest, all) == 0) {
            latest.chain = chain;
        } else {
            entities.persist(latest.next(OffsetDateTime.now(clock), chain));
        }
    }

    /** Takes all revisions of a setup away. */
    void forget(long setup) {
        for (SetupRevision revision : of(setup)) {
            entities.createQuery("delete from FrozenSheet f where f.revisionId = :revision")
                    .setParameter("revision", revision.id)
                    .executeUpdate();
            entities.remove(revision);
        }
        entities.flush();
    }

    /** The shelf as a revision was measured with it. */
    @Transactional(readOnly = true)
    public Map<Long, GearItem> shelf(SetupRevision revision, Map<Long, GearItem> now) {
        Map<Long, GearItem> then = new HashMap<>(now);
        entities.createQuery("from FrozenSheet f where f.revisionId = :revision", FrozenSheet.class)
                .setParameter("revision", revision.id)
                .getResultList()
                .forEach(f -> then.computeIfPresent(f.gearId, (id, item) -> item.with(json.fields(f.sheet))));
        return then;
    }

    @Override
    @Transactional(readOnly = true)
    public Map<Long, List<String>> setups() {
        Map<Long, String> names = setups.names();
        Map<Long, Set<String>> holding = new HashMap<>();
        everything()
                .forEach(r -> plan(r).gear().forEach(gear -> holding.computeIfAbsent(gear, g -> new LinkedHashSet<>())
                        .add(names.get(r.setupId))));
        return holding.entrySet().stream().collect(Collectors.toMap(Map.Entry::getKey, e -> List.copyOf(e.getValue())));
    }

    /** The revisions that hold a piece of gear as it is on the shelf, and were measured with; by setup. */
    private Map<Long, List<SetupRevision>> measuredWith(long gear) {
        Map<Long, List<SetupRevision>> perSetup =
                everything().collect(Collectors.groupingBy(r -> r.setupId, LinkedHashMap::new, Collectors.toList()));
        Map<Long, List<SetupRevision>> found = new LinkedHashMap<>();
        perSetup.forEach((setup, all) -> {
            List<SetupRevision> holding = new ArrayList<>();
            for (SetupRevision revision : all) {
                if (plan(revision).gear().contains(gear)
                        && !isFrozen(revision, gear)
                        && countMeasured(revision, all) > 0) {
                    holding.add(revision);
                }
            }
            if (!holding.isEmpty()) {
                found.put(setup, holding);
            }
        });
        return found;
    }

    private boolean isFrozen(SetupRevision revision, long gear) {
        return entities.find(FrozenSheet.class, new FrozenSheet.Key(revision.id, gear)) != null;
    }

    @Override
    @Transactional(readOnly = true)
    public List<String> setupsMeasuredWith(long gear) {
        Map<Long, String> names = setups.names();
        return measuredWith(gear).keySet().stream().map(names::get).toList();
    }

    @Override
    public void onReplace(GearItem before) {
        Map<Long, SetupRevision> latest = latest();
        measuredWith(before.id()).forEach((setup, revisions) -> {
            for (SetupRevision revision : revisions) {
                entities.persist(new FrozenSheet(revision.id, before.id(), json.write(before.sheet())));
                if (revision.id.equals(latest.get(setup).id)) {
                    entities.persist(revision.next(OffsetDateTime.now(clock), revision.chain));
                }
            }
        });
        entities.flush();
    }
}
