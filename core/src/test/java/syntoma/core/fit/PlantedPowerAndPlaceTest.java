package syntoma.core.fit;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static syntoma.core.chain.Changed.aimed;
import static syntoma.core.chain.Changed.magnet;
import static syntoma.core.chain.Changed.plane;
import static syntoma.core.chain.Changed.power;
import static syntoma.core.chain.Changed.rated;
import static syntoma.core.chain.Rigs.antenna;
import static syntoma.core.chain.Rigs.booster;
import static syntoma.core.chain.Rigs.chain;
import static syntoma.core.chain.Rigs.in;
import static syntoma.core.chain.Rigs.lead;
import static syntoma.core.chain.Rigs.onBattery;
import static syntoma.core.chain.Rigs.onRoof;
import static syntoma.core.chain.Rigs.range;
import static syntoma.core.chain.Rigs.router;
import static syntoma.core.chain.Rigs.run;
import static syntoma.core.chain.Rigs.volts;
import static syntoma.core.chain.Rigs.wide;
import static syntoma.core.chain.Rigs.withAdapters;
import static syntoma.core.chain.Rigs.withBooster;
import static syntoma.core.chain.Rigs.withPlugging;
import static syntoma.core.fit.Planted.blocker;
import static syntoma.core.fit.Planted.caution;
import static syntoma.core.fit.Planted.note;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
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
import syntoma.core.chain.Feed;
import syntoma.core.chain.Placement;
import syntoma.core.chain.Port;
import syntoma.core.chain.PowerInput;
import syntoma.core.chain.Shell;
import syntoma.core.chain.Use;

/** Misfits of supply, connectors, height and boosters, each beside a near miss that is none. */
class PlantedPowerAndPlaceTest {
    private static final List<Span> ALL = List.of(new Span(600, 4000));
    private static final AntennaRun ALDER = onRoof(wide("Alder", 2));

    private static Chain fed(PowerInput input) {
        return chain(power(router(2), input), ALDER);
    }

    private static PowerInput by(Feed feed, double watts) {
        return Changed.with(Changed.with(PowerInput.UNKNOWN, "feeds", Set.of(feed)), "drawW", OptionalDouble.of(watts));
    }

    private static Device ported(String connector) {
        return Changed.ports(router(1), new Port("M", Use.CELLULAR, Connector.of(connector), true));
    }

    private static Antenna ended(String connector) {
        return antenna("Alder", List.of(range(600, 6000, 5, 6)), lead("1", connector));
    }

    private static Adapter adapter(String first, String second) {
        return new Adapter(
                first + " " + second,
                Connector.of(first),
                Connector.of(second),
                false,
                OptionalDouble.empty(),
                OptionalDouble.empty());
    }

    private static Cable cable(String cableClass, double metres, String first, String second) {
        return new Cable("ext", CableClass.of(cableClass), metres, Connector.of(first), Connector.of(second));
    }

    private static Chain onMast(double mastM, double leadM) {
        Antenna panel = antenna(
                "Rowan", List.of(range(600, 6000, 8, 8)), lead("1", "SMA-male", leadM), lead("2", "SMA-male", leadM));
        return chain(router(2), run(panel, List.of(), Placement.MAST, mastM));
    }

    private static AntennaRun plated(Antenna antenna, double cm2) {
        return Changed.with(onRoof(antenna), "plateCm2", OptionalDouble.of(cm2));
    }

