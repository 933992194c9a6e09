package syntoma.core.advice;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;

/** Which column of the models says what: carriers, setups, both together, the level, the quality, the part of the day. */
final class Layout {
    /** Inside, the walls of a vehicle take so much, between wood and aluminium (docs/methods.md#3-chain). */
    private static final double SHELL_DB = 11;

    private static final double SHELL_SD_DB = 6;

    /** A level against which the others are measured, and the ends of what is neither weak nor strong, in dBm. */
    private static final double MIDDLE_DBM = -100;

    private static final double WEAK_DBM = -110;
    private static final double STRONG_DBM = -90;
    private static final double LEAST_DBM = -130;
    private static final double MOST_DBM = -65;
    private static final double MIDDLE_SINR_DB = 10;
    private static final double LEAST_SINR_DB = -10;
    private static final double MOST_SINR_DB = 25;
    private static final double STEP_DB = 10;

    /** With more pairs of setup and carrier than that they are not told apart beyond the two: it would make one wait. */
    private static final int MOST_PAIRS = 120;

    private final Map<String, Integer> setups;
    private final Map<String, Integer> carriers;
    private final Map<List<String>, Integer> both;

    private Layout(Map<String, Integer> setups, Map<String, Integer> carriers, Map<List<String>, Integer> both) {
        this.setups = setups;
        this.carriers = carriers;
        this.both = both;
    }

    /** For all that was measured and all that there is to choose from. */
    static Layout of(List<Tally> tallies, List<Option> options) {
        Map<String, Integer> setups = new LinkedHashMap<>();
        Map<String, Integer> carriers = new LinkedHashMap<>();
        Map<List<String>, Integer> both = new LinkedHashMap<>();
        tallies.forEach(t -> number(t.key.setup(), t.key.carrier(), setups, carriers, both));
        options.forEach(o -> number(o.setup(), o.carrier(), setups, carriers, both));
        return new Layout(setups, carriers, both);
    }

    private static void number(
            String setup,
            String carrier,
            Map<String, Integer> setups,
            Map<String, Integer> carriers,
            Map<List<String>, Integer> both) {
        setups.putIfAbsent(setup, setups.size());
        carriers.putIfAbsent(carrier, carriers.size());
        both.putIfAbsent(List.of(setup, carrier), both.size());
    }

    boolean knows(Option option) {
        return both.containsKey(List.of(option.setup(), option.carrier()));
    }

    int setup(String name) {
        return setups.get(name);
    }

    int carrier(String name) {
        return carriers.get(name);
    }

    private int ofCarrier(String name) {
        return 1 + carriers.get(name);
    }

    private int ofSetup(String name) {
        return 1 + carriers.size() + setups.get(name);
    }

    private int ofBoth(String setup, String carrier) {
        return 1 + carriers.size() + setups.size() + both.get(List.of(setup, carrier));
    }

    private boolean tellsPairs() {
        return both.size() <= MOST_PAIRS;
    }

    private int furtherColumn() {
        return 1 + carriers.size() + setups.size() + (tellsPairs() ? both.size() : 0);
    }

    /** The columns of a setup on a carrier. */
    private int[] own(String setup, String carrier) {
        return tellsPairs()
                ? new int[] {0, ofCarrier(carrier), ofSetup(setup), ofBoth(setup, carrier)}
                : new int[] {0, ofCarrier(carrier), ofSetup(setup)};
    }

    private void setPairs(double[] means, double[] variances, double deviation) {
        if (tellsPairs()) {
            both.keySet().forEach(b -> set(means, variances, ofBoth(b.get(0), b.get(1)), 0, deviation));
        }
    }

    /** What is held of levels: carriers differ by 8 dB, a setup's gain is what its sheets promise about 5 dB. */
    MixedModel.Prior ofLevels(Map<String, OptionalDouble> promised) {
        double[] means = new double[furtherColumn()];
        double[] variances = new double[furtherColumn()];
        set(means, variances, 0, -97, 12);
        carriers.keySet().forEach(c -> set(means, variances, ofCarrier(c), 0, 8));
        setups.keySet().forEach(s -> {
            OptionalDouble gain = promised.getOrDefault(s, OptionalDouble.empty());
            switch (s) {
                case Option.PHONE_OUTSIDE -> set(means, variances, ofSetup(s), 0, 3);
                case Option.PHONE_INSIDE -> set(means, variances, ofSetup(s), -SHELL_DB, SHELL_SD_DB);
                default -> set(means, variances, ofSetup(s), gain.orElse(0), gain.isPresent() ? 5 : 10);
            }
        });
        setPairs(means, variances, 2);
        return new MixedModel.Prior(means, variances);
    }

