package syntoma.core.verdict;

import java.util.Optional;
import java.util.OptionalInt;
import syntoma.core.reading.Scale;

/**
 * Whether what is yet to be measured will settle a comparison that cannot be told yet, by simulation from what is known of the effect
 * and of its standard deviation, never from the estimates as if they were the truth: those found so far are the ones that stood out.
 *
 * <p>The effect has a normal prior about 0 with the standard deviation of usual effects, the variance the scaled inverse χ²
 * distribution of its degrees of freedom and of a usual one. Each path draws a variance, an effect given that variance, and the
 * rounds to come; its weight is the likelihood of the mean so far (importance sampling from the posterior without a prior on the
 * effect). Source: Spiegelhalter, Abrams and Myles 2004, section 6.5.
 *
 * <pre>{@code
 * Forecast.stays(syntoma.core.reading.Figure.UP_MBPS.scale(), 0.25, 0.12, 5, 4) // 19
 * }</pre>
 */
public final class Forecast {
    /** Called many times for a list; the chance is known to about a percent. */
    private static final int PATHS = 2_000;

    /** The usual chance that a study is planned for (Cohen 1988). */
    static final double LIKELY = 0.8;

    /** As often as not. */
    static final double EVEN = 0.5;

    /** What a usual standard deviation weighs, in degrees of freedom: chosen in simulation (docs/methods.md). */
    private static final double USUAL_DEGREES = 3;

    /** More stays than this are more work than the answer is worth. */
    private static final int MOST_STAYS = 20;

    private final Scale scale;
    private final int made;
    private final double mean;
    private final double squares;
    private final double degrees;
    private final Optional<ModeratedVariance> borrowed;
    private final double[] effects = new double[PATHS];
    private final double[] sds = new double[PATHS];
    private final double[] weights = new double[PATHS];

    private Forecast(
            Scale scale, int made, double mean, double sd, double degrees, Optional<ModeratedVariance> borrowed) {
        this.scale = scale;
        this.made = made;
        this.mean = mean;
        this.squares = degrees * sd * sd;
        this.degrees = degrees;
        this.borrowed = borrowed;
        double usual = scale.usualSpread();
        double all = degrees + USUAL_DEGREES;
        double variance = (squares + USUAL_DEGREES * usual * usual) / all;
        double prior = borrowed.map(ModeratedVariance::effectSd)
                .orElse(Optional.empty())
                .orElse(scale.usualEffect());
        double sum = 0;
        for (int path = 0; path < PATHS; path++) {
            double drawn = variance * all / chiSquared(all, NormalPaths.SPREAD[path]);
            double ofMean = drawn / made;
            double shrunk = prior * prior / (prior * prior + ofMean);
            effects[path] = shrunk * mean + Math.sqrt(shrunk * ofMean) * NormalPaths.EFFECT[path];
            sds[path] = Math.sqrt(drawn);
            double total = prior * prior + ofMean;
            weights[path] = Math.exp(-mean * mean / (2 * total)) / Math.sqrt(total);
            sum += weights[path];
        }
        for (int path = 0; path < PATHS; path++) {
            weights[path] /= sum;
        }
    }

    /** Of a trial's effect. */
    static Forecast of(Scale scale, Effect effect, Optional<ModeratedVariance> borrowed) {
        return new Forecast(
                scale,
                effect.rounds(),
                effect.mean().orElseThrow(),
                effect.sd().orElseThrow(),
                effect.degrees(),
                borrowed);
    }

    /**
     * How many more stays with both would likely settle a contrast over stays: looked at once, when they are made. Empty where more
     * than 20 would be needed.
     *
     * @param mean of the contrast, on the scale
     * @param error its standard error
     * @param stays that it rests on
     * @param degrees of freedom of the error
     */
    public static OptionalInt stays(Scale scale, double mean, double error, int stays, double degrees) {
        Forecast forecast = new Forecast(scale, stays, mean, error * Math.sqrt(stays), degrees, Optional.empty());
        double[] chances = forecast.singleLooks(MOST_STAYS);
        for (int more = 1; more <= MOST_STAYS; more++) {
            if (chances[more] >= LIKELY) {
                return OptionalInt.of(more);
            }
        }
        return OptionalInt.empty();
    }

