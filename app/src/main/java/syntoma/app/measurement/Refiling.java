package syntoma.app.measurement;

import jakarta.persistence.EntityManager;
import java.time.OffsetDateTime;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.TreeMap;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import syntoma.app.campsite.Campsites;
import syntoma.app.campsite.Stays;
import syntoma.app.platform.Register;

/**
 * Moves measurements to another campsite, setup or carrier, many at a time, and back. What they measured is not touched; one
 * that is there already is taken out until the move is undone.
 */
@Service
@Transactional
public class Refiling {
    private static final int AT_ONCE = 500;

    private final EntityManager entities;
    private final LogNames names;
    private final Campsites campsites;
    private final Stays stays;
    private final KnownTrials trials;
    private final PlannedTrials plans;

    Refiling(
            EntityManager entities,
            LogNames names,
            Campsites campsites,
            Stays stays,
            KnownTrials trials,
            PlannedTrials plans) {
        this.entities = entities;
        this.names = names;
        this.campsites = campsites;
        this.stays = stays;
        this.trials = trials;
        this.plans = plans;
    }

    /** What is to be another's. */
    public enum What {
        CAMPSITE("campsiteId"),
        SETUP("setupId"),
        CARRIER("carrierId");

        private final String field;

        What(String field) {
            this.field = field;
        }
    }

    /**
     * What a move came to.
     *
     * @param moved how many measurements stand elsewhere now
     * @param same how many were taken out because the same was there already
     * @param renamed trials that had to be renamed because another had their name, by their names of before
     * @param plans trials whose plans went along, by their names of before
     */
    public record Outcome(int moved, int same, Map<String, String> renamed, Map<String, String> plans) {}

    private List<Long> of(What what, long number) {
        return entities.createQuery(
                        "select m.id from Measurement m where m." + what.field + " = :number order by m.id", Long.class)
                .setParameter("number", number)
                .getResultList();
    }

    /** What was measured at a campsite from a moment on, up to another. */
    public List<Long> during(long campsite, OffsetDateTime from, OffsetDateTime until) {
        return entities.createQuery(
                        "select m.id from Measurement m where m.campsiteId = :campsite and m.takenAt >= :from"
                                + " and m.takenAt <= :until order by m.takenAt, m.id",
                        Long.class)
                .setParameter("campsite", campsite)
                .setParameter("from", from)
                .setParameter("until", until)
                .getResultList();
    }

    /** Those of some measurements that there are, in the order of time. */
    public List<Long> existing(List<Long> ids) {
        return entities.createQuery(
                        "select m.id from Measurement m where m.id in :ids order by m.takenAt, m.id", Long.class)
                .setParameter("ids", ids)
                .getResultList();
    }

    /** When the first and the last of some measurements were taken. */
    public record Span(OffsetDateTime from, OffsetDateTime to) {}

    /** The campsites of some measurements. */
    public Set<Long> campsites(List<Long> ids) {
        return new HashSet<>(
                entities.createQuery("select distinct m.campsiteId from Measurement m where m.id in :ids", Long.class)
                        .setParameter("ids", ids)
                        .getResultList());
    }

    /** When some measurements were taken, which must be there. */
    public Span span(List<Long> ids) {
        return entities.createQuery(
                        "select min(m.takenAt), max(m.takenAt) from Measurement m where m.id in :ids", Span.class)
                .setParameter("ids", ids)
                .getSingleResult();
    }

    /**
     * Moves some measurements to another campsite.
     *
     * @param entry of the journal, by which it is undone
     */
    public Outcome move(long entry, List<Long> ids, long to) {
        return new Move(entry, What.CAMPSITE, to, false).run(ids, Map.of());
    }

    /**
     * Moves all measurements of one to another that stands for it by now, with the plans of its trials.
     *
     * @param entry of the journal, by which it is undone
     */
    public Outcome moveAll(long entry, What what, long from, long to) {
        Move move = new Move(entry, what, to, true);
        Map<String, String> moved = new TreeMap<>();
        if (what == What.CAMPSITE) {
            plans.at(from).forEach(name -> moved.put(name, move.trialThere(from, name)));
            plans.move(from, to, moved);
        }
        return move.run(of(what, from), moved);
    }

    /** From when to when something was moved, which stays have to follow. */
    private final class Stretch {
        private @Nullable OffsetDateTime from;
        private @Nullable OffsetDateTime until;

        void add(OffsetDateTime at) {
            from = from == null || at.isBefore(from) ? at : from;
            until = until == null || at.isAfter(until) ? at : until;
        }

        void settle() {
            if (from != null && until != null) {
                stays.onChanged(from, until);
            }
        }
    }

    /** One move under way. */
    private final class Move {
        private final long entry;
        private final What what;
        private final long to;
        private final boolean resolved;
        private final Fingerprint.Names first = names.first();
        private final FingerprintSet there = new FingerprintSet();
        private final Map<Long, Map<String, String>> trialNames = new HashMap<>();
        private final Map<String, String> renamed = new TreeMap<>();
        private int moved;
        private int same;
        private final Stretch stretch = new Stretch();

        private Move(long entry, What what, long to, boolean resolved) {
            this.entry = entry;
            this.what = what;
            this.to = to;
            this.resolved = resolved;
            entities.createQuery(
                            "select m.printHigh, m.printLow from Measurement m where m." + what.field + " = :to",
                            Object[].class)
                    .setParameter("to", to)
                    .getResultStream()
                    .forEach(print -> there.add((long) print[0], (long) print[1]));
        }

        Outcome run(List<Long> ids, Map<String, String> plansMoved) {
            for (int i = 0; i < ids.size(); i += AT_ONCE) {
                rows(ids.subList(i, Math.min(ids.size(), i + AT_ONCE))).forEach(this::move);
                entities.flush();
                entities.clear();
            }
            stretch.settle();
            return new Outcome(moved, same, renamed, plansMoved);
        }

