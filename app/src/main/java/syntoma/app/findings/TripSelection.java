package syntoma.app.findings;

import java.util.Arrays;
import java.util.HashMap;
import java.util.Map;
import syntoma.core.finding.Trip;
import syntoma.core.trial.Attempts;

/**
 * Some measurements of the log, as findings take them.
 *
 * @param places in the order of time
 * @param units of each of them
 * @param sims what has to be the same where two are compared, of each of them
 * @param values of all places of the log
 * @param levels RSRP of all places of the log
 */
record TripSelection(TripLog.Snapshot log, int[] places, int[] units, int[] sims, double[] values, double[] levels)
        implements Trip {

    @Override
    public int size() {
        return places.length;
    }

    @Override
    public long atNanos(int i) {
        return log.columns().atNanos(places[i]);
    }

    @Override
    public long stay(int i) {
        return log.stay(places[i]);
    }

    @Override
    public int sim(int i) {
        return sims[i];
    }

    @Override
    public int trial(int i) {
        return log.columns().trial(places[i]);
    }

    @Override
    public int round(int i) {
        return log.columns().round(places[i]);
    }

    @Override
    public int unit(int i) {
        return units[i];
    }

    @Override
    public boolean hasSucceeded(int i) {
        return log.columns().hasSucceeded(places[i]);
    }

    @Override
    public double value(int i) {
        return values[places[i]];
    }

    @Override
    public double levelDbm(int i) {
        return levels[places[i]];
    }

    /** Numbers from 0 for numbers that have gaps. */
    static final class Numbering {
        private final Map<Long, Integer> numbers = new HashMap<>();
        private int[] small = new int[64];

        int of(long key) {
            if (key < -1 || key >= MOST_SMALL) {
                return numbers.computeIfAbsent(key, k -> numbers.size());
            }
            // most keys are numbers of carriers or setups: no need to look them up
            int at = (int) key + 1;
            if (at >= small.length) {
                small = Arrays.copyOf(small, Math.max(at + 1, small.length * 2));
            }
            if (small[at] == 0) {
                small[at] = numbers.computeIfAbsent(key, k -> numbers.size()) + 1;
            }
            return small[at] - 1;
        }

        private static final long MOST_SMALL = 100_000;
    }

    /** No unit: the measurement is not looked at. */
    static final int NONE = Attempts.NONE;
}
