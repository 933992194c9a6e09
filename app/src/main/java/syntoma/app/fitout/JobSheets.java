package syntoma.app.fitout;

import jakarta.persistence.EntityManager;
import jakarta.persistence.LockModeType;
import java.time.Clock;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.OffsetDateTime;
import java.time.format.DateTimeParseException;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import syntoma.app.need.Vehicles;
import syntoma.app.platform.Conflict;
import syntoma.app.platform.InvalidInput;
import syntoma.core.jobsheet.Build;
import syntoma.core.jobsheet.Caution;
import syntoma.core.jobsheet.Hours;
import syntoma.core.jobsheet.Schedule;
import syntoma.core.jobsheet.Task;
import syntoma.core.jobsheet.TaskList;
import syntoma.core.roof.Foot;
import syntoma.core.roof.Passage;
import syntoma.core.unit.Labels;
import syntoma.core.unit.Text;
import syntoma.core.unit.Values;

/** Job sheets of roof plans: the tasks that a build takes, when they are done, and what of them is done. */
@Service
@Transactional
class JobSheets {
    private static final int LONGEST_NOTE = 400;
    private static final int MOST_DAYS = 30;
    private static final int USUAL_DAYS = 3;
    private static final LocalTime USUAL_FROM = LocalTime.of(9, 0);
    private static final LocalTime USUAL_UNTIL = LocalTime.of(18, 0);
    private static final int SECONDS_PER_MIN = 60;
    private static final int MOST_SCHEDULES = 32;

    private final EntityManager entities;
    private final RoofPlans plans;
    private final Vehicles vehicles;
    private final Clock clock;

    /** The latest: a sheet is looked at every few seconds from every device, and its schedule is always the same. */
    private final Map<Asked, Planned> schedules = Collections.synchronizedMap(new LinkedHashMap<>() {
        @Override
        protected boolean removeEldestEntry(Map.Entry<Asked, Planned> eldest) {
            return size() > MOST_SCHEDULES;
        }
    });

    JobSheets(EntityManager entities, RoofPlans plans, Vehicles vehicles, Clock clock) {
        this.entities = entities;
        this.plans = plans;
        this.vehicles = vehicles;
        this.clock = clock;
    }

    /** What a schedule follows from. */
    private record Asked(Build build, Hours hours) {}

    /** A schedule, or why there is none. */
    private record Planned(Optional<Schedule> schedule, @Nullable String problem) {}

    /** The hours in which it is done; what is missing is tomorrow, three days, 09:00 to 18:00, one person. */
    record JobHours(
            @Nullable String start,
            @Nullable Integer days,
            @Nullable String from,
            @Nullable String until,
            @Nullable Integer people) {}

    /** Something done of a task. */
    enum JobDeed {
        LOOKED,
        NOT_LOOKED,
        DONE,
        NOT_DONE,
        NOTE;

        String label() {
            return name().toLowerCase(Locale.ROOT).replace('_', '-');
        }
    }

    /** Something done of a task; {@code kind} is looked, not-looked, done, not-done or note. */
    record JobRequest(@Nullable String task, @Nullable String kind, @Nullable String text) {}

    /** A build with what was done of it. */
    private record Open(RoofPlans.RoofPlanView plan, Build build, TaskList tasks, Map<String, JobStep> steps) {
        boolean isDone(String task) {
            JobStep step = steps.get(task);
            return step != null && step.doneAt != null;
        }

        /** The tasks that come directly before one and are not done. */
        List<Task> open(Task task) {
            return tasks.before(task).stream().filter(t -> !isDone(t.key())).toList();
        }

        /** When what it waits for has waited long enough; empty where that is not done, or nothing waits. */
        Optional<OffsetDateTime> readyAt(Task task) {
            return tasks.before(task).stream()
                    .filter(t -> t.waitMin() > 0 && isDone(t.key()))
                    .map(t -> steps.get(t.key()).doneAt.plusMinutes(t.waitMin()))
                    .max(Comparator.naturalOrder());
        }
    }

    /**
     * The sheet of a plan.
     *
     * @throws InvalidInput when the hours are none, or the plan has no antenna
     */
    @Transactional(readOnly = true)
    JobSheetView of(long plan, JobHours asked) {
        return view(open(plan), asked);
    }

