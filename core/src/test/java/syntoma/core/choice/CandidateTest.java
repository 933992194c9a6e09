package syntoma.core.choice;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import syntoma.core.band.Band;
import syntoma.core.band.Bands;
import syntoma.core.chain.Chain;
import syntoma.core.chain.Changed;
import syntoma.core.chain.Rigs;
import syntoma.core.choice.Option.Essential;
import syntoma.core.choice.Option.Met;
import syntoma.core.fit.FitCase;

/** What a chain must have, costs and brings. */
class CandidateTest {
    private static final List<Band> BANDS = List.of(Bands.named("B20"), Bands.named("B3"));
    private static final Chain SOUND = Rigs.chain(Rigs.router(2), Rigs.onRoof(Rigs.wide("Alder", 2)));

    private static Candidate judged(Chain chain, List<Purchase> parts, Wanted wanted) {
        return Candidate.of("Curlew", FitCase.of(chain, "Tarnwave", BANDS, List.of()), parts, wanted);
    }

    private static Map<String, Met> essentials(Candidate candidate) {
        return candidate.option().essentials().stream().collect(Collectors.toMap(Essential::what, Essential::met));
    }

    private static Wanted wanted(double down, double budget, String... features) {
        return new Wanted(OptionalDouble.of(down), List.of(features), OptionalDouble.of(budget), 10);
    }

    @Test
    void the_essentials_are_named_with_what_they_ask_for() {
        Purchase router = Purchase.part("Curlew", OptionalDouble.of(420));
        Map<String, Met> met = essentials(judged(SOUND, List.of(router), wanted(8, 400, "failover")));
        assertEquals(Met.YES, met.get("nothing in its way"));
        assertEquals(Met.YES, met.get("a band of Tarnwave works"));
        assertEquals(Met.YES, met.get("modem for 8 Mb/s down"));
        assertEquals(Met.UNKNOWN, met.get("failover"), "its sheet names no feature at all");
        assertEquals(Met.NO, met.get("within 400"));
        assertEquals(
                Met.NO, essentials(judged(SOUND, List.of(), wanted(900, 400))).get("modem for 900 Mb/s down"));
    }

    @Test
    void a_part_without_a_price_leaves_the_price_open_and_the_budget_unknown() {
        Candidate open = judged(SOUND, List.of(Purchase.part("Curlew", OptionalDouble.empty())), wanted(8, 400));
        assertTrue(open.option().price().isEmpty());
        assertEquals(Met.UNKNOWN, essentials(open).get("within 400"));
        assertEquals(
                0, judged(SOUND, List.of(), wanted(8, 400)).option().price().getAsDouble(), "all is owned");
    }

    @Test
    void an_input_that_is_too_narrow_costs_a_stabiliser() {
        Chain narrow =
                Rigs.chain(Changed.power(Rigs.router(2), Rigs.volts(11.5, 12.5)), Rigs.onRoof(Rigs.wide("Alder", 2)));
        Candidate candidate = judged(narrow, List.of(), wanted(8, 400));
        assertEquals(45, candidate.option().price().getAsDouble());
        assertEquals("12 V stabiliser, about", candidate.toBuy().get(0).what());
        assertFalse(candidate.toBuy().get(0).part());
    }

    @Test
    void gain_is_the_mean_over_the_bands_that_work() {
        Candidate candidate = judged(SOUND, List.of(), wanted(8, 400));
        double mean = candidate.gains().stream()
                .mapToDouble(g -> g.deltaDb().orElseThrow())
                .average()
                .orElseThrow();
        assertEquals(mean, candidate.option().meanGainDb().orElseThrow(), 1e-9);
        assertEquals(2, candidate.option().bandsWorking());
        assertEquals(2, candidate.option().streams());
        // 8 W over 10 h
        assertEquals(80, candidate.option().whPerDay().orElseThrow(), 1e-9);
    }
}
