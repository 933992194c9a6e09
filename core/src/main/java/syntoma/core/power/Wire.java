package syntoma.core.power;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import syntoma.core.sentence.Part;
import syntoma.core.sentence.UnitSystem;
import syntoma.core.unit.Table;
import syntoma.core.unit.Values;

/**
 * A copper wire of the vehicle’s DC side. The sizes and the fuses are data, beside this class.
 *
 * <pre>{@code
 * Wire wire = Wire.of(1.5);
 * wire.dropV(5, 2, 60) // 0.27
 * wire.fuseA(2)        // 3
 * Wire.thinnest(5, 2, 60, 0.36).get().mm2() // 1.5
 * }</pre>
 *
 * @param mm2 cross-section in mm²
 * @param ratingA typical rating in A
 * @param awg the next common gauge that is not thinner
 */
public record Wire(double mm2, double ratingA, int awg) implements Part {
    /** Resistivity of copper at 20 °C in Ω·mm²/m. */
    public static final double RHO = 0.0172;
    /** Rise of the resistivity per K. */
    public static final double PER_KELVIN = 0.00393;

    private static final double FUSE_FACTOR = 1.25;
    private static final List<Wire> SIZES = Table.rows(Wire.class, "wires.csv").stream()
            .map(f -> new Wire(Double.parseDouble(f[0]), Double.parseDouble(f[1]), Integer.parseInt(f[2])))
            .toList();
    private static final List<Double> FUSES = Table.rows(Wire.class, "fuses.csv").stream()
            .map(f -> Double.parseDouble(f[0]))
            .toList();

    @Override
    public String in(UnitSystem system) {
        return system == UnitSystem.METRIC ? Values.format(mm2) + " mm²" : "AWG " + awg;
    }

    /** All sizes, the thinnest first. */
    public static List<Wire> sizes() {
        return SIZES;
    }

    /**
     * The wire of a cross-section in mm².
     *
     * @throws IllegalArgumentException naming the value and the sizes there are
     */
    public static Wire of(double mm2) {
        return SIZES.stream()
                .filter(w -> w.mm2 == mm2)
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("wire is " + Values.format(mm2) + " mm²; allowed is "
                        + SIZES.stream().map(w -> Values.format(w.mm2)).collect(Collectors.joining(", "))
                        + " mm²"));
    }

    /** Voltage drop there and back, 2·l·I·ρ/A. 5 m, 2 A, 1.5 mm², 60 °C: 0.27 V. */
    public double dropV(double lengthM, double amps, double celsius) {
        Values.within("length", lengthM, 0, 50, "m");
        return 2 * lengthM * amps * RHO * (1 + PER_KELVIN * (celsius - 20)) / mm2;
    }

    /** The fuse for a continuous current: the next standard size from 1.25 times it, at most the wire's rating. */
    public OptionalDouble fuseA(double amps) {
        return FUSES.stream()
                .mapToDouble(f -> f)
                .filter(f -> f >= FUSE_FACTOR * amps && f <= ratingA)
                .findFirst();
    }

    /** The thinnest size that can be fused for a current and loses at most so many V on the way. */
    public static Optional<Wire> thinnest(double lengthM, double amps, double celsius, double mostDropV) {
        return SIZES.stream()
                .filter(w -> w.fuseA(amps).isPresent() && w.dropV(lengthM, amps, celsius) <= mostDropV)
                .findFirst();
    }
}
