package syntoma.core.fit;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static syntoma.core.chain.Changed.bands;
import static syntoma.core.chain.Changed.magnet;
import static syntoma.core.chain.Changed.ports;
import static syntoma.core.chain.Changed.power;
import static syntoma.core.chain.Changed.twoSlots;
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
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import syntoma.core.band.Span;
import syntoma.core.chain.Adapter;
import syntoma.core.chain.Antenna;
import syntoma.core.chain.AntennaRun;
import syntoma.core.chain.Cable;
import syntoma.core.chain.CableClass;
import syntoma.core.chain.Chain;
import syntoma.core.chain.Changed;
import syntoma.core.chain.Connector;
import syntoma.core.chain.Device;
import syntoma.core.chain.Feature;
import syntoma.core.chain.Feed;
import syntoma.core.chain.Placement;
import syntoma.core.chain.PowerInput;
import syntoma.core.chain.RadioMode;
import syntoma.core.chain.Rigs;
import syntoma.core.chain.Shell;
import syntoma.core.chain.SimSize;
import syntoma.core.chain.Source;
import syntoma.core.chain.Use;

/** Rigs in which nothing stands in the way. */
class SoundRigsTest {
    private static final List<Span> LOW = List.of(new Span(791, 960), new Span(1805, 1880));
    private static final List<Span> LOW_UP = List.of(new Span(832, 915), new Span(1710, 1785));
    private static final Device HOTSPOT = PlantedMisfitsTest.HOTSPOT;

