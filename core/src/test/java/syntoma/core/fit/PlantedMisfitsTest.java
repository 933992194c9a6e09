package syntoma.core.fit;

import static syntoma.core.chain.Changed.aimed;
import static syntoma.core.chain.Changed.bands;
import static syntoma.core.chain.Changed.closed;
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
import static syntoma.core.chain.Changed.with;
import static syntoma.core.chain.Rigs.antenna;
import static syntoma.core.chain.Rigs.booster;
import static syntoma.core.chain.Rigs.chain;
import static syntoma.core.chain.Rigs.device;
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
import static syntoma.core.fit.Planted.blocker;
import static syntoma.core.fit.Planted.caution;
import static syntoma.core.fit.Planted.note;

import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import syntoma.core.band.Bands;
import syntoma.core.band.Span;
import syntoma.core.chain.Adapter;
import syntoma.core.chain.Antenna;
import syntoma.core.chain.Cable;
import syntoma.core.chain.CableClass;
import syntoma.core.chain.Chain;
import syntoma.core.chain.Connector;
import syntoma.core.chain.Device;
import syntoma.core.chain.InternalAntennas;
import syntoma.core.chain.Placement;
import syntoma.core.chain.Port;
import syntoma.core.chain.PowerInput;
import syntoma.core.chain.Rigs;
import syntoma.core.chain.Shell;
import syntoma.core.chain.Sim;
import syntoma.core.chain.SimSize;
import syntoma.core.chain.Use;

/** Rigs with one misfit planted in each: every one is found, with its weight and in words that name it. */
class PlantedMisfitsTest {
    private static final List<Span> LOW = List.of(new Span(791, 960), new Span(1805, 1880));
    private static final List<Span> LOW_UP = List.of(new Span(832, 915), new Span(1710, 1785));
    static final Device HOTSPOT = device(
            "Plover",
            2,
            new Port("1", Use.CELLULAR, Connector.of("TS9-female"), true),
            new Port("2", Use.CELLULAR, Connector.of("TS9-female"), false));

