package syntoma.core.aim;

import java.util.List;
import java.util.Optional;
import org.hipparchus.distribution.continuous.FDistribution;
import org.jspecify.annotations.Nullable;
import syntoma.core.unit.Values;

/**
 * Levels at headings, and the antenna that explains them: G(θ) = G₀ + 10 n log₁₀ cos²((θ − θ₀)/2), which falls no lower than what
 * the antenna still hears behind itself; by least squares over a grid of headings, widths and backs, then refined.
 *
 * <p>Assumes one direction from which the signal comes. Where it comes from everywhere, a constant explains the levels as well (F
 * test), or they differ by less than 3 dB: then no direction matters.
 *
 * <pre>{@code
 * List<Sweep.Point> points = new ArrayList<>();
 * for (int deg = 0; deg < 360; deg += 30) {
 *     double cosine = Math.cos(Math.toRadians((deg - 90) / 2.0));
 *     points.add(new Sweep.Point(deg, -100 + 20 * Math.log10(Math.max(0.1, cosine * cosine))));
 * }
 * Sweep.of(points).fit().get().bestDeg() // 90
 * }</pre>
 */
public final class Sweep {
    /** Fewest headings that tell a direction from chance. */
    public static final int FEWEST = 6;

    /** Under such a range of levels no heading is worth looking for. */
    public static final double FLAT_DB = 3;

    /** Off the mark by so much, what is lost is told. */
    public static final double OFF_DEG = 20;

    /** What one may be off the mark for so little. */
    private static final double TOLERABLE_DB = 1;

    /** Chosen by simulation: with it, of sweeps of 6 to 24 headings without a direction at most 5 % are taken to have one. */
    private static final double BEYOND_CHANCE = 0.025;

    private static final double WIDEST_DEG = 180;
    private static final double NARROWEST_DEG = 15;
    private static final double[] BACKS_DB = {10, 14, 18, 22, 26, 30};
    private static final double COARSE_DEG = 5;
    private static final double FINE_DEG = 0.5;
    private static final int PARAMETERS = 4;

    private final List<Point> points;
    private final double meanDb;
    private final double squares;

    private Sweep(List<Point> points) {
        this.points = points;
        meanDb = points.stream().mapToDouble(Point::db).average().orElseThrow();
        squares = points.stream()
                .mapToDouble(p -> (p.db - meanDb) * (p.db - meanDb))
                .sum();
    }

    /** A level at a heading. */
    public record Point(double headingDeg, double db) {
        public Point {
            Values.within("heading", headingDeg, 0, 360, "degrees");
        }
    }

    /**
     * What a sweep says.
     *
     * @param bestDeg where it is best
     * @param surenessDeg by how much that may be off, in 95 % of cases
     * @param topDb the level there
     * @param widthDeg between the headings at which it is 3 dB less
     * @param backDb by how much it is less behind
     * @param toleranceDeg off the mark by so much it loses 1 dB
     * @param lossDb 20° off the mark
     * @param scatterDb of the levels about the curve
     */
    public record Fit(
            double bestDeg,
            double surenessDeg,
            double topDb,
            double widthDeg,
            double backDb,
            double toleranceDeg,
            double lossDb,
            double scatterDb) {
        /** The level at a heading, by the curve. */
        public double db(double headingDeg) {
            return topDb - offTargetLossDb(Bearing.difference(headingDeg, bestDeg), widthDeg, backDb);
        }
    }

    /**
     * A sweep with what it says.
     *
     * @param rangeDb between the best and the worst heading
     * @param fit empty where no direction matters
     */
    public record Result(List<Point> points, double meanDb, double rangeDb, Optional<Fit> fit) {
        /** What it comes to, in words. */
        public String sentence() {
            return fit.map(f -> "Best at " + Math.round(f.bestDeg) % 360 + "° (± " + Math.round(f.surenessDeg)
                            + "°). Within " + Math.round(f.toleranceDeg) + "° of it next to nothing is lost; "
                            + Math.round(OFF_DEG) + "° off it loses " + Values.round(f.lossDb, 1) + " dB.")
                    .orElse("No direction matters here: the signal comes by reflections, and all headings lie within "
                            + Values.round(rangeDb, 1) + " dB. An omnidirectional antenna loses little.");
        }

        /** The level so far off its best heading; of an antenna for which no direction matters, its mean. */
        double offBy(double deg) {
            return fit.map(f -> f.db(f.bestDeg + deg)).orElse(meanDb);
        }
    }

