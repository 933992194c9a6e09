package syntoma.core.choice;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;
import syntoma.core.choice.Option.Essential;
import syntoma.core.choice.Option.Met;

class RankingTest {
    private static Option option(String name, Met met, int bands, int streams, double gain, double price) {
        return new Option(
                name,
                List.of(new Essential("VPN client", met)),
                bands,
                OptionalInt.of(streams),
                OptionalDouble.of(gain),
                1,
                new Price(price, false, false),
                OptionalDouble.of(100),
                OptionalDouble.of(0.05));
    }

    private static final Option CHEAP = option("Sorrel", Met.YES, 3, 2, 8, 60);
    private static final Option MIDDLE = option("Alder", Met.YES, 4, 4, 12, 105);
    private static final Option DEAR = option("Rowan", Met.YES, 4, 4, 18, 240);
    private static final Option LACKS = option("Teasel", Met.NO, 4, 4, 25, 20);

    private static Ranking ranked(Weights weights, Option... options) {
        return Ranking.of(List.of(options), weights, OptionalDouble.empty());
    }

    @Test
    void the_cheapest_that_meets_the_need_the_strongest_and_the_next_fifty() {
        Ranking ranking = ranked(Weights.USUAL, CHEAP, MIDDLE, DEAR, LACKS);
        assertEquals("Sorrel", ranking.cheapest().orElseThrow().name());
        assertEquals("Rowan", ranking.strongest().orElseThrow().name());
        assertEquals(3, ranking.order().get(3), "what lacks something stands last");
        assertEquals("last, because this is missing: VPN client", ranking.reason(3));
        assertEquals("45 more buys about 4.0 dB, with Alder.", ranking.nextUnits());
    }

    @Test
    void each_side_is_counted_at_a_fixed_rate() {
        // 8 dB are 1.333 points, 60 are 1.2 points of 50; 18 dB are 3 points, 240 are 4.8 points
        Ranking ranking = ranked(new Weights(1, 0, 0, 1, 0), CHEAP, DEAR);
        assertEquals(8.0 / 6 - 60.0 / 50, ranking.scores().get(0), 1e-12);
        assertEquals(18.0 / 6 - 240.0 / 50, ranking.scores().get(1), 1e-12);
        // streams 2 and 4 are 1 and 2 points, bands are themselves, 5 % of the battery is one
        assertEquals(
                List.of(1.0 + 3 - 1, 2.0 + 4 - 1),
                ranked(new Weights(0, 1, 1, 0, 1), CHEAP, DEAR).scores());
        Ranking budget = Ranking.of(List.of(CHEAP, DEAR), new Weights(0, 0, 0, 1, 0), OptionalDouble.of(600));
        assertEquals(List.of(-0.5, -2.0), budget.scores());
    }

    @Test
    void what_the_prediction_cannot_tell_apart_shares_a_place() {
        Option near = option("Alder", Met.YES, 4, 4, 13, 105);
        Ranking ranking = ranked(new Weights(3, 0, 0, 0, 0), MIDDLE, near, CHEAP);
        // 1 dB apart, each known to ± 1 dB: equal; 4 dB apart: not
        assertEquals(List.of(1, 1, 3), ranking.places());
        assertTrue(ranking.sentence().contains("share the first place"), ranking.sentence());
        assertTrue(ranking.reason(0).startsWith("equal to Alder"), ranking.reason(0));
        assertEquals(
                "behind Alder: 1 band fewer, about 4 dB less",
                ranked(Weights.USUAL, MIDDLE, CHEAP).reason(1));
    }

    /** A panel whose leads are not stated is not 0 dB; it is left out and asked for. */
    @Test
    void an_unknown_gain_is_not_ranked_and_is_asked_for() {
        Option unknown = new Option(
                "Panel",
                List.of(new Essential("VPN client", Met.YES)),
                4,
                OptionalInt.of(4),
                OptionalDouble.empty(),
                0,
                new Price(50, false, false),
                OptionalDouble.of(100),
                OptionalDouble.of(0.05));
        Ranking ranking = ranked(Weights.USUAL, unknown, MIDDLE, LACKS);
        assertEquals(List.of(1, 0, 2), ranking.order());
        assertTrue(ranking.reason(0).startsWith("not ranked: its gain is not known"), ranking.reason(0));
        assertTrue(ranking.reason(1).startsWith("ahead of Panel"), ranking.reason(1));
        assertTrue(!ranking.reason(1).contains("dB"), ranking.reason(1));
        assertTrue(ranking.nextUnits().startsWith("The gain of Panel"), ranking.nextUnits());
    }

    @Test
    void the_flip_says_the_weight_at_which_another_comes_first() {
        Ranking ranking = ranked(new Weights(1, 0, 0, 3, 0), CHEAP, DEAR);
        assertEquals(0, ranking.order().get(0));
        assertTrue(ranking.flip().startsWith("Rowan would come first with the weight of "), ranking.flip());
        assertTrue(ranked(Weights.USUAL, CHEAP).flip().contains("nothing to compare"));
    }

    @Test
    void of_two_that_cost_the_same_the_stronger_is_named() {
        Option owned = option("Alder", Met.YES, 4, 2, 13, 0);
        Option stronger = option("Rowan", Met.YES, 4, 4, 19, 0);
        Ranking ranking = ranked(Weights.USUAL, owned, stronger);
        assertEquals("Rowan", ranking.cheapest().orElseThrow().name());
        assertTrue(ranking.nextUnits().contains("no more gain"));
    }

    @Test
    void price_per_decibel_and_per_stream() {
        assertEquals(7.5, CHEAP.pricePerDb().orElseThrow());
        assertEquals(30, CHEAP.pricePerStream().orElseThrow());
    }

    @Test
    void what_is_not_known_never_wins_the_price() {
        Option unknown = new Option(
                "Yarrow",
                List.of(),
                3,
                OptionalInt.empty(),
                OptionalDouble.empty(),
                0,
                new Price(0, true, false),
                OptionalDouble.empty(),
                OptionalDouble.empty());
        Ranking ranking = ranked(new Weights(0, 0, 0, 1, 0), unknown, CHEAP);
        assertEquals(1, ranking.order().get(0));
        assertEquals("Sorrel", ranking.cheapest().orElseThrow().name());
        assertEquals("at least 0", unknown.price().words());
        assertThrows(IllegalArgumentException.class, () -> new Weights(11, 0, 0, 0, 0));
    }
}
