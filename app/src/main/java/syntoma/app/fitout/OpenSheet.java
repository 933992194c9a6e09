package syntoma.app.fitout;

import java.time.OffsetDateTime;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import syntoma.core.jobsheet.Task;

/** A build with what was done of it. */
record OpenSheet(JobBuilds.JobBuild build, Map<String, JobStep> steps) {
    boolean isDone(String task) {
        JobStep step = steps.get(task);
        return step != null && step.doneAt != null;
    }

    /** The tasks that come directly before one and are not done. */
    List<Task> open(Task task) {
        return build.tasks().before(task).stream().filter(t -> !isDone(t.key())).toList();
    }

    /** When what it waits for has waited long enough; empty where that is not done, or nothing waits. */
    Optional<OffsetDateTime> readyAt(Task task) {
        return build.tasks().before(task).stream()
                .filter(t -> t.waitMin() > 0 && isDone(t.key()))
                .map(t -> steps.get(t.key()).doneAt.plusMinutes(t.waitMin()))
                .max(Comparator.naturalOrder());
    }

    /** Whether it can be done now. */
    boolean isNext(Task task, OffsetDateTime now) {
        return !isDone(task.key())
                && open(task).isEmpty()
                && readyAt(task).map(ready -> !ready.isAfter(now)).orElse(true);
    }
}