    /**
     * What levels at headings say.
     *
     * @throws IllegalArgumentException with fewer than six headings
     */
    public static Result of(List<Point> points) {
        long headings = points.stream()
                .map(p -> Bearing.positive(p.headingDeg))
                .distinct()
                .count();
        if (headings < FEWEST) {
            throw new IllegalArgumentException(
                    "headings are " + headings + "; needed are " + FEWEST + " or more to tell a direction");
        }
        return new Sweep(List.copyOf(points)).result();
    }

    private Result result() {
        double high = points.stream().mapToDouble(Point::db).max().orElseThrow();
        double low = points.stream().mapToDouble(Point::db).min().orElseThrow();
        double range = high - low;
        Curve best = fit();
        int free = points.size() - PARAMETERS;
        double f = (squares - best.squares) / (PARAMETERS - 1) / Math.max(best.squares / Math.max(1, free), 1e-9);
        boolean chance =
                free < 1 || 1 - new FDistribution(PARAMETERS - 1, free).cumulativeProbability(f) > BEYOND_CHANCE;
        boolean flat = range < FLAT_DB || chance;
        return new Result(points, meanDb, range, flat ? Optional.empty() : Optional.of(fit(best, free)));
    }

    private Fit fit(Curve best, int free) {
        double tolerance = 0;
        while (tolerance < WIDEST_DEG && offTargetLossDb(tolerance, best.widthDeg, best.backDb) < TOLERABLE_DB) {
            tolerance += FINE_DEG;
        }
        return new Fit(
                best.deg,
                sureness(best, free),
                best.topDb,
                best.widthDeg,
                best.backDb,
                tolerance,
                offTargetLossDb(OFF_DEG, best.widthDeg, best.backDb),
                Math.sqrt(best.squares / free));
    }

    /** How far the heading can be turned until the rest no longer explains the levels (profile of the sum of squares). */
    private double sureness(Curve best, int free) {
        double limit = best.squares * (1 + new FDistribution(1, free).inverseCumulativeProbability(0.95) / free);
        double off = FINE_DEG;
        while (off < WIDEST_DEG
                && (at(best.deg + off, best.widthDeg, best.backDb).squares < limit
                        || at(best.deg - off, best.widthDeg, best.backDb).squares < limit)) {
            off += FINE_DEG;
        }
        return off;
    }

    /** A curve with the sum of squares about it. */
    private record Curve(double deg, double widthDeg, double backDb, double topDb, double squares) {}

    private Curve fit() {
        Curve best = null;
        for (double back : BACKS_DB) {
            for (double width = NARROWEST_DEG; width <= WIDEST_DEG; width += COARSE_DEG) {
                for (double deg = 0; deg < 360; deg += COARSE_DEG) {
                    best = better(best, at(deg, width, back));
                }
            }
        }
        return refined(best);
    }

    private Curve refined(Curve coarse) {
        Curve best = coarse;
        for (double width = coarse.widthDeg - COARSE_DEG; width <= coarse.widthDeg + COARSE_DEG; width++) {
            for (double deg = coarse.deg - COARSE_DEG; deg <= coarse.deg + COARSE_DEG; deg += FINE_DEG) {
                if (width >= NARROWEST_DEG) {
                    best = better(best, at(deg, width, coarse.backDb));
                }
            }
        }
        return new Curve(Bearing.positive(best.deg), best.widthDeg, best.backDb, best.topDb, best.squares);
    }

    private static Curve better(@Nullable Curve one, Curve other) {
        return one == null || other.squares < one.squares ? other : one;
    }

    /** The curve of a heading, a width and a back: its top is the mean of what is left. */
    private Curve at(double deg, double width, double back) {
        double top = 0;
        for (Point p : points) {
            top += p.db + offTargetLossDb(Bearing.difference(p.headingDeg, deg), width, back);
        }
        top /= points.size();
        double sum = 0;
        for (Point p : points) {
            double off = p.db + offTargetLossDb(Bearing.difference(p.headingDeg, deg), width, back) - top;
            sum += off * off;
        }
        return new Curve(deg, width, back, top, sum);
    }

    /** What an antenna of a half-power width loses off its heading, at most what it loses behind. */
    public static double offTargetLossDb(double offDeg, double widthDeg, double backDb) {
        double n = -3 / (20 * Math.log10(Math.cos(Math.toRadians(widthDeg) / 4)));
        double cos = Math.max(1e-9, Math.cos(Math.toRadians(Bearing.difference(offDeg, 0)) / 2));
        return Math.min(backDb, -20 * n * Math.log10(cos));
    }
}
