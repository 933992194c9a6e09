package syntoma.app.measurement;

import jakarta.persistence.EntityManager;
import jakarta.persistence.TypedQuery;
import java.math.BigDecimal;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.stream.Collectors;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import syntoma.app.campsite.Campsites;
import syntoma.app.campsite.StayTime;
import syntoma.app.campsite.Visits;
import syntoma.app.history.Edits;
import syntoma.app.need.Carriers;
import syntoma.app.platform.NotFoundException;
import syntoma.app.setup.Setups;
import syntoma.core.reading.Figure;
import syntoma.core.trial.Sample;

/** What was measured. */
@Service
@Transactional(readOnly = true)
public class Measurements {
    private final EntityManager entities;
    private final Campsites campsites;
    private final Setups setups;
    private final Carriers carriers;
    private final Visits visits;
    private final KnownTrials trials;
    private final Edits edits;

    Measurements(
            EntityManager entities,
            Campsites campsites,
            Setups setups,
            Carriers carriers,
            Visits visits,
            KnownTrials trials,
            Edits edits) {
        this.entities = entities;
        this.campsites = campsites;
        this.setups = setups;
        this.carriers = carriers;
        this.visits = visits;
        this.trials = trials;
        this.edits = edits;
    }

    /**
     * Measurements in the order of time; with a limit, the latest ones, the latest first.
     *
     * @throws NotFoundException when there is no such stay
     */
    public List<LoggedMeasurement> list(Selection selection) {
        List<StayTime> all = visits.times();
        Map<Long, String> setupNames = setups.names();
        Criteria criteria = new Criteria();
        selection.campsite().ifPresent(id -> criteria.and("m.campsiteId = :campsite", "campsite", id));
        if (selection.trial().isPresent() && !isOfTrial(criteria, selection)) {
            return List.of();
        }
        if (!selection.setups().isEmpty()) {
            List<Long> wanted = setupNames.keySet().stream()
                    .filter(id -> selection.setups().contains(setupNames.get(id)))
                    .toList();
            criteria.and("m.setupId in :setups", "setups", wanted);
        }
        selection.stay().ifPresent(id -> duringStay(criteria, id, all));
        boolean latest = selection.limit() > 0;
        if (latest && selection.isOfAll()) {
            visits.spanOfLatest(selection.limit())
                    .ifPresent(span -> criteria.and("m.takenAt >= :first", "first", span.from())
                            .and("m.takenAt <= :last", "last", span.to()));
        }
        // one table in the statement, so that its index serves the order
        TypedQuery<Measurement> query = entities.createQuery(
                "from Measurement m" + criteria.condition()
                        + (latest ? " order by m.takenAt desc, m.id desc" : " order by m.takenAt, m.id"),
                Measurement.class);
        criteria.bind(query);
        if (latest) {
            query.setMaxResults(selection.limit());
        }
        Map<Long, String> places = campsites.names();
        Map<Long, String> networks = carriers.names();
        Map<Long, Integer> versions = edits.versions(Edits.Kind.MEASUREMENT);
        Map<Long, List<StayTime>> perCampsite = all.stream().collect(Collectors.groupingBy(StayTime::campsiteId));
        return query.getResultStream()
                .map(m -> LoggedMeasurement.of(
                        m,
                        places.get(m.campsiteId),
                        stay(m, perCampsite.getOrDefault(m.campsiteId, List.of())),
                        setupNames.get(m.setupId),
                        m.carrierId == null ? null : networks.get(m.carrierId),
                        versions.getOrDefault(m.id, 0)))
                .toList();
    }

    private static Long stay(Measurement m, List<StayTime> there) {
        return there.stream()
                .filter(s -> s.covers(m.takenAt))
                .map(StayTime::id)
                .findFirst()
                .orElse(null);
    }

    /** False when there is no such trial. */
    private boolean isOfTrial(Criteria criteria, Selection selection) {
        String name = selection.trial().orElseThrow();
        List<KnownTrial> known = trials.ofName(name).stream()
                .filter(t -> selection.campsite().map(t.campsiteId::equals).orElse(true))
                .toList();
        if (known.isEmpty()) {
            return false;
        }
        criteria.and("m.trial = :trial", "trial", name)
                .and(
                        "m.takenAt >= :begun",
                        "begun",
                        known.stream()
                                .map(t -> t.firstAt)
                                .min(OffsetDateTime.timeLineOrder())
                                .orElseThrow())
                .and(
                        "m.takenAt <= :ended",
                        "ended",
                        known.stream()
                                .map(t -> t.lastAt)
                                .max(OffsetDateTime.timeLineOrder())
                                .orElseThrow());
        return true;
    }