    /** Without a log: about what cellular links bring outside towns at a middling level; the log soon knows better. */
    MixedModel.Prior ofDown() {
        return of(Math.log(15), 0.25, 0.4);
    }

    MixedModel.Prior ofUp() {
        return of(Math.log(4), 0.4, 0.15);
    }

    MixedModel.Prior ofLoaded() {
        return of(Math.log(200), -0.15, -0.1);
    }

    /**
     * What is held of speeds and latencies before anything was measured, on the natural logarithm. All figures are chosen.
     *
     * @param usual of the figure at a middling level
     * @param perStep of 10 dB of level; weak levels weigh more, and strong ones less
     * @param perQuality of 10 dB of SINR
     */
    /** SINR in dB, which goes with the level until other masts or a busy cell limit it. */
    MixedModel.Prior ofQuality() {
        return of(10, 4, 1);
    }

    private MixedModel.Prior of(double usual, double perStep, double perQuality) {
        int columns = furtherColumn() + 4 + 2 * carriers.size();
        double[] means = new double[columns];
        double[] variances = new double[columns];
        set(means, variances, 0, usual, 1);
        carriers.keySet().forEach(c -> set(means, variances, ofCarrier(c), 0, 0.5));
        setups.keySet().forEach(s -> set(means, variances, ofSetup(s), 0, 0.4));
        setPairs(means, variances, 0.15);
        double sure = Math.abs(perStep) * 0.8;
        set(means, variances, furtherColumn(), perStep, sure);
        set(means, variances, furtherColumn() + 1, perStep, sure);
        set(means, variances, furtherColumn() + 2, -perStep / 2, sure);
        set(means, variances, furtherColumn() + 3, perQuality, Math.abs(perQuality));
        for (int c = 0; c < carriers.size(); c++) {
            set(means, variances, furtherColumn() + 4 + 2 * c, 0, 0.3);
            set(means, variances, furtherColumn() + 5 + 2 * c, 0, 0.3);
        }
        return new MixedModel.Prior(means, variances);
    }

    private static void set(double[] means, double[] variances, int at, double mean, double deviation) {
        means[at] = mean;
        variances[at] = deviation * deviation;
    }

    /** Columns and what stands in them. */
    record Row(int[] columns, double[] values) {}

    Row level(String setup, String carrier) {
        int[] columns = own(setup, carrier);
        double[] values = new double[columns.length];
        Arrays.fill(values, 1);
        return new Row(columns, values);
    }

    /** @param sinrDb empty where nothing was read */
    Row speed(String setup, String carrier, DayPart part, double levelDbm, OptionalDouble sinrDb) {
        List<Integer> columns = new ArrayList<>();
        List<Double> values = new ArrayList<>();
        for (int column : own(setup, carrier)) {
            put(columns, values, column, 1);
        }
        double level = Math.max(LEAST_DBM, Math.min(MOST_DBM, levelDbm));
        put(columns, values, furtherColumn(), (level - MIDDLE_DBM) / STEP_DB);
        put(columns, values, furtherColumn() + 1, Math.min(0, level - WEAK_DBM) / STEP_DB);
        put(columns, values, furtherColumn() + 2, Math.max(0, level - STRONG_DBM) / STEP_DB);
        sinrDb.ifPresent(sinr -> put(
                columns,
                values,
                furtherColumn() + 3,
                (Math.max(LEAST_SINR_DB, Math.min(MOST_SINR_DB, sinr)) - MIDDLE_SINR_DB) / STEP_DB));
        if (part != DayPart.DAY) {
            put(columns, values, furtherColumn() + (part == DayPart.EVENING ? 4 : 5) + 2 * carriers.get(carrier), 1);
        }
        return new Row(
                columns.stream().mapToInt(Integer::intValue).toArray(),
                values.stream().mapToDouble(Double::doubleValue).toArray());
    }

    private static void put(List<Integer> columns, List<Double> values, int column, double value) {
        if (value != 0) {
            columns.add(column);
            values.add(value);
        }
    }
}
