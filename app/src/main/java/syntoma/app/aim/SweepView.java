package syntoma.app.aim;

import java.time.OffsetDateTime;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.springframework.lang.Nullable;
import syntoma.core.aim.Bearing;
import syntoma.core.aim.Sweep;

/**
 * A sweep with what it says so far.
 *
 * @param nextDeg the true heading to read next; null when there is one every 30°
 * @param result null under six headings
 */
record SweepView(
        long id,
        @Nullable String campsite,
        @Nullable String setup,
        @Nullable String carrier,
        OffsetDateTime beganAt,
        List<PointView> points,
        @Nullable Double nextDeg,
        @Nullable Double nextMagneticDeg,
        @Nullable ResultOf result) {
    private static final int EVERY_DEG = 30;

    /** How near to a heading it counts as read. */
    private static final double NEAR_DEG = 10;

    private static final int CURVE_DEG = 5;

    /**
     * A level at a heading.
     *
     * @param counts whether it is of the band on which most of them are; others are not compared with it
     */
    record PointView(
            long id,
            double headingDeg,
            double magneticDeg,
            double rsrpDbm,
            @Nullable String band,
            @Nullable String cellId,
            boolean counts) {}

    /**
     * What it says.
     *
     * @param fit null where no direction matters
     * @param curve the level every 5° by the fit; none where no direction matters
     */
    record ResultOf(String sentence, double meanDb, double rangeDb, @Nullable FitView fit, List<Double> curve) {}

    /** The best heading and what is lost beside it. */
    record FitView(
            double bestDeg,
            double bestMagneticDeg,
            double surenessDeg,
            double topDb,
            double widthDeg,
            double backDb,
            double toleranceDeg,
            double lossDb,
            double scatterDb) {}

    static SweepView of(StoredSweep sweep, List<SweepPoint> points, double declination) {
        Optional<Double> next = IntStream.iterate(0, deg -> deg < 360, deg -> deg + EVERY_DEG)
                .mapToObj(deg -> (double) deg)
                .filter(deg -> points.stream()
                        .noneMatch(p -> Math.abs(Math.IEEEremainder(p.headingDeg - deg, 360)) < NEAR_DEG))
                .findFirst();
        String band = commonest(points);
        return new SweepView(
                sweep.id,
                sweep.campsite,
                sweep.setup,
                sweep.carrier,
                sweep.beganAt,
                points.stream()
                        .map(p -> new PointView(
                                p.id,
                                p.headingDeg,
                                Bearing.magnetic(p.headingDeg, declination),
                                p.rsrpDbm,
                                p.band,
                                p.cellId,
                                band(p).equals(band)))
                        .toList(),
                next.orElse(null),
                next.map(deg -> Bearing.magnetic(deg, declination)).orElse(null),
                result(points).map(r -> view(r, declination)).orElse(null));
    }

    /** What the points of the commonest band say; empty under six headings. */
    static Optional<Sweep.Result> result(List<SweepPoint> points) {
        String band = commonest(points);
        List<Sweep.Point> own = points.stream()
                .filter(p -> band(p).equals(band))
                .map(p -> new Sweep.Point(p.headingDeg, p.rsrpDbm))
                .toList();
        long headings = own.stream().map(Sweep.Point::headingDeg).distinct().count();
        return headings < Sweep.FEWEST ? Optional.empty() : Optional.of(Sweep.of(own));
    }

    private static String commonest(List<SweepPoint> points) {
        return points.stream()
                .collect(Collectors.groupingBy(SweepView::band, Collectors.counting()))
                .entrySet()
                .stream()
                .max(Map.Entry.comparingByValue())
                .map(Map.Entry::getKey)
                .orElse("");
    }

    private static String band(SweepPoint point) {
        return point.band == null ? "" : point.band;
    }

    private static ResultOf view(Sweep.Result result, double declination) {
        Function<Sweep.Fit, FitView> view = f -> new FitView(
                f.bestDeg(),
                Bearing.magnetic(f.bestDeg(), declination),
                f.surenessDeg(),
                f.topDb(),
                f.widthDeg(),
                f.backDb(),
                f.toleranceDeg(),
                f.lossDb(),
                f.scatterDb());
        List<Double> curve = result.fit()
                .map(f -> IntStream.iterate(0, deg -> deg < 360, deg -> deg + CURVE_DEG)
                        .mapToObj(f::db)
                        .toList())
                .orElse(List.of());
        return new ResultOf(
                result.sentence(),
                result.meanDb(),
                result.rangeDb(),
                result.fit().map(view).orElse(null),
                curve);
    }
}
