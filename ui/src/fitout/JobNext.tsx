import { Button, Checkbox } from 'antd';
import { use } from 'react';
import { type JobTask, useJobStep } from '../data/fitout';
import { useStored } from '../data/useStored';
import { HolePlace } from '../draw/HolePlace';
import { count } from '../format/numbers';
import { clock } from '../format/time';
import { UnitsContext } from '../format/units';
import { Field } from '../parts/Field';
import { Failed } from '../parts/Loaded';
import { useKey } from '../parts/useKey';
import { FileTrial } from './FiledTrial';
import { JobPhotos } from './JobPhotos';
import { hands, waits } from './jobWords';

/** The task that comes next: what to watch out for, the last look, how long it takes, what was seen. */
export function Next({ plan, task }: { plan: number; task: JobTask }) {
  const step = useJobStep(plan);
  const { system } = use(UnitsContext);
  const [note, setNote, forget] = useStored(`fitout.note.${plan}.${task.key}`, task.note ?? '');
  const enter = (kind: string, text: string | null = null) =>
    step.mutate(
      { task: task.key, kind, text, campsite: null },
      { onSuccess: () => (kind === 'note' ? forget() : undefined) },
    );
  const ready = task.lastLook === null || task.lookedAt !== null;
  useKey('Enter', () => {
    if (ready && !step.isPending) {
      enter('done');
    }
  });
  return (
    <section className="job-next no-print" aria-label="The next task">
      <h2>{task.name}</h2>
      <p className="small">
        about {task.minutes} min
        {task.learned === null ? '' : `, learned from ${count(task.learned, 'time')}`}, {hands(task)}
        {task.weather === '' ? '' : `; needs ${task.weather}`}
        {waits(task)}
      </p>
      {task.hole !== null && <HolePlace hole={task.hole} system={system} />}
      {task.tools.length > 0 && (
        <p className="small">
          <b>Tools:</b> {task.tools.join(', ')}
        </p>
      )}
      {task.cautions.map((c) => (
        <p className="caution" key={c}>
          {c}
        </p>
      ))}
      {task.lastLook !== null && (
        <Checkbox
          className="last-look"
          checked={task.lookedAt !== null}
          onChange={(e) => enter(e.target.checked ? 'looked' : 'not-looked')}
        >
          <b>Last check, it cannot be undone:</b> {task.lastLook}
        </Checkbox>
      )}
      {task.trial !== null && <FileTrial plan={plan} task={task} />}
      <div className="buttons">
        <Button
          type="primary"
          size="large"
          disabled={!ready}
          loading={step.isPending}
          onClick={() => enter('done')}
        >
          Done{' '}
          <kbd aria-hidden="true" className="wide-only">
            Enter
          </kbd>
        </Button>
        {task.begunAt === null ? (
          <Button size="large" onClick={() => enter('begun')}>
            Start the clock
          </Button>
        ) : (
          <span className="small">
            started at {clock(task.begunAt)}; the time is recorded when you press Done{' '}
            <button type="button" className="link" onClick={() => enter('not-begun')}>
              undo start{' '}
            </button>
          </span>
        )}
      </div>
      {step.error && <Failed error={step.error} />}
      <JobPhotos plan={plan} task={task} />
      <form
        className="job-note"
        onSubmit={(e) => {
          e.preventDefault();
          enter('note', note);
        }}
      >
        <Field
          name="job-note"
          label="Note"
          value={note}
          onChange={setNote}
          placeholder="the seam is further back than drawn"
        />
        <Button htmlType="submit">Save note</Button>
      </form>
    </section>
  );
}
