package syntoma.core.fit;

import static org.junit.jupiter.api.Assertions.assertFalse;
import static syntoma.core.chain.Changed.aimed;
import static syntoma.core.chain.Changed.bands;
import static syntoma.core.chain.Changed.ethernet;
import static syntoma.core.chain.Changed.internal;
import static syntoma.core.chain.Changed.magnet;
import static syntoma.core.chain.Changed.plane;
import static syntoma.core.chain.Changed.ports;
import static syntoma.core.chain.Changed.power;
import static syntoma.core.chain.Changed.slot;
import static syntoma.core.chain.Changed.spaced;
import static syntoma.core.chain.Changed.twoSlots;
import static syntoma.core.chain.Changed.unknownPorts;
import static syntoma.core.chain.Rigs.antenna;
import static syntoma.core.chain.Rigs.booster;
import static syntoma.core.chain.Rigs.chain;
import static syntoma.core.chain.Rigs.in;
import static syntoma.core.chain.Rigs.lead;
import static syntoma.core.chain.Rigs.onRoof;
import static syntoma.core.chain.Rigs.range;
import static syntoma.core.chain.Rigs.router;
import static syntoma.core.chain.Rigs.run;
import static syntoma.core.chain.Rigs.volts;
import static syntoma.core.chain.Rigs.wide;
import static syntoma.core.chain.Rigs.withAdapters;
import static syntoma.core.chain.Rigs.withBooster;
import static syntoma.core.chain.Rigs.withPlugging;
import static syntoma.core.chain.Rigs.withSims;

import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import syntoma.core.band.Span;
import syntoma.core.chain.Adapter;
import syntoma.core.chain.Cable;
import syntoma.core.chain.CableClass;
import syntoma.core.chain.Chain;
import syntoma.core.chain.Connector;
import syntoma.core.chain.InternalAntennas;
import syntoma.core.chain.Placement;
import syntoma.core.chain.Port;
import syntoma.core.chain.PowerInput;
import syntoma.core.chain.Rigs;
import syntoma.core.chain.Shell;
import syntoma.core.chain.Sim;
import syntoma.core.chain.SimSize;
import syntoma.core.chain.Use;

/** Rigs that look like a misfit and are none: the rule stays silent. */
class NearMissesTest {
    private static final PowerInput NOT_STATED = PowerInput.UNKNOWN;

    record Near(String name, Chain chain, String code) {
        @Override
        public String toString() {
            return name;
        }
    }

    private static Near near(String name, Chain chain, String code) {
        return new Near(name, chain, code);
    }