    private static void duringStay(Criteria criteria, Long id, List<StayTime> all) {
        StayTime stay = all.stream()
                .filter(s -> s.id() == id)
                .findFirst()
                .orElseThrow(() -> new NotFoundException("no stay has the number " + id));
        criteria.and("m.campsiteId = :site", "site", stay.campsiteId())
                .and("m.takenAt >= :from", "from", stay.arrivedAt());
        if (stay.leftAt() != null) {
            criteria.and("m.takenAt <= :to", "to", stay.leftAt());
        }
    }

    /** What advice goes by of a measurement; what is missing is null. */
    public record BareMeasurement(
            long id,
            OffsetDateTime takenAt,
            Long campsite,
            Long setup,
            @Nullable Long carrier,
            String outcome,
            @Nullable Double rsrpDbm,
            @Nullable Double sinrDb,
            @Nullable Double downMbps,
            @Nullable Double upMbps,
            @Nullable Double downLoadedMs,
            @Nullable Double upLoadedMs,
            @Nullable Double lossPct) {}

    private static final String BARE =
            "select new syntoma.app.measurement.Measurements$BareMeasurement(m.id, m.takenAt, m.campsiteId, m.setupId,"
                    + " m.carrierId, m.outcome, m.rsrpDbm, m.sinrDb, m.downMbps, m.upMbps, m.downLoadedMs,"
                    + " m.upLoadedMs, m.lossPct) from Measurement m";

    /** The latest of the log, without its texts, the latest first. */
    public List<BareMeasurement> bare(int most) {
        return entities.createQuery(BARE + " order by m.takenAt desc, m.id desc", BareMeasurement.class)
                .setMaxResults(most)
                .getResultList();
    }

    /** What was measured with one setup on one carrier at one campsite from a moment on until before another. */
    public List<BareMeasurement> bare(
            long campsite, long setup, long carrier, OffsetDateTime from, OffsetDateTime before) {
        return entities.createQuery(
                        BARE + " where m.takenAt >= :from and m.takenAt < :before and m.campsiteId = :campsite"
                                + " and m.setupId = :setup and m.carrierId = :carrier order by m.takenAt, m.id",
                        BareMeasurement.class)
                .setParameter("from", from)
                .setParameter("before", before)
                .setParameter("campsite", campsite)
                .setParameter("setup", setup)
                .setParameter("carrier", carrier)
                .getResultList();
    }

    /** Measurements as the comparison needs them, for one metric. */
    public static List<Sample> samples(List<LoggedMeasurement> measurements, Figure metric) {
        return measurements.stream()
                .map(m -> {
                    BigDecimal value = m.value(metric);
                    return new Sample(
                            m.takenAt().toInstant(),
                            m.stay() == null ? 0 : m.stay(),
                            m.carrier() == null ? "" : m.carrier(),
                            m.setup(),
                            m.trial() == null ? "" : m.trial(),
                            m.round() == null ? OptionalInt.empty() : OptionalInt.of(m.round()),
                            m.band() == null ? "" : m.band(),
                            m.hasSucceeded(),
                            value == null ? OptionalDouble.empty() : OptionalDouble.of(value.doubleValue()));
                })
                .toList();
    }

    /** How many measurements a trial has, and the number of the latest; 0 where there is none. */
    public record Extent(long count, long last) {}

    /** How far a trial is; cheap, for those who look all the time. */
    public Extent extent(long campsite, String trial) {
        return entities.createQuery(
                        "select new syntoma.app.measurement.Measurements$Extent(count(m), coalesce(max(m.id), 0L))"
                                + " from Measurement m where m.campsiteId = :campsite and m.trial = :trial",
                        Extent.class)
                .setParameter("campsite", campsite)
                .setParameter("trial", trial)
                .getSingleResult();
    }

    /** The trials that measurements name, the latest first. */
    public List<TrialSpan> trials() {
        Map<Long, String> places = campsites.names();
        return entities.createQuery(
                        "select m.campsiteId, m.trial, min(m.takenAt), max(m.takenAt), count(distinct m.round),"
                                + " count(distinct m.setupId) from KnownTrial k join Measurement m"
                                + " on m.campsiteId = k.campsiteId and m.takenAt >= k.firstAt and m.takenAt <= k.lastAt"
                                + " and m.trial = k.name group by m.campsiteId, m.trial order by min(m.takenAt) desc",
                        Object[].class)
                .getResultStream()
                .map(row -> new TrialSpan(
                        (Long) row[0],
                        places.get((Long) row[0]),
                        (String) row[1],
                        (OffsetDateTime) row[2],
                        (OffsetDateTime) row[3],
                        (Long) row[4],
                        (Long) row[5]))
                .toList();
    }
}
