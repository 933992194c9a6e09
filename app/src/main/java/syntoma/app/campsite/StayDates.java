package syntoma.app.campsite;

import jakarta.persistence.EntityManager;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import syntoma.app.platform.NotFoundException;

/** When stays began and ended, as a person says it; what was measured follows. */
@Service
@Transactional
public class StayDates {
    private final EntityManager entities;
    private final Campsites campsites;
    private final Stays stays;

    StayDates(EntityManager entities, Campsites campsites, Stays stays) {
        this.entities = entities;
        this.campsites = campsites;
        this.stays = stays;
    }

    /**
     * One stay.
     *
     * @param leftAt null while the vehicle is there
     * @param isStated said by a person; else derived from the times of the measurements
     */
    public record Dates(long campsite, OffsetDateTime arrivedAt, @Nullable OffsetDateTime leftAt, boolean isStated) {
        /** Whether two stays share more than a moment. */
        boolean overlaps(Dates other) {
            return arrivedAt.isBefore(other.end()) && other.arrivedAt.isBefore(end());
        }

        public OffsetDateTime end() {
            return leftAt == null ? Stays.EVER : leftAt;
        }

        public boolean covers(OffsetDateTime from, OffsetDateTime to) {
            return !from.isBefore(arrivedAt) && !to.isAfter(end());
        }
    }

    /**
     * A stay's dates.
     *
     * @throws NotFoundException when there is no such stay
     */
    @Transactional(readOnly = true)
    public Dates of(long id) {
        return dates(require(id));
    }

    /** The name of the place of some dates. */
    @Transactional(readOnly = true)
    public String place(Dates dates) {
        return campsites.name(dates.campsite).orElseThrow();
    }

    private Stay require(long id) {
        return stays.find(id).orElseThrow(() -> new NotFoundException("no stay has the number " + id));
    }

    private static Dates dates(Stay stay) {
        return new Dates(stay.campsiteId, stay.arrivedAt, stay.leftAt, stay.stated);
    }

    /** Another stay that dates overlap and that overlaps none of before; derived ones at the same place give way. */
    @Transactional(readOnly = true)
    public Optional<Dates> inTheWay(long id, Dates wanted) {
        Stay own = require(id);
        Dates before = dates(own);
        return entities.createQuery("from Stay s where s.id <> :id order by s.arrivedAt", Stay.class)
                .setParameter("id", own.id)
                .getResultStream()
                .map(StayDates::dates)
                .filter(other -> other.isStated || other.campsite != wanted.campsite)
                .filter(other -> other.overlaps(wanted) && !other.overlaps(before))
                .findFirst();
    }

    /** The stays at a campsite. */
    @Transactional(readOnly = true)
    public List<Dates> at(long campsite) {
        return entities.createQuery("from Stay s where s.campsiteId = :campsite order by s.arrivedAt", Stay.class)
                .setParameter("campsite", campsite)
                .getResultStream()
                .map(StayDates::dates)
                .toList();
    }

    /** A stay that the dates of a new one overlap; derived ones at the same place give way. */
    @Transactional(readOnly = true)
    public Optional<Dates> inTheWay(Dates wanted) {
        return entities.createQuery(
                        "from Stay s where s.arrivedAt < :end and (s.leftAt is null or s.leftAt > :begin) order by s.arrivedAt",
                        Stay.class)
                .setParameter("begin", wanted.arrivedAt)
                .setParameter("end", wanted.end())
                .getResultStream()
                .map(StayDates::dates)
                .filter(other -> other.isStated || other.campsite != wanted.campsite)
                .findFirst();
    }

    /** Sets a stay's dates. */
    public void set(long id, Dates wanted) {
        Stay stay = require(id);
        Dates before = dates(stay);
        stay.campsiteId = wanted.campsite;
        stay.arrivedAt = wanted.arrivedAt;
        stay.leftAt = wanted.leftAt;
        stay.stated = wanted.isStated;
        if (!stay.covers(stay.anchorAt)) {
            stay.anchorAt = stay.arrivedAt;
        }
        follow(before, wanted);
    }

    /** Adds a stay. */
    public long add(Dates wanted) {
        Stay stay = new Stay(wanted.campsite, wanted.arrivedAt, wanted.leftAt, wanted.isStated);
        entities.persist(stay);
        follow(wanted, wanted);
        return stay.id;
    }

    /** Takes a stay away; what was measured during it stays in the log. */
    public void drop(long id) {
        Stay stay = require(id);
        Dates before = dates(stay);
        entities.persist(new FormerStay(stay));
        entities.remove(stay);
        follow(before, before);
    }

    private void follow(Dates before, Dates after) {
        entities.flush();
        OffsetDateTime from = before.arrivedAt.isBefore(after.arrivedAt) ? before.arrivedAt : after.arrivedAt;
        OffsetDateTime until = before.end().isAfter(after.end()) ? before.end() : after.end();
        stays.onChanged(from, until);
    }

    /** The stay that the standing line names stands on; empty when it names none. */
    @Transactional(readOnly = true)
    public Optional<Long> standingStay() {
        return Optional.ofNullable(entities.find(StandingRow.class, StandingRow.ONLY).stayId);
    }

    /** Lets the standing line name another stay. */
    public void stand(long id) {
        entities.find(StandingRow.class, StandingRow.ONLY).stayId = id;
        entities.flush();
    }
}
