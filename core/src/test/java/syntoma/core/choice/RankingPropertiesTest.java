package syntoma.core.choice;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Random;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;

/** What holds for every ranking; above all, that what it says automatically is so. */
class RankingPropertiesTest {
    private static final Pattern FLIP =
            Pattern.compile("(.+) would come first with the weight of (\\w+) at ([\\d.]+) instead of .+");
    private static final OptionalDouble BUDGET = OptionalDouble.of(500);

    private static List<Option> random(Random random, int number) {
        List<Option> options = new ArrayList<>();
        for (int i = 0; i < number; i++) {
            boolean lacks = random.nextInt(6) == 0;
            options.add(new Option(
                    "Option " + i,
                    lacks ? List.of(new Option.Essential("VPN client", Option.Met.NO)) : List.of(),
                    random.nextInt(6),
                    random.nextInt(6) == 0 ? OptionalInt.empty() : OptionalInt.of(random.nextInt(5)),
                    random.nextInt(8) == 0 ? OptionalDouble.empty() : OptionalDouble.of(random.nextInt(30)),
                    random.nextInt(5),
                    new Price(random.nextInt(400), random.nextInt(8) == 0, false),
                    OptionalDouble.of(50 + random.nextInt(300)),
                    random.nextInt(8) == 0 ? OptionalDouble.empty() : OptionalDouble.of(random.nextDouble() / 4)));
        }
        return options;
    }

    private static List<String> names(Ranking ranking) {
        return ranking.order().stream()
                .map(i -> ranking.options().get(i).name())
                .toList();
    }

    @Property(tries = 500)
    void one_more_or_one_less_never_swaps_two(@ForAll long seed, @ForAll @IntRange(min = 3, max = 6) int number) {
        List<Option> options = random(new Random(seed), number);
        List<String> all = new ArrayList<>(names(Ranking.of(options, Weights.USUAL, BUDGET)));
        for (int left = 0; left < number; left++) {
            List<Option> fewer = new ArrayList<>(options);
            String gone = fewer.remove(left).name();
            List<String> expected = new ArrayList<>(all);
            expected.remove(gone);
            assertEquals(expected, names(Ranking.of(fewer, Weights.USUAL, BUDGET)));
        }
    }

    @Property(tries = 300)
    void places_follow_the_order_and_equals_share_them(
            @ForAll long seed, @ForAll @IntRange(min = 2, max = 6) int number) {
        Ranking ranking = Ranking.of(random(new Random(seed), number), Weights.USUAL, BUDGET);
        int last = 1;
        for (int position = 0; position < number; position++) {
            int place = ranking.places().get(ranking.order().get(position));
            assertTrue(place == last || place == position + 1, ranking.places().toString());
            last = place;
        }
        assertEquals(number, ranking.order().stream().distinct().count());
        assertTrue(ranking.leaders().size() >= 1);
    }

    @Property(tries = 300)
    void one_band_less_and_nothing_else_never_wins(@ForAll long seed) {
        Option full = random(new Random(seed), 1).get(0);
        if (full.bandsWorking() == 0) {
            return;
        }
        Option missing = new Option(
                "missing",
                full.essentials(),
                full.bandsWorking() - 1,
                full.streams(),
                full.meanGainDb(),
                full.gainHalfWidthDb(),
                full.price(),
                full.whPerDay(),
                full.batteryShare());
        assertEquals(
                full.name(),
                names(Ranking.of(List.of(missing, full), Weights.USUAL, BUDGET)).get(0));
    }

    @Property(tries = 300)
    void the_flip_that_it_names_is_one(@ForAll long seed, @ForAll @IntRange(min = 2, max = 6) int number) {
        List<Option> options = random(new Random(seed), number);
        Ranking ranking = Ranking.of(options, Weights.USUAL, BUDGET);
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
        Ranking after = Ranking.of(options, changed, BUDGET);
        int named = Integer.parseInt(flip.group(1).substring("Option ".length()));
        int before = ranking.order().get(0);
        // the weight is written to one decimal, and a side is worth some ten points
        assertTrue(after.scores().get(named) >= after.scores().get(before) - 0.6, ranking.flip());
    }

    @Property(tries = 200)
    void the_cheapest_is_no_dearer_than_any_other_that_meets_the_need(@ForAll long seed) {
        Ranking ranking = Ranking.of(random(new Random(seed), 6), Weights.USUAL, BUDGET);
        ranking.cheapest().ifPresent(cheapest -> ranking.options().stream()
                .filter(o -> o.meetsNeed() && !o.price().isOpen())
                .forEach(o ->
                        assertTrue(o.price().knownPart() >= cheapest.price().knownPart())));
    }
}
