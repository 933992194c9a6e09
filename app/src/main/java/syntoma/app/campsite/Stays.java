package syntoma.app.campsite;

import jakarta.persistence.EntityManager;
import jakarta.persistence.TypedQuery;
import java.time.Duration;
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
import syntoma.app.campsite.Moments.MeasuredMoment;
import syntoma.app.campsite.Moments.Moment;
import syntoma.core.trial.StaySpans;

/** Stays: those a person stated, and those derived from the times of the measurements in between. */
@Service
public class Stays {
    /** Measurements that one step after an import looks at, so that nobody waits long for the pen. */
    private static final int STEP = 20_000;

    static final OffsetDateTime EVER = OffsetDateTime.parse("9999-01-01T00:00:00Z");

    private final EntityManager entities;
    private final StayTallies tallies;
    private final Moments moments;
    private final Campsites campsites;
    private final TransactionTemplate transaction;

    Stays(
            EntityManager entities,
            StayTallies tallies,
            Moments moments,
            Campsites campsites,
            PlatformTransactionManager manager) {
        this.campsites = campsites;
        this.entities = entities;
        this.tallies = tallies;
        this.moments = moments;
        this.transaction = new TransactionTemplate(manager);
    }

    /** All stays in the order of their arrival. */
    List<Stay> all() {
        return entities.createQuery("from Stay s order by s.arrivedAt, s.id", Stay.class)
                .getResultList();
    }

    /** The stay of a number, also of one that has become part of another. */
    @Transactional(readOnly = true)
    public Optional<Long> current(long number) {
        return find(number).map(stay -> stay.id);
    }

    Optional<Stay> find(long number) {
        Optional<Stay> stay = Optional.ofNullable(entities.find(Stay.class, number));
        return stay.isPresent()
                ? stay
                : Optional.ofNullable(entities.find(FormerStay.class, number)).flatMap(former -> entities.createQuery(
                                "from Stay s where s.campsiteId = :campsite and s.arrivedAt <= :at and (s.leftAt is"
                                        + " null or s.leftAt >= :at) order by s.stated desc, s.arrivedAt",
                                Stay.class)
                        .setParameter("campsite", campsites.current(former.campsiteId))
                        .setParameter("at", former.anchorAt)
                        .setMaxResults(1)
                        .getResultStream()
                        .findFirst());
    }

    /** Brings the stays in line after a measurement was logged. */
    @Transactional
    public void onLogged(MeasuredMoment taken) {
        Long campsite = taken.campsite();
        OffsetDateTime at = taken.at();
        if (isStated(campsite, at) || inside(campsite, at).isPresent() || isAppended(campsite, at)) {
            tallies.count(taken, true);
        } else {
            derive(at, at, true);
        }
    }

    /** Brings the stays in line after a measurement was taken out of the log. */
    @Transactional
    public void onRemoved(MeasuredMoment taken) {
        if (isStated(taken.campsite(), taken.at())
                || inside(taken.campsite(), taken.at())
                        .filter(stay -> holdsWithout(stay, taken.at()))
                        .isPresent()) {
            tallies.count(taken, false);
        } else {
            derive(taken.at(), taken.at(), true);
        }
    }

    /** Brings the stays in line after measurements between two moments were changed, moved or taken out. */
    @Transactional
    public void onChanged(OffsetDateTime from, OffsetDateTime to) {
        derive(from, to, true);
    }

    /** Whether the measurements before and after a moment keep a stay in one piece. */
    private boolean holdsWithout(Stay stay, OffsetDateTime at) {
        Optional<Moment> before = moments.lastBefore(at);
        Optional<Moment> after = moments.firstAfter(at);
        return before.isPresent()
                && after.isPresent()
                && isOf(stay, before.get())
                && isOf(stay, after.get())
                && Duration.between(before.get().at(), after.get().at()).compareTo(StaySpans.LONGEST_GAP) <= 0;
    }

    private boolean isOf(Stay stay, Moment moment) {
        return stay.campsiteId == moment.campsite()
                && stay.covers(moment.at())
                && !isStated(stay.campsiteId, moment.at());
    }