    static Stream<Near> nearMisses() {
        List<Span> all = List.of(new Span(600, 4000));
        Cable fits = new Cable(
                "turned", CableClass.of("240-class"), 2, Connector.of("SMA-male"), Connector.of("SMA-female"));
        Cable thinShort = new Cable(
                "short", CableClass.of("100-class"), 0.5, Connector.of("SMA-female"), Connector.of("SMA-male"));
        Adapter reverse = new Adapter(
                "reverse",
                Connector.of("RP-SMA-female"),
                Connector.of("SMA-male"),
                true,
                OptionalDouble.empty(),
                OptionalDouble.empty());
        Chain two = chain(router(2), onRoof(wide("Alder", 2)));
        Sim ostrel = Rigs.card("Ostrel SIM", "Ostrel", SimSize.NANO);
        Sim tarnwave = Rigs.card("Tarnwave SIM", "Tarnwave", SimSize.NANO);
        return Stream.of(
                near("a device is chosen", chain(router(2)), "device-missing"),
                near("a device on its own needs no port", chain(ports(router(2))), "no-antenna-port"),
                near(
                        "ports that are not stated",
                        chain(unknownPorts(router(2)), onRoof(wide("Alder", 2))),
                        "no-antenna-port"),
                near(
                        "through a booster no port is needed",
                        withBooster(chain(ports(router(2)), onRoof(wide("Alder", 1))), booster(all, all)),
                        "no-antenna-port"),
                near("all leads have a port", two, "streams-lost"),
                near(
                        "no lead connected is not a lost stream",
                        chain(ports(router(2)), onRoof(wide("Alder", 2))),
                        "streams-lost"),
                near("all ports have a lead", two, "ports-empty"),
                near(
                        "more ports than streams",
                        chain(
                                ports(
                                        router(1),
                                        router(2).ports().orElseThrow().toArray(syntoma.core.chain.Port[]::new)),
                                onRoof(wide("Sorrel", 1))),
                        "ports-empty"),
                near("leads on ports of their use", two, "wrong-use"),
                near(
                        "RP-SMA with the adapter for it",
                        withAdapters(
                                chain(
                                        router(1),
                                        onRoof(antenna(
                                                "Alder", List.of(range(600, 6000, 5, 6)), lead("1", "RP-SMA-male")))),
                                reverse),
                        "no-pin"),
                near(
                        "the adapter is in the chain",
                        withAdapters(
                                chain(
                                        router(1),
                                        onRoof(antenna(
                                                "Alder", List.of(range(600, 6000, 5, 6)), lead("1", "RP-SMA-male")))),
                                reverse),
                        "adapter-needed"),
                near(
                        "an extension the other way round",
                        chain(
                                router(2),
                                run(
                                        antenna("Alder", List.of(range(600, 6000, 5, 6)), lead("1", "SMA-female")),
                                        List.of(fits),
                                        Placement.ROOF,
                                        0)),
                        "cable-ends"),
                near(
                        "one rigid adapter alone",
                        withAdapters(
                                chain(
                                        spaced(router(1), 5),
                                        onRoof(antenna(
                                                "Alder", List.of(range(600, 6000, 5, 6)), lead("1", "RP-SMA-male")))),
                                reverse),
                        "rigid-adapters"),
                near("two leads need no main port", two, "main-port"),
                near("one lead, one port", chain(router(1), onRoof(wide("Sorrel", 1))), "main-port"),
                near(
                        "own antennas that switch by themselves",
                        chain(internal(router(2), InternalAntennas.SWITCH_BY_THEMSELVES), onRoof(wide("Alder", 2))),
                        "own-antennas"),
                near(
                        "own antennas without a lead",
                        chain(internal(router(2), InternalAntennas.STAY_ON)),
                        "own-antennas"),
                near("Ethernet as fast as the modem", chain(ethernet(router(2), 600)), "slow-ethernet"),
                near("no Ethernet port at all", chain(ethernet(router(2), 0)), "slow-ethernet"),
                near("a nano card in a nano slot", withSims(two, tarnwave), "card-size"),
                near(
                        "a slot that is not stated",
                        withSims(chain(slot(router(2), SimSize.NANO)), Rigs.card("plain", "Tarnwave", null)),
                        "card-size"),
                near("one card in two slots", withSims(chain(twoSlots(router(2))), tarnwave), "card-count"),
                near("12 V input", chain(power(router(2), volts(9, 30))), "mains-only"),
                near("exactly what a vehicle gives", chain(power(router(2), volts(11, 14.8))), "supply-range"),
                near("an input that is not stated", chain(power(router(2), NOT_STATED)), "supply-range"),
                near("a band left works", two, "no-band-works"),
                near(
                        "a device whose bands are not stated",
                        chain(bands(router(2)), onRoof(wide("Alder", 2))),
                        "no-band-works"),
                near("an antenna for all", two, "bands-missing"),
                near(
                        "a booster with all uplinks",
                        withBooster(chain(router(2), onRoof(wide("Alder", 1))), booster(all, all)),
                        "booster-uplink"),
                near("no booster", two, "booster-streams"),
                near(
                        "a short bit of thin cable",
                        chain(router(2), run(wide("Alder", 2), List.of(thinShort), Placement.ROOF, 0)),
                        "cable-takes-gain"),
                near("an antenna on the roof", two, "no-gain"),
                near("a device alone is compared with itself", chain(router(2)), "no-gain"),
                near("an antenna that needs no plane, on plastic", in(two, Shell.GRP), "ground-plane"),
                near(
                        "a plane on a steel roof",
                        chain(router(2), onRoof(plane(wide("Sorrel", 2), 400))),
                        "ground-plane"),
                near("a magnet on steel", chain(router(2), onRoof(magnet(wide("Sorrel", 2)))), "magnet-hold"),
                near(
                        "a magnet inside",
                        in(chain(router(2), run(magnet(wide("Sorrel", 2)), List.of(), Placement.INSIDE, 0)), Shell.GRP),
                        "magnet-hold"),
                near(
                        "a GNSS lead with a port for it",
                        chain(
                                ports(
                                        router(1),
                                        new Port("M", Use.CELLULAR, Connector.of("SMA-female"), true),
                                        new Port("G", Use.GNSS, Connector.of("SMA-female"), false)),
                                onRoof(antenna(
                                        "Alder",
                                        List.of(range(600, 6000, 5, 6)),
                                        lead("1", "SMA-male"),
                                        lead("sat", Use.GNSS, "SMA-male")))),
                        "spare-lead"),
                near("no mast", two, "parked-only"),
                near("hears all around", two, "aiming"),
                near(
                        "one of two cards is of the carrier",
                        withSims(chain(twoSlots(router(2))), ostrel, tarnwave),
                        "carrier-of-card"),
                near("no card said", two, "carrier-of-card"),
                near("all is stated", two, "not-stated"),
                near(
                        "the stated wiring is sound",
                        withPlugging(two, Map.of("Alder/1", "M2", "Alder/2", "M1")),
                        "wrong-use"),
                near(
                        "a panel that says so is not silent on gain",
                        chain(router(2), onRoof(aimed(wide("Rowan", 2), 60))),
                        "no-gain"));
    }

    @ParameterizedTest
    @MethodSource("nearMisses")
    void the_rule_stays_silent(Near near) {
        List<FitFinding> findings = PlantedMisfitsTest.check(near.chain());
        assertFalse(findings.stream().anyMatch(f -> f.code().equals(near.code())), findings.toString());
    }
}
