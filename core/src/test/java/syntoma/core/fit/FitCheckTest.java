package syntoma.core.fit;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static syntoma.core.chain.Changed.with;
import static syntoma.core.chain.Rigs.antenna;
import static syntoma.core.chain.Rigs.chain;
import static syntoma.core.chain.Rigs.lead;
import static syntoma.core.chain.Rigs.onRoof;
import static syntoma.core.chain.Rigs.range;
import static syntoma.core.chain.Rigs.router;
import static syntoma.core.chain.Rigs.wide;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import org.junit.jupiter.api.Test;
import syntoma.core.band.Band;
import syntoma.core.band.Bands;
import syntoma.core.band.Coverage;
import syntoma.core.band.Span;
import syntoma.core.chain.Adapter;
import syntoma.core.chain.Antenna;
import syntoma.core.chain.CableClass;
import syntoma.core.chain.Chain;
import syntoma.core.chain.Changed;
import syntoma.core.chain.Connector;
import syntoma.core.chain.Device;
import syntoma.core.chain.Lead;
import syntoma.core.chain.Port;
import syntoma.core.chain.Rigs;
import syntoma.core.chain.Use;

class FitCheckTest {
    private static final Chain HOTSPOT = chain(
            Rigs.device(
                    "Plover",
                    2,
                    new Port("1", Use.CELLULAR, Connector.of("TS9-female"), true),
                    new Port("2", Use.CELLULAR, Connector.of("TS9-female"), false)),
            onRoof(wide("Alder", 2)));

    private static FitCase fit(Chain chain, List<Adapter> spares) {
        return FitCase.of(chain, "Tarnwave", List.of(Bands.of("B20")), spares, Demand.NONE);
    }

    private static Adapter pigtail(String name, double price) {
        return new Adapter(
                name,
                Connector.of("SMA-female"),
                Connector.of("TS9-male"),
                false,
                OptionalDouble.empty(),
                OptionalDouble.of(price));
    }

    @Test
    void the_fix_names_the_cheapest_spare_and_its_price_for_all() {
        FitCase fit = fit(HOTSPOT, List.of(pigtail("dear pigtail", 9), pigtail("cheap pigtail", 6)));
        FitFinding found = FitCheck.of(fit).all().stream()
                .filter(f -> f.code().equals("adapter-needed"))
                .findFirst()
                .orElseThrow();
        assertEquals(
                "Two SMA-female to TS9-male adapters, such as cheap pigtail.",
                found.fix().toString());
        assertEquals(12, found.toBuy().orElseThrow().price().orElseThrow());
    }

    @Test
    void a_rigid_adapter_is_no_fix_where_ports_sit_close() {
        Adapter elbow = new Adapter(
                "elbow",
                Connector.of("SMA-female"),
                Connector.of("TS9-male"),
                true,
                OptionalDouble.empty(),
                OptionalDouble.of(3));
        FitCase wide = fit(HOTSPOT, List.of(elbow, pigtail("pigtail", 6)));
        assertTrue(FitCheck.of(wide).all().stream()
                .anyMatch(f -> f.fix().toString().contains("such as elbow")));
        FitCase tight = fit(Rigs.withSpacing(HOTSPOT, 8), List.of(elbow, pigtail("pigtail", 6)));
        assertTrue(FitCheck.of(tight).all().stream()
                .anyMatch(f -> f.fix().toString().contains("as pigtails, such as pigtail")));
    }

    @Test
    void the_headline_says_whether_it_fits_what_to_buy_and_the_streams() {
        FitCase hotspot = fit(HOTSPOT, List.of());
        assertEquals(
                "It fits, with one kind of part to buy. Two streams reach Plover.",
                FitCheck.of(hotspot).headline().toString());
        FitCase router = fit(chain(router(4), onRoof(wide("Rowan", 4))), List.of());
        assertEquals(
                "It fits. Four streams reach Curlew.",
                FitCheck.of(router).headline().toString());
        FitCase bare = fit(chain(null), List.of());
        assertTrue(FitCheck.of(bare).headline().toString().contains("only a name"));
    }

    @Test
    void a_booster_leaves_one_stream() {
        List<Span> all = List.of(new Span(700, 3000));
        Chain boosted = Rigs.withBooster(chain(router(4), onRoof(wide("Alder", 1))), Rigs.booster(all, all));
        assertEquals(OptionalInt.of(1), fit(boosted, List.of()).streams(Bands.of("B20")));
        assertEquals(OptionalInt.of(1), fit(boosted, List.of()).streams().mostStreams());
    }

    private static FitCase on(Chain chain, String... bands) {
        return FitCase.of(chain, "Tarnwave", Arrays.stream(bands).map(Bands::of).toList(), List.of(), Demand.NONE);
    }

    @Test
    void streams_are_by_the_technology_of_the_band() {
        Device two = with(router(4), "layers", Map.of(Band.Technology.LTE, 2, Band.Technology.NR, 4));
        FitCase fit = on(chain(two, onRoof(wide("Rowan", 4))), "B3", "n78");
        assertEquals(OptionalInt.of(2), fit.streams(Bands.of("B3")));
        assertEquals(OptionalInt.of(4), fit.streams(Bands.of("n78")));
        assertEquals(
                "It fits. Two streams on LTE and four on NR reach Curlew.",
                FitCheck.of(fit).headline().toString());
        Device lteAlone = with(router(4), "layers", Map.of(Band.Technology.LTE, 2));
        FitCase open = on(chain(lteAlone, onRoof(wide("Rowan", 4))), "B3", "n78");
        assertEquals(OptionalInt.empty(), open.streams(Bands.of("n78")));
        assertEquals(OptionalInt.empty(), open.streams().mostStreams());
        assertEquals(
                "It fits. Two streams on LTE reach Curlew; on NR that is unknown.",
                FitCheck.of(open).headline().toString());
    }

