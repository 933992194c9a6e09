package syntoma.core.jobsheet;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Collectors;

/**
 * When each task is done: as early as it can be, in the order that has all of it done first. Orders are tried by how long what rests
 * on a task takes, and by chance around that from a fixed seed; each is laid out as early as hours and hands allow (serial schedule
 * generation, Kolisch 1996), and other tasks fill the waits.
 */
public record Schedule(List<Slot> slots) {
    private static final int TRIES = 600;
    private static final long SEED = 11;

    /** A task at its time, in minutes since the first morning. */
    public record Slot(Task task, int from) {
        public int end() {
            return from + task.minutes();
        }
    }

    /** When the last task is done. */
    public int end() {
        return slots.stream().mapToInt(Slot::end).max().orElse(0);
    }

    /**
     * The best that was found.
     *
     * @throws IllegalArgumentException naming the task that no hours are long enough for, that needs more people than there are, or
     *     that does not get done within the hours there are, and why
     */
    public static Schedule of(TaskList tasks, Hours hours) {
        for (Task task : tasks.inOrder()) {
            if (task.people() > hours.people()) {
                throw new IllegalArgumentException(
                        task.name() + " needs " + task.people() + " people; there are " + hours.people());
            }
            if (hours.spans().stream().noneMatch(s -> s.minutes() >= task.minutes())) {
                throw new IllegalArgumentException(
                        task.name() + " takes " + task.minutes() + " min in one go; no hours are that long");
            }
        }
        Map<String, Integer> tails = tasks.tails();
        Random random = new Random(SEED);
        Optional<Schedule> best = Optional.empty();
        for (int i = 0; i < TRIES; i++) {
            // the first by the tails alone, the others with more and more of chance in it
            double chance = (double) i / TRIES;
            Map<String, Double> rank = new HashMap<>();
            double most = Collections.max(tails.values());
            tails.forEach((key, tail) -> rank.put(key, (1 - chance) * tail / most + chance * random.nextDouble()));
            Optional<Schedule> found = layOut(tasks, hours, rank);
            if (found.isPresent()
                    && (best.isEmpty() || found.get().end() < best.get().end())) {
                best = found;
            }
        }
        return best.orElseThrow(() -> new IllegalArgumentException(tooLate(tasks, hours)));
    }

    private static String tooLate(TaskList tasks, Hours hours) {
        List<Task> chain = tasks.longestChain();
        String named = chain.stream()
                .map(t -> t.name() + (t.waitMin() > 0 ? " (and " + t.waitMin() / 60 + " h to wait)" : ""))
                .collect(Collectors.joining(", "));
        int sum = hours.spans().stream().mapToInt(Hours.Span::minutes).sum();
        return "it does not fit into these hours (" + sum / 60 + " h in all). One after another: " + named;
    }

    /** The tasks laid out by rank; empty where they do not fit into the hours. */
    private static Optional<Schedule> layOut(TaskList tasks, Hours hours, Map<String, Double> rank) {
        List<Task> left = new ArrayList<>(tasks.inOrder());
        left.sort(Comparator.comparing((Task t) -> -rank.get(t.key())));
        Map<String, Slot> done = new HashMap<>();
        List<Slot> slots = new ArrayList<>();
        while (!left.isEmpty()) {
            Task next = left.stream()
                    .filter(t -> done.keySet().containsAll(t.after()))
                    .findFirst()
                    .orElseThrow();
            Optional<Slot> slot = earliest(next, hours, done, slots);
            if (slot.isEmpty()) {
                return Optional.empty();
            }
            left.remove(next);
            done.put(next.key(), slot.get());
            slots.add(slot.get());
        }
        slots.sort(Comparator.comparingInt(Slot::from));
        return Optional.of(new Schedule(List.copyOf(slots)));
    }

    private static Optional<Slot> earliest(Task task, Hours hours, Map<String, Slot> done, List<Slot> slots) {
        int ready = task.after().stream()
                .map(done::get)
                .mapToInt(s -> s.end() + s.task().waitMin())
                .max()
                .orElse(0);
        List<Integer> starts = new ArrayList<>(List.of(ready));
        hours.spans().forEach(s -> starts.add(s.from()));
        slots.forEach(s -> starts.add(s.end()));
        return starts.stream()
                .filter(start -> start >= ready)
                .sorted()
                .map(start -> new Slot(task, start))
                .filter(slot -> isWithin(slot, hours) && hasHands(slot, hours, slots))
                .findFirst();
    }

    private static boolean isWithin(Slot slot, Hours hours) {
        return hours.spans().stream().anyMatch(s -> slot.from() >= s.from() && slot.end() <= s.until());
    }

    /** Whether at no moment more people are at work than there are; that changes only where a task begins. */
    private static boolean hasHands(Slot slot, Hours hours, List<Slot> slots) {
        List<Slot> beside = slots.stream()
                .filter(s -> s.from() < slot.end() && s.end() > slot.from())
                .toList();
        return beside.stream()
                .map(s -> Math.max(s.from(), slot.from()))
                .allMatch(moment -> beside.stream()
                                .filter(s -> s.from() <= moment && s.end() > moment)
                                .mapToInt(s -> s.task().people())
                                .sum()
                        <= hours.people() - slot.task().people());
    }
}
