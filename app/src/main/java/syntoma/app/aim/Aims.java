package syntoma.app.aim;

import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import syntoma.app.campsite.Campsites;
import syntoma.app.campsite.Place;
import syntoma.app.campsite.StandingService;
import syntoma.app.platform.InvalidInputException;
import syntoma.app.platform.NotFoundException;
import syntoma.core.aim.Bearing;
import syntoma.core.aim.Crossing;
import syntoma.core.aim.Pointing;
import syntoma.core.aim.Spot;
import syntoma.core.aim.Sweep;
import syntoma.core.caution.Caution;
import syntoma.core.unit.Text;

/** Where to aim: masts with their bearings from here, what sweeps found, and where bearings cross. */
@Service
@Transactional
class Aims {
    private static final int MOST_MASTS = 500;

    /** One standard deviation is half of what holds in 95 % of cases. */
    private static final double HOLDS_95 = 1.96;

    private final Masts masts;
    private final Sweeps sweeps;
    private final StandingService standing;
    private final Campsites campsites;

    Aims(Masts masts, Sweeps sweeps, StandingService standing, Campsites campsites) {
        this.masts = masts;
        this.sweeps = sweeps;
        this.standing = standing;
        this.campsites = campsites;
    }

    /**
     * A mast.
     *
     * @param estimated whether it was found by crossing bearings
     * @param longM of such a one the half-axes of the ellipse that holds it in 95 % of cases, and where the longer one points
     * @param trueDeg its bearing from here; null where it is not known where here is
     * @param far whether it is farther than cells reach
     */
    record MastView(
            long id,
            String name,
            @Nullable String carrier,
            @Nullable String cellId,
            double lat,
            double lon,
            boolean estimated,
            @Nullable Double longM,
            @Nullable Double shortM,
            @Nullable Double longDeg,
            @Nullable Double trueDeg,
            @Nullable Double magneticDeg,
            @Nullable Double km,
            boolean far) {}

    /** A sweep in the list; {@code sentence} is null under six headings. */
    record SweepLine(
            long id,
            @Nullable String campsite,
            @Nullable String setup,
            @Nullable String carrier,
            OffsetDateTime beganAt,
            int points,
            @Nullable String sentence) {}

    /**
     * Bearings of a cell from several places.
     *
     * @param key by which it is kept
     * @param problem why they do not cross; null where they do
     */
    record CrossingView(
            String key,
            @Nullable String carrier,
            @Nullable String cellId,
            List<String> places,
            @Nullable Double lat,
            @Nullable Double lon,
            @Nullable Double longM,
            @Nullable Double shortM,
            @Nullable Double longDeg,
            @Nullable Double offDeg,
            @Nullable String problem) {}

    /**
     * All of it.
     *
     * @param located whether it is known where the campsite is
     * @param masts the nearest first where it is known where here is
     * @param farKm from here on a tower is far
     * @param pointings antennas swept at one place, two and two, in words
     */
    record AimView(
            @Nullable String campsite,
            boolean located,
            double declinationDeg,
            List<MastView> masts,
            double farKm,
            List<SweepLine> sweeps,
            List<CrossingView> crossings,
            List<String> pointings,
            String caution) {}

    /** A sweep with its points and what they say. */
    private record SweepWithResult(StoredSweep sweep, List<SweepPoint> points, Optional<Sweep.Result> result) {
        /** The carrier and the cell of its points, with a slash between. */
        String key() {
            String cell = points.stream()
                    .map(p -> p.cellId)
                    .filter(c -> c != null)
                    .findFirst()
                    .orElse("");
            return (sweep.carrier == null ? "" : sweep.carrier) + "/" + cell;
        }
    }

    @Transactional(readOnly = true)
    AimView view() {
        StandingService.StandingLine line = standing.line();
        Optional<Spot> here =
                Optional.ofNullable(line.campsite()).map(campsites::of).flatMap(Aims::spot);
        double declination = sweeps.declination();
        List<SweepWithResult> done = finishedSweeps();
        return new AimView(
                line.campsite(),
                here.isPresent(),
                declination,
                shownMasts(here).stream().map(m -> view(m, here, declination)).toList(),
                Bearing.FAR_KM,
                done.stream().map(Aims::line).toList(),
                crossings(done).entrySet().stream()
                        .map(e -> crossing(e.getKey(), e.getValue()))
                        .toList(),
                pointings(done),
                Caution.MAST.says());
    }

    private static Optional<Spot> spot(Place place) {
        return place.lat() == null || place.lon() == null
                ? Optional.empty()
                : Optional.of(new Spot(place.lat().doubleValue(), place.lon().doubleValue()));
    }

    /** Those that are shown, where it is known where here is the nearest first. */
    private List<Mast> shownMasts(Optional<Spot> here) {
        return masts.all().stream()
                .sorted(here.map(from -> Comparator.comparingDouble(
                                (Mast m) -> Bearing.between(from, m.spot()).km()))
                        .orElse(Comparator.comparing((Mast m) -> m.id)))
                .limit(MOST_MASTS)
                .toList();
    }

