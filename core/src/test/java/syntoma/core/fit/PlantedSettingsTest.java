package syntoma.core.fit;

import static org.junit.jupiter.api.Assertions.assertFalse;
import static syntoma.core.chain.Changed.bands;
import static syntoma.core.chain.Changed.internal;
import static syntoma.core.chain.Changed.twoSlots;
import static syntoma.core.chain.Changed.unknownPorts;
import static syntoma.core.chain.Rigs.antenna;
import static syntoma.core.chain.Rigs.booster;
import static syntoma.core.chain.Rigs.card;
import static syntoma.core.chain.Rigs.chain;
import static syntoma.core.chain.Rigs.from;
import static syntoma.core.chain.Rigs.lead;
import static syntoma.core.chain.Rigs.onRoof;
import static syntoma.core.chain.Rigs.range;
import static syntoma.core.chain.Rigs.router;
import static syntoma.core.chain.Rigs.wide;
import static syntoma.core.chain.Rigs.withBooster;
import static syntoma.core.chain.Rigs.withPlugging;
import static syntoma.core.chain.Rigs.withSettings;
import static syntoma.core.chain.Rigs.withSims;
import static syntoma.core.fit.Planted.blocker;
import static syntoma.core.fit.Planted.caution;
import static syntoma.core.fit.Planted.note;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import syntoma.core.band.Bands;
import syntoma.core.band.Span;
import syntoma.core.chain.Chain;
import syntoma.core.chain.Changed;
import syntoma.core.chain.Device;
import syntoma.core.chain.Feature;
import syntoma.core.chain.InternalAntennas;
import syntoma.core.chain.RadioMode;
import syntoma.core.chain.Sim;
import syntoma.core.chain.SimSize;
import syntoma.core.chain.Source;
import syntoma.core.chain.Use;

/** Misfits of what is set, carded, planned and needed, each beside a near miss that is none. */
class PlantedSettingsTest {
    private static final List<Span> ALL = List.of(new Span(600, 4000));
    private static final Chain SOUND = chain(router(2), onRoof(wide("Alder", 2)));
    private static final Demand DEMAND =
            new Demand(OptionalDouble.of(25), OptionalDouble.of(5), 90, List.of(Feature.VPN, Feature.FAILOVER));

    private static Chain with(Device device) {
        return chain(device, onRoof(wide("Alder", 2)));
    }

    private static Device can(Feature... features) {
        return Changed.with(router(2), "features", Optional.of(Set.of(features)));
    }

    private static Device device(String component, Object value) {
        return Changed.with(router(2), component, value);
    }

    private static Sim plan(Double gb, Double mbps) {
        Sim sim = card("Plan", "Tarnwave", SimSize.NANO);
        sim = Changed.with(sim, "allowanceGb", gb == null ? OptionalDouble.empty() : OptionalDouble.of(gb));
        return Changed.with(sim, "capMbps", mbps == null ? OptionalDouble.empty() : OptionalDouble.of(mbps));
    }

