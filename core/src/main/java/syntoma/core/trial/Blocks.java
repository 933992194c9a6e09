package syntoma.core.trial;

import java.time.Duration;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.IntPredicate;
import java.util.function.Predicate;

/**
 * Forms blocks. A block is a round of a trial per SIM, or else stay × SIM × window: a window opens with the first
 * measurement not yet in a block and takes all of the same stay and SIM within the next 60 minutes, the sixtieth included.
 */
public final class Blocks {
    /** How long a window stays open: chosen as the time in which the load of a cell seldom changes much. */
    public static final Duration WINDOW = Duration.ofMinutes(60);

    private Blocks() {}

    /** Blocks for a metric: only ok measurements that have it open a window; the others join one that is open. */
    public static List<Block> forMetric(List<Sample> samples) {
        return form(samples, Sample::counts);
    }

    /** Blocks for counting failures: every attempt opens a window, so that a failure before a success is met by it. */
    public static List<Block> forOutcomes(List<Sample> samples) {
        return form(samples, s -> true);
    }

    /** Measurements in the order of time; the same list where they are. */
    public static List<Sample> inOrder(List<Sample> samples) {
        for (int i = 1; i < samples.size(); i++) {
            if (samples.get(i).takenAt().isBefore(samples.get(i - 1).takenAt())) {
                List<Sample> sorted = new ArrayList<>(samples);
                sorted.sort(Comparator.comparing(Sample::takenAt));
                return sorted;
            }
        }
        return samples;
    }

    private static List<Block> form(List<Sample> unordered, Predicate<Sample> opens) {
        List<Sample> samples = inOrder(unordered);
        Names sims = new Names();
        Names trials = new Names();
        int[] sim = samples.stream().mapToInt(s -> sims.number(s.sim())).toArray();
        int[] trial = samples.stream()
                .mapToInt(s -> s.trial().isEmpty() || s.round().isEmpty() ? Attempts.NONE : trials.number(s.trial()))
                .toArray();
        List<Block.Key> keys = new ArrayList<>();
        List<List<Sample>> members = new ArrayList<>();
        int[] numbers = numbers(new OfSamples(samples, sim, trial), i -> opens.test(samples.get(i)), (i, window) -> {
            Sample first = samples.get(i);
            keys.add(
                    window == 0
                            ? new Block.Key(0, first.trial(), first.round().getAsInt(), first.sim())
                            : new Block.Key(first.stay(), "", window, first.sim()));
            members.add(new ArrayList<>());
        });
        for (int i = 0; i < numbers.length; i++) {
            if (numbers[i] != Attempts.NONE) {
                members.get(numbers[i]).add(samples.get(i));
            }
        }
        List<Block> blocks = new ArrayList<>(keys.size());
        for (int b = 0; b < keys.size(); b++) {
            blocks.add(new Block(keys.get(b), members.get(b)));
        }
        return blocks;
    }

    /** Hears of each block as it begins: with which attempt, and as the which window of its stay and SIM; 0 for a round. */
    @FunctionalInterface
    public interface BlockListener {
        void block(int first, int window);
    }

    /**
     * The number of the block of each attempt, from 0 in the order in which they begin; {@link Attempts#NONE} for what stands
     * in none. Attempts are in the order of time.
     *
     * @param opens whether an attempt may open a window
     */
    public static int[] numbers(Attempts attempts, IntPredicate opens, BlockListener begun) {
        int[] numbers = new int[attempts.size()];
        Map<Round, Integer> rounds = new HashMap<>();
        Map<Visit, Window> windows = new HashMap<>();
        // a SIM's latest window is the one that is asked for again and again
        Window[] latest = new Window[16];
        int count = 0;
        for (int i = 0; i < numbers.length; i++) {
            if (attempts.trial(i) != Attempts.NONE) {
                Round key = new Round(attempts.trial(i), attempts.round(i), attempts.sim(i));
                Integer known = rounds.get(key);
                if (known == null) {
                    known = count++;
                    rounds.put(key, known);
                    begun.block(i, 0);
                }
                numbers[i] = known;
                continue;
            }
            long stay = attempts.stay(i);
            int sim = attempts.sim(i);
            if (sim >= latest.length) {
                latest = Arrays.copyOf(latest, Math.max(sim + 1, latest.length * 2));
            }
            Window window = latest[sim];
            if (window == null || window.stay != stay) {
                window = windows.computeIfAbsent(new Visit(stay, sim), v -> new Window(stay));
                latest[sim] = window;
            }
            if (!window.takes(attempts.atNanos(i))) {
                if (!opens.test(i)) {
                    numbers[i] = Attempts.NONE;
                    continue;
                }
                window.open(count++, attempts.atNanos(i));
                begun.block(i, window.opened);
            }
            numbers[i] = window.block;
        }
        return numbers;
    }

    private record Round(int trial, int round, int sim) {}

    private record Visit(long stay, int sim) {}

    /** The latest window of a stay and SIM. */
    private static final class Window {
        private static final long NANOS = WINDOW.toNanos();

        private final long stay;
        private int block = Attempts.NONE;
        private int opened;
        private long untilNanos;

        private Window(long stay) {
            this.stay = stay;
        }

        private boolean takes(long atNanos) {
            return opened > 0 && atNanos <= untilNanos;
        }

        private void open(int number, long atNanos) {
            block = number;
            opened++;
            untilNanos = atNanos + NANOS;
        }
    }

    /** Numbers for texts, in the order in which they come. */
    private static final class Names {
        private final Map<String, Integer> numbers = new HashMap<>();

        private int number(String name) {
            return numbers.computeIfAbsent(name, n -> numbers.size());
        }
    }

    private record OfSamples(List<Sample> samples, int[] sims, int[] trials) implements Attempts {
        @Override
        public int size() {
            return samples.size();
        }

        @Override
        public long atNanos(int i) {
            return Attempts.nanos(samples.get(i).takenAt());
        }

        @Override
        public long stay(int i) {
            return samples.get(i).stay();
        }

        @Override
        public int sim(int i) {
            return sims[i];
        }

        @Override
        public int trial(int i) {
            return trials[i];
        }

        @Override
        public int round(int i) {
            return samples.get(i).round().orElse(0);
        }
    }
}
