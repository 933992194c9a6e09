package syntoma.core.fit;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static syntoma.core.chain.Rigs.chain;
import static syntoma.core.chain.Rigs.onRoof;
import static syntoma.core.chain.Rigs.router;
import static syntoma.core.chain.Rigs.wide;

import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import syntoma.core.band.Bands;
import syntoma.core.chain.Adapter;
import syntoma.core.chain.Chain;
import syntoma.core.chain.Connector;
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
        return FitCase.of(chain, "Tarnwave", List.of(Bands.named("B20")), spares);
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
        assertEquals("Two SMA-female to TS9-male adapters, such as cheap pigtail.", found.fix());
        assertEquals(OptionalDouble.of(12), found.price());
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
        assertTrue(FitCheck.of(wide).all().stream().anyMatch(f -> f.fix().contains("such as elbow")));
        FitCase tight = fit(Rigs.withSpacing(HOTSPOT, 8), List.of(elbow, pigtail("pigtail", 6)));
        assertTrue(FitCheck.of(tight).all().stream().anyMatch(f -> f.fix().contains("as pigtails, such as pigtail")));
    }

    @Test
    void the_headline_says_whether_it_fits_what_to_buy_and_the_streams() {
        FitCase hotspot = fit(HOTSPOT, List.of());
        assertEquals(
                "It fits, with one kind of part to buy. Two streams reach Plover.",
                FitCheck.of(hotspot).headline());
        FitCase router = fit(chain(router(4), onRoof(wide("Rowan", 4))), List.of());
        assertEquals("It fits. Four streams reach Curlew.", FitCheck.of(router).headline());
        FitCase bare = fit(chain(null), List.of());
        assertTrue(FitCheck.of(bare).headline().contains("name alone"));
    }

    @Test
    void a_booster_leaves_one_stream() {
        Chain boosted =
                Rigs.withBooster(chain(router(4), onRoof(wide("Alder", 1))), Rigs.booster(List.of(), List.of()));
        assertEquals(1, fit(boosted, List.of()).streams());
    }
}