    static Stream<Planted> misfits() {
        return Stream.of(
                blocker(
                        "no antenna and none inside",
                        chain(internal(router(2), InternalAntennas.NONE)),
                        "nothing-connected",
                        "it receives nothing"),
                blocker(
                        "a booster without its antenna",
                        withBooster(chain(router(2)), booster(ALL, ALL)),
                        "nothing-connected",
                        "nothing to boost"),
                blocker(
                        "all leads hang loose",
                        withPlugging(
                                chain(
                                        router(2),
                                        onRoof(wide("Alder", 2)),
                                        onRoof(antenna(
                                                "Star",
                                                List.of(range(1559, 1610, 3, 3)),
                                                lead("sat", Use.GNSS, "SMA-male")))),
                                Map.of("Star/sat", "M1")),
                        "nothing-connected",
                        "None of the cellular leads is plugged"),
                blocker(
                        "locked to another carrier",
                        withSims(with(device("lockedTo", Optional.of("Ostrel"))), card("a", "Tarnwave", SimSize.NANO)),
                        "carrier-lock",
                        "is locked to Ostrel"),
                blocker(
                        "an eSIM for a device that takes none",
                        withSims(SOUND, card("e", "Tarnwave", SimSize.ESIM)),
                        "card-size",
                        "takes none, only a nano card"),
                note(
                        "an eSIM, and the sheet is silent",
                        withSims(with(device("esim", Optional.empty())), card("e", "Tarnwave", SimSize.ESIM)),
                        "card-size",
                        "does not say whether it takes one"),
                note(
                        "two cards in one modem with failover",
                        withSims(
                                with(twoSlots(can(Feature.FAILOVER))),
                                card("a", "Tarnwave", SimSize.NANO),
                                card("b", "Tarnwave", SimSize.NANO)),
                        "card-count",
                        "switches to automatically"),
                note(
                        "a card and an eSIM in one modem",
                        withSims(
                                with(device("esim", Optional.of(true))),
                                card("a", "Tarnwave", SimSize.NANO),
                                card("e", "Ostrel", SimSize.ESIM)),
                        "card-count",
                        "by hand"),
                caution("a capped plan", withSims(SOUND, plan(null, 10.0)), "plan-cap", "is capped at 10 Mb/s"),
                caution(
                        "a small plan",
                        withSims(SOUND, plan(50.0, null)),
                        "plan-allowance",
                        "has 50 GB a month; your need takes about 90 GB"),
                caution(
                        "two small plans",
                        withSims(with(twoSlots(router(2))), plan(40.0, null), plan(40.0, null)),
                        "plan-allowance",
                        "The plans together have 80 GB"),
                blocker(
                        "NR alone on a device without NR",
                        withSettings(with(bands(router(2), "B3", "B20")), RadioMode.NR_ONLY),
                        "mode",
                        "has no NR band"),
                blocker(
                        "LTE alone on a device without LTE",
                        withSettings(with(bands(router(2), "n78")), RadioMode.LTE_ONLY),
                        "mode",
                        "has no LTE band"),
                blocker(
                        "LTE alone, held to an NR band",
                        withSettings(SOUND, RadioMode.LTE_ONLY, "n78"),
                        "mode",
                        "of which none is LTE"),
                blocker(
                        "held to a band the device has not",
                        withSettings(SOUND, RadioMode.LOCKED, "B1"),
                        "locked-bands",
                        "which Curlew does not have"),
                caution(
                        "held to one it has and one it has not",
                        withSettings(SOUND, RadioMode.LOCKED, "B3", "B1"),
                        "locked-bands",
                        "B1, which Curlew does not have"),
                blocker(
                        "held to a band the carrier has not",
                        withSettings(SOUND, RadioMode.LOCKED, "B28"),
                        "locked-bands",
                        "which Tarnwave does not have here"),
                blocker(
                        "held to a band the antenna does not pass",
                        withSettings(
                                chain(
                                        router(2),
                                        onRoof(antenna(
                                                "Sorrel",
                                                List.of(range(700, 960, 2, 2)),
                                                lead("1", "SMA-male"),
                                                lead("2", "SMA-male")))),
                                RadioMode.LOCKED,
                                "B7"),
                        "locked-bands",
                        "does not get through"),
                caution(
                        "locked, and no band named",
                        withSettings(SOUND, RadioMode.LOCKED),
                        "locked-bands",
                        "no band is named"),
                blocker(
                        "campground Wi-Fi on a device that cannot",
                        from(with(can(Feature.VPN)), Source.CAMPGROUND_WIFI),
                        "source",
                        "cannot use campground Wi-Fi"),
                note(
                        "campground Wi-Fi, and the sheet is silent",
                        from(SOUND, Source.CAMPGROUND_WIFI),
                        "source",
                        "is unknown"),
                caution("no VPN", with(can(Feature.FAILOVER)), "wanted-feature", "does not do VPN client"),
                note("features not named", SOUND, "wanted-feature", "is unknown"),
                note(
                        "a slow Wi-Fi",
                        with(device("wifiMbps", OptionalDouble.of(300))),
                        "slow-wifi",
                        "at most 300 Mb/s"));
    }

