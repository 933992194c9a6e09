package syntoma.app.fitout;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import syntoma.app.photo.Photos;
import syntoma.app.platform.ConflictException;
import syntoma.app.platform.NotFoundException;

/** Photos of the tasks of a build: what the hole looked like before it was sealed. */
@Service
@Transactional
class JobPhotos {
    private static final int MOST_OF_A_TASK = 20;

    private final EntityManager entities;
    private final Photos photos;
    private final JobBuilds builds;
    private final Clock clock;

    JobPhotos(EntityManager entities, Photos photos, JobBuilds builds, Clock clock) {
        this.entities = entities;
        this.photos = photos;
        this.builds = builds;
        this.clock = clock;
    }

    /** A photo: its number, and how large it is in pixels. */
    record JobPhotoView(long id, int widthPx, int heightPx) {
        static JobPhotoView of(JobPhoto photo) {
            return new JobPhotoView(photo.id, photo.widthPx, photo.heightPx);
        }
    }

    /**
     * Makes sure that a task is on the sheet.
     *
     * @throws syntoma.app.platform.InvalidInputException when it is not
     */
    @Transactional(readOnly = true)
    void requireTask(long plan, @Nullable String task) {
        builds.of(plan).task(task);
    }

    /**
     * Adds a photo to a task; one that is there already is there once.
     *
     * @throws syntoma.app.platform.InvalidInputException when the task is not on the sheet
     */
    JobPhotoView add(long plan, @Nullable String task, Photos.StoredPicture kept) {
        String key = builds.of(plan).task(task).key();
        List<JobPhoto> there =
                all(plan).stream().filter(p -> p.task.equals(key)).toList();
        Optional<JobPhoto> same =
                there.stream().filter(p -> p.hash.equals(kept.hash())).findFirst();
        if (same.isPresent()) {
            return JobPhotoView.of(same.get());
        }
        if (there.size() >= MOST_OF_A_TASK) {
            throw new ConflictException("there are " + MOST_OF_A_TASK + " photos of this task; delete one first");
        }
        JobPhoto photo = new JobPhoto(plan, key, kept, OffsetDateTime.now(clock));
        entities.persist(photo);
        return JobPhotoView.of(photo);
    }

    /** Those of each task of a plan, the first first. */
    @Transactional(readOnly = true)
    Map<String, List<JobPhotoView>> of(long plan) {
        return all(plan).stream()
                .collect(Collectors.groupingBy(p -> p.task, Collectors.mapping(JobPhotoView::of, Collectors.toList())));
    }

    private List<JobPhoto> all(long plan) {
        return entities.createQuery(
                        "from JobPhoto p where p.planId = :plan and p.removedAt is null order by p.id", JobPhoto.class)
                .setParameter("plan", plan)
                .getResultList();
    }

    /** A photo as a JPEG. */
    @Transactional(readOnly = true)
    byte[] read(long plan, long id) {
        return photos.read(require(plan, id).hash);
    }

    void remove(long plan, long id) {
        require(plan, id).removedAt = OffsetDateTime.now(clock);
    }

    /** Brings back a photo that was deleted. */
    void restore(long plan, long id) {
        require(plan, id).removedAt = null;
    }

    private JobPhoto require(long plan, long id) {
        return Optional.ofNullable(entities.find(JobPhoto.class, id))
                .filter(p -> p.planId == plan)
                .orElseThrow(() -> new NotFoundException("no photo of this plan has the number " + id));
    }
}
