package syntoma.core.advice;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;

/** What one setup measured in one part of the day of a stay, added up. */
final class Tally {
    /** A run is free of its plan's cap under so much of it: flat runs agree within 3 % (docs/methods.md#7-runs). */
    private static final double FREE_UNDER = 0.97;

    /** A run that the plan holds says that there would be more, and not how much; chosen. */
    private static final double CAPPED_WEIGHS = 0.25;

    final Key key;
    final Sum level = new Sum();
    final Sum quality = new Sum();
    final Sum down = new Sum();
    final Sum up = new Sum();
    final Sum loaded = new Sum();
    final Sum loss = new Sum();
    int tried;
    int failed;
    long order;

    private Tally(Key key) {
        this.key = key;
    }

    /** What is added up together. */
    record Key(String setup, String carrier, long campsite, long stay, DayPart part) {}

    /** A number of values and their sum. */
    static final class Sum {
        private double sum;
        private double count;

        void add(double value) {
            add(value, 1);
        }

        void add(double value, double weight) {
            sum += value * weight;
            count += weight;
        }

        double count() {
            return count;
        }

        OptionalDouble mean() {
            return count == 0 ? OptionalDouble.empty() : OptionalDouble.of(sum / count);
        }
    }

    /**
     * Adds all up, in the order in which they come.
     *
     * @param caps by carrier, what its plan lets through in Mb/s
     */
    static List<Tally> of(List<PastMeasurement> all, Map<String, Double> caps) {
        Map<Key, Tally> tallies = new LinkedHashMap<>();
        for (PastMeasurement past : all) {
            Key key = new Key(past.setup(), past.carrier(), past.campsite(), past.stay(), past.part());
            tallies.computeIfAbsent(key, Tally::new)
                    .add(past, caps.getOrDefault(past.carrier(), Double.POSITIVE_INFINITY));
        }
        return List.copyOf(tallies.values());
    }

    private static double weight(double mbps, double cap) {
        return mbps < cap * FREE_UNDER ? 1 : CAPPED_WEIGHS;
    }

    private void add(PastMeasurement past, double cap) {
        order = Math.max(order, past.order());
        tried++;
        if (!past.hasSucceeded()) {
            failed++;
            return;
        }
        past.rsrpDbm().ifPresent(level::add);
        past.sinrDb().ifPresent(quality::add);
        past.downMbps().ifPresent(v -> down.add(Math.log(v), weight(v, cap)));
        past.upMbps().ifPresent(v -> up.add(Math.log(v), weight(v, cap)));
        past.loadedMs().ifPresent(v -> loaded.add(Math.log(v)));
        past.lossPct().ifPresent(loss::add);
    }
}
