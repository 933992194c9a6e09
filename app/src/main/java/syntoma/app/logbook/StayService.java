package syntoma.app.logbook;

import jakarta.persistence.EntityManager;
import jakarta.persistence.TypedQuery;
import java.time.Duration;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;
import syntoma.core.trial.StaySpans;

/** Stays: those a person stated, and those derived from the times of the measurements in between. */
@Service
class StayService {
    /** Measurements that one step after an import looks at, so that nobody waits long for the pen. */
    private static final int STEP = 20_000;

    static final OffsetDateTime EVER = OffsetDateTime.parse("9999-01-01T00:00:00Z");

    private final EntityManager entities;
    private final StayTallies tallies;
    private final TransactionTemplate transaction;

    StayService(EntityManager entities, StayTallies tallies, PlatformTransactionManager manager) {
        this.entities = entities;
        this.tallies = tallies;
        this.transaction = new TransactionTemplate(manager);
    }

    /** All stays in the order of their arrival. */
    @Transactional(readOnly = true)
    public List<Stay> all() {
        return entities.createQuery("from Stay s order by s.arrivedAt, s.id", Stay.class)
                .getResultList();
    }

    /** Brings the stays in line after a measurement was logged. */
    @Transactional
    public void logged(Measurement m) {
        if (isStated(m.campsiteId, m.takenAt)
                || isInside(m.campsiteId, m.takenAt)
                || isAppended(m.campsiteId, m.takenAt)) {
            tallies.count(m, true);
        } else {
            derive(m.takenAt, m.takenAt, true);
        }
    }

    /** Brings the stays in line after a measurement was taken out of the log. */
    @Transactional
    public void removed(Measurement m) {
        if (isStated(m.campsiteId, m.takenAt)) {
            tallies.count(m, false);
        } else {
            derive(m.takenAt, m.takenAt, true);
        }
    }

    private boolean isStated(Long campsite, OffsetDateTime at) {
        return found(
                        "s.stated = true and s.campsiteId = :campsite and s.arrivedAt <= :at"
                                + " and (s.leftAt is null or s.leftAt >= :at)",
                        campsite,
                        at)
                .isPresent();
    }

    /** Between the first and the last measurement of a stay there: it begins and ends where it did. */
    private boolean isInside(Long campsite, OffsetDateTime at) {
        return found(
                        "s.stated = false and s.campsiteId = :campsite and s.arrivedAt < :at and s.leftAt > :at",
                        campsite,
                        at)
                .isPresent();
    }

    /** Later than all derived stays: it lengthens the last one or begins the next, as {@link StaySpans} does. */
    private boolean isAppended(Long campsite, OffsetDateTime at) {
        if (found("s.stated = false and s.leftAt >= :at and :campsite is not null", campsite, at)
                .isPresent()) {
            return false;
        }
        Optional<Stay> last = found("s.stated = false and s.leftAt < :at and :campsite is not null", campsite, at);
        if (last.isPresent()
                && last.get().campsiteId.equals(campsite)
                && Duration.between(last.get().leftAt, at).compareTo(StaySpans.LONGEST_GAP) <= 0) {
            last.get().leftAt = at;
        } else {
            entities.persist(new Stay(campsite, at, at, false));
        }
        return true;
    }

    /** The latest stay for which a condition holds. */
    private Optional<Stay> found(String condition, Long campsite, OffsetDateTime at) {
        return entities.createQuery(
                        "from Stay s where " + condition + " order by s.arrivedAt desc, s.id desc", Stay.class)
                .setParameter("campsite", campsite)
                .setParameter("at", at)
                .setMaxResults(1)
                .getResultStream()
                .findFirst();
    }

    /** Notes in an import's transaction that stays have to follow it; {@link #settle} then does that. */
    void due(OffsetDateTime from, OffsetDateTime to) {
        StayDue left = entities.find(StayDue.class, StayDue.ONLY);
        if (left == null) {
            entities.persist(new StayDue(from, to));
        } else {
            left.fromAt = from.isBefore(left.fromAt) ? from : left.fromAt;
            left.toAt = to.isAfter(left.toAt) ? to : left.toAt;
        }
    }

