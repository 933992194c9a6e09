package syntoma.app.trial;

import jakarta.persistence.EntityManager;
import java.time.OffsetDateTime;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;
import syntoma.core.design.LearnedMinutes;
import syntoma.core.state.Move;
import syntoma.core.state.Work;

/** What work takes these hands, learned from their run sheets. */
@Component
public class Pace {
    private final EntityManager entities;

    Pace(EntityManager entities) {
        this.entities = entities;
    }

    /** The minutes of each kind of work, as the latest change-overs took. */
    public Map<Work, Double> minutes() {
        Map<Work, List<Double>> last = new EnumMap<>(Work.class);
        for (Work work : Work.values()) {
            last.put(
                    work,
                    entities.createQuery(
                                    "select c.minutes from ChangeOver c where c.work = :work order by c.madeAt desc, c.id desc",
                                    Double.class)
                            .setParameter("work", work)
                            .setMaxResults(LearnedMinutes.LAST)
                            .getResultList());
        }
        return LearnedMinutes.minutes(last);
    }

    /** Keeps what a change-over took. */
    void keep(List<Move> moves, double minutes, OffsetDateTime at) {
        LearnedMinutes.share(moves, minutes).forEach((work, took) -> entities.persist(new ChangeOver(at, work, took)));
    }
}
