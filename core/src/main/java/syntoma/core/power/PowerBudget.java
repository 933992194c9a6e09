package syntoma.core.power;

import java.util.List;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import syntoma.core.chain.Chain;
import syntoma.core.chain.PowerInput;
import syntoma.core.chain.Vehicle;
import syntoma.core.unit.Values;

/**
 * What one part of a chain takes a day, and what it needs of the vehicle's DC side. All figures are empty where its sheet
 * does not state the draw.
 *
 * @param supply how it is fed
 * @param whPerDay from the battery; empty when the part runs on mains only
 * @param whPerDayThroughInverter from its mains adapter behind an inverter
 * @param batteryShare of the battery's content, a day, 0 to 1 and above
 * @param run its wire over {@value #WIRE_M} m
 */
public record PowerBudget(
        String part,
        PowerInput input,
        Supply supply,
        OptionalDouble whPerDay,
        OptionalDouble whPerDayThroughInverter,
        OptionalDouble batteryShare,
        PowerRun run) {
    /** One way from the battery, in m: chosen, because in a van the electrics are seldom further from the desk. */
    public static final double WIRE_M = 5;
    /** The budget of each part of a chain that takes power. */
    public static List<PowerBudget> of(Chain chain, double hoursADay) {
        Values.within("hours a day", hoursADay, 0, 24, "h");
        return Stream.concat(
                        chain.device().stream().map(d -> of(d.name(), d.power(), chain.vehicle(), hoursADay)),
                        chain.booster().stream().map(b -> of(b.name(), b.power(), chain.vehicle(), hoursADay)))
                .toList();
    }

    private static PowerBudget of(String part, PowerInput input, Vehicle vehicle, double hours) {
        Supply supply = Supply.of(input, vehicle.system());
        boolean mains = supply.way() == Supply.Way.INVERTER;
        OptionalDouble direct = mains || input.drawW().isEmpty()
                ? OptionalDouble.empty()
                : OptionalDouble.of(Supply.whPerDay(input.drawW().getAsDouble(), hours));
        OptionalDouble inverted = input.drawW().isEmpty()
                ? OptionalDouble.empty()
                : OptionalDouble.of(Supply.whPerDayThroughInverter(input.drawW().getAsDouble(), hours));
        OptionalDouble taken = mains ? inverted : direct;
        return new PowerBudget(
                part,
                input,
                supply,
                direct,
                inverted,
                taken.isEmpty()
                        ? taken
                        : OptionalDouble.of(taken.getAsDouble() / (vehicle.batteryAh() * vehicle.batteryV())),
                PowerRun.of(input, vehicle.system(), WIRE_M));
    }

    /** Wh a day on the way that the part is fed; empty when its draw is not stated. */
    public OptionalDouble takenWhPerDay() {
        return supply.way() == Supply.Way.INVERTER ? whPerDayThroughInverter : whPerDay;
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
