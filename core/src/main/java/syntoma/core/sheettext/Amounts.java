package syntoma.core.sheettext;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;

/** Figures with their units in a line. */
final class Amounts {
    private Amounts() {}

    /**
     * A figure, or both ends of a range.
     *
     * @param low the figure, or the lower end
     * @param high the same as low where it is one figure
     */
    record Amount(double low, double high, int from, int to) {
        boolean isRange() {
            return high != low;
        }
    }

    /** A unit, and what a figure in it is in the unit that is wanted. */
    record Unit(String name, double factor) {}

    static final List<Unit> VOLTS =
            List.of(new Unit("v", 1), new Unit("vdc", 1), new Unit("volt", 1), new Unit("volts", 1));
    static final List<Unit> WATTS = List.of(new Unit("w", 1), new Unit("watt", 1), new Unit("watts", 1));
    static final List<Unit> MHZ = List.of(new Unit("mhz", 1), new Unit("ghz", 1000));
    static final List<Unit> DBI = List.of(new Unit("dbi", 1));
    static final List<Unit> DB = List.of(new Unit("db", 1));
    static final List<Unit> DBM = List.of(new Unit("dbm", 1));
    static final List<Unit> METRES = List.of(
            new Unit("m", 1),
            new Unit("meter", 1),
            new Unit("metre", 1),
            new Unit("metres", 1),
            new Unit("meters", 1),
            new Unit("cm", 0.01),
            new Unit("mm", 0.001),
            new Unit("ft", 0.3048),
            new Unit("feet", 0.3048));
    static final List<Unit> MILLIMETRES = List.of(new Unit("mm", 1), new Unit("cm", 10));
    static final List<Unit> DEGREES = List.of(new Unit("°", 1), new Unit("deg", 1), new Unit("degrees", 1));
    static final List<Unit> HOURS =
            List.of(new Unit("h", 1), new Unit("hours", 1), new Unit("hour", 1), new Unit("hrs", 1));
    static final List<Unit> GIGABYTES = List.of(new Unit("gb", 1), new Unit("tb", 1000));
    /** Rates: megabits and gigabits a second, however they are written; a byte is eight bits. */
    static final List<Unit> MBPS = List.of(
            new Unit("mbps", 1),
            new Unit("mbit", 1),
            new Unit("mbits", 1),
            new Unit("mb/s", 1),
            new Unit("gbps", 1000),
            new Unit("gbit", 1000),
            new Unit("gbits", 1000),
            new Unit("gb/s", 1000));

    /** All amounts of a unit in a line, in order: 5 V, 9-30 V, 9 V to 30 V, 698–960 MHz, 0.7 – 2.7 GHz. */
    static List<Amount> of(Line line, List<Unit> units) {
        List<Amount> all = new ArrayList<>();
        int i = 0;
        while (i < line.tokens().size()) {
            if (!line.at(i).isNumber()
                    || line.at(i - 1).is("-") && line.at(i - 2).is("(", ":")) {
                i++;
                continue;
            }
            int next = i + 1;
            OptionalDouble ownFactor = factor(line, next, units);
            int join = ownFactor.isPresent() ? next + width(line, next) : next;
            int second = line.at(join).joinsRange() ? join + 1 : -1;
            if (second > 0 && line.at(second).isNumber()) {
                OptionalDouble factor = factor(line, second + 1, units);
                if (factor.isPresent()) {
                    double low = line.at(i).value() * ownFactor.orElse(factor.getAsDouble());
                    double high = line.at(second).value() * factor.getAsDouble();
                    int to = second + width(line, second + 1);
                    all.add(new Amount(Math.min(low, high), Math.max(low, high), i, to));
                    i = to + 1;
                    continue;
                }
            }
            if (ownFactor.isPresent()) {
                double value = line.at(i).value() * ownFactor.getAsDouble();
                all.add(new Amount(value, value, i, next + width(line, next) - 1));
                i = next + width(line, next);
            } else {
                i++;
            }
        }
        return all;
    }

    private static OptionalDouble factor(Line line, int at, List<Unit> units) {
        String unit = line.at(at).text();
        String perSecond = unit + (line.at(at + 1).is("/") && line.at(at + 2).is("s") ? "/s" : "");
        for (Unit u : units) {
            if (u.name().equals(perSecond) || u.name().equals(unit) && !u.name().contains("/")) {
                return OptionalDouble.of(u.factor());
            }
        }
        return OptionalDouble.empty();
    }

    /** How many tokens a unit takes: Mbit/s takes three. */
    private static int width(Line line, int at) {
        return line.at(at + 1).is("/") && line.at(at + 2).is("s") ? 3 : 1;
    }

    /** The number as a sheet states it, without the noise of its conversion. */
    static double tidy(double value) {
        return Math.round(value * 1e6) / 1e6;
    }
}
