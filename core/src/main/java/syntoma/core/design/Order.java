package syntoma.core.design;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.SplittableRandom;
import java.util.stream.IntStream;
import syntoma.core.unit.Labels;

/**
 * In which order the contenders of each round are measured.
 */
public enum Order {
    /** Forward, then backward: over two rounds a steady drift cancels, and the turn needs no change-over. */
    TURNING("there and back", "A B, then B A: slow changes affect both the same, and you change half as often."),
    /** Drawn again for each round: more change-overs, and no pattern that anything could keep step with. */
    DRAWN("drawn each round", "A new order each round: more changes, and no pattern can line up with it.");

    /** Where nothing else was asked for. */
    public static final Order USUAL = TURNING;

    private final String words;
    private final String says;

    Order(String words, String says) {
        this.words = words;
        this.says = says;
    }

    /** What to call it in a list of choices. */
    public String words() {
        return words;
    }

    /** What it does, in a sentence. */
    public String says() {
        return says;
    }

    /** The name in the API. */
    public String label() {
        return name().toLowerCase(Locale.ROOT);
    }

    /**
     * The order of a name in the API.
     *
     * @throws IllegalArgumentException naming the text and the orders there are
     */
    public static Order fromLabel(String text) {
        return Labels.find("order", text, values(), Order::label);
    }

    /**
     * The order of each round, by the contenders' places.
     *
     * @param seed from which it is drawn; the same seed gives the same order
     */
    public List<List<Integer>> rounds(int contenders, int rounds, long seed) {
        // seeds that follow one another give a plain Random much the same first draw
        Random random = new Random(new SplittableRandom(seed).nextLong());
        List<Integer> places =
                new ArrayList<>(IntStream.range(0, contenders).boxed().toList());
        Collections.shuffle(places, random);
        List<List<Integer>> all = new ArrayList<>();
        for (int round = 0; round < rounds; round++) {
            all.add(List.copyOf(places));
            if (this == TURNING) {
                Collections.reverse(places);
            } else {
                Collections.shuffle(places, random);
            }
        }
        return List.copyOf(all);
    }

    /** The first seed from another on with which the baseline comes first. */
    public static long seedWithBaselineFirst(int contenders, long from) {
        long seed = from;
        while (TURNING.rounds(contenders, 1, seed).get(0).get(0) != 0) {
            seed++;
        }
        return seed;
    }
}