    private Open open(long id) {
        RoofPlans.RoofPlanView plan = plans.view(id);
        Build build = build(plan.plan());
        Map<String, JobStep> steps = entities.createQuery("from JobStep s where s.planId = :plan", JobStep.class)
                .setParameter("plan", id)
                .getResultStream()
                .collect(Collectors.toMap(s -> s.task, Function.identity()));
        return new Open(plan, build, build.tasks(), steps);
    }

    private Build build(RoofPlan plan) {
        if (plan.antenna() == null) {
            throw new InvalidInput("antenna", "antenna is missing; say in the plan which one is built in");
        }
        Drawn drawn = Drawn.of(plan, vehicles.vehicle());
        Foot foot = drawn.search().orElseThrow().foot();
        return new Build(
                foot.name(),
                foot.fixing(),
                drawn.roof().shell(),
                plan.leads() == null ? 1 : plan.leads().count(),
                drawn.passage().map(Passage::bore).map(Passage.Bore::holeMm).orElse(foot.holeMm()),
                plan.mast() != null,
                plan.booster() != null,
                Boolean.TRUE.equals(plan.mains()));
    }

    private JobSheetView view(Open open, JobHours asked) {
        LocalDate first = asked.start() == null ? today().plusDays(1) : date(asked.start());
        Planned planned = planned(open.build, hours(asked));
        Map<String, Schedule.Slot> slots = new HashMap<>();
        planned.schedule.ifPresent(
                s -> s.slots().forEach(slot -> slots.put(slot.task().key(), slot)));
        List<JobSheetView.JobTask> tasks = planned.schedule
                .map(s -> s.slots().stream().map(Schedule.Slot::task))
                .orElseGet(() -> open.tasks.inOrder().stream())
                .map(task -> task(task, open, Optional.ofNullable(slots.get(task.key())), first))
                .toList();
        OffsetDateTime now = OffsetDateTime.now(clock);
        return new JobSheetView(
                open.plan.id(),
                open.plan.name(),
                sentence(open, tasks),
                open.tasks.inOrder().stream().mapToInt(Task::minutes).sum(),
                planned.problem,
                open.build.parts(),
                tasks,
                tasks.stream()
                        .filter(t -> t.doneAt() == null
                                && open.open(open.tasks.named(t.key()).orElseThrow())
                                        .isEmpty()
                                && (t.readyAt() == null || !t.readyAt().isAfter(now)))
                        .map(JobSheetView.JobTask::key)
                        .findFirst()
                        .orElse(null));
    }

    private Planned planned(Build build, Hours hours) {
        return schedules.computeIfAbsent(new Asked(build, hours), asked -> {
            try {
                return new Planned(Optional.of(Schedule.of(build.tasks(), hours)), null);
            } catch (IllegalArgumentException tooFew) {
                return new Planned(Optional.empty(), Text.capital(tooFew.getMessage()) + ".");
            }
        });
    }

    private static String sentence(Open open, List<JobSheetView.JobTask> tasks) {
        long done = tasks.stream().filter(t -> t.doneAt() != null).count();
        if (done == tasks.size()) {
            return open.build.antenna() + " is built in.";
        }
        int left = tasks.stream()
                .filter(t -> t.doneAt() == null)
                .mapToInt(JobSheetView.JobTask::minutes)
                .sum();
        String work = Values.rounded(left / (double) SECONDS_PER_MIN, 1) + " h of work";
        return done == 0
                ? "Build in " + open.build.antenna() + ": " + tasks.size() + " tasks, about " + work + "."
                : done + " of " + tasks.size() + " tasks done; about " + work + " left.";
    }

    private static JobSheetView.JobTask task(Task task, Open open, Optional<Schedule.Slot> slot, LocalDate first) {
        JobStep step = open.steps.get(task.key());
        return new JobSheetView.JobTask(
                task.key(),
                task.name(),
                task.minutes(),
                task.waitMin(),
                task.needsDry(),
                open.tasks.before(task).stream().map(Task::name).toList(),
                task.cautions().stream().map(Caution::says).toList(),
                slot.map(s -> at(first, s.from())).orElse(null),
                slot.map(s -> at(first, s.until())).orElse(null),
                task.lastLook().orElse(null),
                step == null ? null : step.lookedAt,
                step == null ? null : step.doneAt,
                open.readyAt(task).orElse(null),
                step == null ? null : step.note,
                List.of(Build.ROOF_TEST, Build.PROVE).contains(task.key()) ? task.key() : null);
    }

