package syntoma.core.design;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNotEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.HashSet;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

class OrderTest {
    /** Something that grows by the same amount from visit to visit adds the same to each contender. */
    @Property
    void a_steady_drift_cancels_over_an_even_number_of_rounds(
            @ForAll @IntRange(min = 2, max = 8) int contenders,
            @ForAll @IntRange(min = 1, max = 10) int turns,
            @ForAll long seed) {
        List<List<Integer>> rounds = Order.TURNING.rounds(contenders, 2 * turns, seed);
        long[] drift = new long[contenders];
        int visit = 0;
        for (List<Integer> round : rounds) {
            for (int place : round) {
                drift[place] += visit++;
            }
        }
        for (long sum : drift) {
            assertEquals(drift[0], sum);
        }
    }

    @Property
    void each_round_measures_each_once_and_the_seed_says_how(
            @ForAll Order order, @ForAll @IntRange(min = 2, max = 8) int contenders, @ForAll long seed) {
        List<List<Integer>> rounds = order.rounds(contenders, 20, seed);
        assertEquals(20, rounds.size());
        for (List<Integer> round : rounds) {
            assertEquals(contenders, new HashSet<>(round).size());
        }
        assertEquals(rounds, order.rounds(contenders, 20, seed));
    }

    @Test
    void it_begins_with_another_one_by_another_seed() {
        assertEquals(
                2,
                java.util.stream.LongStream.range(0, 20)
                        .mapToObj(seed -> Order.TURNING.rounds(2, 3, seed).get(0))
                        .distinct()
                        .count());
        assertNotEquals(
                List.of(), Order.DRAWN.rounds(3, 3, 1).stream().distinct().toList());
        assertTrue(Order.DRAWN.rounds(4, 20, 1).stream().distinct().count() > 5, "each round is drawn anew");
    }
}