    static Stream<Planted> connections() {
        Antenna all = wide("Alder", 2);
        Antenna five = antenna(
                "Rowan",
                List.of(range(600, 6000, 5, 6)),
                lead("1", "SMA-male"),
                lead("2", "SMA-male"),
                lead("sat", Use.GNSS, "SMA-male"),
                lead("air", Use.WIFI, "RP-SMA-male"));
        Device withWifi = device(
                "Curlew",
                2,
                new Port("M", Use.CELLULAR, Connector.of("SMA-female"), true),
                new Port("D", Use.CELLULAR, Connector.of("SMA-female"), false),
                new Port("W", Use.WIFI, Connector.of("RP-SMA-female"), false));
        Antenna reversed =
                antenna("Alder", List.of(range(600, 6000, 5, 6)), lead("1", "SMA-male"), lead("4", "RP-SMA-male"));
        Cable wrong = new Cable(
                "N extension", CableClass.of("400-class"), 3, Connector.of("N-female"), Connector.of("N-male"));
        Adapter rigid = new Adapter(
                "A",
                Connector.of("SMA-female"),
                Connector.of("TS9-male"),
                true,
                OptionalDouble.empty(),
                OptionalDouble.of(6));
        Device tight = spaced(HOTSPOT, 8);
        return Stream.of(
                blocker("no device", chain(null, onRoof(all)), "device-missing", "No device"),
                blocker("device without ports", chain(ports(router(2)), onRoof(all)), "no-antenna-port", "no port"),
                blocker(
                        "device that takes no antennas",
                        chain(closed(router(2)), onRoof(all)),
                        "no-antenna-port",
                        "Curlew"),
                caution(
                        "two of four leads",
                        chain(router(2), onRoof(wide("Rowan", 4))),
                        "streams-lost",
                        "Only 2 of 4 cellular leads have a port: 2 streams"),
                caution("one of two leads", chain(router(1), onRoof(all)), "streams-lost", "1 stream"),
                caution(
                        "two of four ports",
                        chain(router(4), onRoof(all)),
                        "ports-empty",
                        "Two of 4 cellular ports used: 2 streams of 4"),
                caution(
                        "one lead on four ports",
                        chain(router(4), onRoof(wide("Sorrel", 1))),
                        "ports-empty",
                        "One of 4"),
                note("the GNSS lead is over", chain(router(2), onRoof(five)), "spare-lead", "Rowan sat is GNSS"),
                note("the Wi-Fi lead is over", chain(router(2), onRoof(five)), "spare-lead", "Rowan air is Wi-Fi"),
                blocker(
                        "Wi-Fi lead on a cellular port",
                        withPlugging(chain(withWifi, onRoof(five)), Map.of("Rowan/air", "D")),
                        "wrong-use",
                        "is for Wi-Fi, but port D"),
                blocker(
                        "cellular lead on the Wi-Fi port",
                        withPlugging(chain(withWifi, onRoof(five)), Map.of("Rowan/1", "W")),
                        "wrong-use",
                        "is for cellular"),
                blocker(
                        "GNSS lead on the main port",
                        withPlugging(chain(withWifi, onRoof(five)), Map.of("Rowan/sat", "M")),
                        "wrong-use",
                        "is for GNSS"),
                blocker("RP-SMA on a cellular port", chain(router(2), onRoof(reversed)), "no-pin", "looks the same"),
                caution(
                        "SMA leads for TS9 ports",
                        chain(HOTSPOT, onRoof(all)),
                        "adapter-needed",
                        "2 leads end in SMA-male"),
                caution(
                        "one FAKRA lead",
                        chain(
                                router(1),
                                onRoof(antenna("Alder", List.of(range(600, 6000, 5, 6)), lead("1", "FAKRA-male")))),
                        "adapter-needed",
                        "FAKRA-male"),
                caution(
                        "male on male",
                        chain(
                                router(1),
                                onRoof(antenna("Alder", List.of(range(600, 6000, 5, 6)), lead("1", "SMA-female")))),
                        "adapter-needed",
                        "SMA-female"),
                blocker(
                        "an extension that fits nothing",
                        chain(router(2), run(all, List.of(wrong), Placement.ROOF, 0)),
                        "cable-ends",
                        "it does not go on SMA-male"),
                caution(
                        "rigid adapters side by side",
                        withAdapters(chain(tight, onRoof(all)), rigid, rigid),
                        "rigid-adapters",
                        "8 mm apart"),
                note("one lead", chain(router(2), onRoof(wide("Sorrel", 1))), "main-port", "use the main port, M1"),
                caution(
                        "one lead on the other port",
                        withPlugging(chain(router(2), onRoof(wide("Sorrel", 1))), Map.of("Sorrel/1", "M2")),
                        "main-port",
                        "only receives"),
                note(
                        "own antennas by setting",
                        chain(internal(router(2), InternalAntennas.SWITCHED_BY_SETTING), onRoof(all)),
                        "own-antennas",
                        "setting"),
                note(
                        "own antennas stay on",
                        chain(internal(router(2), InternalAntennas.STAY_ON), onRoof(all)),
                        "own-antennas",
                        "stay on"));
    }