    private boolean isStated(Long campsite, OffsetDateTime at) {
        return find(
                        "s.stated = true and s.campsiteId = :campsite and s.arrivedAt <= :at"
                                + " and (s.leftAt is null or s.leftAt >= :at)",
                        campsite,
                        at)
                .isPresent();
    }

    /** Between the first and the last measurement of a stay there: it begins and ends where it did. */
    private Optional<Stay> inside(Long campsite, OffsetDateTime at) {
        return find(
                "s.stated = false and s.campsiteId = :campsite and s.arrivedAt < :at and s.leftAt > :at", campsite, at);
    }

    /** Later than all derived stays: it lengthens the last one or begins the next, as {@link StaySpans} does. */
    private boolean isAppended(Long campsite, OffsetDateTime at) {
        if (find("s.stated = false and s.leftAt >= :at and :campsite is not null", campsite, at)
                .isPresent()) {
            return false;
        }
        Optional<Stay> last = find("s.stated = false and s.leftAt < :at and :campsite is not null", campsite, at);
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
    private Optional<Stay> find(String condition, Long campsite, OffsetDateTime at) {
        return entities.createQuery(
                        "from Stay s where " + condition + " order by s.arrivedAt desc, s.id desc", Stay.class)
                .setParameter("campsite", campsite)
                .setParameter("at", at)
                .setMaxResults(1)
                .getResultStream()
                .findFirst();
    }

    /** Notes in an import's transaction that stays have to follow it; {@link #settle} then does that. */
    public void due(OffsetDateTime from, OffsetDateTime to) {
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
    public void settle() {
        while (Boolean.TRUE.equals(transaction.execute(status -> hasStep()))) {
            // one step each, so that others get the pen in between
        }
    }

    private boolean hasStep() {
        StayDue due = entities.find(StayDue.class, StayDue.ONLY);
        if (due == null) {
            return false;
        }
        OffsetDateTime since = moments.countedBack(due.toAt, STEP).orElse(due.fromAt);
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
     * Looks at those moments and at the stays that they touch.
     *
     * @param whole whether nothing before these moments waits to be brought in line too
     */
    private void derive(OffsetDateTime from, OffsetDateTime to, boolean whole) {
        entities.flush();
        Window window = window(from, to, whole);
        new StayNumbers(entities, moments).give(spans(window), overlapping(window, false));
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

    /** Whether stays still have to follow an import. */
    @Transactional(readOnly = true)
    public boolean isDue() {
        return entities.find(StayDue.class, StayDue.ONLY) != null;
    }

    /** A stretch of time, both ends included. */
    private record Window(OffsetDateTime from, OffsetDateTime to) {}

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
        moments.between(window.from, window.to, moment -> {
            boolean covered =
                    stated.getOrDefault(moment.campsite(), List.of()).stream().anyMatch(s -> s.covers(moment.at()));
            if (!covered) {
                spans.add(moment.campsite(), moment.at().toInstant());
            }
        });
        return spans.inOrder();
    }

    /** Lets the stays that a person stated at one campsite be another's, and says which they were. */
    @Transactional
    public List<Long> refile(long from, long to) {
        List<Long> ids = entities.createQuery(
                        "select s.id from Stay s where s.stated = true and s.campsiteId = :from", Long.class)
                .setParameter("from", from)
                .getResultList();
        refile(ids, to);
        return ids;
    }

    /** Lets some stays be at another campsite; what was measured there has to follow. */
    @Transactional
    public void refile(List<Long> ids, long to) {
        entities.createQuery("from Stay s where s.id in :ids", Stay.class)
                .setParameter("ids", ids)
                .getResultList()
                .forEach(stay -> stay.campsiteId = to);
        entities.flush();
    }

    /** Begins a stay now and ends the one that was open. */
    @Transactional
    public Long arrive(Long campsiteId, OffsetDateTime at) {
        entities.createQuery("from Stay s where s.leftAt is null", Stay.class)
                .getResultList()
                .forEach(open -> open.leftAt = at);
        Stay stay = new Stay(campsiteId, at, null, true);
        entities.persist(stay);
        derive(at, EVER, true);
        return stay.id;
    }

    /** Ends a stay, or lets it go on. */
    void end(Stay stay, Optional<OffsetDateTime> at) {
        stay.leftAt = at.orElse(null);
        entities.flush();
        derive(stay.arrivedAt, EVER, true);
    }
}
