package syntoma.app.logbook;

import jakarta.persistence.EntityManager;
import jakarta.persistence.TypedQuery;
import java.math.BigDecimal;
import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.stream.Collectors;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import syntoma.app.platform.NotFound;
import syntoma.core.reading.Figure;
import syntoma.core.trial.Outcome;
import syntoma.core.trial.Sample;
import syntoma.core.unit.Text;

/** The log: what other features read of it, and the names that they add to it. */
@Service
@Transactional(readOnly = true)
public class Logbook {
    /** The most characters of a campsite's, a setup's or a carrier's name. */
    public static final int LONGEST_NAME = 120;

    private final EntityManager entities;
    private final Names names;
    private final StayService stays;
    private final StayTallies tallies;
    private final KnownTrials trials;
    private final Clock clock;

    Logbook(
            EntityManager entities,
            Names names,
            StayService stays,
            StayTallies tallies,
            KnownTrials trials,
            Clock clock) {
        this.entities = entities;
        this.names = names;
        this.stays = stays;
        this.tallies = tallies;
        this.trials = trials;
        this.clock = clock;
    }

    /** A campsite, with coordinates in degrees as they were written. */
    public record Place(long id, String name, @Nullable BigDecimal lat, @Nullable BigDecimal lon) {}

    /** A setup with the number of its pennant. */
    public record SetupName(long id, String name, int pennant) {}

    /** A carrier. */
    public record CarrierName(long id, String name) {}

    /** One visit, with what was logged during it. */
    public record Visit(
            long id,
            long campsiteId,
            String campsite,
            OffsetDateTime arrivedAt,
            @Nullable OffsetDateTime leftAt,
            long measurements,
            long failed,
            List<String> setups) {}

    /** Which measurements: empty parts do not restrict. */
    public record Selection(
            Optional<Long> campsite, Optional<Long> stay, Optional<String> trial, List<String> setups, int limit) {
        /** Everything at one campsite. */
        public static Selection at(long campsite) {
            return new Selection(Optional.of(campsite), Optional.empty(), Optional.empty(), List.of(), 0);
        }

        public Selection ofTrial(String name) {
            return new Selection(campsite, stay, Optional.of(name), setups, limit);
        }

        public Selection duringStay(long id) {
            return new Selection(campsite, Optional.of(id), trial, setups, limit);
        }

        private boolean isOfAll() {
            return campsite.isEmpty() && stay.isEmpty() && trial.isEmpty() && setups.isEmpty();
        }
    }

    /** All campsites by name. */
    public List<Place> campsites() {
        return entities.createQuery("from Campsite c order by c.name", Campsite.class).getResultList().stream()
                .map(c -> new Place(c.id, c.name, decimal(c.lat), decimal(c.lon)))
                .toList();
    }

    /** Adds a campsite with its coordinates in degrees. */
    @Transactional
    public void addCampsite(String name, String lat, String lon) {
        names.open(Names.Making.HERE).campsite(name, lat, lon);
    }

    private static BigDecimal decimal(String text) {
        return text == null ? null : new BigDecimal(text);
    }

    /**
     * A campsite by name.
     *
     * @throws NotFound when there is none
     */
    public Place campsite(String name) {
        return campsites().stream()
                .filter(c -> c.name().equals(name))
                .findFirst()
                .orElseThrow(() -> new NotFound("no campsite is named " + Text.quoted(name)));
    }

    /** The setup of a name, made when it is new. */
    @Transactional
    public SetupName addSetup(String name) {
        names.open(Names.Making.HERE).setup(StandingService.name("name", name));
        return setup(name.strip());
    }

    /** The carrier of a name, made when it is new. */
    @Transactional
    public CarrierName addCarrier(String name) {
        Long id = names.open(Names.Making.HERE).carrier(StandingService.name("carrier", name));
        return new CarrierName(id, name.strip());
    }

