package syntoma.core.calculator;

import java.util.Arrays;
import java.util.List;
import syntoma.core.caution.Caution;
import syntoma.core.chain.VoltageSystem;
import syntoma.core.power.Supply;
import syntoma.core.power.Wire;
import syntoma.core.unit.Values;

/** Which wire and fuse a device wants, and what is lost on the way. */
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
        return "Which wire and fuse a device wants, and what is lost on the way.";
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
                Input.number("watts", "Most it draws", "W", "24", 0.1, 5000),
                Input.number("way", "Way, one direction", "m", "5", 0, 50),
                Input.number("celsius", "Wire at", "°C", "60", -40, 105),
                Input.number("hours", "Hours a day", "h", "24", 0, 24),
                Input.number("usual", "Usual draw", "W", "12", 0, 5000));
    }

    @Override
    public String formula() {
        return "I = P ∕ lowest voltage; drop = 2 l I ρ ∕ A, ρ = 0.0172 Ω mm²∕m at 20 °C, +0.393 % per K; fuse: next size from 1.25 I up, at most what the wire bears.";
    }

    @Override
    public String holds() {
        return "For copper in air, one pair, a steady draw. Bundled, in insulation or in the engine bay take the next size; the fuse sits at the battery.";
    }

    @Override
    public String caution() {
        return Caution.DIRECT_CURRENT.says() + " " + Caution.MAINS.says();
    }

    @Override
    public Answer of(Given given) {
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
                .orElseThrow(() -> Given.refused(
                        "watts",
                        "Most it draws is " + Values.plain(given.number("watts")) + " W over " + Values.plain(way)
                                + " m: no wire of the list carries that with a drop under 3 %; shorten the way or raise the"
                                + " voltage"));
        double drop = wire.dropV(way, amps, celsius);
        String size = Values.plain(wire.mm2()) + " mm² (AWG " + wire.awg() + ")";
        return Answer.of(
                "Take " + size + " and a fuse of "
                        + Values.plain(wire.fuseA(amps).getAsDouble()) + " A at the battery; " + Values.rounded(drop, 2)
                        + " V is lost on the way.",
                Answer.line("Current at " + Values.plain(system.lowV()) + " V", Values.rounded(amps, 2) + " A"),
                Answer.line("Wire", size),
                Answer.line("Fuse", Values.plain(wire.fuseA(amps).getAsDouble()) + " A"),
                Answer.line(
                        "Lost on the way",
                        Values.rounded(drop, 2) + " V, " + Values.rounded(100 * drop / system.nominalV(), 1) + " %"),
                Answer.about("A day", Values.rounded(wh, 0) + " Wh"));
    }

    /** What a device bears to lose on the way, of the nominal voltage. */
    private static final double MOST_DROP = 0.03;
}
