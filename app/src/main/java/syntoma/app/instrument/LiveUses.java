package syntoma.app.instrument;

import jakarta.persistence.EntityManager;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What live readings took of carriers' plans, hour by hour. */
@Service
@Transactional
class LiveUses {
    private final EntityManager entities;

    LiveUses(EntityManager entities) {
        this.entities = entities;
    }

    /** Adds to what was taken in the hour of a moment. */
    void add(OffsetDateTime at, String carrier, long bytes) {
        OffsetDateTime hour = at.withOffsetSameInstant(ZoneOffset.UTC).truncatedTo(ChronoUnit.HOURS);
        LiveUse use = entities.createQuery(
                        "from LiveUse u where u.carrier = :carrier and u.hourAt = :hour", LiveUse.class)
                .setParameter("carrier", carrier)
                .setParameter("hour", hour)
                .getResultStream()
                .findFirst()
                .orElseGet(() -> new LiveUse(hour, carrier));
        use.bytes += bytes;
        entities.persist(use);
    }

    /** What was taken of a carrier's plan in the hours from a moment on until before another. */
    @Transactional(readOnly = true)
    public long bytes(String carrier, OffsetDateTime from, OffsetDateTime before) {
        return entities.createQuery(
                        "select coalesce(sum(u.bytes), 0L) from LiveUse u where u.carrier = :carrier and u.hourAt >= :from"
                                + " and u.hourAt < :before",
                        Long.class)
                .setParameter("carrier", carrier)
                .setParameter("from", from)
                .setParameter("before", before)
                .getSingleResult();
    }
}