    /** How many measurements a setup has from a moment on. */
    public long measured(long setup, OffsetDateTime since) {
        return entities.createQuery(
                        "select count(m) from Measurement m where m.setupId = :setup and m.takenAt >= :since",
                        Long.class)
                .setParameter("setup", setup)
                .setParameter("since", since)
                .getSingleResult();
    }

    /** How many measurements each setup has, by its number; none for those that have none. */
    public Map<Long, Long> measuredPerSetup() {
        return entities.createQuery("select m.setupId, count(m) from Measurement m group by m.setupId", Object[].class)
                .getResultStream()
                .collect(Collectors.toMap(row -> (Long) row[0], row -> (Long) row[1]));
    }

    /** All setups in the order of their making. */
    public List<SetupName> setups() {
        return entities.createQuery("from Setup s order by s.id", Setup.class).getResultList().stream()
                .map(s -> new SetupName(s.id, s.name, s.pennant))
                .toList();
    }

    /**
     * A setup by name.
     *
     * @throws NotFound when there is none
     */
    public SetupName setup(String name) {
        return setups().stream()
                .filter(s -> s.name().equals(name))
                .findFirst()
                .orElseThrow(() -> new NotFound("no setup is named " + Text.quoted(name)));
    }

    /** All carriers by name. */
    public List<CarrierName> carriers() {
        return entities.createQuery("from Carrier c order by c.name", Carrier.class).getResultList().stream()
                .map(c -> new CarrierName(c.id, c.name))
                .toList();
    }

    /** All visits, the latest first; read from what was counted, not from the log. */
    public List<Visit> visits() {
        Map<Long, String> places = campsites().stream().collect(Collectors.toMap(Place::id, Place::name));
        Map<Long, String> setups = setupNames();
        Map<Long, List<StayTally>> perStay = tallies.perStay();
        return stays.all().stream()
                .sorted((a, b) -> b.arrivedAt.compareTo(a.arrivedAt))
                .map(stay -> {
                    List<StayTally> counted = perStay.getOrDefault(stay.id, List.of());
                    return new Visit(
                            stay.id,
                            stay.campsiteId,
                            places.get(stay.campsiteId),
                            stay.arrivedAt,
                            stay.leftAt,
                            counted.stream().mapToLong(t -> t.measured).sum(),
                            counted.stream().mapToLong(t -> t.failed).sum(),
                            counted.stream().map(t -> setups.get(t.setupId)).toList());
                })
                .toList();
    }

    private Map<Long, String> setupNames() {
        return setups().stream().collect(Collectors.toMap(SetupName::id, SetupName::name));
    }

    /**
     * One visit.
     *
     * @throws NotFound when there is none
     */
    public Visit visit(long id) {
        return visits().stream()
                .filter(v -> v.id() == id)
                .findFirst()
                .orElseThrow(() -> new NotFound("no stay has the number " + id));
    }

