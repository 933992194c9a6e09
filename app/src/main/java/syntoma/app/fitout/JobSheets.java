package syntoma.app.fitout;

import java.time.Clock;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.OffsetDateTime;
import java.time.format.DateTimeParseException;
import java.util.Collections;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import syntoma.app.platform.InvalidInputException;
import syntoma.app.platform.Optionals;
import syntoma.app.trial.Plans;
import syntoma.core.caution.Caution;
import syntoma.core.jobsheet.Build;
import syntoma.core.jobsheet.Hole;
import syntoma.core.jobsheet.Hours;
import syntoma.core.jobsheet.Schedule;
import syntoma.core.jobsheet.Task;
import syntoma.core.jobsheet.TaskList;
import syntoma.core.power.Wire;
import syntoma.core.unit.Text;
import syntoma.core.unit.Values;

/** Job sheets of roof plans: the tasks that a build takes, when they are done, and what of them is done. */
@Service
@Transactional
class JobSheets {
    private static final int MOST_DAYS = 30;
    private static final int USUAL_DAYS = 3;
    private static final LocalTime USUAL_FROM = LocalTime.of(9, 0);
    private static final LocalTime USUAL_UNTIL = LocalTime.of(18, 0);
    private static final int SECONDS_PER_MIN = 60;
    private static final int MOST_SCHEDULES = 32;

    private final RoofAssessor assessor;
    private final JobSteps steps;
    private final JobPhotos photos;
    private final Plans trials;
    private final Clock clock;

    /** The latest: a sheet is looked at every few seconds from every device, and its schedule is always the same. */
    private final Map<ScheduleRequest, ScheduleOutcome> schedules = Collections.synchronizedMap(new LinkedHashMap<>() {
        @Override
        protected boolean removeEldestEntry(Map.Entry<ScheduleRequest, ScheduleOutcome> eldest) {
            return size() > MOST_SCHEDULES;
        }
    });

    JobSheets(RoofAssessor assessor, JobSteps steps, JobPhotos photos, Plans trials, Clock clock) {
        this.assessor = assessor;
        this.steps = steps;
        this.photos = photos;
        this.trials = trials;
        this.clock = clock;
    }

    /** What a schedule follows from. */
    private record ScheduleRequest(List<Task> tasks, Hours hours) {}

    /** A schedule, or why there is none. */
    private record ScheduleOutcome(Optional<Schedule> schedule, @Nullable String problem) {}

    /** The hours in which it is done; what is missing is tomorrow, three days, 09:00 to 18:00, one person. */
    record JobHours(
            @Nullable String start,
            @Nullable Integer days,
            @Nullable String from,
            @Nullable String until,
            @Nullable Integer people) {}

    /**
     * The sheet of a plan.
     *
     * @throws InvalidInputException when the hours are none, or the plan has no antenna
     */
    @Transactional(readOnly = true)
    JobSheetView of(long plan, JobHours asked) {
        return view(steps.open(plan), asked);
    }

    private JobSheetView view(OpenSheet open, JobHours asked) {
        JobBuilds.JobBuild made = open.build();
        LocalDate first = asked.start() == null ? today().plusDays(1) : date(asked.start());
        ScheduleOutcome planned = schedule(made.tasks(), hours(asked));
        Map<String, Schedule.Slot> slots = new HashMap<>();
        planned.schedule.ifPresent(
                s -> s.slots().forEach(slot -> slots.put(slot.task().key(), slot)));
        List<Task> tasks = planned.schedule
                .map(s -> s.slots().stream().map(Schedule.Slot::task).toList())
                .orElseGet(() -> made.tasks().inOrder());
        TaskAttachments beside = attachments(open);
        OffsetDateTime now = OffsetDateTime.now(clock);
        return new JobSheetView(
                made.plan().id(),
                made.plan().name(),
                sentence(open, tasks),
                tasks.stream().mapToInt(Task::minutes).sum(),
                planned.problem,
                made.build().parts(cableNeeds(made.plan().plan())),
                tasks.stream()
                        .map(task -> task(task, open, beside, Optional.ofNullable(slots.get(task.key())), first))
                        .toList(),
                tasks.stream()
                        .filter(task -> open.isNext(task, now))
                        .map(Task::key)
                        .findFirst()
                        .orElse(null));
    }

