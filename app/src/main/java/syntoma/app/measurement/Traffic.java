package syntoma.app.measurement;

import jakarta.persistence.EntityManager;
import java.time.OffsetDateTime;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What runs in the log moved, by their rates. */
@Service
@Transactional(readOnly = true)
public class Traffic {
    private final EntityManager entities;

    Traffic(EntityManager entities) {
        this.entities = entities;
    }

    /**
     * Runs of a carrier.
     *
     * @param mbps their rates down and up, all together
     * @param atCap those of them that ran into a speed, within a twentieth of it, in the direction that is capped
     */
    public record Sums(long runs, double mbps, long atCap) {}

    /**
     * The runs of a carrier from a moment on until before another.
     *
     * @param capMbps what counts as having run into it; 0 for none
     */
    public Sums of(long carrier, OffsetDateTime from, OffsetDateTime before, double capMbps) {
        // a month is a small part of a long log, and a carrier may be most of it: the sum keeps to the index by time
        return entities.createQuery(
                        "select new syntoma.app.measurement.Traffic$Sums(count(m), coalesce(sum(coalesce(m.downMbps, 0.0) +"
                                + " coalesce(m.upMbps, 0.0)), 0.0), coalesce(sum(case when :cap > 0 and m.downMbps >= :low"
                                + " and m.downMbps <= :high then 1L else 0L end), 0L)) from Measurement m where m.takenAt >="
                                + " :from and m.takenAt < :before and m.carrierId + 0 = :carrier and m.outcome = 'ok' and"
                                + " (m.downMbps is not null or m.upMbps is not null)",
                        Sums.class)
                .setParameter("cap", capMbps)
                .setParameter("low", capMbps * 0.95)
                .setParameter("high", capMbps * 1.05)
                .setParameter("from", from)
                .setParameter("before", before)
                .setParameter("carrier", carrier)
                .getSingleResult();
    }
}
