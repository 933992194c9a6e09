package syntoma.core.jobsheet;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;

class ScheduleTest {
    private static final int STEP_MIN = 15;

    private static Task task(String key, int minutes, int waitMin, String... after) {
        return Task.ofTime(key, minutes, 1, waitMin, List.of(after));
    }

    private static String message(Runnable call) {
        return assertThrows(IllegalArgumentException.class, call::run).getMessage();
    }

    /** Every order and, within it, each task at the first quarter of an hour at which it can begin: written for itself. */
    private static final class TryingAll {
        private final List<Task> tasks;
        private final Hours hours;
        private final int[] hands;
        private final Map<String, Integer> ends = new HashMap<>();
        private int best = Integer.MAX_VALUE;

        TryingAll(List<Task> tasks, Hours hours) {
            this.tasks = tasks;
            this.hours = hours;
            hands = new int[hours.spans().get(hours.spans().size() - 1).until() / STEP_MIN + 1];
            go(0, 0);
        }

        private void go(int placed, int until) {
            if (until >= best) {
                return;
            }
            if (placed == tasks.size()) {
                best = until;
                return;
            }
            for (Task task : tasks) {
                if (ends.containsKey(task.key()) || !ends.keySet().containsAll(task.after())) {
                    continue;
                }
                int ready = 0;
                for (String before : task.after()) {
                    int waits = tasks.stream()
                            .filter(t -> t.key().equals(before))
                            .findFirst()
                            .orElseThrow()
                            .waitMin();
                    ready = Math.max(ready, ends.get(before) + waits);
                }
                int start = first(task, ready);
                if (start >= 0) {
                    use(start, task, 1);
                    ends.put(task.key(), start + task.minutes());
                    go(placed + 1, Math.max(until, start + task.minutes()));
                    ends.remove(task.key());
                    use(start, task, -1);
                }
            }
        }

        private int first(Task task, int ready) {
            for (Hours.Span span : hours.spans()) {
                for (int start = span.from(); start + task.minutes() <= span.until(); start += STEP_MIN) {
                    boolean free = start >= ready;
                    for (int m = start; free && m < start + task.minutes(); m += STEP_MIN) {
                        free = hands[m / STEP_MIN] + task.people() <= hours.people();
                    }
                    if (free) {
                        return start;
                    }
                }
            }
            return -1;
        }

        private void use(int start, Task task, int sign) {
            for (int m = start; m < start + task.minutes(); m += STEP_MIN) {
                hands[m / STEP_MIN] += sign * task.people();
            }
        }
    }

    private static List<Task> random(Random random, int people) {
        List<Task> tasks = new ArrayList<>();
        int n = 3 + random.nextInt(6);
        for (int i = 0; i < n; i++) {
            List<String> after = new ArrayList<>();
            for (int k = 0; k < i; k++) {
                if (random.nextInt(4) == 0) {
                    after.add("t" + k);
                }
            }
            tasks.add(Task.ofTime(
                    "t" + i,
                    STEP_MIN * (1 + random.nextInt(12)),
                    1 + random.nextInt(people),
                    random.nextInt(3) == 0 ? 60 * random.nextInt(14) : 0,
                    after));
        }
        return tasks;
    }

    @Test
    void a_schedule_is_hardly_longer_than_the_best_of_all_and_keeps_every_rule() {
        Random random = new Random(3);
        for (int i = 0; i < 100; i++) {
            int people = 1 + i % 2;
            List<Task> tasks = random(random, people);
            Hours hours = Hours.daily(people, 9 * 60, 17 * 60, 12);
            Schedule schedule = Schedule.of(TaskList.of(tasks), hours);
            int best = new TryingAll(tasks, hours).best;
            assertTrue(schedule.end() <= 1.05 * best, schedule.end() + " min against " + best + ": " + tasks);
            keeps(schedule, hours);
        }
    }

    private static void keeps(Schedule schedule, Hours hours) {
        Map<String, Schedule.Slot> slots = new HashMap<>();
        schedule.slots().forEach(s -> slots.put(s.task().key(), s));
        for (Schedule.Slot slot : schedule.slots()) {
            for (String before : slot.task().after()) {
                Schedule.Slot earlier = slots.get(before);
                assertTrue(slot.from() >= earlier.end() + earlier.task().waitMin(), slot + " after " + earlier);
            }
            assertTrue(
                    hours.spans().stream().anyMatch(s -> slot.from() >= s.from() && slot.end() <= s.until()),
                    slot.toString());
            int hands = schedule.slots().stream()
                    .filter(s -> s.from() <= slot.from() && s.end() > slot.from())
                    .mapToInt(s -> s.task().people())
                    .sum();
            assertTrue(hands <= hours.people(), slot + ": " + hands + " people");
        }
    }

    @Test
    void what_a_sealant_takes_to_cure_is_filled_with_what_does_not_wait_for_it() {
        TaskList tasks = TaskList.of(List.of(
                task("seal", 30, 12 * 60),
                task("cable", 120, 0),
                task("power", 60, 0),
                task("leak test", 15, 0, "seal")));
        Schedule schedule = Schedule.of(tasks, Hours.daily(1, 9 * 60, 17 * 60, 2));
        assertEquals("seal", schedule.slots().get(0).task().key(), "what others wait for comes first");
        assertEquals((24 + 9) * 60 + 15, schedule.end(), "the night is for the sealant");
        assertEquals("leak test", schedule.slots().get(3).task().key());
    }

    @Test
    void two_people_work_beside_each_other_where_each_needs_one() {
        TaskList tasks =
                TaskList.of(List.of(task("a", 60, 0), task("b", 60, 0), Task.ofTime("c", 30, 2, 0, List.of())));
        assertEquals(90, Schedule.of(tasks, Hours.daily(2, 0, 480, 1)).end());
        assertEquals("c needs 2 people; there are 1", message(() -> Schedule.of(tasks, Hours.daily(1, 0, 480, 1))));
    }

    @Test
    void tasks_that_wait_for_each_other_are_named() {
        String said = message(() -> TaskList.of(List.of(
                task("drill", 10, 0, "seal"),
                task("seal", 10, 0, "fit"),
                task("fit", 10, 0, "drill"),
                task("sweep", 5, 0))));
        assertTrue(
                said.startsWith("these wait for each other: ")
                        && said.contains("drill")
                        && said.contains("seal")
                        && said.contains("fit")
                        && !said.contains("sweep"),
                said);
        assertEquals("drill waits for itself", message(() -> TaskList.of(List.of(task("drill", 10, 0, "drill")))));
        assertEquals(
                "drill comes after mark, which is not on the sheet",
                message(() -> TaskList.of(List.of(task("drill", 10, 0, "mark")))));
    }

    @Test
    void hours_that_are_too_few_are_explained_by_what_comes_one_after_another() {
        TaskList tasks =
                TaskList.of(List.of(task("seal", 30, 12 * 60), task("leak test", 15, 0, "seal"), task("sweep", 5, 0)));
        assertEquals(
                "it does not fit into these hours (8 h in all). One after another: seal (and 12 h to wait), leak test",
                message(() -> Schedule.of(tasks, Hours.daily(1, 540, 1020, 1))));
        assertEquals(
                "long takes 600 min in one go; no hours are that long",
                message(() -> Schedule.of(TaskList.of(List.of(task("long", 600, 0))), Hours.daily(1, 540, 1020, 5))));
        assertEquals(
                "hours overlap at minute 50",
                message(() -> new Hours(1, List.of(new Hours.Span(0, 60), new Hours.Span(50, 70)))));
    }
}