        private void move(Measurement row) {
            stretch.add(row.takenAt);
            MovedMeasurement before = new MovedMeasurement(entry, row);
            DeletedMeasurement asItWas = new DeletedMeasurement(row, entry);
            Fingerprint wasPrint = row.print();
            place(row);
            Fingerprint print = names.print(row, first);
            if (there.contains(print.high(), print.low())) {
                same++;
                entities.persist(asItWas);
                entities.remove(row);
                return;
            }
            String trial =
                    what == What.CAMPSITE && row.trial != null ? trialThere(before.campsiteId, row.trial) : row.trial;
            boolean renames = !Objects.equals(trial, row.trial);
            row.trial = trial;
            before.trialNow = trial;
            row.print(renames ? names.print(row, first) : print);
            there.add(row.printHigh, row.printLow);
            // a file that has the row as it was still adds nothing
            if (renames) {
                remember(resolved ? print : wasPrint, row.id);
            } else if (!resolved) {
                remember(wasPrint, row.id);
            }
            entities.persist(before);
            trials.add(row);
            moved++;
        }

        private void place(Measurement row) {
            row.place(
                    what == What.CAMPSITE ? (Long) to : row.campsiteId,
                    what == What.SETUP ? (Long) to : row.setupId,
                    what == What.CARRIER ? (Long) to : row.carrierId);
        }

        private String trialThere(Long campsite, String name) {
            String given = trialNames
                    .computeIfAbsent(campsite, c -> new HashMap<>())
                    .computeIfAbsent(name, n -> freeName(n, campsite));
            if (!given.equals(name)) {
                renamed.put(name, given);
            }
            return given;
        }

        /** The name of a trial at the campsite it comes to: its own, or where that is taken one that says whence it is. */
        private String freeName(String name, Long campsite) {
            Set<String> taken = new HashSet<>(plans.at(to));
            taken.addAll(trials.at(to));
            trialNames.values().forEach(names -> taken.addAll(names.values()));
            String from = " (" + campsites.own(campsite) + ")";
            String wanted = name;
            for (int i = 1; taken.contains(wanted); i++) {
                String tail = i == 1 ? from : from + " " + i;
                wanted = name.substring(0, Math.min(name.length(), Math.max(0, Register.LONGEST_NAME - tail.length())))
                        + tail;
                wanted = wanted.substring(0, Math.min(wanted.length(), Register.LONGEST_NAME));
            }
            return wanted;
        }
    }

    private void remember(Fingerprint print, Long id) {
        FormerPrint.Key key = FormerPrint.Key.of(print, id);
        if (entities.find(FormerPrint.class, key) == null) {
            entities.persist(new FormerPrint(key));
        }
    }

    private List<Measurement> rows(List<Long> ids) {
        return entities.createQuery("from Measurement m where m.id in :ids order by m.takenAt, m.id", Measurement.class)
                .setParameter("ids", ids)
                .getResultList();
    }

    /**
     * Undoes a move: what was moved stands where it stood, unless it was moved on since, and what was taken out is back.
     *
     * @param to where it was moved
     */
    public void undo(long entry, What what, long to) {
        Fingerprint.Names first = names.first();
        Stretch stretch = new Stretch();
        List<Long> ids = entities.createQuery(
                        "select m.measurementId from MovedMeasurement m where m.entryId = :entry order by m.measurementId",
                        Long.class)
                .setParameter("entry", entry)
                .getResultList();
        for (int i = 0; i < ids.size(); i += AT_ONCE) {
            for (Measurement row : rows(ids.subList(i, Math.min(ids.size(), i + AT_ONCE)))) {
                moveBack(
                        row,
                        entities.find(MovedMeasurement.class, new MovedMeasurement.Key(entry, row.id)),
                        what,
                        to,
                        first);
                stretch.add(row.takenAt);
            }
            entities.flush();
            entities.clear();
        }
        for (DeletedMeasurement gone : entities.createQuery(
                        "from DeletedMeasurement d where d.goneWith = :entry order by d.id", DeletedMeasurement.class)
                .setParameter("entry", entry)
                .getResultList()) {
            Measurement row = new Measurement(gone);
            entities.remove(gone);
            entities.persist(row);
            stretch.add(row.takenAt);
        }
        entities.createQuery("delete from MovedMeasurement m where m.entryId = :entry")
                .setParameter("entry", entry)
                .executeUpdate();
        entities.flush();
        stretch.settle();
    }

    private void moveBack(Measurement row, MovedMeasurement before, What what, long to, Fingerprint.Names first) {
        Long now =
                switch (what) {
                    case CAMPSITE -> row.campsiteId;
                    case SETUP -> row.setupId;
                    case CARRIER -> row.carrierId;
                };
        if (now == null || now != to) {
            return;
        }
        forgetPrint(row.print(), row.id);
        String trial = row.trial;
        row.trial = before.trial;
        forgetPrint(names.print(row, first), row.id);
        // one that was given another trial since keeps it
        row.trial = Objects.equals(trial, before.trialNow) ? before.trial : trial;
        row.place(
                what == What.CAMPSITE ? before.campsiteId : row.campsiteId,
                what == What.SETUP ? before.setupId : row.setupId,
                what == What.CARRIER ? before.carrierId : row.carrierId);
        row.print(names.print(row, first));
        forgetPrint(row.print(), row.id);
    }

    private void forgetPrint(Fingerprint print, Long id) {
        FormerPrint former = entities.find(FormerPrint.class, FormerPrint.Key.of(print, id));
        if (former != null) {
            entities.remove(former);
        }
    }
}
