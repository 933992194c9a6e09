import { Button, Input } from 'antd';
import { Clash } from '../data/client';
import {
  stayPhotoAddress,
  useAddStayPhoto,
  useCaption,
  useRemoveStayPhoto,
  useRestoreStayPhoto,
  useStayPage,
  useWriteNote,
} from '../data/logbook';
import { stateOf } from '../data/state';
import { useStored } from '../data/useStored';
import { AddPhoto } from '../parts/AddPhoto';
import { Failed, Loaded } from '../parts/Loaded';
import { Part } from '../parts/Sheet';
import { useUndo } from '../parts/useUndo';
import type { Schemas } from '../data/client';

/** The private page of a stay: a note and photos, for no other eyes. */
export function StayPage({ stay }: { stay: number }) {
  const page = useStayPage(stay);
  if (page.error && page.data === undefined) {
    return <p className="hollow">Notes and photos appear here once Syntoma answers again.</p>;
  }
  return (
    <Loaded state={stateOf(page)}>
      {(data) => (
        <Part title="Notes and photos" small="private: they are in no report">
          <Note stay={stay} note={data.note} version={data.version} key={data.version} />
          <Photos stay={stay} photos={data.photos} />
        </Part>
      )}
    </Loaded>
  );
}

/** What is typed stays in this browser until it is kept. */
function Note({ stay, note, version }: { stay: number; note: string; version: number }) {
  const [draft, setDraft, drop] = useStored<string | null>(`note.${stay}.${version}`, null);
  const write = useWriteNote(stay);
  const text = draft ?? note;
  return (
    <div className="stay-note">
      <Input.TextArea
        aria-label="Note of this stay"
        placeholder="The pitch by the alder could see the tower; the shop sells Ostrel SIMs…"
        rows={3}
        maxLength={5_000}
        value={text}
        onChange={(e) => setDraft(e.target.value)}
      />
      {draft !== null && draft !== note && (
        <div className="buttons">
          <Button
            type="primary"
            size="small"
            loading={write.isPending}
            onClick={() => write.mutate({ note: text, version }, { onSuccess: drop })}
          >
            Save
          </Button>
          <Button size="small" onClick={drop}>
            Discard changes
          </Button>
        </div>
      )}
      {write.error && (
        <Failed
          error={
            write.error instanceof Clash
              ? new Error(
                  'The note was changed from another device meanwhile. Copy what you typed, look at it again, and add to it.',
                )
              : write.error
          }
        />
      )}
    </div>
  );
}

function Photos({ stay, photos }: { stay: number; photos: Schemas['StayPhotoView'][] }) {
  const add = useAddStayPhoto(stay);
  const remove = useRemoveStayPhoto(stay);
  const restore = useRestoreStayPhoto(stay);
  const caption = useCaption(stay);
  const undoable = useUndo();
  return (
    <div className="stay-photos">
      {photos.map((photo, i) => (
        <figure key={photo.id}>
          <a href={stayPhotoAddress(stay, photo.id)} target="_blank" rel="noreferrer">
            <img
              src={stayPhotoAddress(stay, photo.id)}
              width={photo.widthPx}
              height={photo.heightPx}
              alt={photo.caption ?? `Photo ${i + 1} of this stay`}
              loading="lazy"
            />
          </a>
          <figcaption>
            <Input
              size="small"
              variant="borderless"
              aria-label={`Caption of photo ${i + 1}`}
              placeholder="what it shows"
              maxLength={200}
              defaultValue={photo.caption ?? ''}
              onBlur={(e) => {
                if (e.target.value.trim() !== (photo.caption ?? '')) {
                  caption.mutate({ photo: photo.id, caption: e.target.value });
                }
              }}
            />
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
          </figcaption>
        </figure>
      ))}
      <AddPhoto label="Photo of this stay" add={add} />
    </div>
  );
}
