package syntoma.core.reading;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import syntoma.core.unit.Values;

/**
 * A radio metric with its reportable ranges and the floors of its grades.
 *
 * <p>Ranges: LTE by 3GPP TS 36.133 (RSRQ with its extension), NR, which includes those of LTE, by TS 38.133. Grade floors are Syntoma's defaults.
 */
public enum RadioMetric {
    RSSI("RSSI", "dBm", new double[] {-120, 0}, new double[] {-120, 0}, new double[] {-120, -30}),
    RSRP(
            "RSRP",
            "dBm",
            new double[] {-140, -44},
            new double[] {-156, -31},
            new double[] {-135, -60},
            -80,
            -95,
            -105,
            -118),
    RSRQ("RSRQ", "dB", new double[] {-34, 2.5}, new double[] {-43, 20}, new double[] {-22, -3}, -9, -12, -15, -18),
    SINR("SINR", "dB", new double[] {-23, 40}, new double[] {-23, 40}, new double[] {-10, 30}, 20, 13, 5, -3);

    private final String label;
    private final String unit;
    private final double[] lte;
    private final double[] nr;
    private final double[] strip;
    private final double[] floors;

    RadioMetric(String label, String unit, double[] lte, double[] nr, double[] strip, double... floors) {
        this.label = label;
        this.unit = unit;
        this.lte = lte;
        this.nr = nr;
        this.strip = strip;
        this.floors = floors;
    }

    public String label() {
        return label;
    }

    public String unit() {
        return unit;
    }

    /** The lowest and highest value that the technology can report; of any technology when it is not known. */
    public double[] range(Optional<Rat> rat) {
        return rat.isEmpty() || rat.get().isNr() ? nr.clone() : lte.clone();
    }

    /**
     * Returns a value that the technology can report.
     *
     * @throws IllegalArgumentException naming metric, value and range
     */
    public double check(double value, Optional<Rat> rat) {
        double[] range = range(rat);
        String name = rat.isPresent() && rat.get().isNr() ? "NR " + label : label;
        return Values.within(name, value, range[0], range[1], unit);
    }

    /** The ends of the scale it is drawn on: wide enough for the grades, not for every value a device can report. */
    public double[] strip() {
        return strip.clone();
    }

    /** Whether grades are defined for the metric; RSSI has none, because it rises with load. */
    public boolean isGraded() {
        return floors.length > 0;
    }

    /** The grade of a value; a floor belongs to the better grade. */
    public Grade grade(double value) {
        for (int i = 0; i < floors.length; i++) {
            if (value >= floors[i]) {
                return Grade.values()[i];
            }
        }
        return Grade.NONE;
    }

    /** The lowest value of a grade; of a metric that has grades, and not of {@link Grade#NONE}. */
    public double floor(Grade grade) {
        return floors[grade.ordinal()];
    }

    /** The floors of strong, good, fair and weak, in the metric's unit; empty where there are no grades. */
    public List<Double> floors() {
        return Arrays.stream(floors).boxed().toList();
    }
}
