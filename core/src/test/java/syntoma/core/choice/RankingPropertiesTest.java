package syntoma.core.choice;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;

/** What holds for every ranking; above all, that what it says of itself is so. */
class RankingPropertiesTest {
    private static final Pattern FLIP =
            Pattern.compile("(.+) would come first with the weight of (\\w+) at ([\\d.]+) instead of .+");

    private static List<Option> random(Random random, int number) {
        List<Option> options = new ArrayList<>();
        for (int i = 0; i < number; i++) {
            options.add(new Option(
                    "Option " + i,
                    List.of(),
                    random.nextInt(6),
                    1 + random.nextInt(4),
                    random.nextInt(8) == 0 ? OptionalDouble.empty() : OptionalDouble.of(random.nextInt(30)),
                    random.nextInt(8) == 0 ? OptionalDouble.empty() : OptionalDouble.of(random.nextInt(400)),
                    OptionalDouble.of(50 + random.nextInt(300))));
        }
        return options;
    }

    @Property(tries = 300)
    void scores_lie_between_0_and_1_and_the_order_follows_them(
            @ForAll long seed, @ForAll @IntRange(min = 2, max = 6) int number) {
        Ranking ranking = Ranking.of(random(new Random(seed), number), Weights.USUAL);
        double last = Double.POSITIVE_INFINITY;
        for (int i : ranking.order()) {
            double score = ranking.scores().get(i);
            assertTrue(score >= 0 && score <= 1 && score <= last);
            last = score;
        }
        assertEquals(number, ranking.order().stream().distinct().count());
    }

    @Property(tries = 300)
    void the_flip_that_it_names_is_one(@ForAll long seed, @ForAll @IntRange(min = 2, max = 6) int number) {
        List<Option> options = random(new Random(seed), number);
        Ranking ranking = Ranking.of(options, Weights.USUAL);
        Matcher flip = FLIP.matcher(ranking.flip());
        if (!flip.matches()) {
            return;
        }
        double weight = Double.parseDouble(flip.group(3));
        Weights u = Weights.USUAL;
        Weights changed =
                switch (flip.group(2)) {
                    case "gain" -> new Weights(weight, u.bands(), u.streams(), u.price(), u.energy());
                    case "bands" -> new Weights(u.gain(), weight, u.streams(), u.price(), u.energy());
                    case "streams" -> new Weights(u.gain(), u.bands(), weight, u.price(), u.energy());
                    case "price" -> new Weights(u.gain(), u.bands(), u.streams(), weight, u.energy());
                    default -> new Weights(u.gain(), u.bands(), u.streams(), u.price(), weight);
                };
        Ranking after = Ranking.of(options, changed);
        int named = Integer.parseInt(flip.group(1).substring("Option ".length()));
        int before = ranking.order().get(0);
        assertTrue(after.scores().get(named) >= after.scores().get(before) - 0.02, ranking.flip());
    }

    @Property(tries = 200)
    void the_cheapest_is_no_dearer_than_any_other_that_meets_the_need(@ForAll long seed) {
        Ranking ranking = Ranking.of(random(new Random(seed), 6), Weights.USUAL);
        ranking.cheapest().ifPresent(cheapest -> ranking.options().stream()
                .filter(o -> o.meetsNeed() && o.price().isPresent())
                .forEach(o ->
                        assertTrue(o.price().getAsDouble() >= cheapest.price().getAsDouble())));
    }
}
