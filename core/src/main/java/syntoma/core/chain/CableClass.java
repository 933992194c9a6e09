package syntoma.core.chain;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import syntoma.core.unit.Table;
import syntoma.core.unit.Text;

/**
 * A class of coaxial cable. Loss is α(f) = a√f + b·f dB/m with f in MHz (conductor and dielectric loss), fitted through two
 * datasheet points. The classes are data, beside this class.
 *
 * <pre>{@code
 * CableClass.of("240-class").lossDb(1800, 100) // 35.6
 * CableClass.of("240-class").lossDb(900, 4.5)  // 1.12
 * }</pre>
 *
 * @param diameterMm outer diameter
 * @param pricePerM estimated, in units of money
 * @param ohms impedance
 */
public record CableClass(String name, double a, double b, double diameterMm, double pricePerM, int ohms) {
    /** What radio gear is made for. */
    public static final int RADIO_OHMS = 50;

    private static final double FIRST_MHZ = 900;
    private static final double SECOND_MHZ = 2500;
    private static final Map<String, CableClass> CLASSES = new LinkedHashMap<>();

    static {
        for (String[] f : Table.rows(CableClass.class, "cables.csv")) {
            CLASSES.put(
                    f[0],
                    fit(
                            f[0],
                            Double.parseDouble(f[1]) / 100,
                            Double.parseDouble(f[2]) / 100,
                            Double.parseDouble(f[3]),
                            Double.parseDouble(f[4]),
                            Integer.parseInt(f[5])));
        }
    }

    private static CableClass fit(
            String name, double first, double second, double diameterMm, double pricePerM, int ohms) {
        double root1 = Math.sqrt(FIRST_MHZ);
        double root2 = Math.sqrt(SECOND_MHZ);
        double b = (second / root2 - first / root1) / (root2 - root1);
        double a = first / root1 - b * root1;
        return new CableClass(name, a, b, diameterMm, pricePerM, ohms);
    }

    /** All classes, the one that loses most first. */
    public static List<CableClass> all() {
        return List.copyOf(CLASSES.values());
    }

    /**
     * The class of a name.
     *
     * @throws IllegalArgumentException naming the text and the classes there are
     */
    public static CableClass of(String name) {
        CableClass found = CLASSES.get(name.strip());
        if (found == null) {
            throw new IllegalArgumentException(
                    "cable class is " + Text.quote(name) + "; allowed is " + String.join(", ", CLASSES.keySet()));
        }
        return found;
    }

    /** Loss in dB over a length in m at a frequency in MHz. */
    public double lossDb(double mhz, double lengthM) {
        return (a * Math.sqrt(mhz) + b * mhz) * lengthM;
    }
}
