package syntoma.app.fitout;

import jakarta.persistence.EntityManager;
import jakarta.persistence.LockModeType;
import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import syntoma.app.platform.ConflictException;
import syntoma.app.platform.InvalidInputException;
import syntoma.app.trial.Plans;
import syntoma.core.jobsheet.Task;
import syntoma.core.sentence.Sentence;
import syntoma.core.unit.Labels;
import syntoma.core.unit.Text;

/** What is done of job sheets, step by step. */
@Service
@Transactional
class JobSteps {
    private static final int LONGEST_NOTE = 400;

    private final EntityManager entities;
    private final RoofPlans plans;
    private final JobBuilds builds;
    private final Plans trials;
    private final Clock clock;

    JobSteps(EntityManager entities, RoofPlans plans, JobBuilds builds, Plans trials, Clock clock) {
        this.entities = entities;
        this.plans = plans;
        this.builds = builds;
        this.trials = trials;
        this.clock = clock;
    }

    /** Something done of a task. */
    enum JobDeed {
        BEGUN,
        NOT_BEGUN,
        LOOKED,
        NOT_LOOKED,
        DONE,
        NOT_DONE,
        NOTE,
        TRIAL,
        NO_TRIAL;

        String label() {
            return name().toLowerCase(Locale.ROOT).replace('_', '-');
        }
    }

    /**
     * Something done of a task.
     *
     * @param kind begun, not-begun, looked, not-looked, done, not-done, note, trial or no-trial
     * @param text of a note; of a trial its name
     * @param campsite of a trial
     */
    record JobRequest(@Nullable String task, @Nullable String kind, @Nullable String text, @Nullable String campsite) {}

    /** A build with what was done of it. */
    @Transactional(readOnly = true)
    OpenSheet open(long plan) {
        Map<String, JobStep> steps = entities.createQuery("from JobStep s where s.planId = :plan", JobStep.class)
                .setParameter("plan", plan)
                .getResultStream()
                .collect(Collectors.toMap(s -> s.task, Function.identity()));
        return new OpenSheet(builds.of(plan), steps);
    }

    /**
     * Enters what was done.
     *
     * @throws ConflictException when something else comes first
     */
    void enter(long plan, JobRequest asked) {
        // one at a time for each plan, before anything is read: what two devices tick at once is one thing
        entities.lock(plans.require(plan), LockModeType.PESSIMISTIC_WRITE);
        OpenSheet open = open(plan);
        Task task = open.build().task(asked.task());
        JobDeed deed = InvalidInputException.naming(
                "kind", () -> Labels.find("kind", String.valueOf(asked.kind()), JobDeed.values(), JobDeed::label));
        JobStep step = Optional.ofNullable(open.steps().get(task.key())).orElseGet(() -> {
            JobStep begun = new JobStep(plan, task.key());
            entities.persist(begun);
            return begun;
        });
        OffsetDateTime now = OffsetDateTime.now(clock);
        switch (deed) {
            case BEGUN -> begin(step, task, open, now);
            case NOT_BEGUN -> step.begunAt = null;
            case LOOKED -> step.lookedAt = step.lookedAt == null ? now : step.lookedAt;
            case NOT_LOOKED -> step.lookedAt = null;
            case DONE -> finish(step, task, open, now);
            case NOT_DONE -> notDone(step, task, open);
            case NOTE ->
                step.note = asked.text() == null || asked.text().isBlank()
                        ? null
                        : InvalidInputException.naming("text", () -> Text.name("text", asked.text(), LONGEST_NOTE));
            case TRIAL ->
                step.trialPlanId = trials.plannedTrials(String.valueOf(asked.campsite()), String.valueOf(asked.text()))
                        .id();
            case NO_TRIAL -> step.trialPlanId = null;
        }
    }

    private static void begin(JobStep step, Task task, OpenSheet open, OffsetDateTime now) {
        if (step.begunAt == null && step.doneAt == null) {
            comesNext(task, open, now);
            step.begunAt = now;
        }
    }

    private static void comesNext(Task task, OpenSheet open, OffsetDateTime now) {
        List<Task> first = open.open(task);
        if (!first.isEmpty()) {
            throw new ConflictException(
                    "do this first: " + first.stream().map(Task::name).collect(Collectors.joining("; ")));
        }
        Optional<OffsetDateTime> ready = open.readyAt(task);
        if (ready.isPresent() && ready.get().isAfter(now)) {
            throw new ConflictException("it has to wait until "
                    + ready.get().toLocalDateTime().withSecond(0).withNano(0));
        }
    }

    private static void finish(JobStep step, Task task, OpenSheet open, OffsetDateTime now) {
        if (step.doneAt != null) {
            return;
        }
        comesNext(task, open, now);
        if (task.lastLook().isPresent() && step.lookedAt == null) {
            throw new ConflictException(
                    "tick the last check first: " + task.lastLook().get());
        }
        step.doneAt = now;
    }

    private static void notDone(JobStep step, Task task, OpenSheet open) {
        List<Sentence> later = open.build().tasks().restingOn(task).stream()
                .filter(t -> open.isDone(t.key()))
                .map(Task::name)
                .toList();
        if (!later.isEmpty()) {
            throw new ConflictException("these are done already and depend on it: " + Sentence.join("; ", later));
        }
        step.doneAt = null;
        step.begunAt = null;
    }
}
