package syntoma.core.finding;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.TreeMap;
import syntoma.core.unit.Wilson;
import syntoma.core.verdict.Verdict;

/**
 * What setups cost and what they are worth: the cheapest that meets the need at four stays of five, and the fastest. Both, because
 * people differ on which they want.
 *
 * @param cheapest empty where none of a known price meets the need so often
 * @param harder stays without the cheapest, where others met the need less often than beside it, so that its share is no promise for them
 * @param fastest empty where it cannot be told yet
 */
public record Worth(List<Row> rows, Optional<String> cheapest, Optional<Harder> harder, Optional<String> fastest) {
    /** The share of stays at which a setup is said to do for a need. */
    public static final double ENOUGH = 0.8;

    /** A step that one notices: half as much again. */
    private static final double STEP = Math.log(1.5);

    /**
     * What is known of one setup.
     *
     * @param price of all of it; empty where a price is not known
     * @param adds the price of what it has and the baseline has not
     * @param metByStay at which stays it was measured on what the need asks for, and whether at least half of its runs there met it
     */
    public record SetupRecord(
            String setup, OptionalDouble price, OptionalDouble adds, Map<Long, Boolean> metByStay, Contrast effect) {
        public SetupRecord {
            metByStay = Map.copyOf(metByStay);
        }

        public int stays() {
            return metByStay.size();
        }

        /** At how many stays it met the need. */
        public int metAt() {
            return (int) metByStay.values().stream().filter(did -> did).count();
        }

        private double share() {
            return metAt() / (double) stays();
        }
    }

    /**
     * Stays at which a setup was not used.
     *
     * @param metStays at how many of them another met the need
     */
    public record Harder(int stays, int metStays) {}

    /**
     * One setup.
     *
     * @param perStep what it adds in price for each time half as much again of the metric; empty where it brings no more or a price
     *     is not known
     * @param share of stays; empty without one
     */
    public record Row(SetupRecord record, OptionalDouble perStep, Optional<Wilson> share) {
        /** Whether it meets the need at enough of its stays. */
        public boolean isEnough() {
            return record.stays() > 0 && record.metAt() >= ENOUGH * record.stays();
        }
    }

    public Worth {
        rows = List.copyOf(rows);
    }

    /** Weighs setups; the metric is one on which more is better and a step is a factor. */
    public static Worth of(List<SetupRecord> setups) {
        List<Row> rows = setups.stream().map(Worth::row).toList();
        Optional<SetupRecord> cheapest = rows.stream()
                .filter(r -> r.isEnough() && r.record.stays() >= Finder.FEWEST_STAYS && r.record.price.isPresent())
                .map(Row::record)
                .min(Comparator.comparingDouble((SetupRecord k) -> k.price.getAsDouble())
                        .thenComparing(k -> -k.share()));
        return new Worth(
                rows,
                cheapest.map(SetupRecord::setup),
                cheapest.flatMap(known -> harder(known, setups)),
                fastest(setups));
    }

    /**
     * Where a setup was not used, if others met the need there less often than beside it; a share over easy stays is no promise for
     * those.
     */
    private static Optional<Harder> harder(SetupRecord setup, List<SetupRecord> all) {
        Map<Long, Boolean> others = new TreeMap<>();
        all.stream()
                .filter(k -> k != setup)
                .forEach(k -> k.metByStay.forEach((stay, did) -> others.merge(stay, did, Boolean::logicalOr)));
        List<Boolean> beside = new ArrayList<>();
        List<Boolean> without = new ArrayList<>();
        others.forEach((stay, did) -> (setup.metByStay.containsKey(stay) ? beside : without).add(did));
        double easy = beside.isEmpty() ? setup.share() : share(beside);
        return without.isEmpty() || share(without) >= easy
                ? Optional.empty()
                : Optional.of(new Harder(without.size(), (int)
                        without.stream().filter(did -> did).count()));
    }

    private static double share(List<Boolean> met) {
        return met.stream().filter(did -> did).count() / (double) met.size();
    }

    /** The one that is ahead of all; nobody, while the foremost or, behind the baseline, any other cannot be told. */
    private static Optional<String> fastest(List<SetupRecord> setups) {
        Optional<SetupRecord> foremost = setups.stream()
                .filter(k -> k.effect.verdict() != Verdict.TOO_FEW
                        && k.effect.estimate().isPresent())
                .max(Comparator.comparingDouble(k -> k.effect.estimate().getAsDouble()));
        boolean told = foremost.filter(f -> f.effect.estimate().getAsDouble() == 1
                        ? setups.stream()
                                .allMatch(k ->
                                        k.effect.isTold() || k.effect.estimate().isEmpty())
                        : f.effect.isTold())
                .isPresent();
        return told ? foremost.map(SetupRecord::setup) : Optional.empty();
    }

    private static Row row(SetupRecord known) {
        boolean brings = known.effect.isTold()
                && known.effect.estimate().isPresent()
                && known.effect.estimate().getAsDouble() > 1;
        return new Row(
                known,
                brings && known.adds.isPresent()
                        ? OptionalDouble.of(known.adds.getAsDouble()
                                / (Math.log(known.effect.estimate().getAsDouble()) / STEP))
                        : OptionalDouble.empty(),
                known.stays() == 0 ? Optional.empty() : Optional.of(Wilson.of(known.stays(), known.metAt())));
    }
}
