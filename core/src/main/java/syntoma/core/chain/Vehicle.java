package syntoma.core.chain;

import syntoma.core.unit.Values;

/**
 * What of the vehicle matters to a chain.
 *
 * @param heightM outside height in m
 * @param limitM the most it may be high while it drives
 * @param batteryAh of the battery that supplies the chain
 * @param batteryV its nominal voltage
 */
public record Vehicle(String name, Shell shell, double heightM, double limitM, double batteryAh, double batteryV) {
    /** Many countries' limit on roads without a sign, in m. */
    public static final double USUAL_LIMIT_M = 4;

    public Vehicle {
        Values.within("height", heightM, 1, 6, "m");
        Values.within("height limit", limitM, 1, 6, "m");
        Values.within("battery", batteryAh, 1, 5000, "Ah");
        Values.within("battery voltage", batteryV, 5, 60, "V");
    }

    /** Its electrical system. */
    public VoltageSystem system() {
        return VoltageSystem.of(batteryV);
    }
}
