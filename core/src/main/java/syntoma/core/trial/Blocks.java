package syntoma.core.trial;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Predicate;

/**
 * Forms blocks. A block is a round of a trial per SIM, or else stay × SIM × window: a window opens with the first
 * measurement not yet in a block and takes all of the same stay and SIM within the next 60 minutes, the sixtieth included.
 */
public final class Blocks {
    /** How long a window stays open. */
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

    private static List<Block> form(List<Sample> samples, Predicate<Sample> opens) {
        List<Sample> sorted = new ArrayList<>(samples);
        sorted.sort(Comparator.comparing(Sample::takenAt));
        Map<Block.Key, List<Sample>> blocks = new LinkedHashMap<>();
        Map<Visit, Window> open = new HashMap<>();
        for (Sample sample : sorted) {
            if (!sample.trial().isEmpty() && sample.round().isPresent()) {
                Block.Key key = new Block.Key(0, sample.trial(), sample.round().getAsInt(), sample.sim());
                blocks.computeIfAbsent(key, k -> new ArrayList<>()).add(sample);
                continue;
            }
            Visit visit = new Visit(sample.stay(), sample.sim());
            Window window = open.get(visit);
            if (window == null || sample.takenAt().isAfter(window.until)) {
                if (!opens.test(sample)) {
                    continue;
                }
                int number = window == null ? 1 : window.number + 1;
                window = new Window(number, sample.takenAt().plus(WINDOW));
                open.put(visit, window);
            }
            Block.Key key = new Block.Key(visit.stay, "", window.number, visit.sim);
            blocks.computeIfAbsent(key, k -> new ArrayList<>()).add(sample);
        }
        return blocks.entrySet().stream()
                .map(e -> new Block(e.getKey(), e.getValue()))
                .toList();
    }

    private record Visit(long stay, String sim) {}

    private record Window(int number, Instant until) {}
}
