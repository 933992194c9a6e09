package syntoma.app.campsite;

import jakarta.persistence.EntityManager;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import syntoma.app.campsite.Moments.MeasuredMoment;

/** Keeps count of what was measured during each stay, so that the list of stays need not read the log. */
@Component
class StayTallies {
    private final EntityManager entities;
    private final Moments moments;

    StayTallies(EntityManager entities, Moments moments) {
        this.entities = entities;
        this.moments = moments;
    }

    /** A measurement came into the log, or went out of it. */
    void count(MeasuredMoment taken, boolean came) {
        int step = came ? 1 : -1;
        for (Long stay : covering(taken)) {
            StayTally tally = entities.find(StayTally.class, new StayTally.Key(stay, taken.setup()));
            if (tally == null) {
                tally = new StayTally(stay, taken.setup());
                entities.persist(tally);
            }
            tally.measured += step;
            tally.failed += taken.hasSucceeded() ? 0 : step;
            if (tally.measured <= 0) {
                entities.remove(tally);
            }
        }
    }

    private List<Long> covering(MeasuredMoment taken) {
        return entities.createQuery(
                        "select s.id from Stay s where s.campsiteId = :campsite and s.arrivedAt <= :at"
                                + " and (s.leftAt is null or s.leftAt >= :at)",
                        Long.class)
                .setParameter("campsite", taken.campsite())
                .setParameter("at", taken.at())
                .getResultList();
    }

    /** Counts a stay again. */
    void recount(Stay stay) {
        entities.flush();
        Map<Long, StayTally> left = entities.createQuery("from StayTally t where t.stayId = :stay", StayTally.class)
                .setParameter("stay", stay.id)
                .getResultStream()
                .collect(Collectors.toMap(t -> t.setupId, t -> t));
        for (Moments.Count count :
                moments.counts(stay.campsiteId, stay.arrivedAt, stay.leftAt == null ? Stays.EVER : stay.leftAt)) {
            StayTally tally = left.remove(count.setup());
            if (tally == null) {
                tally = new StayTally(stay.id, count.setup());
                entities.persist(tally);
            }
            tally.measured = count.measurements();
            tally.failed = count.failures();
        }
        left.values().forEach(entities::remove);
    }

    /** How much was measured during a stay. */
    record Sum(OffsetDateTime arrivedAt, OffsetDateTime leftAt, Long measurements) {}

    /** The sums of all stays that something was measured during, the latest first. */
    List<Sum> sums() {
        return entities.createQuery(
                        "select s.arrivedAt, s.leftAt, sum(t.measured) from Stay s join StayTally t on t.stayId = s.id"
                                + " group by s.id, s.arrivedAt, s.leftAt order by s.arrivedAt desc",
                        Sum.class)
                .getResultList();
    }

    /** All tallies by their stay, each stay's in the order in which its setups were made. */
    Map<Long, List<StayTally>> perStay() {
        return entities.createQuery("from StayTally t order by t.setupId", StayTally.class)
                .getResultStream()
                .collect(Collectors.groupingBy(t -> t.stayId));
    }
}