    private static MastView view(Mast mast, Optional<Spot> here, double declination) {
        Optional<Bearing> bearing = here.map(from -> Bearing.between(from, mast.spot()));
        return new MastView(
                mast.id,
                mast.name,
                mast.carrier,
                mast.cellId,
                mast.lat,
                mast.lon,
                mast.estimated,
                mast.longMetres,
                mast.shortMetres,
                mast.longDeg,
                bearing.map(Bearing::trueDeg).orElse(null),
                bearing.map(b -> b.magneticDeg(declination)).orElse(null),
                bearing.map(Bearing::km).orElse(null),
                bearing.filter(Bearing::isFar).isPresent());
    }

    private List<SweepWithResult> finishedSweeps() {
        return sweeps.latest().stream()
                .map(sweep -> {
                    List<SweepPoint> points = sweeps.points(sweep.id);
                    return new SweepWithResult(sweep, points, SweepView.result(points));
                })
                .toList();
    }

    private static SweepLine line(SweepWithResult done) {
        StoredSweep sweep = done.sweep;
        return new SweepLine(
                sweep.id,
                sweep.campsite,
                sweep.setup,
                sweep.carrier,
                sweep.beganAt,
                done.points.size(),
                done.result.map(Sweep.Result::sentence).orElse(null));
    }

    /** The sweeps with a direction that heard one cell, from two places at least; without its identity nobody knows that it is one. */
    private static Map<String, List<SweepWithResult>> crossings(List<SweepWithResult> done) {
        Map<String, List<SweepWithResult>> byCell = new LinkedHashMap<>();
        done.stream()
                .filter(d -> d.sweep.spot().isPresent()
                        && !d.key().endsWith("/")
                        && d.result.flatMap(Sweep.Result::fit).isPresent())
                .forEach(d ->
                        byCell.computeIfAbsent(d.key(), k -> new ArrayList<>()).add(d));
        byCell.values()
                .removeIf(same ->
                        same.stream().map(d -> d.sweep.spot()).distinct().count() < 2);
        return byCell;
    }

    private static Crossing crossing(List<SweepWithResult> same) {
        return Crossing.of(same.stream()
                .map(d -> {
                    Sweep.Fit fit = d.result.flatMap(Sweep.Result::fit).orElseThrow();
                    return new Crossing.Line(d.sweep.spot().orElseThrow(), fit.bestDeg(), fit.surenessDeg() / HOLDS_95);
                })
                .toList());
    }

    private static CrossingView crossing(String key, List<SweepWithResult> same) {
        SweepWithResult first = same.get(0);
        String cell = key.substring(key.lastIndexOf('/') + 1);
        List<String> places = same.stream()
                .map(d -> d.sweep.campsite == null ? "" : d.sweep.campsite)
                .distinct()
                .toList();
        try {
            Crossing c = crossing(same);
            return new CrossingView(
                    key,
                    first.sweep.carrier,
                    cell.isEmpty() ? null : cell,
                    places,
                    c.at().lat(),
                    c.at().lon(),
                    c.longM(),
                    c.shortM(),
                    c.longDeg(),
                    c.offDeg(),
                    null);
        } catch (IllegalArgumentException no) {
            return new CrossingView(
                    key, first.sweep.carrier, cell, places, null, null, null, null, null, null, no.getMessage());
        }
    }

    /** Antennas that were swept at one place on one carrier, the latest sweep of each, two and two. */
    private static List<String> pointings(List<SweepWithResult> done) {
        List<String> said = new ArrayList<>();
        Map<String, Map<String, SweepWithResult>> there = new LinkedHashMap<>();
        done.stream().filter(d -> d.result.isPresent() && d.sweep.setup != null).forEach(d -> there.computeIfAbsent(
                        d.sweep.campsite + "/" + d.sweep.carrier, k -> new LinkedHashMap<>())
                .putIfAbsent(d.sweep.setup, d));
        there.values().forEach(bySetup -> {
            List<SweepWithResult> all = List.copyOf(bySetup.values());
            for (int i = 0; i < all.size(); i++) {
                for (int j = i + 1; j < all.size(); j++) {
                    said.add(all.get(i).sweep.campsite + ": " + pointing(all.get(i), all.get(j)));
                }
            }
        });
        return said;
    }

    private static String pointing(SweepWithResult one, SweepWithResult other) {
        return Pointing.of(one.sweep.setup, one.result.orElseThrow(), other.sweep.setup, other.result.orElseThrow())
                .sentence();
    }

    /**
     * Keeps where bearings cross as an estimated mast.
     *
     * @throws NotFoundException when no cell of that key was swept from two places
     */
    AimView keepCrossing(@Nullable String key) {
        if (key == null) {
            throw new InvalidInputException("key", "key is missing");
        }
        List<SweepWithResult> same = crossings(finishedSweeps()).get(key);
        if (same == null) {
            throw new NotFoundException("no cell " + Text.quote(key) + " was swept from two places");
        }
        Crossing crossing = InvalidInputException.naming("key", () -> crossing(same));
        String carrier = same.get(0).sweep.carrier;
        String cell = key.substring(key.lastIndexOf('/') + 1);
        masts.keep(crossing, carrier, cell.isEmpty() ? null : cell);
        return view();
    }

    AimView setDeclination(@Nullable Double deg) {
        sweeps.setDeclination(deg);
        return view();
    }
}