    /** For each number of further rounds, the chance that a single look at 95 % after them is settled. */
    private double[] singleLooks(int most) {
        double[] critical = new double[most + 1];
        for (int k = 1; k <= most; k++) {
            critical[k] = InterimLooks.critical(InterimLooks.SINGLE, degrees + k);
        }
        double[] settled = new double[most + 1];
        for (int path = 0; path < PATHS; path++) {
            Course course = new Course(path);
            for (int k = 1; k <= most; k++) {
                course.add(k);
                settled[k] += course.isSettled(critical[k]) ? weights[path] : 0;
            }
        }
        return settled;
    }

    /**
     * The chance that some look of what is left of a plan settles it.
     *
     * @param left further rounds
     * @param level of each of their looks
     */
    double chance(int left, double level) {
        double[] critical = new double[left + 1];
        for (int k = 1; k <= left; k++) {
            critical[k] = InterimLooks.critical(level, degrees + k);
        }
        double settled = 0;
        for (int path = 0; path < PATHS; path++) {
            Course course = new Course(path);
            for (int k = 1; k <= left; k++) {
                course.add(k);
                if (course.isSettled(critical[k])) {
                    settled += weights[path];
                    break;
                }
            }
        }
        return settled;
    }

    /**
     * Rounds of a new trial that settles it one way or the other with a chance; empty where more than 20 would be needed.
     *
     * @param chance wanted, such as {@link #LIKELY}
     */
    OptionalInt newTrial(double chance) {
        return RoundsNeeded.fewest(this::ofNewTrial, chance);
    }

    /** The chance that some look of a new trial of so many rounds settles it. */
    private double ofNewTrial(int rounds) {
        double past = borrowed.map(ModeratedVariance::degrees).orElse(0.0);
        double pastSquares = borrowed.map(b -> b.degrees() * b.sd() * b.sd()).orElse(0.0);
        double level = InterimLooks.level(rounds, past);
        double[] critical = new double[rounds + 1];
        for (int n = InterimLooks.FEWEST; n <= rounds; n++) {
            critical[n] = InterimLooks.critical(level, n - 1 + past);
        }
        double settled = 0;
        for (int path = 0; path < PATHS; path++) {
            for (int n = InterimLooks.FEWEST; n <= rounds; n++) {
                double error = sds[path] * NormalPaths.ERROR[n][path];
                double own = error * error * n * (n - 1);
                double sd = Math.max(scale.leastSpread(), Math.sqrt((own + pastSquares) / (n - 1 + past)));
                double at = effects[path] + sds[path] * NormalPaths.MEAN[n][path];
                if (RoundsNeeded.isSettled(at, critical[n] * sd / Math.sqrt(n), scale.margin())) {
                    settled += weights[path];
                    break;
                }
            }
        }
        return settled;
    }

    /** χ² of so many degrees of freedom from a standard normal draw (Wilson and Hilferty 1931); closer than 1 % from 4 on. */
    private static double chiSquared(double degrees, double z) {
        double spread = 2 / (9 * degrees);
        double root = Math.max(0.05, 1 - spread + z * Math.sqrt(spread));
        return degrees * root * root * root;
    }

    /** The rounds there are, continued along one path. */
    private final class Course {
        private final int path;
        private double at = mean;
        private double about = squares;
        private int more;

        Course(int path) {
            this.path = path;
        }

        void add(int k) {
            double noise = NormalPaths.SUM[k][path] - NormalPaths.SUM[k - 1][path];
            double next = effects[path] + sds[path] * noise;
            double moved = (next - at) / (made + k);
            about += (next - at) * (next - at - moved);
            at += moved;
            more = k;
        }

        boolean isSettled(double critical) {
            double sd = Math.max(scale.leastSpread(), Math.sqrt(about / (degrees + more)));
            return RoundsNeeded.isSettled(at, critical * sd / Math.sqrt(made + more), scale.margin());
        }
    }
}
