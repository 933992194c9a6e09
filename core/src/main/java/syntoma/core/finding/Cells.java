package syntoma.core.finding;

import java.util.Arrays;
import java.util.function.IntPredicate;
import java.util.stream.IntStream;
import syntoma.core.trial.Attempts;
import syntoma.core.trial.Blocks;

/**
 * What each unit came to in each block, on the scale of the computation; block after block, within each by unit. A unit stands
 * at most once in a block.
 */
final class Cells {
    private final int[] starts;
    private final long[] stays;
    private final long[] atNanos;
    private final int[] units;
    private final double[] values;
    private final int[] runs;
    private final int[] numbers;

    private Cells(int[] starts, long[] stays, long[] atNanos, int[] numbers, int[] units, double[] values, int[] runs) {
        this.starts = starts;
        this.stays = stays;
        this.atNanos = atNanos;
        this.numbers = numbers;
        this.units = units;
        this.values = values;
        this.runs = runs;
    }

    /** All blocks of a trip, also those in which one unit alone stands. */
    static Cells of(Trip trip, Criterion criterion) {
        return of(trip, criterion, BlockValue.of(trip));
    }

    /** The same of blocks that are formed already. */
    static Cells of(Trip trip, Criterion criterion, BlockValue blocked) {
        int n = blocked.cells(trip);
        int[] starts = new int[blocked.count() + 1];
        int[] units = new int[n];
        double[] values = new double[n];
        int[] runs = new int[n];
        int cells = 0;
        for (int b = 0; b < blocked.count(); b++) {
            starts[b] = cells;
            long[] members = blocked.byUnit(trip, b);
            int from = 0;
            while (from < members.length) {
                int unit = (int) (members[from] >> 32);
                int to = from;
                while (to < members.length && (int) (members[to] >> 32) == unit) {
                    to++;
                }
                double[] own = new double[to - from];
                for (int k = from; k < to; k++) {
                    own[k - from] = criterion.scale().on(trip.value((int) members[k]));
                }
                units[cells] = unit;
                runs[cells] = own.length;
                values[cells++] = criterion.middle(own);
                from = to;
            }
        }
        starts[blocked.count()] = cells;
        return new Cells(
                starts,
                blocked.stays,
                blocked.atNanos,
                IntStream.range(0, blocked.count()).toArray(),
                units,
                values,
                runs);
    }

    /** Which attempts that count stand in which block. */
    record BlockValue(int[] numbers, int[] starts, int[] members, long[] stays, long[] atNanos) {
        /** Blocks for the metric: those that count open them and stand in them. */
        static BlockValue of(Trip trip) {
            return of(trip, trip::counts);
        }

        /** Blocks that some attempts open, and in which they alone stand. */
        static BlockValue of(Trip trip, IntPredicate wanted) {
            BlockStarts begun = new BlockStarts();
            int[] numbers =
                    Blocks.numbers(trip, wanted, (first, window) -> begun.add(trip.stay(first), trip.atNanos(first)));
            int[] starts = new int[begun.count + 1];
            for (int i = 0; i < numbers.length; i++) {
                if (numbers[i] != Attempts.NONE && wanted.test(i)) {
                    starts[numbers[i] + 1]++;
                }
            }
            for (int b = 0; b < begun.count; b++) {
                starts[b + 1] += starts[b];
            }
            int[] members = new int[starts[begun.count]];
            int[] next = Arrays.copyOf(starts, begun.count);
            for (int i = 0; i < numbers.length; i++) {
                if (numbers[i] != Attempts.NONE && wanted.test(i)) {
                    members[next[numbers[i]]++] = i;
                }
            }
            return new BlockValue(
                    numbers,
                    starts,
                    members,
                    Arrays.copyOf(begun.stays, begun.count),
                    Arrays.copyOf(begun.atNanos, begun.count));
        }

        /** The stays and beginnings of blocks as they begin. */
        private static final class BlockStarts {
            private int count;
            private long[] stays = new long[256];
            private long[] atNanos = new long[256];

            private void add(long stay, long at) {
                if (count == stays.length) {
                    stays = Arrays.copyOf(stays, count * 2);
                    atNanos = Arrays.copyOf(atNanos, count * 2);
                }
                stays[count] = stay;
                atNanos[count++] = at;
            }
        }

        int count() {
            return stays.length;
        }

        /** How many cells there are: each unit once in each block. */
        int cells(Trip trip) {
            int cells = 0;
            for (int b = 0; b < count(); b++) {
                long[] own = byUnit(trip, b);
                for (int k = 0; k < own.length; k++) {
                    cells += k == 0 || own[k] >> 32 != own[k - 1] >> 32 ? 1 : 0;
                }
            }
            return cells;
        }

        /** The attempts of a block by unit: the unit in the upper half of each number, the attempt in the lower. */
        long[] byUnit(Trip trip, int block) {
            long[] own = new long[starts[block + 1] - starts[block]];
            for (int k = 0; k < own.length; k++) {
                int i = members[starts[block] + k];
                own[k] = (long) trip.unit(i) << 32 | i;
            }
            Arrays.sort(own);
            return own;
        }
    }

    int blocks() {
        return stays.length;
    }

    int start(int block) {
        return starts[block];
    }

    int end(int block) {
        return starts[block + 1];
    }

    int unit(int cell) {
        return units[cell];
    }

    double value(int cell) {
        return values[cell];
    }

    /** Of how many runs it is the middle. */
    int runs(int cell) {
        return runs[cell];
    }

    /** The number of the block among all of the trip, in the order in which they began. */
    int number(int block) {
        return numbers[block];
    }

    long stay(int block) {
        return stays[block];
    }

    /** When the block began. */
    long atNanos(int block) {
        return atNanos[block];
    }

    /** The cell of a unit in a block; −1 where it is not in it. */
    int find(int block, int unit) {
        int found = Arrays.binarySearch(units, start(block), end(block), unit);
        return found < 0 ? -1 : found;
    }

    /** Those of the blocks in which two units or more stand. */
    Cells informative() {
        return filter(b -> end(b) - start(b) > 1);
    }

    /** Some of the blocks. */
    Cells filter(IntPredicate wanted) {
        int blocks = 0;
        int cells = 0;
        for (int b = 0; b < blocks(); b++) {
            if (wanted.test(b)) {
                blocks++;
                cells += end(b) - start(b);
            }
        }
        if (blocks == blocks()) {
            return this;
        }
        int[] keptStarts = new int[blocks + 1];
        long[] keptStays = new long[blocks];
        long[] keptAt = new long[blocks];
        int[] keptNumbers = new int[blocks];
        int[] keptRuns = new int[cells];
        int[] keptUnits = new int[cells];
        double[] keptValues = new double[cells];
        int at = 0;
        int cell = 0;
        for (int b = 0; b < blocks(); b++) {
            if (wanted.test(b)) {
                int length = end(b) - start(b);
                System.arraycopy(units, start(b), keptUnits, cell, length);
                System.arraycopy(values, start(b), keptValues, cell, length);
                System.arraycopy(runs, start(b), keptRuns, cell, length);
                keptNumbers[at] = numbers[b];
                keptStays[at] = stays[b];
                keptAt[at] = atNanos[b];
                cell += length;
                keptStarts[++at] = cell;
            }
        }
        return new Cells(keptStarts, keptStays, keptAt, keptNumbers, keptUnits, keptValues, keptRuns);
    }
}
