package syntoma.core.choice;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static syntoma.core.chain.Changed.with;

import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import syntoma.core.band.Band;
import syntoma.core.band.Bands;
import syntoma.core.chain.Chain;
import syntoma.core.chain.Changed;
import syntoma.core.chain.Feature;
import syntoma.core.chain.Rigs;
import syntoma.core.chain.Sim;
import syntoma.core.choice.Option.Essential;
import syntoma.core.choice.Option.Met;
import syntoma.core.fit.Demand;
import syntoma.core.fit.FitCase;

/** What a chain must have, costs and brings. */
class CandidateTest {
    private static final List<Band> BANDS = List.of(Bands.of("B20"), Bands.of("B3"));
    private static final Chain SOUND = Rigs.chain(Rigs.router(2), Rigs.onRoof(Rigs.wide("Alder", 2)));

    private static Candidate judged(Chain chain, List<Purchase> parts, Demand demand) {
        ChoiceLimits wanted = new ChoiceLimits(OptionalDouble.of(400), 10);
        return Candidate.of("Curlew", FitCase.of(chain, "Tarnwave", BANDS, List.of(), demand), parts, wanted);
    }

    private static Map<String, Met> essentials(Candidate candidate) {
        return candidate.option().essentials().stream().collect(Collectors.toMap(Essential::name, Essential::met));
    }

    private static Demand demand(double down, Feature... features) {
        return new Demand(OptionalDouble.of(down), OptionalDouble.empty(), 60, List.of(features));
    }

    @Test
    void the_essentials_are_named_with_what_they_ask_for() {
        Purchase router = Purchase.isPart("Curlew", 1, OptionalDouble.of(420));
        Map<String, Met> met = essentials(judged(SOUND, List.of(router), demand(8, Feature.FAILOVER)));
        assertEquals(Met.YES, met.get("a fit without a blocker"));
        assertEquals(Met.YES, met.get("a band of Tarnwave that works"));
        assertEquals(Met.YES, met.get("a modem for 8 Mb/s down"));
        assertEquals(Met.UNKNOWN, met.get("failover"), "its sheet names no feature at all");
        assertEquals(Met.NO, met.get("a price within 400"));
        assertEquals(Met.NO, essentials(judged(SOUND, List.of(), demand(900))).get("a modem for 900 Mb/s down"));
    }

    @Test
    void a_plan_counts_where_it_states_something() {
        Sim capped = with(Rigs.card("Small plan", "Tarnwave", null), "capMbps", OptionalDouble.of(5));
        Sim small = with(Rigs.card("Small plan", "Tarnwave", null), "allowanceGb", OptionalDouble.of(50));
        assertEquals(
                Met.NO,
                essentials(judged(Rigs.withSims(SOUND, capped), List.of(), demand(8)))
                        .get("a plan of Small plan for 8 Mb/s"));
        assertEquals(
                Met.NO,
                essentials(judged(Rigs.withSims(SOUND, small), List.of(), demand(8)))
                        .get("a plan for 60 GB a month"));
        Map<String, Met> silent =
                essentials(judged(Rigs.withSims(SOUND, Rigs.card("Plan", "Tarnwave", null)), List.of(), demand(8)));
        assertTrue(silent.keySet().stream().noneMatch(what -> what.startsWith("a plan")));
    }

    @Test
    void a_part_without_a_price_leaves_the_price_open_and_the_budget_unknown() {
        List<Purchase> parts = List.of(
                Purchase.isPart("Curlew", 1, OptionalDouble.empty()),
                Purchase.isPart("Extension", 4, OptionalDouble.of(30)));
        Candidate open = judged(SOUND, parts, demand(8));
        assertEquals("at least 120", open.option().price().words(), "four leads, four cables");
        assertEquals(Met.UNKNOWN, essentials(open).get("a price within 400"));
        assertEquals("0", judged(SOUND, List.of(), demand(8)).option().price().words(), "all is owned");
    }

    @Test
    void an_input_that_is_too_narrow_costs_a_stabiliser() {
        Chain narrow =
                Rigs.chain(Changed.power(Rigs.router(2), Rigs.volts(11.5, 12.5)), Rigs.onRoof(Rigs.wide("Alder", 2)));
        Candidate candidate = judged(narrow, List.of(), demand(8));
        assertEquals("about 45", candidate.option().price().words());
        assertEquals("12 V stabiliser", candidate.toBuy().get(0).item());
        assertFalse(candidate.toBuy().get(0).isPart());
    }

    @Test
    void gain_is_the_mean_over_the_carriers_bands_and_a_band_that_does_not_work_counts_as_none() {
        Candidate candidate = judged(SOUND, List.of(), demand(8));
        double sum = candidate.gains().stream()
                .mapToDouble(g -> g.deltaDb().orElseThrow())
                .sum();
        assertEquals(sum / 2, candidate.option().meanGainDb().orElseThrow(), 1e-9);
        assertEquals(2, candidate.option().bandsWorking());
        assertEquals(OptionalInt.of(2), candidate.option().streams());
        // 8 W over 10 h
        assertEquals(80, candidate.option().whPerDay().orElseThrow(), 1e-9);
        Chain without = Rigs.chain(Changed.bands(Rigs.router(2), "B20"), Rigs.onRoof(Rigs.wide("Alder", 2)));
        Candidate fewer = judged(without, List.of(), demand(8));
        double b20 = fewer.gains().get(0).deltaDb().orElseThrow();
        assertEquals(b20 / 2, fewer.option().meanGainDb().orElseThrow(), 1e-9);
        assertTrue(fewer.gains().get(1).deltaDb().isEmpty());
    }
}
