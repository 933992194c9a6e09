package syntoma.app.measurement;

import jakarta.persistence.EntityManager;
import java.time.OffsetDateTime;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import syntoma.app.campsite.Stays;

/** Takes all measurements of an import out of the log again, those that were corrected since too. */
@Service
@Transactional
public class Withdrawal {
    private final EntityManager entities;
    private final Stays stays;

    Withdrawal(EntityManager entities, Stays stays) {
        this.entities = entities;
        this.stays = stays;
    }

    /**
     * Takes out what came with an entry of the journal.
     *
     * @param first when the first of them was measured
     */
    public void takeOut(long entry, OffsetDateTime first, OffsetDateTime last) {
        OffsetDateTime from = first;
        OffsetDateTime until = last;
        // one whose time was corrected since lies elsewhere
        for (OffsetDateTime at : entities.createQuery(
                        "select m.takenAt from FormerPrint f join Measurement m on m.id = f.measurementId"
                                + " where m.importId = :entry",
                        OffsetDateTime.class)
                .setParameter("entry", entry)
                .getResultList()) {
            from = at.isBefore(from) ? at : from;
            until = at.isAfter(until) ? at : until;
        }
        String rows = " where importId = :entry and takenAt >= :from and takenAt <= :until";
        entities.createQuery("delete from FormerPrint f where f.measurementId in (select m.id from Measurement m"
                        + " where m.importId = :entry and m.takenAt >= :from and m.takenAt <= :until)")
                .setParameter("entry", entry)
                .setParameter("from", from)
                .setParameter("until", until)
                .executeUpdate();
        entities.createQuery("delete from Measurement" + rows)
                .setParameter("entry", entry)
                .setParameter("from", from)
                .setParameter("until", until)
                .executeUpdate();
        entities.createQuery("delete from DeletedMeasurement d where d.importId = :entry")
                .setParameter("entry", entry)
                .executeUpdate();
        entities.createQuery("delete from KnownTrial k where not exists (select m.id from Measurement m"
                        + " where m.campsiteId = k.campsiteId and m.trial = k.name and m.takenAt >= k.firstAt"
                        + " and m.takenAt <= k.lastAt)")
                .executeUpdate();
        entities.flush();
        entities.clear();
        stays.onChanged(from, until);
    }
}
