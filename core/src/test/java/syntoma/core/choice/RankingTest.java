package syntoma.core.choice;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import syntoma.core.choice.Option.Essential;
import syntoma.core.choice.Option.Met;

class RankingTest {
    private static Option option(String name, Met met, int bands, int streams, double gain, double price) {
        return new Option(
                name,
                List.of(new Essential("VPN client", met)),
                bands,
                streams,
                OptionalDouble.of(gain),
                OptionalDouble.of(price),
                OptionalDouble.of(100));
    }

    private static final Option CHEAP = option("Sorrel", Met.YES, 3, 2, 8, 60);
    private static final Option MIDDLE = option("Alder", Met.YES, 4, 4, 12, 105);
    private static final Option DEAR = option("Rowan", Met.YES, 4, 4, 18, 240);
    private static final Option LACKS = option("Teasel", Met.NO, 4, 4, 25, 20);

    @Test
    void the_cheapest_that_meets_the_need_the_strongest_and_the_next_fifty() {
        Ranking ranking = Ranking.of(List.of(CHEAP, MIDDLE, DEAR, LACKS), Weights.USUAL);
        assertEquals("Sorrel", ranking.cheapest().orElseThrow().name());
        assertEquals("Rowan", ranking.strongest().orElseThrow().name());
        assertEquals(3, ranking.order().get(3), "what lacks something stands last");
        assertEquals("45 more buys about 4.0 dB, with Alder.", ranking.nextUnits());
    }

    @Test
    void each_side_is_scaled_between_worst_and_best() {
        Ranking ranking = Ranking.of(List.of(CHEAP, DEAR), new Weights(1, 0, 0, 1, 0));
        assertEquals(List.of(0.5, 0.5), ranking.scores());
        Ranking byPrice = Ranking.of(List.of(CHEAP, DEAR), new Weights(0, 0, 0, 1, 0));
        assertEquals(List.of(0, 1), byPrice.order());
    }

    @Test
    void the_flip_says_the_weight_at_which_another_comes_first() {
        Ranking ranking = Ranking.of(List.of(CHEAP, DEAR), new Weights(1, 0, 0, 3, 0));
        assertEquals(0, ranking.order().get(0));
        assertTrue(ranking.flip().startsWith("Rowan would come first with the weight of "), ranking.flip());
        Ranking none = Ranking.of(List.of(CHEAP), Weights.USUAL);
        assertTrue(none.flip().contains("nothing to compare"));
    }

    @Test
    void of_two_that_cost_the_same_the_stronger_is_named() {
        Option owned = option("Alder", Met.YES, 4, 2, 13, 0);
        Option stronger = option("Rowan", Met.YES, 4, 4, 19, 0);
        Ranking ranking = Ranking.of(List.of(owned, stronger), Weights.USUAL);
        assertEquals("Rowan", ranking.cheapest().orElseThrow().name());
        assertTrue(ranking.nextUnits().contains("no more gain"));
    }

    @Test
    void price_per_decibel_and_per_stream() {
        assertEquals(7.5, CHEAP.pricePerDb().orElseThrow());
        assertEquals(30, CHEAP.pricePerStream().orElseThrow());
    }

    @Test
    void what_is_not_known_counts_as_the_worst_and_never_wins_the_price() {
        Option unknown = new Option(
                "Yarrow", List.of(), 0, 0, OptionalDouble.empty(), OptionalDouble.empty(), OptionalDouble.empty());
        Ranking ranking = Ranking.of(List.of(unknown, CHEAP), Weights.USUAL);
        assertEquals(1, ranking.order().get(0));
        assertEquals("Sorrel", ranking.cheapest().orElseThrow().name());
        assertThrows(IllegalArgumentException.class, () -> new Weights(11, 0, 0, 0, 0));
    }
}
