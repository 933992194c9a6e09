package syntoma.app.logbook;

import jakarta.persistence.EntityManager;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import syntoma.core.trial.Outcome;

/** Keeps count of what was measured during each stay, so that the list of stays need not read the log. */
@Component
class StayTallies {
    private final EntityManager entities;

    StayTallies(EntityManager entities) {
        this.entities = entities;
    }

    /** A measurement came into the log, or went out of it. */
    void count(Measurement measurement, boolean came) {
        int step = came ? 1 : -1;
        boolean failed = !measurement.ok();
        for (Long stay : covering(measurement.campsiteId, measurement.takenAt)) {
            StayTally tally = entities.find(StayTally.class, new StayTally.Key(stay, measurement.setupId));
            if (tally == null) {
                tally = new StayTally(stay, measurement.setupId);
                entities.persist(tally);
            }
            tally.measured += step;
            tally.failed += failed ? step : 0;
            if (tally.measured <= 0) {
                entities.remove(tally);
            }
        }
    }

    private List<Long> covering(Long campsite, OffsetDateTime at) {
        return entities.createQuery(
                        "select s.id from Stay s where s.campsiteId = :campsite and s.arrivedAt <= :at"
                                + " and (s.leftAt is null or s.leftAt >= :at)",
                        Long.class)
                .setParameter("campsite", campsite)
                .setParameter("at", at)
                .getResultList();
    }

    /** Counts a stay anew. */
    void recount(Stay stay) {
        entities.flush();
        entities.createQuery("delete from StayTally t where t.stayId = :stay")
                .setParameter("stay", stay.id)
                .executeUpdate();
        entities.createQuery("insert into StayTally (stayId, setupId, measured, failed)"
                        + " select :stay, m.setupId, count(m), sum(case when m.outcome = :ok then 0 else 1 end)"
                        + " from Measurement m where m.campsiteId = :campsite and m.takenAt >= :from"
                        + " and m.takenAt <= :to group by m.setupId")
                .setParameter("stay", stay.id)
                .setParameter("ok", Outcome.OK.label())
                .setParameter("campsite", stay.campsiteId)
                .setParameter("from", stay.arrivedAt)
                .setParameter("to", stay.leftAt == null ? StayService.EVER : stay.leftAt)
                .executeUpdate();
    }

    /** All tallies by their stay, each stay's in the order in which its setups were made. */
    Map<Long, List<StayTally>> perStay() {
        return entities.createQuery("from StayTally t order by t.setupId", StayTally.class)
                .getResultStream()
                .collect(Collectors.groupingBy(t -> t.stayId));
    }
}
