package syntoma.core.choice;

import java.util.Optional;
import java.util.OptionalDouble;
import syntoma.core.unit.Values;

/**
 * What an option is judged by. Each side is counted in points at a fixed rate of exchange, so that an option is worth the
 * same whatever it is compared with (docs/methods.md#21-candidates): one point is 6 dB of gain, a doubling of streams, one
 * more band, a fifth of the budget (or 50 units of money without one), 5 % of the battery a day.
 */
public enum Side {
    GAIN("gain", "Predicted gain") {
        @Override
        double points(Option o, OptionalDouble budget) {
            return o.meanGainDb().orElse(0) / POINT_DB;
        }

        @Override
        Optional<String> difference(Option o, Option other) {
            if (o.meanGainDb().isEmpty() || other.meanGainDb().isEmpty()) {
                return Optional.empty();
            }
            double more = o.meanGainDb().getAsDouble() - other.meanGainDb().getAsDouble();
            return Math.abs(more) < 0.5
                    ? Optional.empty()
                    : Optional.of("about " + Values.round(Math.abs(more), 0) + " dB " + (more > 0 ? "more" : "less"));
        }
    },
    BANDS("bands", "Bands that work") {
        @Override
        double points(Option o, OptionalDouble budget) {
            return o.bandsWorking();
        }

        @Override
        Optional<String> difference(Option o, Option other) {
            int more = o.bandsWorking() - other.bandsWorking();
            return more == 0
                    ? Optional.empty()
                    : Optional.of(Math.abs(more)
                            + (Math.abs(more) == 1 ? " band " : " bands ")
                            + (more > 0 ? "more" : "fewer"));
        }
    },
    STREAMS("streams", "Streams") {
        /** What is not known counts as one; none counts as half of one. */
        @Override
        double points(Option o, OptionalDouble budget) {
            int streams = o.streams().orElse(1);
            return streams == 0 ? -1 : Math.log(streams) / Math.log(2);
        }

        @Override
        Optional<String> difference(Option o, Option other) {
            return o.streams().equals(other.streams())
                    ? Optional.empty()
                    : Optional.of(streams(o) + " instead of " + streams(other) + " streams");
        }

        private String streams(Option o) {
            return o.streams().isPresent() ? Integer.toString(o.streams().getAsInt()) : "an unknown number";
        }
    },
    PRICE("price", "Price") {
        /** A price that is open counts as all of the budget at least, so that not knowing it never wins. */
        @Override
        double points(Option o, OptionalDouble budget) {
            double fifth = budget.isPresent() && budget.getAsDouble() > 0 ? budget.getAsDouble() / 5 : POINT_MONEY;
            double price = o.price().isOpen()
                    ? Math.max(o.price().knownPart(), 5 * fifth)
                    : o.price().knownPart();
            return -price / fifth;
        }

        @Override
        Optional<String> difference(Option o, Option other) {
            if (o.price().isOpen() || other.price().isOpen()) {
                return o.price().isOpen() && !other.price().isOpen()
                        ? Optional.of("its price is open")
                        : Optional.empty();
            }
            double more = o.price().knownPart() - other.price().knownPart();
            return Math.abs(more) < 1
                    ? Optional.empty()
                    : Optional.of(Values.round(Math.abs(more), 0) + (more > 0 ? " dearer" : " cheaper"));
        }
    },
    ENERGY("energy", "Energy") {
        @Override
        double points(Option o, OptionalDouble budget) {
            return -o.batteryShare().orElse(UNKNOWN_SHARE) / POINT_SHARE;
        }

        @Override
        Optional<String> difference(Option o, Option other) {
            double more = o.batteryShare().orElse(UNKNOWN_SHARE)
                    - other.batteryShare().orElse(UNKNOWN_SHARE);
            return Math.abs(more) < 0.005
                    ? Optional.empty()
                    : Optional.of(Values.round(Math.abs(more) * 100, 0) + " % of the battery a day "
                            + (more > 0 ? "more" : "less"));
        }
    };

    private static final double POINT_DB = 6;
    private static final double POINT_MONEY = 50;
    private static final double POINT_SHARE = 0.05;
    /** A draw that is not stated: chosen as what 10 W all day take of a battery of 200 Ah at 12 V. */
    private static final double UNKNOWN_SHARE = 0.1;

    private final String key;
    private final String label;

    Side(String key, String label) {
        this.key = key;
        this.label = label;
    }

    /** Its name among the weights. */
    public String key() {
        return key;
    }

    public String label() {
        return label;
    }

    /** What an option is worth on this side. */
    abstract double points(Option option, OptionalDouble budget);

    /** What an option has more or less than another, in a phrase; empty where they are alike. */
    abstract Optional<String> difference(Option option, Option other);

    /** What so many dB are worth. */
    static double pointsOfDb(double db) {
        return db / POINT_DB;
    }
}
