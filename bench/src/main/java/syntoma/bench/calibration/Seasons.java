package syntoma.bench.calibration;

import java.util.List;
import java.util.stream.IntStream;

/**
 * What came of advice over many seasons.
 *
 * @param told every piece of advice, in the order of the seasons
 */
record Seasons(List<Season.SeasonOutcome> told) {
    /** After so many stays a log is expected to tell (the promise begins there). */
    static final int LEARNED = 20;

    private static final int BINS = 10;

    /** How many seasons of so many stays each. */
    static Seasons of(int seasons, int stays, long seed) {
        return new Seasons(IntStream.range(0, seasons)
                .parallel()
                .mapToObj(i -> Season.of(seed + 31L * i, stays))
                .flatMap(List::stream)
                .toList());
    }

    /**
     * Stated chances of one tenth, and how many of them came true.
     *
     * @param stated their mean
     */
    record Bin(int count, double stated, double came) {}

    /** By tenths of what was stated: each option at each advice counts. */
    List<Bin> bins() {
        int[] count = new int[BINS];
        double[] stated = new double[BINS];
        int[] came = new int[BINS];
        for (Season.SeasonOutcome one : told) {
            for (int i = 0; i < one.stated().length; i++) {
                int bin = Math.min(BINS - 1, (int) (one.stated()[i] * BINS));
                count[bin]++;
                stated[bin] += one.stated()[i];
                came[bin] += one.came()[i] ? 1 : 0;
            }
        }
        return IntStream.range(0, BINS)
                .mapToObj(b -> new Bin(
                        count[b],
                        count[b] == 0 ? 0 : stated[b] / count[b],
                        count[b] == 0 ? 0 : (double) came[b] / count[b]))
                .toList();
    }

    /** Of what is called 70 % (from 65 to 75), so much came true. */
    double ofSeventy() {
        int count = 0;
        int came = 0;
        for (Season.SeasonOutcome one : told) {
            for (int i = 0; i < one.stated().length; i++) {
                if (one.stated()[i] >= 0.65 && one.stated()[i] < 0.75) {
                    count++;
                    came += one.came()[i] ? 1 : 0;
                }
            }
        }
        return (double) came / count;
    }

    /** What the first choice fell short of the best one after the first stays, as a share of what the need asks. */
    double regret() {
        return told.stream()
                .filter(t -> t.stays() >= LEARNED)
                .mapToDouble(Season.SeasonOutcome::regret)
                .average()
                .orElseThrow();
    }

    /** The same of the option whose plain average was best. */
    double plainRegret() {
        return told.stream()
                .filter(t -> t.stays() >= LEARNED)
                .mapToDouble(Season.SeasonOutcome::plainRegret)
                .average()
                .orElseThrow();
    }

    int stays() {
        return (int) told.stream().filter(t -> !t.measured()).count();
    }
}
