package syntoma.core.reading;

import syntoma.core.unit.Values;

/**
 * The scale on which the values of a figure are compared: what a difference is, from where it matters, how it is rounded and
 * said.
 *
 * <p>Computation happens on the scale itself, where differences may be averaged: on it 0 is no difference.
 */
public sealed interface Scale {
    /** The name in the API. */
    String key();

    /** A value on the scale. */
    double on(double value);

    /** A value, or a difference between two, back from the scale: a factor, or the difference in its unit. */
    double off(double onScale);

    /** The difference that matters, on the scale. */
    double margin();

    /**
     * The least standard deviation of differences that is believed, on the scale: figures have a resolution, so that runs
     * that happen to read alike are no proof of a spread of nought.
     */
    double leastSpread();

    /** How far apart two setups usually are, on the scale: the standard deviation of true effects about 0. */
    double usualEffect();

    /** The usual standard deviation of a round's difference, on the scale. */
    double usualSpread();

    /** A difference as it is said, such as ×1.83 or −2.4 dB. */
    String format(double difference);

    /** An interval of differences as it is said, its unit once where that reads well. */
    String format(double low, double high);

    /**
     * Speeds and latencies: the natural logarithm, so that a difference is a factor and a doubling weighs as much as a
     * halving.
     *
     * @param matters the factor from which a difference matters
     * @param least values under it, also 0, count as it: no test tells them apart
     */
    record Ratio(double matters, double least) implements Scale {
        /** From here on a factor is said without decimals. */
        private static final double LARGE = 10;

        /** Two hundredths of a factor: chosen, as tests show two or three digits. */
        private static final double LEAST_SPREAD = 0.02;

        @Override
        public String key() {
            return "ratio";
        }

        @Override
        public double on(double value) {
            return Math.log(Math.max(value, least));
        }

        @Override
        public double off(double onScale) {
            return Math.exp(onScale);
        }

        @Override
        public double margin() {
            return Math.log(matters);
        }

        @Override
        public double leastSpread() {
            return LEAST_SPREAD;
        }

        @Override
        public double usualEffect() {
            return 0.35;
        }

        @Override
        public double usualSpread() {
            return 0.35;
        }

        @Override
        public String format(double difference) {
            return "×" + Values.round(difference, difference < LARGE ? 2 : 0);
        }

        @Override
        public String format(double low, double high) {
            return format(low) + " to " + format(high);
        }
    }

    /** A scale on which values are compared as they are. */
    sealed interface Difference extends Scale {
        /** The standard deviation of the difference of two readings in whole units: √(1/6). */
        double OF_WHOLE_UNITS = 0.41;

        /** Said after a difference. */
        String unit();

        @Override
        default double leastSpread() {
            return OF_WHOLE_UNITS;
        }

        /** So that a usual difference is one and a half times what matters, as 3 dB are. */
        @Override
        default double usualEffect() {
            return 1.5 * margin();
        }

        @Override
        default double usualSpread() {
            return margin();
        }

        @Override
        default double on(double value) {
            return value;
        }

        @Override
        default double off(double onScale) {
            return onScale;
        }

        @Override
        default String format(double difference) {
            return Values.round(difference, 1) + " " + unit();
        }

        @Override
        default String format(double low, double high) {
            return Values.round(low, 1) + " to " + format(high);
        }
    }

    /**
     * Levels and their ratios in dB, which are logarithms already.
     *
     * @param margin the difference that matters, in dB
     */
    record Decibel(double margin) implements Difference {
        @Override
        public String key() {
            return "dB";
        }

        @Override
        public String unit() {
            return "dB";
        }
    }

    /**
     * Shares in percent: a difference is in percentage points, because 0 % is an ordinary value and no factor leads away
     * from it.
     *
     * @param margin the difference that matters, in points
     */
    record Share(double margin) implements Difference {
        @Override
        public String key() {
            return "share";
        }

        @Override
        public String unit() {
            return "points";
        }
    }
}