    static Stream<Planted> bandsAndGain() {
        Antenna old = antenna(
                "Sorrel",
                List.of(range(698, 960, 2, 2), range(1710, 2170, 3, 3)),
                lead("1", "SMA-male"),
                lead("2", "SMA-male"));
        Antenna none =
                antenna("Teasel", List.of(range(2400, 2500, 3, 3)), lead("1", "SMA-male"), lead("2", "SMA-male"));
        Cable thin =
                new Cable("thin", CableClass.of("100-class"), 7, Connector.of("SMA-female"), Connector.of("SMA-male"));
        Cable awful =
                new Cable("reel", CableClass.of("100-class"), 30, Connector.of("SMA-female"), Connector.of("SMA-male"));
        Chain boosted = chain(router(2), onRoof(wide("Alder", 1)));
        return Stream.of(
                blocker("antenna for Wi-Fi bands alone", chain(router(2), onRoof(none)), "no-band-works", "Tarnwave"),
                blocker(
                        "device without the carrier’s bands",
                        chain(bands(router(2), "B1", "B5"), onRoof(wide("Alder", 2))),
                        "no-band-works",
                        "through this chain"),
                caution(
                        "antenna without the new bands",
                        chain(router(2), onRoof(old)),
                        "bands-missing",
                        "Sorrel does not pass B7, n78"),
                caution(
                        "device without n78",
                        chain(bands(router(2), "B3", "B7", "B20"), onRoof(wide("Alder", 2))),
                        "bands-missing",
                        "Curlew does not pass n78"),
                caution(
                        "booster uplink misses B20",
                        withBooster(boosted, booster(List.of(new Span(870, 915), new Span(1710, 1785)), LOW)),
                        "booster-uplink",
                        "On B20"),
                caution(
                        "booster uplink misses B3",
                        withBooster(boosted, booster(List.of(new Span(832, 915)), LOW)),
                        "booster-uplink",
                        "On B3"),
                caution(
                        "booster without TDD",
                        withBooster(boosted, booster(List.of(new Span(791, 4000)), List.of(new Span(791, 4000)))),
                        "bands-missing",
                        "Bittern does not pass n78"),
                blocker(
                        "booster for other bands",
                        withBooster(boosted, booster(List.of(new Span(1850, 1910)), List.of(new Span(1930, 1990)))),
                        "no-band-works",
                        "No band"),
                note(
                        "booster on a device of two streams",
                        withBooster(boosted, booster(LOW_UP, LOW)),
                        "booster-streams",
                        "one stream"),
                caution(
                        "two leads on a booster",
                        withBooster(chain(router(2), onRoof(wide("Alder", 2))), booster(LOW_UP, LOW)),
                        "streams-lost",
                        "Only 1 of 2"),
                caution(
                        "thin cable eats the gain",
                        chain(router(2), run(wide("Alder", 2), List.of(thin), Placement.ROOF, 0)),
                        "cable-takes-gain",
                        "9 m of cable"),
                caution(
                        "a whole reel of thin cable",
                        chain(router(2), run(wide("Alder", 2), List.of(awful), Placement.INSIDE, 0)),
                        "no-gain",
                        "is no better"),
                caution(
                        "antenna laid inside",
                        chain(
                                router(2),
                                run(
                                        antenna(
                                                "Teasel",
                                                List.of(range(600, 6000, -2, -2)),
                                                lead("1", "SMA-male"),
                                                lead("2", "SMA-male")),
                                        List.of(),
                                        Placement.INSIDE,
                                        0)),
                        "no-gain",
                        "own antenna"),
                note(
                        "bands of another carrier’s card",
                        withSims(
                                chain(router(2), onRoof(wide("Alder", 2))),
                                Rigs.card("Brissa SIM", "Brissa", SimSize.NANO)),
                        "carrier-of-card",
                        "SIM is from Brissa"),
                note(
                        "no ranges on the sheet",
                        chain(router(2), onRoof(antenna("Yarrow", List.of(), lead("1", "SMA-male")))),
                        "not-stated",
                        "frequency ranges"),
                note(
                        "no bands on the sheet",
                        chain(bands(router(2)), onRoof(wide("Alder", 2))),
                        "not-stated",
                        "bands"));
    }