    /**
     * Brings the derived stays in line with an import, step by step from its end; what a stop left over is done at the next
     * start.
     */
    void settle() {
        while (Boolean.TRUE.equals(transaction.execute(status -> step()))) {
            // one step each, so that others get the pen in between
        }
    }

    private boolean step() {
        StayDue due = entities.find(StayDue.class, StayDue.ONLY);
        if (due == null) {
            return false;
        }
        OffsetDateTime since = entities
                .createQuery(
                        "select m.takenAt from Measurement m where m.takenAt <= :to"
                                + " order by m.takenAt desc, m.id desc",
                        OffsetDateTime.class)
                .setParameter("to", due.toAt)
                .setFirstResult(STEP)
                .setMaxResults(1)
                .getResultList()
                .stream()
                .findFirst()
                .orElse(due.fromAt);
        boolean last = !since.isAfter(due.fromAt);
        derive(last ? due.fromAt : since, due.toAt, last);
        if (last) {
            entities.remove(due);
        } else {
            // a step that ends where it began would never end: all of one moment are looked at together
            due.toAt = since.isBefore(due.toAt) ? since : since.minusNanos(1);
        }
        return true;
    }

    /**
     * Brings the derived stays in line after measurements between two moments came or went, or are covered otherwise.
     * Looks at those moments and at the stays that they touch; a derived stay that still has a measurement of its own
     * keeps its number.
     *
     * @param whole whether nothing before these moments waits to be brought in line too
     */
    private void derive(OffsetDateTime from, OffsetDateTime to, boolean whole) {
        entities.flush();
        Window window = window(from, to, whole);
        Map<Long, List<Stay>> derived = new HashMap<>();
        overlapping(window, false).forEach(stay -> derived.computeIfAbsent(stay.campsiteId, c -> new ArrayList<>())
                .add(stay));
        for (StaySpans.Span span : spans(window)) {
            List<Stay> candidates = derived.getOrDefault(span.campsite(), new ArrayList<>());
            Optional<Stay> same = candidates.stream()
                    .filter(s -> !s.arrivedAt.toInstant().isAfter(span.to())
                            && !s.leftAt.toInstant().isBefore(span.from()))
                    .findFirst();
            if (same.isPresent()) {
                candidates.remove(same.get());
                keep(same.get(), span);
            } else {
                entities.persist(new Stay(
                        span.campsite(),
                        local(span.campsite(), span.from()),
                        local(span.campsite(), span.to()),
                        false));
            }
        }
        derived.values().forEach(left -> left.forEach(entities::remove));
        entities.flush();
        recount(window, whole);
    }

    /** A stay that began before these moments is counted with the earlier ones. */
    private void recount(Window window, boolean whole) {
        List<Stay> touched = new ArrayList<>(overlapping(window, false));
        touched.addAll(overlapping(window, true));
        touched.stream()
                .filter(s -> whole || !s.arrivedAt.isBefore(window.from))
                .forEach(tallies::recount);
    }

    private void keep(Stay stay, StaySpans.Span span) {
        if (!stay.arrivedAt.toInstant().equals(span.from())) {
            stay.arrivedAt = local(span.campsite(), span.from());
        }
        if (!stay.leftAt.toInstant().equals(span.to())) {
            stay.leftAt = local(span.campsite(), span.to());
        }
    }

    /** A moment in the time of the place, as a measurement of that moment has it. */
    private OffsetDateTime local(Long campsite, Instant at) {
        return entities.createQuery(
                        "select m.takenAt from Measurement m where m.campsiteId = :campsite and m.takenAt = :at",
                        OffsetDateTime.class)
                .setParameter("campsite", campsite)
                .setParameter("at", at.atOffset(java.time.ZoneOffset.UTC))
                .setMaxResults(1)
                .getSingleResult();
    }

