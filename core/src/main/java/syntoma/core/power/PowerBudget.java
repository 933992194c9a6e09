package syntoma.core.power;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import syntoma.core.chain.Chain;
import syntoma.core.chain.PowerInput;
import syntoma.core.chain.Vehicle;
import syntoma.core.unit.Values;

/**
 * What one part of a chain takes a day, and what it wants of the 12 V side. All figures are empty where its sheet does not
 * state the draw.
 *
 * @param whPerDay from 12 V; empty when the part runs on mains only
 * @param whPerDayThroughInverter from its mains adapter behind an inverter
 * @param batteryShare of the battery's content, a day, 0 to 1 and above
 * @param amps continuous, at the battery's nominal voltage
 * @param wire the thinnest that can be fused for it and loses little enough over {@value #WIRE_M} m
 */
public record PowerBudget(
        String part,
        PowerInput input,
        OptionalDouble whPerDay,
        OptionalDouble whPerDayThroughInverter,
        OptionalDouble batteryShare,
        OptionalDouble amps,
        Optional<Wire> wire) {
    /** One way from the battery, in m: chosen, because in a van the electrics are seldom further from the desk. */
    public static final double WIRE_M = 5;
    /** The temperature of a loaded wire in a bundle, in °C: chosen on the safe side. */
    private static final double WIRE_CELSIUS = 60;
    /** Of the nominal voltage: the usual limit for consumers that mind. */
    private static final double MOST_DROP = 0.03;

    /** The budget of each part of a chain that takes power. */
    public static List<PowerBudget> of(Chain chain, double hoursADay) {
        Values.within("hours a day", hoursADay, 0, 24, "h");
        return java.util.stream.Stream.concat(
                        chain.device().stream().map(d -> of(d.name(), d.power(), chain.vehicle(), hoursADay)),
                        chain.booster().stream().map(b -> of(b.name(), b.power(), chain.vehicle(), hoursADay)))
                .toList();
    }

    private static PowerBudget of(String part, PowerInput input, Vehicle vehicle, double hours) {
        if (input.drawW().isEmpty()) {
            OptionalDouble unknown = OptionalDouble.empty();
            return new PowerBudget(part, input, unknown, unknown, unknown, unknown, Optional.empty());
        }
        double draw = input.drawW().getAsDouble();
        double direct = Supply.whPerDay(draw, hours);
        double inverted = Supply.whPerDayThroughInverter(draw, hours);
        double volts = vehicle.batteryV();
        double amps = (input.mainsOnly() ? draw / (Supply.INVERTER * Supply.ADAPTER) : draw) / volts;
        return new PowerBudget(
                part,
                input,
                input.mainsOnly() ? OptionalDouble.empty() : OptionalDouble.of(direct),
                OptionalDouble.of(inverted),
                OptionalDouble.of((input.mainsOnly() ? inverted : direct) / (vehicle.batteryAh() * volts)),
                OptionalDouble.of(amps),
                Wire.thinnest(WIRE_M, amps, WIRE_CELSIUS, MOST_DROP * volts));
    }

    /** The fuse at the battery, in A. */
    public OptionalDouble fuseA() {
        return wire.isPresent() ? wire.get().fuseA(amps.orElseThrow()) : OptionalDouble.empty();
    }

    /** What is lost on the wire there and back, in V. */
    public OptionalDouble dropV() {
        return wire.isPresent()
                ? OptionalDouble.of(wire.get().dropV(WIRE_M, amps.orElseThrow(), WIRE_CELSIUS))
                : OptionalDouble.empty();
    }

    /** Wh a day on the way that the part is fed; empty when its draw is not stated. */
    public OptionalDouble takenWhPerDay() {
        return input.mainsOnly() ? whPerDayThroughInverter : whPerDay;
    }

    /** Wh a day of a whole chain; empty when a part does not state its draw, or nothing takes power. */
    public static OptionalDouble sum(List<PowerBudget> parts) {
        boolean known = !parts.isEmpty()
                && parts.stream().allMatch(p -> p.takenWhPerDay().isPresent());
        return known
                ? OptionalDouble.of(parts.stream()
                        .mapToDouble(p -> p.takenWhPerDay().getAsDouble())
                        .sum())
                : OptionalDouble.empty();
    }
}