    static Stream<Planted> cardsPowerAndPlace() {
        Chain sound = chain(router(2), onRoof(wide("Alder", 2)));
        return Stream.of(
                note(
                        "nano card in a full slot",
                        withSims(chain(slot(router(2), SimSize.FULL)), card(SimSize.NANO)),
                        "card-size",
                        "Full-size SIM slot: the nano SIM needs an adapter frame"),
                blocker(
                        "full card in a nano slot",
                        withSims(chain(router(2)), card(SimSize.FULL)),
                        "card-size",
                        "takes a nano card"),
                blocker(
                        "eSIM for a device with a slot",
                        withSims(chain(router(2)), card(SimSize.ESIM)),
                        "card-size",
                        "is an eSIM"),
                blocker(
                        "card for a device with eSIM alone",
                        withSims(chain(slot(router(2), SimSize.ESIM)), card(SimSize.NANO)),
                        "card-size",
                        "takes an eSIM"),
                blocker(
                        "two cards for one slot",
                        withSims(chain(router(2)), card(SimSize.NANO), Rigs.card("second", "Tarnwave", null)),
                        "card-count",
                        "2 SIMs for one slot"),
                note(
                        "two cards and one modem",
                        withSims(chain(twoSlots(router(2))), card(SimSize.NANO), Rigs.card("second", "Tarnwave", null)),
                        "card-count",
                        "one SIM works at a time"),
                caution(
                        "mains only",
                        chain(power(router(2), with(PowerInput.UNKNOWN, "isMainsOnly", true))),
                        "mains-only",
                        "runs on mains only"),
                caution(
                        "12.0 V steady",
                        chain(power(router(2), volts(11.8, 12.2))),
                        "supply-range",
                        "needs 12.0 V steady: a charging battery of 12 V gives up to 14.8 V"),
                caution(
                        "drops out when the battery is low",
                        chain(power(router(2), volts(12, 24))),
                        "supply-range",
                        "nearly empty battery of 12 V gives 11.0"),
                note("a USB device", chain(power(router(2), volts(4.8, 5.2))), "supply-range", "USB"),
                caution(
                        "a slow Ethernet port",
                        chain(ethernet(router(2), 100)),
                        "slow-ethernet",
                        "The 100 Mb/s Ethernet port is slower than the modem"),
                caution(
                        "whips on plastic",
                        in(chain(router(2), onRoof(plane(wide("Sorrel", 2), 400))), Shell.GRP),
                        "ground-plane",
                        "400 cm²"),
                caution(
                        "whips on a mast",
                        chain(router(2), run(plane(wide("Sorrel", 2), 400), List.of(), Placement.MAST, 3)),
                        "ground-plane",
                        "at the mast"),
                blocker(
                        "a magnet on aluminium",
                        in(chain(router(2), onRoof(magnet(wide("Sorrel", 2)))), Shell.ALUMINIUM),
                        "magnet-hold",
                        "not hold on aluminium"),
                note(
                        "a mast",
                        chain(router(2), run(wide("Rowan", 2), List.of(), Placement.MAST, 1.64)),
                        "parked-only",
                        "by 1.74 m"),
                note("a panel", chain(router(2), onRoof(aimed(wide("Rowan", 2), 60))), "aiming", "60°"),
                note(
                        "no ports on the sheet",
                        chain(unknownPorts(router(2)), sound.antennas().get(0)),
                        "not-stated",
                        "antenna ports"));
    }

    @ParameterizedTest
    @MethodSource({"connections", "bandsAndGain", "cardsPowerAndPlace"})
    void every_planted_misfit_is_found(Planted planted) {
        planted.assertFoundIn(check(planted.chain()));
    }

    static List<FitFinding> check(Chain chain) {
        var bands = Stream.of("B3", "B7", "B20", "n78").map(Bands::of).toList();
        return FitCheck.of(FitCase.of(chain, "Tarnwave", bands, List.of(), Demand.NONE))
                .all();
    }

    static Sim card(SimSize size) {
        return Rigs.card("Tarnwave SIM", "Tarnwave", size);
    }
}