    /**
     * A stretch of time in which the latest measurements lie, so that who looks for them need not pass by the many that an
     * import has not finished with; empty where that is not known.
     *
     * @param count how many of the latest are looked for
     */
    @Transactional(readOnly = true)
    public Optional<Window> spanOfLatest(int count) {
        if (entities.find(StayDue.class, StayDue.ONLY) != null) {
            return Optional.empty();
        }
        List<Object[]> ends = entities.createQuery(
                        "select s.arrivedAt, s.leftAt, sum(t.measured) from Stay s join StayTally t on t.stayId = s.id"
                                + " group by s.id, s.arrivedAt, s.leftAt order by s.arrivedAt desc",
                        Object[].class)
                .getResultList();
        OffsetDateTime from = null;
        OffsetDateTime to = null;
        long counted = 0;
        for (Object[] end : ends) {
            OffsetDateTime left = end[1] == null ? EVER : (OffsetDateTime) end[1];
            to = to == null || left.isAfter(to) ? left : to;
            // a measurement on the border of two stays is counted in both, so twice as many are enough for sure
            if (counted < 2L * count) {
                from = (OffsetDateTime) end[0];
                counted += (Long) end[2];
            }
        }
        return from == null ? Optional.empty() : Optional.of(new Window(from, to));
    }

    /** A stretch of time, both ends included. */
    record Window(OffsetDateTime from, OffsetDateTime to) {}

    /**
     * The stretch widened to the derived stays that it touches, to the one after it, and where it is whole to the one
     * before it.
     */
    private Window window(OffsetDateTime from, OffsetDateTime to, boolean whole) {
        Window window = new Window(
                whole
                        ? one("select max(s.arrivedAt) from Stay s where s.stated = false and s.arrivedAt < :at", from)
                        : from,
                one("select min(s.leftAt) from Stay s where s.stated = false and s.leftAt > :at", to));
        while (true) {
            OffsetDateTime first = window.from;
            OffsetDateTime last = window.to;
            for (Stay stay : overlapping(window, false)) {
                first = stay.arrivedAt.isBefore(first) ? stay.arrivedAt : first;
                last = stay.leftAt.isAfter(last) ? stay.leftAt : last;
            }
            if (first.isEqual(window.from) && last.isEqual(window.to)) {
                return window;
            }
            window = new Window(first, last);
        }
    }

    private OffsetDateTime one(String query, OffsetDateTime at) {
        OffsetDateTime found = entities.createQuery(query, OffsetDateTime.class)
                .setParameter("at", at)
                .getSingleResult();
        return found == null ? at : found;
    }

    private List<Stay> overlapping(Window window, boolean stated) {
        TypedQuery<Stay> query = entities.createQuery(
                "from Stay s where s.stated = :stated and s.arrivedAt <= :to and (s.leftAt is null or s.leftAt >= :from)"
                        + " order by s.arrivedAt, s.id",
                Stay.class);
        return query.setParameter("stated", stated)
                .setParameter("from", window.from)
                .setParameter("to", window.to)
                .getResultList();
    }

    private List<StaySpans.Span> spans(Window window) {
        Map<Long, List<Stay>> stated = new HashMap<>();
        overlapping(window, true).forEach(s -> stated.computeIfAbsent(s.campsiteId, c -> new ArrayList<>())
                .add(s));
        StaySpans spans = new StaySpans();
        entities.createQuery(
                        "select m.campsiteId, m.takenAt from Measurement m where m.takenAt >= :from and m.takenAt <= :to"
                                + " order by m.takenAt desc, m.id desc",
                        Object[].class)
                .setParameter("from", window.from)
                .setParameter("to", window.to)
                .getResultStream()
                .forEach(row -> {
                    Long campsite = (Long) row[0];
                    OffsetDateTime takenAt = (OffsetDateTime) row[1];
                    boolean covered =
                            stated.getOrDefault(campsite, List.of()).stream().anyMatch(s -> s.covers(takenAt));
                    if (!covered) {
                        spans.add(campsite, takenAt.toInstant());
                    }
                });
        return spans.inOrder();
    }

    /** Begins a stay now and ends the one that was open. */
    @Transactional
    public Stay arrive(Long campsiteId, OffsetDateTime at) {
        entities.createQuery("from Stay s where s.leftAt is null", Stay.class)
                .getResultList()
                .forEach(open -> open.leftAt = at);
        Stay stay = new Stay(campsiteId, at, null, true);
        entities.persist(stay);
        derive(at, EVER, true);
        return stay;
    }
}
