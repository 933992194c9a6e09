package syntoma.core.calculator;

import java.util.Arrays;
import java.util.List;
import syntoma.core.caution.Caution;
import syntoma.core.chain.VoltageSystem;
import syntoma.core.power.Supply;
import syntoma.core.power.Wire;
import syntoma.core.sentence.Sentence;
import syntoma.core.unit.Values;

/** The wire and fuse a device needs, and the voltage drop. */
final class WireAndFuse implements Calculator {
    @Override
    public String key() {
        return "power";
    }

    @Override
    public String name() {
        return "Wire and fuse";
    }

    @Override
    public String answers() {
        return "The wire and fuse a device needs, and the voltage drop.";
    }

    @Override
    public List<Input> inputs() {
        return List.of(
                Input.choice(
                        "system",
                        "Battery",
                        Arrays.stream(VoltageSystem.values())
                                .map(VoltageSystem::label)
                                .toList(),
                        "12 V"),
                Input.number("watts", "Maximum draw", "W", "24", 0.1, 5000),
                Input.number("way", "Length, one way", "m", "5", 0, 50),
                Input.number("celsius", "Wire temperature", "°C", "60", -40, 105),
                Input.number("hours", "Hours a day", "h", "24", 0, 24),
                Input.number("usual", "Usual draw", "W", "12", 0, 5000));
    }

    @Override
    public String formula() {
        return "I = P ∕ lowest voltage; drop = 2 l I ρ ∕ A, ρ = 0.0172 Ω mm²∕m at 20 °C, +0.393 % per K; fuse: next size from 1.25 I up, at most what the wire can carry.";
    }

    @Override
    public Sentence holds() {
        return Sentence.of(
                "For copper in air, one pair, a steady draw. In a bundle, in insulation or in the engine bay use the next size. Put the fuse at the battery.");
    }

    @Override
    public String caution() {
        return Caution.DIRECT_CURRENT.says() + " " + Caution.MAINS.says();
    }

    @Override
    public Answer of(GivenValues given) {
        VoltageSystem system = Arrays.stream(VoltageSystem.values())
                .filter(s -> s.label().equals(given.choice("system")))
                .findFirst()
                .orElseThrow();
        double amps = given.number("watts") / system.lowV();
        double way = given.number("way");
        double celsius = given.number("celsius");
        double mostDrop = MOST_DROP * system.nominalV();
        double wh = Supply.whPerDay(given.number("usual"), given.number("hours"));
        Wire wire = Wire.thinnest(way, amps, celsius, mostDrop)
                .filter(w -> w.fuseA(amps).isPresent())
                .orElseThrow(() -> GivenValues.refuse(
                        "watts",
                        "Maximum draw is " + Values.format(given.number("watts")) + " W over " + Values.format(way)
                                + " m: no wire in the list carries that with a drop under 3 %. Shorten the wire or raise the"
                                + " voltage"));
        double drop = wire.dropV(way, amps, celsius);

        return Answer.of(
                Sentence.of(
                        "Take ",
                        wire,
                        " and a fuse of " + Values.format(wire.fuseA(amps).getAsDouble()) + " A at the battery; "
                                + Values.round(drop, 2) + " V voltage drop."),
                Answer.line("Current at " + Values.format(system.lowV()) + " V", Values.round(amps, 2) + " A"),
                Answer.line("Wire", wire),
                Answer.line("Fuse", Values.format(wire.fuseA(amps).getAsDouble()) + " A"),
                Answer.line(
                        "Voltage drop",
                        Values.round(drop, 2) + " V, " + Values.round(100 * drop / system.nominalV(), 1) + " %"),
                Answer.about("A day", Values.round(wh, 0) + " Wh"));
    }

    /** What a device bears to lose on the way, of the nominal voltage. */
    private static final double MOST_DROP = 0.03;
}