    static Stream<Planted> misfits() {
        Antenna high = Changed.with(wide("Alder", 2), "heightM", OptionalDouble.of(1.3));
        Chain whip = withBooster(chain(router(2), onRoof(wide("Alder", 1))), booster(ALL, ALL));
        return Stream.of(
                caution(
                        "an antenna on the roof that keeps out splashes only",
                        chain(router(2), onRoof(rated(wide("Sorrel", 2), "IP54"))),
                        "weather-rating",
                        "Sorrel is rated IP54: that is not enough for driving rain on the roof."),
                caution("9 V on 12 V", fed(volts(8.5, 9.5)), "supply-range", "takes 8.5 to 9.5 V"),
                caution("10 to 14.5 V on 12 V", fed(volts(10, 14.5)), "supply-range", "gives up to 14.8 V"),
                caution("19 V on 12 V", fed(volts(18.5, 19.5)), "supply-range", "a nearly empty battery of 12 V"),
                caution("12 V on 24 V", onBattery(fed(volts(9, 16)), 25.6), "supply-range", "gives up to 29.6 V"),
                caution("30 V on 48 V", onBattery(fed(volts(9, 36)), 51.2), "supply-range", "gives up to 58.4 V"),
                caution("48 V on 12 V", fed(volts(36, 57)), "supply-range", "gives 11.0 V"),
                note("PoE 802.3at", fed(by(Feed.POE_AT, 20)), "supply-range", "PoE 802.3at"),
                caution("more than PoE 802.3af gives", fed(by(Feed.POE_AF, 20)), "supply-range", "gives it 12.95 W"),
                caution(
                        "passive PoE",
                        fed(by(Feed.POE_PASSIVE, 8)),
                        "supply-range",
                        "a voltage that its sheet does not state"),
                note("USB", fed(by(Feed.USB, 5)), "supply-range", "USB socket"),
                caution("more than USB gives", fed(by(Feed.USB, 20)), "supply-range", "gives it 15 W"),
                note("USB PD", fed(by(Feed.USB_PD, 40)), "supply-range", "USB PD"),
                caution("a mains adapter alone", fed(by(Feed.MAINS, 12)), "mains-only", "mains only"),
                note("an input that is not stated", fed(PowerInput.UNKNOWN), "not-stated", "input voltage"),
                note(
                        "the lowest input alone",
                        fed(Changed.with(PowerInput.UNKNOWN, "lowV", OptionalDouble.of(9))),
                        "not-stated",
                        "input voltage"),
                blocker("TS9 on CRC9", chain(ported("CRC9-female"), onRoof(ended("TS9-male"))), "no-pin", "pushes on"),
                blocker(
                        "RP-SMA on SMA",
                        chain(ported("SMA-female"), onRoof(ended("RP-SMA-male"))),
                        "no-pin",
                        "screws on, but the pins do not touch"),
                caution(
                        "both threads outside",
                        chain(ported("RP-SMA-female"), onRoof(ended("SMA-female"))),
                        "adapter-needed",
                        "both have the thread outside"),
                caution(
                        "both threads inside",
                        chain(ported("SMA-male"), onRoof(ended("SMA-male"))),
                        "adapter-needed",
                        "both have the thread inside"),
                caution(
                        "FAKRA of another coding",
                        chain(ported("FAKRA C-male"), onRoof(ended("FAKRA D-female"))),
                        "adapter-needed",
                        "FAKRA D-female"),
                note(
                        "FAKRA without its coding",
                        chain(ported("FAKRA-male"), onRoof(ended("FAKRA D-female"))),
                        "fakra-coding",
                        "without its coding"),
                note(
                        "television cable",
                        chain(
                                router(2),
                                run(
                                        wide("Alder", 2),
                                        List.of(cable("RG-6", 3, "SMA-female", "SMA-male")),
                                        Placement.ROOF,
                                        0)),
                        "impedance",
                        "75 Ω"),
                note(
                        "F connectors",
                        withAdapters(
                                chain(ported("SMA-female"), onRoof(ended("F-male"))), adapter("F-female", "SMA-male")),
                        "impedance",
                        "75 Ω"),
                caution(
                        "leads that hang loose beside free ports",
                        withPlugging(
                                chain(router(4), onRoof(wide("Rowan", 4))), Map.of("Rowan/1", "M1", "Rowan/2", "M2")),
                        "ports-empty",
                        "Two of 4 cellular ports used"),
                note(
                        "3.2 dB of cable on 5 dBi",
                        chain(
                                router(2),
                                run(
                                        antenna(
                                                "Alder",
                                                List.of(range(600, 6000, 5, 5)),
                                                lead("1", "SMA-male", 6),
                                                lead("2", "SMA-male", 6)),
                                        List.of(),
                                        Placement.ROOF,
                                        0)),
                        "cable-takes-gain",
                        "the antenna gives 5.0 dBi"),
                blocker("a lead that ends half way up", onMast(6, 4), "lead-reach", "the mast alone is 6 m"),
                caution("a lead that ends at the roof", onMast(4, 4.2), "lead-reach", "the mast alone is 4 m"),
                caution(
                        "a lead of a hand's length",
                        chain(
                                router(2),
                                onRoof(antenna(
                                        "Alder",
                                        List.of(range(600, 6000, 5, 6)),
                                        lead("1", "SMA-male", 0.2),
                                        lead("2", "SMA-male", 0.2)))),
                        "lead-reach",
                        "the roof alone takes 0.5 m"),
                note("a mast", onMast(4, 6), "parked-only", "6.96 m over ground"),
                blocker(
                        "too high to drive",
                        chain(router(2), onRoof(high)),
                        "over-height",
                        "4.16 m high; your limit is 4.00 m"),
                caution(
                        "a plate that is too small",
                        in(chain(router(2), plated(plane(wide("Sorrel", 2), 400), 100)), Shell.GRP),
                        "ground-plane",
                        "The plate has 100 cm²"),
                caution("every booster", whip, "booster-licence", "registered"),
                caution("a booster that can ring", whip, "booster-rings", "Rated 65 dB, stable up to about"),
                note("a booster and SINR", whip, "booster-noise", "SINR is never better"),
                note(
                        "two antennas for one band",
                        chain(router(2), onRoof(wide("Alder", 1)), onRoof(wide("Rowan", 1))),
                        "several-antennas",
                        "more than one antenna"));
    }

