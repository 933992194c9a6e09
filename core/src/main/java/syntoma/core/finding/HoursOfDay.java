package syntoma.core.finding;

import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.IntUnaryOperator;
import java.util.stream.IntStream;
import syntoma.core.unit.Text;
import syntoma.core.verdict.Verdict;

/**
 * Which hours of the day are slowest, at the same stays: the joint model with parts of the day instead of setups. A block is what one
 * setup on one SIM measured at one stay, so that neither a slow place nor a slow setup passes for a slow hour.
 */
public final class HoursOfDay {
    /** Hours that count as one part of the day. */
    private static final int WIDTH = 3;

    private static final int HOURS = 24;

    private HoursOfDay() {}

    /** A trip seen by the hour. */
    private record ByHour(Trip trip, int[] blocks, IntUnaryOperator hour) implements Trip {
        @Override
        public int size() {
            return trip.size();
        }

        @Override
        public long atNanos(int i) {
            return trip.atNanos(i);
        }

        @Override
        public long stay(int i) {
            return trip.stay(i);
        }

        @Override
        public int sim(int i) {
            return trip.sim(i);
        }

        @Override
        public int trial(int i) {
            return blocks[i];
        }

        @Override
        public int round(int i) {
            return 0;
        }

        @Override
        public int unit(int i) {
            return hour.applyAsInt(i) / WIDTH;
        }

        @Override
        public boolean hasSucceeded(int i) {
            return trip.hasSucceeded(i);
        }

        @Override
        public double value(int i) {
            return trip.value(i);
        }

        @Override
        public double levelDbm(int i) {
            return Double.NaN;
        }
    }

    /**
     * What the hours differ by, as a sentence.
     *
     * @param hour of each attempt by the clock of its campsite, 0 to 23
     */
    public static String slowest(Trip trip, Criterion criterion, IntUnaryOperator hour) {
        Trip byHour = new ByHour(trip, blocks(trip), hour);
        int[] runs = new int[HOURS / WIDTH];
        IntStream.range(0, trip.size()).filter(trip::counts).forEach(i -> runs[byHour.unit(i)]++);
        List<String> names = IntStream.range(0, runs.length)
                .mapToObj(part -> part * WIDTH + " to " + (part + 1) * WIDTH)
                .toList();
        int most = IntStream.range(0, runs.length)
                .boxed()
                .max(Comparator.comparingInt(part -> runs[part]))
                .orElseThrow();
        if (runs[most] == 0) {
            return "Nothing was measured of this yet.";
        }
        Finding finding = new Finder(byHour, criterion, names, names.get(most), List.of()).find();
        List<Finding.Unit> told = finding.units().stream()
                .filter(u -> !u.name().equals(finding.baseline())
                        && u.effect().isTold()
                        && u.effect().verdict() != Verdict.CAPPED)
                .sorted(Comparator.comparingDouble(u -> u.effect().estimate().orElseThrow()))
                .toList();
        if (!told.isEmpty()) {
            Finding.Unit lowest = criterion.isHigherBetter() ? told.get(0) : told.get(told.size() - 1);
            Finding.Unit highest = criterion.isHigherBetter() ? told.get(told.size() - 1) : told.get(0);
            if (isWorse(lowest)) {
                return "From " + lowest.name() + " it is slowest: " + criterion.words() + " is "
                        + amount(criterion, lowest) + " compared with " + finding.baseline()
                        + " at the same stays.";
            } else if (isBetter(highest)) {
                return "From " + finding.baseline() + " it is slowest: from " + highest.name() + ", at the same stays, "
                        + criterion.words() + " is " + amount(criterion, highest) + ".";
            }
        }
        return told.isEmpty()
                ? "Too few measurements at different hours of the same stay to tell."
                : "No hour stands out: where enough was measured, it is much the same all day.";
    }

    private static String amount(Criterion criterion, Finding.Unit unit) {
        Contrast c = unit.effect();
        return "about " + criterion.scale().format(c.estimate().orElseThrow()) + " ("
                + criterion.scale().format(c.low().orElseThrow(), c.high().orElseThrow()) + ", "
                + Text.count(c.stays(), "stay") + ")";
    }

    private static boolean isWorse(Finding.Unit unit) {
        return unit.effect().verdict() == Verdict.WORSE || unit.effect().verdict() == Verdict.SLIGHTLY_WORSE;
    }

    private static boolean isBetter(Finding.Unit unit) {
        return unit.effect().verdict() == Verdict.BETTER || unit.effect().verdict() == Verdict.SLIGHTLY_BETTER;
    }

    /** A number for each stay, unit and SIM. */
    private static int[] blocks(Trip trip) {
        Map<List<Long>, Integer> numbers = new HashMap<>();
        return IntStream.range(0, trip.size())
                .map(i -> numbers.computeIfAbsent(
                        List.of(trip.stay(i), (long) trip.unit(i), (long) trip.sim(i)), key -> numbers.size()))
                .toArray();
    }
}
