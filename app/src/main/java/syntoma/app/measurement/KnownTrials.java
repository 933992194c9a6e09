package syntoma.app.measurement;

import jakarta.persistence.EntityManager;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.springframework.stereotype.Component;

/** Knows when each trial was measured, so that its measurements are found without reading the log. */
@Component
class KnownTrials {
    /** More of one run than anybody compares by hand. */
    private static final int MOST_BESIDE = 10;

    private final EntityManager entities;

    KnownTrials(EntityManager entities) {
        this.entities = entities;
    }

    /** The trials of one import while it is read. */
    static final class ImportedTrials {
        private final Map<KnownTrial.Key, KnownTrial> trials = new HashMap<>();

        void add(Measurement m) {
            if (m.trial != null) {
                KnownTrial.Key key = new KnownTrial.Key(m.campsiteId, m.trial);
                trials.computeIfAbsent(key, k -> new KnownTrial(k, m.takenAt)).widen(m.takenAt);
            }
        }
    }

    void add(Measurement m) {
        ImportedTrials one = new ImportedTrials();
        one.add(m);
        add(one);
    }

    void add(ImportedTrials seen) {
        seen.trials.forEach((key, trial) -> {
            KnownTrial known = entities.find(KnownTrial.class, key);
            if (known == null) {
                entities.persist(trial);
            } else {
                known.widen(trial.firstAt);
                known.widen(trial.lastAt);
            }
        });
    }

    /** The names of those at a campsite that have a measurement. */
    Set<String> at(long campsite) {
        return Set.copyOf(entities.createQuery(
                        "select k.name from KnownTrial k where k.campsiteId = :campsite and exists (select m.id"
                                + " from Measurement m where m.campsiteId = k.campsiteId and m.trial = k.name"
                                + " and m.takenAt >= k.firstAt and m.takenAt <= k.lastAt)",
                        String.class)
                .setParameter("campsite", campsite)
                .getResultList());
    }

    /** The other measurements of the same setup in the same round of the same trial. */
    List<Measurement> sameRun(Measurement one) {
        KnownTrial trial = entities.find(KnownTrial.class, new KnownTrial.Key(one.campsiteId, one.trial));
        return trial == null
                ? List.of()
                : entities.createQuery(
                                "from Measurement m where m.campsiteId = :campsite and m.takenAt >= :since"
                                        + " and m.takenAt <= :until and m.trial = :trial and m.round = :round"
                                        + " and m.setupId = :setup and m.id <> :id",
                                Measurement.class)
                        .setParameter("campsite", one.campsiteId)
                        .setParameter("since", trial.firstAt)
                        .setParameter("until", trial.lastAt)
                        .setParameter("trial", one.trial)
                        .setParameter("round", one.round)
                        .setParameter("setup", one.setupId)
                        .setParameter("id", one.id)
                        .setMaxResults(MOST_BESIDE)
                        .getResultList();
    }

    /** The trials of a name, at most one at each campsite. */
    List<KnownTrial> ofName(String name) {
        return entities.createQuery("from KnownTrial t where t.name = :name", KnownTrial.class)
                .setParameter("name", name)
                .getResultList();
    }
}