    @ParameterizedTest
    @MethodSource("misfits")
    void each_is_found(Planted planted) {
        planted.assertFoundIn(PlantedMisfitsTest.check(planted.chain()));
    }

    static Stream<Planted> nearMisses() {
        Chain gentle = withBooster(
                chain(router(2), onRoof(wide("Alder", 1))),
                Changed.with(booster(ALL, ALL), "gainDb", OptionalDouble.of(30)));
        return Stream.of(
                note("just the range of 24 V", onBattery(fed(volts(22, 29.6)), 25.6), "supply-range", ""),
                note("just the range of 48 V", onBattery(fed(volts(44, 58.4)), 48), "supply-range", ""),
                note(
                        "DC that fits, with PoE beside it",
                        fed(Changed.with(volts(9, 30), "feeds", Set.of(Feed.DC, Feed.POE_AT))),
                        "supply-range",
                        ""),
                note(
                        "a mains adapter beside DC",
                        fed(Changed.with(volts(9, 30), "feeds", Set.of(Feed.DC, Feed.MAINS))),
                        "mains-only",
                        ""),
                note(
                        "two adapters in a row",
                        withAdapters(
                                chain(ported("TS9-female"), onRoof(ended("FAKRA D-male"))),
                                adapter("FAKRA D-female", "SMA-female"),
                                adapter("SMA-male", "TS9-male")),
                        "adapter-needed",
                        ""),
                note(
                        "an adapter between lead and extension",
                        withAdapters(
                                chain(
                                        router(1),
                                        run(
                                                ended("N-male"),
                                                List.of(cable("400-class", 3, "SMA-female", "SMA-male")),
                                                Placement.ROOF,
                                                0)),
                                adapter("N-female", "SMA-male")),
                        "cable-ends",
                        ""),
                note(
                        "a neutral FAKRA plug",
                        chain(ported("FAKRA D-male"), onRoof(ended("FAKRA Z-female"))),
                        "fakra-coding",
                        ""),
                note(
                        "FAKRA of one coding",
                        chain(ported("FAKRA D-male"), onRoof(ended("FAKRA D-female"))),
                        "adapter-needed",
                        ""),
                note("50 Ω all the way", chain(router(2), ALDER), "impedance", ""),
                note("a lead that just reaches", onMast(4, 4.5), "lead-reach", ""),
                note(
                        "the connector sits on the antenna",
                        chain(
                                router(2),
                                onRoof(antenna(
                                        "Alder",
                                        List.of(range(600, 6000, 5, 6)),
                                        lead("1", "SMA-male", 0),
                                        lead("2", "SMA-male", 0)))),
                        "lead-reach",
                        ""),
                note(
                        "a short lead at a window",
                        chain(
                                router(2),
                                run(
                                        antenna(
                                                "Alder",
                                                List.of(range(600, 6000, 5, 6)),
                                                lead("1", "SMA-male", 0.2),
                                                lead("2", "SMA-male", 0.2)),
                                        List.of(),
                                        Placement.WINDOW,
                                        0)),
                        "lead-reach",
                        ""),
                note(
                        "just within the height limit",
                        chain(router(2), onRoof(Changed.with(wide("Alder", 2), "heightM", OptionalDouble.of(1.1)))),
                        "over-height",
                        ""),
                note(
                        "a magnet on a steel plate",
                        in(chain(router(2), plated(magnet(wide("Sorrel", 2)), 200)), Shell.GRP),
                        "magnet-hold",
                        ""),
                note(
                        "an antenna for the roof",
                        chain(router(2), onRoof(rated(wide("Sorrel", 2), "IP6X"))),
                        "weather-rating",
                        ""),
                note(
                        "a plate that is large enough",
                        in(chain(router(2), plated(plane(wide("Sorrel", 2), 400), 400)), Shell.GRP),
                        "ground-plane",
                        ""),
                note("a booster that cannot ring", gentle, "booster-rings", ""),
                note(
                        "a dome and a panel for other bands",
                        chain(
                                router(4),
                                onRoof(antenna(
                                        "Alder",
                                        List.of(range(600, 2700, 4, 4)),
                                        lead("1", "SMA-male"),
                                        lead("2", "SMA-male"))),
                                onRoof(aimed(
                                        antenna(
                                                "Rowan",
                                                List.of(range(3300, 4200, 9, 9)),
                                                lead("1", "SMA-male"),
                                                lead("2", "SMA-male")),
                                        60))),
                        "bands-missing",
                        ""),
                note(
                        "the same, no band is lost",
                        chain(
                                router(4),
                                onRoof(antenna(
                                        "Alder",
                                        List.of(range(600, 2700, 4, 4)),
                                        lead("1", "SMA-male"),
                                        lead("2", "SMA-male"))),
                                onRoof(antenna(
                                        "Rowan",
                                        List.of(range(3300, 4200, 9, 9)),
                                        lead("1", "SMA-male"),
                                        lead("2", "SMA-male")))),
                        "several-antennas",
                        ""));
    }

