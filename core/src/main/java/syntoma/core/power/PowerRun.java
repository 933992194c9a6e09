package syntoma.core.power;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import syntoma.core.chain.PowerInput;
import syntoma.core.chain.VoltageSystem;
import syntoma.core.sentence.Sentence;
import syntoma.core.unit.Values;

/**
 * The wire from the battery to a part.
 *
 * @param wayM one way
 * @param supply how the part is fed
 * @param amps at its peak draw, or its usual one where no peak is stated, from a nearly empty battery; empty where the draw is not
 *     stated, or the part runs on mains only, since its wire is the inverter's
 * @param wire the thinnest that can be fused for it and loses little enough on the way
 */
public record PowerRun(VoltageSystem system, double wayM, Supply supply, OptionalDouble amps, Optional<Wire> wire) {
    /** The temperature of a loaded wire in a bundle, in °C: chosen on the safe side. */
    private static final double WIRE_CELSIUS = 60;
    /** Of the nominal voltage: the usual limit for consumers that mind. */
    private static final double MOST_DROP = 0.03;

    /** From a battery of a system to a part. */
    public static PowerRun of(PowerInput input, VoltageSystem system, double wayM) {
        Values.within("way", wayM, 0, 50, "m");
        Supply supply = Supply.of(input, system);
        OptionalDouble amps =
                supply.way() == Supply.Way.INVERTER || input.mostW().isEmpty()
                        ? OptionalDouble.empty()
                        : OptionalDouble.of(input.mostW().getAsDouble() / system.lowV());
        return new PowerRun(
                system,
                wayM,
                supply,
                amps,
                amps.isEmpty()
                        ? Optional.empty()
                        : Wire.thinnest(wayM, amps.getAsDouble(), WIRE_CELSIUS, MOST_DROP * system.nominalV()));
    }

    /** The fuse at the battery, in A. */
    public OptionalDouble fuseA() {
        return wire.isPresent() ? wire.get().fuseA(amps.orElseThrow()) : OptionalDouble.empty();
    }

    /** What is lost on the wire there and back, in V. */
    public OptionalDouble dropV() {
        return wire.map(this::drop).orElse(OptionalDouble.empty());
    }

    private OptionalDouble drop(Wire of) {
        return amps.isEmpty()
                ? OptionalDouble.empty()
                : OptionalDouble.of(of.dropV(wayM, amps.getAsDouble(), WIRE_CELSIUS));
    }

    /** The same with a wire that is there, compared with what is wanted; empty where the draw is not stated. */
    public List<Sentence> compare(double mm2) {
        Wire own = Wire.of(mm2);
        List<Sentence> said = new ArrayList<>();
        if (amps.isEmpty()) {
            return said;
        }
        double lost = drop(own).orElseThrow();
        Sentence loses = Sentence.of(own, " loses " + Values.round(lost, 2) + " V on the way");
        said.add(
                lost <= MOST_DROP * system.nominalV()
                        ? Sentence.of(loses, ".")
                        : Sentence.of(
                                loses,
                                ", more than 3 %: take ",
                                wire.<Object>map(w -> w).orElse("a shorter way"),
                                "."));
        said.add(
                own.fuseA(amps.getAsDouble()).isPresent()
                        ? Sentence.of("Fuse it at "
                                + Values.format(own.fuseA(amps.getAsDouble()).getAsDouble()) + " A, at the battery.")
                        : Sentence.of(
                                "No fuse lets " + Values.round(amps.getAsDouble(), 1)
                                        + " A through and still protects ",
                                own,
                                "."));
        return said;
    }
}
