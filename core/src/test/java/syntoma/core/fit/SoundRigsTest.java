package syntoma.core.fit;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static syntoma.core.chain.Changed.bands;
import static syntoma.core.chain.Changed.magnet;
import static syntoma.core.chain.Changed.ports;
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
import syntoma.core.chain.Device;
import syntoma.core.chain.Placement;
import syntoma.core.chain.Rigs;
import syntoma.core.chain.Shell;
import syntoma.core.chain.SimSize;

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
        Cable thick = new Cable(
                "thick", CableClass.named("400-class"), 5, Connector.of("SMA-female"), Connector.of("SMA-male"));
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
                Rigs.withPlacement(chain(router(2)), Placement.WINDOW));
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
