package syntoma.app.measurement;

import jakarta.persistence.EntityManager;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.function.Consumer;
import java.util.function.ToLongFunction;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import syntoma.core.reading.Figure;

/** The log in the order in which it was written, some columns of it, for who reads all of it. */
@Service
@Transactional(readOnly = true)
public class LogColumns {
    /** Rows that are held at a time. */
    private static final int STEP = 20_000;

    private final EntityManager entities;

    LogColumns(EntityManager entities) {
        this.entities = entities;
    }

    /** A measurement without what it measured; what is missing is null. */
    public record Attempt(
            long id,
            OffsetDateTime takenAt,
            Long campsite,
            Long setup,
            @Nullable Long carrier,
            @Nullable String band,
            @Nullable String trial,
            @Nullable Integer round,
            String outcome) {}

    /** A number that a measurement has. */
    public record NumberedValue(long id, Double value) {}

    /** How many measurements there are. */
    public long count() {
        return entities.createQuery("select count(m) from Measurement m", Long.class)
                .getSingleResult();
    }

    /** All measurements with a number above another, in the order of their numbers. */
    public void attempts(long after, Consumer<Attempt> each) {
        read(
                "select new syntoma.app.measurement.LogColumns$Attempt(m.id, m.takenAt, m.campsiteId, m.setupId,"
                        + " m.carrierId, m.band, m.trial, m.round, m.outcome) from Measurement m where m.id > :after"
                        + " order by m.id",
                Attempt.class,
                after,
                Attempt::id,
                each);
    }

    /** What those of them that have it say of a figure. */
    public void numbers(Figure figure, long after, Consumer<NumberedValue> each) {
        String field = "m." + figure.field();
        read(
                "select new syntoma.app.measurement.LogColumns$NumberedValue(m.id, " + field
                        + ") from Measurement m where m.id > :after and " + field + " is not null order by m.id",
                NumberedValue.class,
                after,
                NumberedValue::id,
                each);
    }

    private <T> void read(String query, Class<T> type, long after, ToLongFunction<T> id, Consumer<T> each) {
        long last = after;
        while (true) {
            List<T> some = entities.createQuery(query, type)
                    .setParameter("after", last)
                    .setMaxResults(STEP)
                    .getResultList();
            some.forEach(each);
            if (some.size() < STEP) {
                return;
            }
            last = id.applyAsLong(some.get(some.size() - 1));
        }
    }
}
