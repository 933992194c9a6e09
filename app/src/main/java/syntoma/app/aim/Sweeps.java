package syntoma.app.aim;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.OffsetDateTime;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import syntoma.app.campsite.Campsites;
import syntoma.app.campsite.Place;
import syntoma.app.campsite.StandingService;
import syntoma.app.instrument.Watch;
import syntoma.app.platform.ConflictException;
import syntoma.app.platform.InvalidInputException;
import syntoma.app.platform.NotFoundException;
import syntoma.core.aim.Bearing;
import syntoma.core.band.Bands;
import syntoma.core.reading.RadioMetric;
import syntoma.core.reply.Recent;
import syntoma.core.unit.Text;
import syntoma.core.unit.Values;

/** Sweeps over headings and their points. */
@Service
@Transactional
class Sweeps {
    private static final int MOST_POINTS = 100;
    private static final int LISTED = 40;
    private static final int LONGEST_CELL = 40;

    private final EntityManager entities;
    private final StandingService standing;
    private final Campsites campsites;
    private final Watch watch;
    private final Clock clock;
    private final ApplicationEventPublisher events;

    Sweeps(
            EntityManager entities,
            StandingService standing,
            Campsites campsites,
            Watch watch,
            Clock clock,
            ApplicationEventPublisher events) {
        this.entities = entities;
        this.standing = standing;
        this.campsites = campsites;
        this.watch = watch;
        this.clock = clock;
        this.events = events;
    }

    /**
     * A level at a heading.
     *
     * @param magnetic whether the heading is a compass’s
     * @param rsrpDbm as it was typed; what the router says now where it is missing
     * @param cellId of a level that was typed
     */
    record PointRequest(
            @Nullable Double headingDeg,
            @Nullable Boolean magnetic,
            @Nullable Double rsrpDbm,
            @Nullable String band,
            @Nullable String cellId) {}

    /** Where the antenna points. */
    record TurnRequest(@Nullable Double headingDeg, @Nullable Boolean magnetic) {}

    /** The latest, the last first. */
    @Transactional(readOnly = true)
    List<StoredSweep> latest() {
        return entities.createQuery("from StoredSweep s order by s.id desc", StoredSweep.class)
                .setMaxResults(LISTED)
                .getResultList();
    }

    /** Begins one with what the standing line says. */
    SweepView begin() {
        StandingService.StandingLine line = standing.line();
        StoredSweep sweep = new StoredSweep(now());
        sweep.campsite = line.campsite();
        sweep.setup = line.setup() == null ? null : line.setup().name();
        sweep.carrier = line.carrier();
        if (line.campsite() != null) {
            Place place = campsites.of(line.campsite());
            sweep.lat = place.lat() == null ? null : place.lat().doubleValue();
            sweep.lon = place.lon() == null ? null : place.lon().doubleValue();
        }
        entities.persist(sweep);
        return SweepView.of(sweep, List.of(), declination());
    }

    @Transactional(readOnly = true)
    SweepView view(long id) {
        return SweepView.of(find(id), points(id), declination());
    }

    /** Says that the antenna points to a heading, where it is held still before it is read. */
    void turn(long id, TurnRequest asked) {
        find(id);
        watch.servingNetwork();
        events.publishEvent(new AntennaTurnedEvent(trueDeg(asked.headingDeg(), asked.magnetic())));
    }

    private double trueDeg(@Nullable Double headingDeg, @Nullable Boolean magnetic) {
        if (headingDeg == null) {
            throw new InvalidInputException("headingDeg", "headingDeg is missing; allowed are 0 to 360 degrees");
        }
        double heading = InvalidInputException.naming(
                "headingDeg", () -> Values.within("headingDeg", headingDeg, 0, 360, "degrees"));
        return Boolean.TRUE.equals(magnetic) ? Bearing.ofMagnetic(heading, declination()) : heading;
    }

    /** Reads a level at a heading. */
    SweepView read(long id, PointRequest asked) {
        StoredSweep sweep = find(id);
        double trueDeg = trueDeg(asked.headingDeg(), asked.magnetic());
        if (points(id).size() >= MOST_POINTS) {
            throw new ConflictException("the sweep has " + MOST_POINTS + " levels already; begin another");
        }
        entities.persist(asked.rsrpDbm() == null ? livePoint(id, trueDeg % 360) : typedPoint(id, trueDeg % 360, asked));
        return SweepView.of(sweep, points(id), declination());
    }

    private SweepPoint typedPoint(long id, double trueDeg, PointRequest asked) {
        double dbm = InvalidInputException.naming(
                "rsrpDbm", () -> RadioMetric.RSRP.check(asked.rsrpDbm(), Optional.empty()));
        SweepPoint point = new SweepPoint(id, trueDeg, dbm, now());
        point.band = asked.band() == null || asked.band().isBlank()
                ? null
                : InvalidInputException.naming(
                        "band", () -> Bands.of(asked.band().strip()).name());
        point.cellId = asked.cellId() == null || asked.cellId().isBlank()
                ? null
                : InvalidInputException.naming("cellId", () -> Text.name("cellId", asked.cellId(), LONGEST_CELL));
        return point;
    }

    private SweepPoint livePoint(long id, double trueDeg) {
        watch.servingNetwork();
        Recent.Steady steady = watch.recent()
                .steady(RadioMetric.RSRP)
                .orElseThrow(() -> new ConflictException("the router says no level now; type the level that it shows"));
        SweepPoint point = new SweepPoint(id, trueDeg, steady.value(), now());
        point.band = steady.cell().band().orElse(null);
        point.cellId = steady.cell().cellId().orElse(null);
        return point;
    }

    /** Takes a level back, or puts it back. */
    SweepView remove(long id, long point, boolean removed) {
        StoredSweep sweep = find(id);
        SweepPoint found = Optional.ofNullable(entities.find(SweepPoint.class, point))
                .filter(p -> p.sweepId == id)
                .orElseThrow(() -> new NotFoundException("no level of this sweep has the number " + point));
        found.removed = removed;
        entities.flush();
        return SweepView.of(sweep, points(id), declination());
    }

    @Transactional(readOnly = true)
    List<SweepPoint> points(long sweep) {
        return entities.createQuery(
                        "from SweepPoint p where p.sweepId = :sweep and p.removed = false order by p.id",
                        SweepPoint.class)
                .setParameter("sweep", sweep)
                .getResultList();
    }

    @Transactional(readOnly = true)
    double declination() {
        return compass().map(compass -> compass.declinationDeg).orElse(0.0);
    }

    /** By how much the needle points east of true north here; west is negative. */
    void setDeclination(@Nullable Double deg) {
        if (deg == null) {
            throw new InvalidInputException("declinationDeg", "declinationDeg is missing");
        }
        Compass compass = compass().orElseGet(() -> {
            Compass first = Compass.first();
            entities.persist(first);
            return first;
        });
        compass.declinationDeg = InvalidInputException.naming(
                "declinationDeg", () -> Values.within("declinationDeg", deg, -90, 90, "degrees"));
    }

    /** Empty in a store that was emptied before there was a compass in it. */
    private Optional<Compass> compass() {
        return Optional.ofNullable(entities.find(Compass.class, Compass.ONLY));
    }

    private StoredSweep find(long id) {
        return Optional.ofNullable(entities.find(StoredSweep.class, id))
                .orElseThrow(() -> new NotFoundException("no sweep has the number " + id));
    }

    private OffsetDateTime now() {
        return OffsetDateTime.now(clock).truncatedTo(ChronoUnit.MILLIS);
    }
}
