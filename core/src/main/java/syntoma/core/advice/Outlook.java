package syntoma.core.advice;

import java.util.OptionalDouble;
import org.hipparchus.distribution.continuous.NormalDistribution;
import syntoma.core.need.Need;
import syntoma.core.need.Requirement;

/**
 * What one run of a setup may be expected to bring.
 *
 * <pre>{@code
 * Outlook.Rate rate = new Outlook.Rate(Math.log(8), 0.3, 0.4, Double.POSITIVE_INFINITY);
 * rate.middle() // 8.0
 * }</pre>
 *
 * @param levelDbm what its device may be expected to hear, or hears
 * @param works the chance that it comes about
 * @param lossPct its mean loss
 */
public record Outlook(double levelDbm, double works, Rate down, Rate up, Rate loadedLatency, double lossPct) {
    private static final NormalDistribution STANDARD = new NormalDistribution(0, 1);

    /**
     * What drives the figures of a run together: so much of the scatter of speeds, and of latency, comes from one cause. Chosen so
     * that download and upload go together by 0.7, as they do where a level or a busy cell moves both.
     */
    private static final double SPEED_TOGETHER = 0.85;

    private static final double LATENCY_TOGETHER = -0.8;

    /** How far the loss of a run is from the mean of its place, in points; chosen. */
    private static final double LOSS_SD_PCT = 0.6;

    /** The cause is taken at so many equally likely strengths. */
    private static final int STRENGTHS = 25;

    /** Eight runs in ten lie within 1.28 standard deviations. */
    private static final double EIGHT_IN_TEN = STANDARD.inverseCumulativeProbability(0.9);

    /**
     * A figure on the natural logarithm.
     *
     * @param mean of its logarithm
     * @param meanVariance the variance of what is not known of its mean
     * @param scatter the variance from run to run
     * @param cap what the plan lets through; infinite for none
     */
    public record Rate(double mean, double meanVariance, double scatter, double cap) {
        /** Half of the runs bring at least so much. */
        public double middle() {
            return Math.min(cap, Math.exp(mean));
        }

        /** Nine runs in ten bring at least so much. */
        public double low() {
            return Math.min(cap, Math.exp(mean - EIGHT_IN_TEN * deviation()));
        }

        /** One run in ten brings more. */
        public double high() {
            return Math.min(cap, Math.exp(mean + EIGHT_IN_TEN * deviation()));
        }

        double deviation() {
            return Math.sqrt(meanVariance + scatter);
        }

        /**
         * The same after a few runs made there, where they would come out so far from what is expected.
         *
         * @param at in standard deviations of what is not known of the mean
         */
        Rate afterRuns(double at, int runs) {
            double left = 1 / (1 / meanVariance + runs / scatter);
            return new Rate(mean + at * Math.sqrt(meanVariance - left), left, scatter, cap);
        }

        /** How far a limit lies above the mean, in standard deviations; a cap under it is out of reach. */
        private double distanceTo(double limit) {
            return cap < limit ? Double.POSITIVE_INFINITY : (Math.log(limit) - mean) / deviation();
        }
    }

    /** The chance that a run comes about and meets needs together. */
    public double chance(RunRequirement asked) {
        double sum = 0;
        for (int i = 0; i < STRENGTHS; i++) {
            double cause = STANDARD.inverseCumulativeProbability((i + 0.5) / STRENGTHS);
            sum += least(down, asked.downMbps(), cause, SPEED_TOGETHER)
                    * least(up, asked.upMbps(), cause, SPEED_TOGETHER)
                    * (1 - least(loadedLatency, asked.loadedMs(), cause, LATENCY_TOGETHER));
        }
        double loss = asked.lossPct().isPresent()
                ? STANDARD.cumulativeProbability((asked.lossPct().getAsDouble() - lossPct) / LOSS_SD_PCT)
                : 1;
        return works * loss * sum / STRENGTHS;
    }

    /** The same after a few runs that came out better or worse than expected on all figures together. */
    Outlook afterRuns(double at, int runs) {
        return new Outlook(
                levelDbm,
                works,
                down.afterRuns(at, runs),
                up.afterRuns(at, runs),
                loadedLatency.afterRuns(-at, runs),
                lossPct);
    }

    /** The chance that a figure is at least at a limit, given the cause; 1 for no limit, of a latency 0. */
    private static double least(Rate rate, OptionalDouble limit, double cause, double together) {
        if (limit.isEmpty()) {
            return together > 0 ? 1 : 0;
        }
        double above = rate.distanceTo(limit.getAsDouble());
        return 1 - STANDARD.cumulativeProbability((above - together * cause) / Math.sqrt(1 - together * together));
    }

    /**
     * What needs ask of a run together.
     *
     * @param loadedMs at most
     * @param lossPct at most
     */
    public record RunRequirement(
            OptionalDouble downMbps, OptionalDouble upMbps, OptionalDouble loadedMs, OptionalDouble lossPct) {
        /** What one need asks. */
        public static RunRequirement of(Need need) {
            return new RunRequirement(need.downMbps(), need.upMbps(), need.loadedMs(), need.lossPct());
        }

        /** What needs ask together. */
        public static RunRequirement of(Requirement all) {
            return new RunRequirement(all.downMbps(), all.upMbps(), all.loadedMs(), all.lossPct());
        }

        /**
         * Whether a run says that it met what is asked or missed it: one that lacks a rate or the latency that is asked for does neither,
         * as with {@link syntoma.core.need.Met}.
         */
        public boolean isToldBy(PastMeasurement run) {
            return !run.hasSucceeded()
                    || ((downMbps.isEmpty() || run.downMbps().isPresent())
                            && (upMbps.isEmpty() || run.upMbps().isPresent())
                            && (loadedMs.isEmpty() || run.loadedMs().isPresent()));
        }

        /** Whether a run keeps to all that was asked and that it measured. */
        public boolean isMetBy(PastMeasurement run) {
            return run.hasSucceeded()
                    && isAtLeast(run.downMbps(), downMbps)
                    && isAtLeast(run.upMbps(), upMbps)
                    && isAtMost(run.loadedMs(), loadedMs)
                    && isAtMost(run.lossPct(), lossPct);
        }

        private static boolean isAtLeast(OptionalDouble value, OptionalDouble limit) {
            return value.isEmpty() || value.getAsDouble() >= limit.orElse(0);
        }

        private static boolean isAtMost(OptionalDouble value, OptionalDouble limit) {
            return value.isEmpty() || value.getAsDouble() <= limit.orElse(Double.POSITIVE_INFINITY);
        }
    }
}