    /** Measurements in the order of time; with a limit, the latest ones, the latest first. */
    public List<LoggedMeasurement> measurements(Selection selection) {
        StringBuilder where = new StringBuilder("from Measurement m where true");
        Map<String, Object> parameters = new HashMap<>();
        Map<Long, String> setups = setupNames();
        selection.campsite().ifPresent(id -> restrict(where, parameters, "m.campsiteId = :campsite", "campsite", id));
        if (selection.trial().isPresent()) {
            String name = selection.trial().get();
            restrict(where, parameters, "m.trial = :trial", "trial", name);
            List<KnownTrial> known = trials.named(name).stream()
                    .filter(t -> selection.campsite().map(t.campsiteId::equals).orElse(true))
                    .toList();
            if (known.isEmpty()) {
                return List.of();
            }
            OffsetDateTime first = known.stream()
                    .map(t -> t.firstAt)
                    .min(OffsetDateTime.timeLineOrder())
                    .orElseThrow();
            OffsetDateTime last = known.stream()
                    .map(t -> t.lastAt)
                    .max(OffsetDateTime.timeLineOrder())
                    .orElseThrow();
            restrict(where, parameters, "m.takenAt >= :begun", "begun", first);
            restrict(where, parameters, "m.takenAt <= :ended", "ended", last);
        }
        if (!selection.setups().isEmpty()) {
            List<Long> wanted = setups.keySet().stream()
                    .filter(id -> selection.setups().contains(setups.get(id)))
                    .toList();
            restrict(where, parameters, "m.setupId in :setups", "setups", wanted);
        }
        List<Stay> all = stays.all();
        selection.stay().ifPresent(id -> {
            Stay stay = all.stream()
                    .filter(s -> s.id.equals(id))
                    .findFirst()
                    .orElseThrow(() -> new NotFound("no stay has the number " + id));
            restrict(where, parameters, "m.campsiteId = :site", "site", stay.campsiteId);
            restrict(where, parameters, "m.takenAt >= :from", "from", stay.arrivedAt);
            if (stay.leftAt != null) {
                restrict(where, parameters, "m.takenAt <= :to", "to", stay.leftAt);
            }
        });
        boolean latest = selection.limit() > 0;
        if (latest && selection.isOfAll()) {
            stays.spanOfLatest(selection.limit()).ifPresent(span -> {
                restrict(where, parameters, "m.takenAt >= :first", "first", span.from());
                restrict(where, parameters, "m.takenAt <= :last", "last", span.to());
            });
        }
        // one table in the statement, so that its index serves the order
        TypedQuery<Measurement> query = entities.createQuery(
                where + (latest ? " order by m.takenAt desc, m.id desc" : " order by m.takenAt, m.id"),
                Measurement.class);
        parameters.forEach(query::setParameter);
        if (latest) {
            query.setMaxResults(selection.limit());
        }
        Map<Long, String> places = campsites().stream().collect(Collectors.toMap(Place::id, Place::name));
        Map<Long, String> networks = carriers().stream().collect(Collectors.toMap(CarrierName::id, CarrierName::name));
        Map<Long, List<Stay>> perCampsite = all.stream().collect(Collectors.groupingBy(s -> s.campsiteId));
        return query.getResultStream()
                .map(m -> {
                    Long stay = perCampsite.getOrDefault(m.campsiteId, List.of()).stream()
                            .filter(s -> s.covers(m.takenAt))
                            .map(s -> s.id)
                            .findFirst()
                            .orElse(null);
                    String carrier = m.carrierId == null ? null : networks.get(m.carrierId);
                    return LoggedMeasurement.of(m, places.get(m.campsiteId), stay, setups.get(m.setupId), carrier);
                })
                .toList();
    }

    private static void restrict(
            StringBuilder where, Map<String, Object> parameters, String condition, String name, Object value) {
        where.append(" and ").append(condition);
        parameters.put(name, value);
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
                            m.outcome().equals(Outcome.OK.label()),
                            value == null ? OptionalDouble.empty() : OptionalDouble.of(value.doubleValue()));
                })
                .toList();
    }

    /** The trials that measurements name: campsite, name, and when the first and the last was taken. */
    public List<TrialSpan> trials() {
        return entities.createQuery(
                        "select new syntoma.app.logbook.Logbook$TrialSpan(m.campsiteId, c.name, m.trial, min(m.takenAt),"
                                + " max(m.takenAt), count(distinct m.round), count(distinct m.setupId))"
                                + " from KnownTrial k join Measurement m on m.campsiteId = k.campsiteId"
                                + " and m.takenAt >= k.firstAt and m.takenAt <= k.lastAt and m.trial = k.name"
                                + " join Campsite c on c.id = m.campsiteId group by m.campsiteId, c.name, m.trial"
                                + " order by min(m.takenAt) desc",
                        TrialSpan.class)
                .getResultList();
    }

    /** A trial as the measurements tell it. */
    public record TrialSpan(
            long campsiteId,
            String campsite,
            String name,
            OffsetDateTime from,
            OffsetDateTime to,
            long rounds,
            long setups) {}

    /** The time now, with this machine's offset. */
    public OffsetDateTime now() {
        return OffsetDateTime.now(clock);
    }
}
