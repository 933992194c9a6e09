package syntoma.core.chain;

/**
 * The electrical system of a vehicle: what its battery gives from nearly empty to charging. The limits are the usual ones of
 * a lead or lithium iron phosphate battery with four cells, and twice and four times them (docs/methods.md#15-power).
 */
public enum VoltageSystem {
    V12(12, 11.0, 14.8),
    V24(24, 22.0, 29.6),
    V48(48, 44.0, 58.4);

    private final int nominalV;
    private final double lowV;
    private final double highV;

    VoltageSystem(int nominalV, double lowV, double highV) {
        this.nominalV = nominalV;
        this.lowV = lowV;
        this.highV = highV;
    }

    /** The one of a battery's nominal voltage, such as 12.8 or 25.6: the nearest by its ratio. */
    public static VoltageSystem of(double batteryV) {
        double between = Math.sqrt(2);
        return batteryV < V12.nominalV * between ? V12 : batteryV < V24.nominalV * between ? V24 : V48;
    }

    public int nominalV() {
        return nominalV;
    }

    /** What a nearly empty battery gives, in V. */
    public double lowV() {
        return lowV;
    }

    /** What it has at most while it is charged, in V. */
    public double highV() {
        return highV;
    }

    /** Such as 24 V. */
    public String label() {
        return nominalV + " V";
    }
}
