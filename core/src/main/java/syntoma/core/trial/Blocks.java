package syntoma.core.trial;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
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

    private static List<Block> form(List<Sample> samples, Predicate<Sample> opens) {
        List<Gathering> blocks = new ArrayList<>();
        Map<Block.Key, Gathering> rounds = new HashMap<>();
        Map<Visit, Window> open = new HashMap<>();
        Window window = null;
        for (Sample sample : inOrder(samples)) {
            if (!sample.trial().isEmpty() && sample.round().isPresent()) {
                Block.Key key = new Block.Key(0, sample.trial(), sample.round().getAsInt(), sample.sim());
                rounds.computeIfAbsent(key, k -> begin(k, blocks)).samples.add(sample);
                continue;
            }
            if (window == null || !window.isOf(sample)) {
                window = open.get(new Visit(sample.stay(), sample.sim()));
            }
            if (window == null || sample.takenAt().isAfter(window.until)) {
                if (!opens.test(sample)) {
                    continue;
                }
                int number = window == null ? 1 : window.block.key.round() + 1;
                Gathering block = begin(new Block.Key(sample.stay(), "", number, sample.sim()), blocks);
                window = new Window(block, sample.takenAt().plus(WINDOW));
                open.put(new Visit(sample.stay(), sample.sim()), window);
            }
            window.block.samples.add(sample);
        }
        return blocks.stream().map(b -> new Block(b.key, b.samples)).toList();
    }

    private static Gathering begin(Block.Key key, List<Gathering> blocks) {
        Gathering block = new Gathering(key, new ArrayList<>());
        blocks.add(block);
        return block;
    }

    private record Visit(long stay, String sim) {}

    private record Gathering(Block.Key key, List<Sample> samples) {}

    private record Window(Gathering block, Instant until) {
        boolean isOf(Sample sample) {
            return block.key.stay() == sample.stay() && block.key.sim().equals(sample.sim());
        }
    }
}