    @ParameterizedTest
    @MethodSource("misfits")
    void each_is_found(Planted planted) {
        planted.assertFoundIn(check(planted.chain()));
    }

    static Stream<Planted> nearMisses() {
        return Stream.of(
                note("own antennas inside", chain(router(2)), "nothing-connected", ""),
                note(
                        "whether it has own antennas is not said",
                        chain(Changed.with(device("internal", Optional.empty()), "ownAntennas", Optional.empty())),
                        "nothing-connected",
                        ""),
                note(
                        "leads whose ports are not said",
                        chain(unknownPorts(router(2)), onRoof(wide("Alder", 2))),
                        "nothing-connected",
                        ""),
                note(
                        "locked to its own carrier, in other letters",
                        withSims(with(device("lockedTo", Optional.of("TARNWAVE"))), card("a", "Tarnwave", null)),
                        "carrier-lock",
                        ""),
                note(
                        "an eSIM beside a card slot",
                        withSims(with(device("esim", Optional.of(true))), card("e", "Tarnwave", SimSize.ESIM)),
                        "card-size",
                        ""),
                note(
                        "an eSIM takes no slot",
                        withSims(
                                with(Changed.with(device("esim", Optional.of(true)), "modems", OptionalInt.of(2))),
                                card("a", "Tarnwave", SimSize.NANO),
                                card("e", "Ostrel", SimSize.ESIM)),
                        "card-count",
                        ""),
                note("a plan that just does", withSims(SOUND, plan(90.0, 25.0)), "plan-cap", ""),
                note("an allowance that just does", withSims(SOUND, plan(90.0, 25.0)), "plan-allowance", ""),
                note("a plan that says nothing", withSims(SOUND, plan(null, null)), "plan-allowance", ""),
                note("LTE alone where there is LTE", withSettings(SOUND, RadioMode.LTE_ONLY), "mode", ""),
                note(
                        "NR alone on a device whose bands are not said",
                        withSettings(with(bands(router(2))), RadioMode.NR_ONLY),
                        "mode",
                        ""),
                note(
                        "held to bands that get through",
                        withSettings(SOUND, RadioMode.LOCKED, "B3", "n78"),
                        "locked-bands",
                        ""),
                note(
                        "held to a band inside one that is listed",
                        withSettings(with(bands(router(2), "n77")), RadioMode.LOCKED, "n78"),
                        "locked-bands",
                        ""),
                note(
                        "campground Wi-Fi on a device that can",
                        from(with(can(Feature.WIFI_SOURCE)), Source.CAMPGROUND_WIFI),
                        "source",
                        ""),
                note("satellite asks nothing of the modem", from(SOUND, Source.SATELLITE), "source", ""),
                note("all that is needed", with(can(Feature.VPN, Feature.FAILOVER)), "wanted-feature", ""),
                note(
                        "a Wi-Fi as fast as the modem",
                        with(device("wifiMbps", OptionalDouble.of(600))),
                        "slow-wifi",
                        ""));
    }

    @ParameterizedTest
    @MethodSource("nearMisses")
    void a_near_miss_is_none(Planted near) {
        List<FitFinding> findings = check(near.chain());
        assertFalse(findings.stream().anyMatch(f -> f.code().equals(near.code())), findings.toString());
    }

    private static List<FitFinding> check(Chain chain) {
        var bands = Stream.of("B3", "B7", "B20", "n78").map(Bands::of).toList();
        return FitCheck.of(FitCase.of(chain, "Tarnwave", bands, List.of(), DEMAND))
                .all();
    }
}
