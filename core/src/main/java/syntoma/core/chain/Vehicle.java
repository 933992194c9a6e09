package syntoma.core.chain;

import syntoma.core.unit.Values;

/**
 * What of the vehicle matters to a chain.
 *
 * @param heightM outside height in m
 * @param batteryAh of the battery that supplies the chain
 * @param batteryV its nominal voltage
 */
public record Vehicle(String name, Shell shell, double heightM, double batteryAh, double batteryV) {
    public Vehicle {
        Values.within("height", heightM, 1, 6, "m");
        Values.within("battery", batteryAh, 1, 5000, "Ah");
        Values.within("battery voltage", batteryV, 5, 60, "V");
    }
}