    private Build.CableNeeds cableNeeds(RoofPlan plan) {
        RoofAssessment assessed = assessor.of(plan);
        RouterPlace.RoofFed fed = assessed.fed();
        return new Build.CableNeeds(
                assessed.run() == null ? 0 : assessed.run().extensionM(),
                ParsedRoofPlan.cableClass(plan),
                assessed.passage() == null
                        ? OptionalDouble.empty()
                        : OptionalDouble.of(assessed.passage().cablesMm()),
                fed == null ? OptionalDouble.empty() : Optionals.optional(fed.fuseA()),
                fed == null || fed.wireMm2() == null ? Optional.empty() : Optional.of(Wire.of(fed.wireMm2())),
                fed == null ? 0 : fed.wayM());
    }

    /** What stands with tasks beside their steps. */
    private record TaskAttachments(
            Map<String, List<JobPhotos.JobPhotoView>> photos, Map<Long, Plans.PlannedTrial> trials) {}

    private TaskAttachments attachments(OpenSheet open) {
        List<Long> filed = open.steps().values().stream()
                .map(s -> s.trialPlanId)
                .filter(Objects::nonNull)
                .toList();
        return new TaskAttachments(
                photos.of(open.build().plan().id()),
                trials.plannedTrials(filed).stream()
                        .collect(Collectors.toMap(Plans.PlannedTrial::id, Function.identity())));
    }

    private ScheduleOutcome schedule(TaskList tasks, Hours hours) {
        return schedules.computeIfAbsent(new ScheduleRequest(tasks.inOrder(), hours), asked -> {
            try {
                return new ScheduleOutcome(Optional.of(Schedule.of(tasks, hours)), null);
            } catch (IllegalArgumentException tooFew) {
                return new ScheduleOutcome(Optional.empty(), Text.capital(tooFew.getMessage()) + ".");
            }
        });
    }

    private static String sentence(OpenSheet open, List<Task> tasks) {
        List<Task> left = tasks.stream().filter(t -> !open.isDone(t.key())).toList();
        if (left.isEmpty()) {
            return open.build().build().antenna() + " is built in.";
        }
        int minutes = left.stream().mapToInt(Task::minutes).sum();
        String work = Values.round(minutes / (double) SECONDS_PER_MIN, 1) + " h of work";
        return left.size() == tasks.size()
                ? "Build in " + open.build().build().antenna() + ": " + tasks.size() + " tasks, about " + work + "."
                : tasks.size() - left.size() + " of " + tasks.size() + " tasks done; about " + work + " left.";
    }

    private static JobSheetView.JobTask task(
            Task task, OpenSheet open, TaskAttachments beside, Optional<Schedule.Slot> slot, LocalDate first) {
        Optional<JobStep> step = Optional.ofNullable(open.steps().get(task.key()));
        RoofPlan plan = open.build().plan().plan();
        return new JobSheetView.JobTask(
                task.key(),
                task.name(),
                task.minutes(),
                open.build().learnedMinutes().get(task.key()),
                plan.tasks().stream().anyMatch(own -> own.key().equals(task.key())),
                task.people(),
                task.needsHelper(),
                task.tools(),
                task.waitMin(),
                task.weather().says(),
                task.after(),
                task.cautions().stream().map(Caution::says).toList(),
                slot.map(s -> at(first, s.from())).orElse(null),
                slot.map(s -> at(first, s.end())).orElse(null),
                task.lastLook().orElse(null),
                step.map(s -> s.begunAt).orElse(null),
                step.map(s -> s.lookedAt).orElse(null),
                step.map(s -> s.doneAt).orElse(null),
                open.readyAt(task).orElse(null),
                step.map(s -> s.note).orElse(null),
                List.of(Build.ROOF_TEST, Build.PROVE).contains(task.key()) ? task.key() : null,
                step.map(s -> s.trialPlanId).map(beside.trials::get).orElse(null),
                beside.photos.getOrDefault(task.key(), List.of()),
                Optional.of(open.build().build().hole())
                        .filter(hole -> task.key().equals(Build.MARK))
                        .flatMap(Hole::marks)
                        .map(JobSheetView.HolePlace::of)
                        .orElse(null));
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
            throw new InvalidInputException(
                    "start", "start is " + Text.quote(text) + "; allowed is a day such as 2026-09-06");
        }
    }

    private static Hours hours(JobHours asked) {
        LocalTime from = time("from", asked.from(), USUAL_FROM);
        LocalTime until = time("until", asked.until(), USUAL_UNTIL);
        int days = asked.days() == null ? USUAL_DAYS : asked.days();
        InvalidInputException.naming("days", () -> Values.within("days", days, 1, MOST_DAYS, ""));
        if (!until.isAfter(from)) {
            throw new InvalidInputException("until", "until is " + until + "; allowed is later than " + from);
        }
        return InvalidInputException.naming(
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
            throw new InvalidInputException(
                    field, field + " is " + Text.quote(text) + "; allowed is a time such as 09:00");
        }
    }
}