    @Test
    void antennas_stand_side_by_side() {
        Antenna dome = antenna("Alder", List.of(range(600, 2700, 4, 4)), lead("1", "SMA-male"), lead("2", "SMA-male"));
        Antenna panel =
                antenna("Rowan", List.of(range(3300, 4200, 9, 9)), lead("1", "SMA-male"), lead("2", "SMA-male"));
        FitCase fit = on(chain(router(4), onRoof(dome), onRoof(panel)), "B20", "B3", "n78");
        assertEquals(3, fit.reach().works());
        assertEquals(OptionalInt.of(2), fit.streams(Bands.of("B3")));
        assertEquals(OptionalInt.of(2), fit.streams(Bands.of("n78")));
        assertEquals("Alder 1", fit.best(Bands.of("B3")).orElseThrow().lead().label());
        assertEquals("Rowan 1", fit.best(Bands.of("n78")).orElseThrow().lead().label());
        // 9 dBi less 2 m of 240-class less a pair of connectors, out of 18 dB of steel
        double cable = 2 * CableClass.of("240-class").lossDb(3550, 1);
        assertEquals(
                9 - cable - 0.15 + 18,
                fit.staircase(Bands.of("n78")).orElseThrow().deltaDb().orElseThrow(),
                1e-9);
    }

    @Test
    void a_lead_with_a_range_of_its_own_counts_on_its_bands_alone() {
        Lead high = with(lead("high", "SMA-male"), "ranges", List.of(range(3300, 4200, 6, 6)));
        Antenna mixed = antenna("Alder", List.of(range(600, 2700, 4, 4)), lead("1", "SMA-male"), high);
        FitCase fit = on(chain(router(2), onRoof(mixed)), "B3", "n78");
        assertEquals(OptionalInt.of(1), fit.streams(Bands.of("B3")));
        assertEquals(OptionalInt.of(1), fit.streams(Bands.of("n78")));
        assertEquals(2, fit.reach().works());
    }

    @Test
    void a_band_without_an_uplink_carries_nothing_alone() {
        Device both = with(router(2), "bands", Optional.of(Set.of("B32", "B20")));
        assertEquals(
                2,
                on(chain(both, onRoof(wide("Alder", 2))), "B20", "B32").reach().works());
        Device alone = with(router(2), "bands", Optional.of(Set.of("B32")));
        FitCase fit = on(chain(alone, onRoof(wide("Alder", 2))), "B20", "B32");
        assertEquals(0, fit.reach().works());
        assertEquals(
                Coverage.Result.NOT_COVERED,
                fit.reach().of(Bands.of("B32")).orElseThrow().result());
        assertTrue(fit.staircase(Bands.of("B32")).isEmpty(), "no prediction");
    }

    @Test
    void a_listed_band_that_holds_another_leaves_that_one_open() {
        Device wide = with(router(2), "bands", Optional.of(Set.of("n77", "B41")));
        FitCase fit = on(chain(wide, onRoof(wide("Alder", 2))), "n78", "B38", "B3");
        Coverage n78 = fit.reach().of(Bands.of("n78")).orElseThrow();
        assertEquals(Coverage.Result.UNKNOWN, n78.result());
        assertTrue(n78.sentence().contains("it lists n77, which holds n78"), n78.sentence());
        assertEquals(
                Coverage.Result.UNKNOWN,
                fit.reach().of(Bands.of("B38")).orElseThrow().result());
        assertEquals(
                Coverage.Result.NOT_COVERED,
                fit.reach().of(Bands.of("B3")).orElseThrow().result());
    }

    @Test
    void the_headline_weighs_what_works() {
        Device few = with(router(2), "bands", Optional.of(Set.of("B20")));
        FitCase fit = on(chain(few, onRoof(wide("Alder", 2))), "B1", "B3", "B7", "B20", "B28");
        assertEquals(
                "It fits, but one of five bands of Tarnwave gets through, B20. Two streams reach Curlew.",
                FitCheck.of(fit).headline().toString());
    }

    @Test
    void what_is_not_stated_leaves_the_streams_open() {
        Chain sound = chain(router(2), onRoof(wide("Alder", 2)));
        assertEquals(OptionalInt.of(2), on(sound, "B20").streams().mostStreams());
        for (Chain open : List.of(
                chain(Changed.unknownPorts(router(2)), onRoof(wide("Alder", 2))),
                chain(with(router(2), "layers", Map.of()), onRoof(wide("Alder", 2))),
                chain(router(2), onRoof(with(wide("Alder", 2), "leads", List.of()))),
                chain(with(with(router(2), "internal", Optional.empty()), "ownAntennas", Optional.empty())))) {
            assertEquals(OptionalInt.empty(), on(open, "B20").streams().mostStreams(), open.summary());
            assertFalse(FitCheck.of(on(open, "B20")).isBlocked());
        }
    }
}