    private static LocalDateTime at(LocalDate first, int minute) {
        return first.atStartOfDay().plusMinutes(minute);
    }

    private LocalDate today() {
        return OffsetDateTime.now(clock).toLocalDate();
    }

    private static LocalDate date(String text) {
        try {
            return LocalDate.parse(text);
        } catch (DateTimeParseException e) {
            throw new InvalidInput("start", "start is " + Text.quoted(text) + "; allowed is a day such as 2026-09-06");
        }
    }

    private static Hours hours(JobHours asked) {
        LocalTime from = time("from", asked.from(), USUAL_FROM);
        LocalTime until = time("until", asked.until(), USUAL_UNTIL);
        int days = asked.days() == null ? USUAL_DAYS : asked.days();
        InvalidInput.naming("days", () -> Values.within("days", days, 1, MOST_DAYS, ""));
        if (!until.isAfter(from)) {
            throw new InvalidInput("until", "until is " + until + "; allowed is later than " + from);
        }
        return InvalidInput.naming(
                "people",
                () -> Hours.daily(Objects.requireNonNullElse(asked.people(), 1), minutes(from), minutes(until), days));
    }

    private static int minutes(LocalTime time) {
        return time.toSecondOfDay() / SECONDS_PER_MIN;
    }

    private static LocalTime time(String field, @Nullable String text, LocalTime usual) {
        try {
            return text == null ? usual : LocalTime.parse(text);
        } catch (DateTimeParseException e) {
            throw new InvalidInput(field, field + " is " + Text.quoted(text) + "; allowed is a time such as 09:00");
        }
    }

    /**
     * Enters what was done.
     *
     * @throws Conflict when something else comes first
     */
    void enter(long plan, JobRequest asked) {
        // one at a time for each plan, before anything is read: what two devices tick at once is one thing
        entities.lock(plans.required(plan), LockModeType.PESSIMISTIC_WRITE);
        Open open = open(plan);
        Task task = open.tasks
                .named(String.valueOf(asked.task()))
                .orElseThrow(() -> new InvalidInput(
                        "task",
                        "task is " + Text.quoted(String.valueOf(asked.task())) + ", which is not on the sheet"));
        JobDeed deed = InvalidInput.naming(
                "kind", () -> Labels.find("kind", String.valueOf(asked.kind()), JobDeed.values(), JobDeed::label));
        JobStep step = Optional.ofNullable(open.steps.get(task.key())).orElseGet(() -> {
            JobStep begun = new JobStep(plan, task.key());
            entities.persist(begun);
            return begun;
        });
        OffsetDateTime now = OffsetDateTime.now(clock);
        switch (deed) {
            case LOOKED -> step.lookedAt = step.lookedAt == null ? now : step.lookedAt;
            case NOT_LOOKED -> step.lookedAt = null;
            case DONE -> done(step, task, open, now);
            case NOT_DONE -> notDone(step, task, open);
            case NOTE ->
                step.note = asked.text() == null || asked.text().isBlank()
                        ? null
                        : InvalidInput.naming("text", () -> Text.name("text", asked.text(), LONGEST_NOTE));
        }
    }

    private static void done(JobStep step, Task task, Open open, OffsetDateTime now) {
        if (step.doneAt != null) {
            return;
        }
        List<Task> first = open.open(task);
        if (!first.isEmpty()) {
            throw new Conflict("first comes: " + first.stream().map(Task::name).collect(Collectors.joining("; ")));
        }
        if (task.lastLook().isPresent() && step.lookedAt == null) {
            throw new Conflict("tick the last look first: " + task.lastLook().get());
        }
        Optional<OffsetDateTime> ready = open.readyAt(task);
        if (ready.isPresent() && ready.get().isAfter(now)) {
            throw new Conflict("it waits until "
                    + ready.get().toLocalDateTime().withSecond(0).withNano(0));
        }
        step.doneAt = now;
    }

    private static void notDone(JobStep step, Task task, Open open) {
        List<String> later = open.tasks.restingOn(task).stream()
                .filter(t -> open.isDone(t.key()))
                .map(Task::name)
                .toList();
        if (!later.isEmpty()) {
            throw new Conflict("done already, and resting on it: " + String.join("; ", later));
        }
        step.doneAt = null;
    }
}
