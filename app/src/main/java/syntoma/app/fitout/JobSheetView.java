package syntoma.app.fitout;

import java.time.LocalDateTime;
import java.time.OffsetDateTime;
import java.util.List;
import org.springframework.lang.Nullable;
import syntoma.app.trial.Plans;
import syntoma.core.jobsheet.Hole;
import syntoma.core.roof.HoleFinder;
import syntoma.core.sentence.Sentence;

/**
 * A build as a sheet of tasks, in the order in which they are done.
 *
 * @param minutes that hands work at all of it
 * @param problem why it does not fit into the hours; null where it does
 * @param parts to buy before it begins
 * @param next the key of the task that can be done next; null where all are done, or all that are left wait
 */
record JobSheetView(
        long plan,
        String name,
        String sentence,
        int minutes,
        @Nullable String problem,
        List<Sentence> parts,
        List<JobTask> tasks,
        @Nullable String next) {

    /**
     * A task.
     *
     * @param from when it is planned, by the clock there; null where it does not fit into the hours
     * @param helper whether a second person stands by, at the ladder or inside
     * @param waitMin until what rests on it may begin
     * @param learned from how many times its minutes were learned; null where they are usual ones
     * @param byHand whether it, or how long it takes, was put in by hand
     * @param weather that it wants; empty where any will do
     * @param after the keys of what comes before it
     * @param lastLook what is ticked before it, because it cannot be undone; null where it can
     * @param readyAt when what it waits for has waited long enough; null where that is not done, or there is nothing to wait for
     * @param begunAt when hands began with it; null where that was not said
     * @param trial whether it is a trial: roof-test before anything is fixed, prove when all is done; null where it is none
     * @param filed the trial that is filed with it
     * @param hole where to drill, of the task in which that is marked; null of all others, and where the antenna is not placed yet
     */
    record JobTask(
            String key,
            Sentence name,
            int minutes,
            @Nullable Integer learned,
            boolean byHand,
            int people,
            boolean helper,
            List<Sentence> tools,
            int waitMin,
            Sentence weather,
            List<String> after,
            List<String> cautions,
            @Nullable LocalDateTime from,
            @Nullable LocalDateTime until,
            @Nullable String lastLook,
            @Nullable OffsetDateTime begunAt,
            @Nullable OffsetDateTime lookedAt,
            @Nullable OffsetDateTime doneAt,
            @Nullable OffsetDateTime readyAt,
            @Nullable String note,
            @Nullable String trial,
            @Nullable Plans.PlannedTrial filed,
            List<JobPhotos.JobPhotoView> photos,
            @Nullable HolePlace hole) {}

    /**
     * Where to drill, in m: from the edges of the roof outside, and from the walls inside.
     *
     * @param diagonalM from the front left corner of the roof
     */
    record HolePlace(
            double fromFrontM,
            double fromRearM,
            double fromLeftM,
            double fromRightM,
            double diagonalM,
            double insideFrontM,
            double insideLeftM) {
        static HolePlace of(Hole.Marks marks) {
            HoleFinder.Outside outside = marks.outside();
            return new HolePlace(
                    outside.spot().x(),
                    outside.fromRearM(),
                    outside.spot().y(),
                    outside.fromRightM(),
                    outside.diagonalM(),
                    marks.inside().x(),
                    marks.inside().y());
        }
    }
}
