package syntoma.core.calculator;

import java.util.List;
import java.util.Map;
import syntoma.core.sentence.Sentence;
import syntoma.core.unit.Values;

/** The same amount in other units. */
final class Units implements Calculator {
    @Override
    public String key() {
        return "units";
    }

    @Override
    public String name() {
        return "Units";
    }

    @Override
    public String answers() {
        return "The same amount in other units.";
    }

    @Override
    public List<Input> inputs() {
        return List.of(
                Input.number("value", "Value", "", "-97", -1e9, 1e9),
                Input.choice(
                        "unit",
                        "of",
                        List.of(
                                "dBm",
                                "mW",
                                "dB",
                                "times in power",
                                "Mb/s",
                                "MB/s",
                                "m",
                                "ft",
                                "mm²",
                                "AWG",
                                "°C",
                                "°F",
                                "GB",
                                "GiB"),
                        "dBm"));
    }

    @Override
    public String formula() {
        return "dBm = 10 log₁₀ mW; dB = 10 log₁₀ of a ratio of powers; 1 MB∕s = 8 Mb∕s; 1 ft = 0.3048 m; AWG: d = 0.127 mm · 92^((36 − n)∕39); °F = 1.8 °C + 32.";
    }

    @Override
    public Sentence holds() {
        return Sentence.of("Exact, except for AWG, which has whole sizes: never use a thinner one.");
    }

    @Override
    public Answer of(GivenValues given) {
        double v = given.number("value");
        String unit = given.choice("unit");
        double[] range = RANGES.getOrDefault(unit, AMOUNT);
        if (v < range[0] || v > range[1]) {
            throw GivenValues.refuse(
                    "value",
                    "Value is " + Values.format(v) + " " + unit + "; allowed is " + Values.format(range[0]) + " to "
                            + Values.format(range[1]) + " " + unit);
        }
        return switch (unit) {
            case "dBm" -> answer(v, "dBm", power(Math.pow(10, v / 10)));
            case "mW" -> answer(v, "mW", Values.round(log(v), 1) + " dBm");
            case "dB" ->
                answer(
                        v,
                        "dB",
                        Values.format(significant(Math.pow(10, v / 10))) + " times in power, "
                                + Values.format(significant(Math.pow(10, v / 20))) + " times in voltage");
            case "times in power" -> answer(v, "times in power", Values.round(log(v), 2) + " dB");
            case "Mb/s" -> answer(v, "Mb/s", Values.format(significant(v / 8)) + " MB/s");
            case "MB/s" -> answer(v, "MB/s", Values.format(significant(v * 8)) + " Mb/s");
            case "m" -> answer(v, "m", Values.format(significant(v / FOOT)) + " ft");
            case "ft" -> answer(v, "ft", Values.format(significant(v * FOOT)) + " m");
            case "mm²" ->
                answer(v, "mm²", "between AWG " + (int) Math.floor(awg(v)) + " and " + (int) Math.ceil(awg(v)));
            case "AWG" -> answer(v, "AWG", Values.format(significant(mm2(v))) + " mm²");
            case "°C" -> answer(v, "°C", Values.format(significant(v * 1.8 + 32)) + " °F");
            case "°F" -> answer(v, "°F", Values.format(significant((v - 32) / 1.8)) + " °C");
            case "GB" -> answer(v, "GB", Values.format(significant(v * 1e9 / GIB)) + " GiB");
            default -> answer(v, "GiB", Values.format(significant(v * GIB / 1e9)) + " GB");
        };
    }

    private static final double FOOT = 0.3048;
    /** Of what is counted from nothing. */
    private static final double[] AMOUNT = {0, 1e9};

    /** From the faintest noise to more than any transmitter; temperatures from the absolute zero; wires that are made. */
    private static final Map<String, double[]> RANGES = Map.of(
            "dBm", new double[] {-250, 150},
            "dB", new double[] {-250, 250},
            "°C", new double[] {-273.15, 1e4},
            "°F", new double[] {-459.67, 1e4},
            "AWG", new double[] {-3, 60},
            "mm²", new double[] {1e-4, 1e4});

    private static final double GIB = 1_073_741_824;

    private static Answer answer(double value, String unit, String other) {
        return Answer.of(
                Values.format(value) + " " + unit + " is " + other + ".",
                Answer.line(Values.format(value) + " " + unit, other));
    }

    private static double log(double value) {
        if (value <= 0) {
            throw GivenValues.refuse("value", "Value is " + Values.format(value) + "; allowed is more than 0 here");
        }
        return 10 * Math.log10(value);
    }

    private static String power(double milliwatts) {
        return milliwatts >= 0.001
                ? Values.format(significant(milliwatts)) + " mW"
                : Values.format(significant(milliwatts * 1e12)) + " fW";
    }

    /** To four digits. */
    private static double significant(double value) {
        if (value == 0 || !Double.isFinite(value)) {
            return value;
        }
        double scale = Math.pow(10, 3 - Math.floor(Math.log10(Math.abs(value))));
        return Math.round(value * scale) / scale;
    }

    private static double awg(double mm2) {
        if (mm2 <= 0) {
            throw GivenValues.refuse("value", "Value is " + Values.format(mm2) + "; allowed is more than 0 here");
        }
        double d = 2 * Math.sqrt(mm2 / Math.PI);
        return 36 - 39 * Math.log(d / 0.127) / Math.log(92);
    }

    private static double mm2(double awg) {
        double d = 0.127 * Math.pow(92, (36 - awg) / 39);
        return Math.PI * d * d / 4;
    }
}
