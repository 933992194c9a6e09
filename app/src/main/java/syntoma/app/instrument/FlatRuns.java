package syntoma.app.instrument;

import jakarta.persistence.EntityManager;
import java.util.Set;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import syntoma.core.run.Direction;

/** Which logged runs were flat, by their curves. */
@Service
@Transactional(readOnly = true)
public class FlatRuns {
    private final EntityManager entities;

    FlatRuns(EntityManager entities) {
        this.entities = entities;
    }

    /** The measurements that come from a run that was flat in a direction, by number. */
    public Set<Long> logged(Direction direction) {
        String flat = direction == Direction.DOWN ? "r.flatDown" : "r.flatUp";
        return Set.copyOf(entities.createQuery(
                        "select r.measurementId from SpeedRun r where r.measurementId is not null and " + flat
                                + " = true",
                        Long.class)
                .getResultList());
    }
}
