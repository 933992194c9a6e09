package syntoma.app.measurement;

import jakarta.persistence.EntityManager;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import syntoma.app.campsite.Moments;
import syntoma.app.setup.SetupMeasurements;
import syntoma.core.trial.Outcome;

/** What campsites and setups ask of the log. */
@Component
@Transactional(readOnly = true)
class LogMoments implements Moments, SetupMeasurements {
    private final EntityManager entities;

    LogMoments(EntityManager entities) {
        this.entities = entities;
    }

    @Override
    public Map<Long, Long> perSetup() {
        return entities.createQuery("select m.setupId, count(m) from Measurement m group by m.setupId", Object[].class)
                .getResultStream()
                .collect(Collectors.toMap(row -> (Long) row[0], row -> (Long) row[1]));
    }

    @Override
    @Transactional(readOnly = true)
    public boolean hasEver(long setup) {
        return count("Measurement", setup) + count("DeletedMeasurement", setup) > 0;
    }

    private long count(String entity, long setup) {
        return entities.createQuery("select count(m) from " + entity + " m where m.setupId = :setup", Long.class)
                .setParameter("setup", setup)
                .getSingleResult();
    }

    @Override
    public long during(long setup, OffsetDateTime from, @Nullable OffsetDateTime before) {
        return entities.createQuery(
                        "select count(m) from Measurement m where m.setupId = :setup and m.takenAt >= :from"
                                + " and m.takenAt < :before",
                        Long.class)
                .setParameter("setup", setup)
                .setParameter("from", from)
                .setParameter("before", before == null ? OffsetDateTime.MAX.withYear(9999) : before)
                .getSingleResult();
    }

    @Override
    public void between(OffsetDateTime from, OffsetDateTime to, Consumer<Moment> each) {
        entities.createQuery(
                        "select m.campsiteId, m.takenAt from Measurement m where m.takenAt >= :from and m.takenAt <= :to"
                                + " order by m.takenAt desc, m.id desc",
                        Object[].class)
                .setParameter("from", from)
                .setParameter("to", to)
                .getResultStream()
                .forEach(row -> each.accept(moment(row)));
    }

    private static Moment moment(Object[] row) {
        return new Moment((Long) row[0], (OffsetDateTime) row[1]);
    }

    @Override
    public Optional<OffsetDateTime> countedBack(OffsetDateTime to, int count) {
        return entities
                .createQuery(
                        "select m.takenAt from Measurement m where m.takenAt <= :to"
                                + " order by m.takenAt desc, m.id desc",
                        OffsetDateTime.class)
                .setParameter("to", to)
                .setFirstResult(count)
                .setMaxResults(1)
                .getResultList()
                .stream()
                .findFirst();
    }

    @Override
    public Optional<Moment> lastBefore(OffsetDateTime at) {
        return next("m.takenAt < :at order by m.takenAt desc, m.id desc", at);
    }

    @Override
    public Optional<Moment> firstAfter(OffsetDateTime at) {
        return next("m.takenAt > :at order by m.takenAt, m.id", at);
    }

    private Optional<Moment> next(String condition, OffsetDateTime at) {
        return entities
                .createQuery("select m.campsiteId, m.takenAt from Measurement m where " + condition, Object[].class)
                .setParameter("at", at)
                .setMaxResults(1)
                .getResultList()
                .stream()
                .findFirst()
                .map(LogMoments::moment);
    }

    @Override
    public OffsetDateTime local(long campsite, Instant at) {
        return entities.createQuery(
                        "select m.takenAt from Measurement m where m.campsiteId = :campsite and m.takenAt = :at",
                        OffsetDateTime.class)
                .setParameter("campsite", campsite)
                .setParameter("at", at.atOffset(ZoneOffset.UTC))
                .setMaxResults(1)
                .getSingleResult();
    }

    @Override
    public List<Count> counts(long campsite, OffsetDateTime from, OffsetDateTime to) {
        return entities.createQuery(
                        "select m.setupId, count(m), sum(case when m.outcome = :ok then 0 else 1 end)"
                                + " from Measurement m where m.campsiteId = :campsite and m.takenAt >= :from"
                                + " and m.takenAt <= :to group by m.setupId",
                        Object[].class)
                .setParameter("ok", Outcome.OK.label())
                .setParameter("campsite", campsite)
                .setParameter("from", from)
                .setParameter("to", to)
                .getResultStream()
                .map(row -> new Count((Long) row[0], (Long) row[1], (Long) row[2]))
                .toList();
    }
}
