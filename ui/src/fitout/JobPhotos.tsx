import { type JobTask, photoAddress, useAddPhoto, useRemovePhoto, useRestorePhoto } from '../data/fitout';
import { AddPhoto } from '../parts/AddPhoto';
import { useUndo } from '../parts/useUndo';

/** Photos of a task: taken with the phone, or chosen; kept smaller, and without where they were taken. */
export function JobPhotos({ plan, task }: { plan: number; task: JobTask }) {
  const add = useAddPhoto(plan, task.key);
  return (
    <div className="job-photos">
      <Shown plan={plan} task={task} />
      <AddPhoto label="Photo of this task" add={add} />
    </div>
  );
}

/** The photos that there are, each with a way to look at it large and to delete it. */
export function Shown({ plan, task }: { plan: number; task: JobTask }) {
  const remove = useRemovePhoto(plan);
  const restore = useRestorePhoto(plan);
  const undoable = useUndo();
  return (
    <>
      {task.photos.map((photo, i) => (
        <figure key={photo.id} className="job-photo">
          <a href={photoAddress(plan, photo.id)} target="_blank" rel="noreferrer">
            <img
              src={photoAddress(plan, photo.id)}
              width={photo.widthPx}
              height={photo.heightPx}
              alt={`${task.name}, photo ${i + 1}`}
              loading="lazy"
            />
          </a>
          <button
            type="button"
            className="link no-print"
            onClick={() =>
              remove.mutate(photo.id, {
                onSuccess: () => undoable('Photo deleted.', () => restore.mutateAsync(photo.id)),
              })
            }
          >
            Delete
          </button>
        </figure>
      ))}
    </>
  );
}