    /** No rule goes without a rig that it must find and one that it must leave alone; what always holds has no other. */
    @Test
    void every_rule_has_its_misfit_and_its_near_miss() {
        Set<String> planted = Stream.of(
                        PlantedMisfitsTest.connections(),
                        PlantedMisfitsTest.bandsAndGain(),
                        PlantedMisfitsTest.cardsPowerAndPlace(),
                        PlantedSettingsTest.misfits(),
                        misfits())
                .flatMap(s -> s)
                .map(Planted::code)
                .collect(Collectors.toSet());
        Set<String> near = Stream.of(
                        NearMissesTest.nearMisses().map(NearMissesTest.Near::code),
                        PlantedSettingsTest.nearMisses().map(Planted::code),
                        nearMisses().map(Planted::code))
                .flatMap(s -> s)
                .collect(Collectors.toSet());
        Set<String> always = Set.of("booster-licence", "booster-noise");
        assertEquals(
                Set.of(),
                planted.stream()
                        .filter(code -> !near.contains(code) && !always.contains(code))
                        .collect(Collectors.toSet()));
    }

    @ParameterizedTest
    @MethodSource("nearMisses")
    void a_near_miss_is_none(Planted near) {
        List<FitFinding> findings = PlantedMisfitsTest.check(near.chain());
        assertFalse(findings.stream().anyMatch(f -> f.code().equals(near.code())), findings.toString());
    }

    @Test
    void a_nine_volt_device_is_never_told_to_take_a_stabiliser_of_twelve() {
        FitFinding found = PlantedMisfitsTest.check(fed(volts(8.5, 9.5))).stream()
                .filter(f -> f.code().equals("supply-range"))
                .findFirst()
                .orElseThrow();
        assertEquals(
                "A step-down converter from 12 V to 9 V. A 12 V stabiliser would destroy it.",
                found.fix().toString());
    }

    @Test
    void loose_leads_are_plugged_before_anything_is_bought() {
        Chain loose =
                withPlugging(chain(router(4), onRoof(wide("Rowan", 4))), Map.of("Rowan/1", "M1", "Rowan/2", "M2"));
        FitFinding found = PlantedMisfitsTest.check(loose).stream()
                .filter(f -> f.code().equals("ports-empty"))
                .findFirst()
                .orElseThrow();
        assertEquals(
                "First plug in the loose leads: Rowan 3, Rowan 4.", found.fix().toString());
        assertEquals(Optional.empty(), found.toBuy());
    }

    @Test
    void a_fixed_lead_keeps_its_class_and_an_extension_can_change() {
        Antenna longLead =
                antenna("Alder", List.of(range(600, 6000, 3, 3)), lead("1", "SMA-male", 8), lead("2", "SMA-male", 8));
        assertEquals(
                "Its lead is fixed, so choose no other cable: put the device closer and do not extend it.",
                fix(chain(router(2), onRoof(longLead))));
        Chain extended = chain(
                router(2),
                run(wide("Alder", 2), List.of(cable("100-class", 5, "SMA-female", "SMA-male")), Placement.ROOF, 0));
        assertTrue(fix(extended).startsWith("400-class for the extension saves "), fix(extended));
    }

    private static String fix(Chain chain) {
        return PlantedMisfitsTest.check(chain).stream()
                .filter(f -> f.code().equals("cable-takes-gain"))
                .findFirst()
                .orElseThrow()
                .fix()
                .toString();
    }
}