    /** Rigs that are sound: with antenna or without, with adapters, mast, booster, on all shells. */
    static Stream<Chain> sound() {
        Adapter pigtail = new Adapter(
                "pigtail",
                Connector.of("SMA-female"),
                Connector.of("TS9-male"),
                false,
                OptionalDouble.empty(),
                OptionalDouble.empty());
        Adapter reverse = new Adapter(
                "reverse",
                Connector.of("RP-SMA-female"),
                Connector.of("SMA-male"),
                false,
                OptionalDouble.empty(),
                OptionalDouble.empty());
        Cable thick =
                new Cable("thick", CableClass.of("400-class"), 5, Connector.of("SMA-female"), Connector.of("SMA-male"));
        Chain plain = chain(router(2), onRoof(wide("Alder", 2)));
        return Stream.of(
                plain,
                chain(router(4), onRoof(wide("Rowan", 4))),
                chain(router(1), onRoof(wide("Sorrel", 1))),
                chain(router(2)),
                chain(ports(router(2))),
                chain(HOTSPOT),
                in(plain, Shell.GRP),
                in(plain, Shell.ALUMINIUM),
                withAdapters(chain(HOTSPOT, onRoof(wide("Alder", 2))), pigtail, pigtail),
                chain(HOTSPOT, onRoof(wide("Alder", 2))),
                withAdapters(
                        chain(
                                router(1),
                                onRoof(antenna("Alder", List.of(range(600, 6000, 5, 6)), lead("1", "RP-SMA-male")))),
                        reverse),
                chain(router(2), run(wide("Rowan", 2), List.of(thick), Placement.MAST, 3)),
                chain(router(2), run(wide("Rowan", 2), List.of(), Placement.WINDOW, 0)),
                chain(router(2), onRoof(wide("Alder", 1)), onRoof(wide("Rowan", 1))),
                withBooster(chain(router(2), onRoof(wide("Alder", 1))), booster(LOW_UP, LOW)),
                withBooster(chain(ports(router(2)), onRoof(wide("Alder", 1))), booster(LOW_UP, LOW)),
                withSims(plain, PlantedMisfitsTest.card(SimSize.NANO)),
                withSims(
                        chain(twoSlots(router(2)), onRoof(wide("Alder", 2))),
                        PlantedMisfitsTest.card(SimSize.NANO),
                        Rigs.card("b", "Ostrel", SimSize.NANO)),
                withPlugging(plain, Map.of("Alder/1", "M1", "Alder/2", "M2")),
                chain(bands(router(2)), onRoof(wide("Alder", 2))),
                chain(router(2), onRoof(magnet(wide("Sorrel", 2)))),
                Rigs.withPlacement(chain(router(2)), Placement.WINDOW),
                // two antennas side by side, and leads of different bands
                chain(router(4), onRoof(low(2)), onRoof(high(2))),
                chain(router(4), onRoof(low(2)), run(high(2), List.of(), Placement.MAST, 1)),
                chain(router(2), onRoof(low(1)), onRoof(high(1))),
                chain(router(8), onRoof(wide("Rowan", 4)), onRoof(wide("Alder", 4))),
                chain(
                        router(2),
                        onRoof(antenna(
                                "Alder",
                                List.of(range(600, 6000, 5, 6)),
                                lead("1", "SMA-male"),
                                lead("2", "SMA-male"),
                                lead("sat", Use.GNSS, "SMA-male"),
                                lead("air", Use.WIFI, "RP-SMA-male")))),
                // supplies
                chain(power(router(2), volts(9, 30)), onRoof(wide("Alder", 2))),
                Rigs.onBattery(chain(power(router(2), volts(9, 36)), onRoof(wide("Alder", 2))), 25.6),
                Rigs.onBattery(chain(power(router(2), volts(36, 60)), onRoof(wide("Alder", 2))), 51.2),
                chain(power(router(2), by(Feed.POE_AT)), onRoof(wide("Alder", 2))),
                chain(power(router(2), by(Feed.USB_PD)), onRoof(wide("Alder", 2))),
                chain(power(router(2), PowerInput.UNKNOWN), onRoof(wide("Alder", 2))),
                // cards
                withSims(
                        chain(Changed.with(router(2), "esim", Optional.of(true))),
                        Rigs.card("e", "Tarnwave", SimSize.ESIM)),
                withSims(
                        chain(Changed.with(
                                Changed.with(router(2), "esim", Optional.of(true)), "modems", OptionalInt.of(2))),
                        Rigs.card("a", "Ostrel", SimSize.NANO),
                        Rigs.card("e", "Tarnwave", SimSize.ESIM)),
                withSims(
                        chain(Changed.with(router(2), "lockedTo", Optional.of("Tarnwave"))),
                        Rigs.card("a", "Tarnwave", SimSize.NANO)),
                withSims(chain(Changed.slot(router(2), SimSize.FULL)), Rigs.card("a", "Tarnwave", SimSize.MICRO)),
                // settings and sources
                Rigs.withSettings(plain, RadioMode.LTE_ONLY),
                Rigs.withSettings(plain, RadioMode.NR_ONLY),
                Rigs.withSettings(plain, RadioMode.LOCKED, "B3", "B20"),
                Rigs.withSettings(plain, RadioMode.AUTOMATIC, "n78"),
                Rigs.from(plain, Source.SATELLITE),
                Rigs.from(
                        chain(Changed.with(router(2), "features", Optional.of(Set.of(Feature.WIFI_SOURCE)))),
                        Source.CAMPGROUND_WIFI),
                // plates, masts and leads
                in(chain(router(2), plated(magnet(wide("Sorrel", 2)))), Shell.GRP),
                in(chain(router(2), plated(magnet(wide("Sorrel", 2)))), Shell.ALUMINIUM),
                chain(router(2), run(wide("Rowan", 2), List.of(thick, named(thick, "more")), Placement.MAST, 6)),
                chain(
                        router(2),
                        onRoof(antenna(
                                "Alder",
                                List.of(range(600, 6000, 5, 6)),
                                lead("1", "SMA-male", 0),
                                lead("2", "SMA-male", 0)))),
                // what no sheet states blocks nothing
                chain(router(2), onRoof(Changed.with(wide("Alder", 2), "leads", List.of()))),
                chain(Changed.unknownPorts(router(2)), onRoof(wide("Alder", 2))),
                chain(Changed.with(router(2), "layers", Map.of()), onRoof(wide("Alder", 2))),
                withBooster(
                        chain(router(2), onRoof(wide("Alder", 1))),
                        Changed.with(booster(LOW_UP, LOW), "donor", Optional.empty())),
                chain(bands(router(2), "n77", "B41"), onRoof(wide("Alder", 2))));
    }

    private static Antenna low(int leads) {
        return Changed.with(wide("Alder", leads), "ranges", List.of(range(600, 2700, 4, 4)));
    }

    private static Antenna high(int leads) {
        return Changed.with(wide("Rowan", leads), "ranges", List.of(range(3300, 4200, 9, 9)));
    }

    private static AntennaRun plated(Antenna antenna) {
        return Changed.with(onRoof(antenna), "plateCm2", OptionalDouble.of(300));
    }

    private static Cable named(Cable cable, String name) {
        return Changed.with(cable, "name", name);
    }

    private static PowerInput by(Feed feed) {
        return Changed.with(PowerInput.UNKNOWN, "feeds", Set.of(feed));
    }

    @ParameterizedTest
    @MethodSource("sound")
    void no_sound_rig_is_blocked(Chain chain) {
        List<FitFinding> blockers = PlantedMisfitsTest.check(chain).stream()
                .filter(f -> f.severity() == Severity.BLOCKER)
                .toList();
        assertEquals(List.of(), blockers);
    }
}
