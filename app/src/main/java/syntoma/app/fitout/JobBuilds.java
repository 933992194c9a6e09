package syntoma.app.fitout;

import jakarta.persistence.EntityManager;
import java.time.Duration;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Component;
import syntoma.app.need.Vehicles;
import syntoma.app.platform.InvalidInputException;
import syntoma.core.jobsheet.Build;
import syntoma.core.jobsheet.Hole;
import syntoma.core.jobsheet.Task;
import syntoma.core.jobsheet.TaskList;
import syntoma.core.jobsheet.Weather;
import syntoma.core.roof.Foot;
import syntoma.core.sentence.Sentence;
import syntoma.core.unit.Median;
import syntoma.core.unit.Text;

/** The builds that plans are of, with their tasks and how long those took before. */
@Component
class JobBuilds {
    /** Of a task so many of the last times count. */
    private static final int COUNTED = 5;

    private static final int LONGEST_KEY = 40;
    private static final int LONGEST_NAME = 160;

    private final EntityManager entities;
    private final RoofPlans plans;
    private final Vehicles vehicles;

    JobBuilds(EntityManager entities, RoofPlans plans, Vehicles vehicles) {
        this.entities = entities;
        this.plans = plans;
        this.vehicles = vehicles;
    }

    /** A build; {@code learned} has how many times the minutes of a task were learned from. */
    record JobBuild(RoofPlans.RoofPlanView plan, Build build, TaskList tasks, Map<String, Integer> learnedMinutes) {
        /**
         * The task of a key.
         *
         * @throws InvalidInputException when it is not on the sheet
         */
        Task task(@Nullable String key) {
            return tasks.find(String.valueOf(key))
                    .orElseThrow(() -> new InvalidInputException(
                            "task", "task is " + Text.quote(String.valueOf(key)) + ", which is not on the sheet"));
        }
    }

    /**
     * The build of a plan.
     *
     * @throws InvalidInputException when the plan has no antenna
     */
    JobBuild of(long id) {
        RoofPlans.RoofPlanView view = plans.view(id);
        RoofPlan plan = view.plan();
        if (plan.antenna() == null) {
            throw new InvalidInputException("antenna", "antenna is missing; say in the plan which one is built in");
        }
        Build build = build(plan, ParsedRoofPlan.of(plan, vehicles.vehicle()));
        Map<String, List<Integer>> took = took();
        Map<String, Integer> learned = new HashMap<>();
        Map<String, Integer> minutes = new HashMap<>();
        took.forEach((task, times) -> {
            learned.put(task, times.size());
            minutes.put(task, (int) Math.round(
                    Median.of(times.stream().map(Integer::doubleValue).toList())));
        });
        plan.tasks().forEach(task -> learned.remove(task.key()));
        return new JobBuild(view, build, build.tasks(addedTasks(plan), minutes), learned);
    }

    /**
     * How long tasks took, in minutes, by their key: the last times, of all builds. What was over within a minute was ticked
     * afterwards, and what went on over night was left lying.
     */
    private Map<String, List<Integer>> took() {
        Map<String, List<Integer>> took = new HashMap<>();
        entities.createQuery(
                        "from JobStep s where s.begunAt is not null and s.doneAt is not null order by s.doneAt desc",
                        JobStep.class)
                .getResultStream()
                .forEach(step -> {
                    List<Integer> times = took.computeIfAbsent(step.task, key -> new ArrayList<>());
                    long minutes = Duration.between(step.begunAt, step.doneAt).toMinutes();
                    if (times.size() < COUNTED
                            && minutes > 0
                            && minutes < Duration.ofDays(1).toMinutes()) {
                        times.add((int) minutes);
                    }
                });
        took.values().removeIf(List::isEmpty);
        return took;
    }

    private static Build build(RoofPlan plan, ParsedRoofPlan drawn) {
        Foot foot = drawn.search().orElseThrow().foot();
        return new Build(
                foot.name(),
                foot.fixing(),
                drawn.roof().shell(),
                plan.leads() == null ? 1 : plan.leads().count(),
                new Hole(drawn.holeMm().orElse(foot.holeMm()), drawn.marks()),
                plan.mast() != null,
                plan.booster() != null,
                Boolean.TRUE.equals(plan.mains()));
    }

    /**
     * Finds what is wrong with the tasks of a plan that are put in by hand.
     *
     * @throws InvalidInputException naming those that wait for each other, or one that is named and missing
     */
    static void check(RoofPlan plan, ParsedRoofPlan drawn) {
        List<Build.AddedTask> added = addedTasks(plan);
        if (plan.antenna() != null && !added.isEmpty()) {
            InvalidInputException.naming("tasks", () -> build(plan, drawn).tasks(added, Map.of()));
        }
    }

    private static List<Build.AddedTask> addedTasks(RoofPlan plan) {
        return IntStream.range(0, plan.tasks().size())
                .mapToObj(i -> {
                    String field = "tasks[" + i + "]";
                    return InvalidInputException.naming(
                            field, () -> addedTasks(plan.tasks().get(i), field));
                })
                .toList();
    }

    private static Build.AddedTask addedTasks(RoofPlan.RoofTask task, String field) {
        String key = InvalidInputException.naming(
                field + ".key", () -> Text.name("key", String.valueOf(task.key()), LONGEST_KEY));
        String name = task.name() == null
                ? key
                : InvalidInputException.naming(field + ".name", () -> Text.name("name", task.name(), LONGEST_NAME));
        Weather weather = task.weather() == null
                ? Weather.ANY
                : InvalidInputException.naming(field + ".weather", () -> Weather.fromLabel(task.weather()));
        return new Build.AddedTask(
                new Task(
                        key,
                        Sentence.of(name),
                        task.minutes(),
                        task.people() == null ? 1 : task.people(),
                        task.waitMin() == null ? 0 : task.waitMin(),
                        task.after(),
                        weather,
                        Optional.empty(),
                        List.of(),
                        List.of(),
                        false),
                task.before());
    }
}
