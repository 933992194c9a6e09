import { Button, Checkbox } from 'antd';
import { useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { Refusal } from '../data/client';
import {
  type JobHours,
  type JobSheet as Sheeted,
  type JobTask,
  useJobSheet,
  useJobStep,
} from '../data/fitout';
import { stateOf } from '../data/state';
import { count } from '../format/numbers';
import { clock, weekdayDay } from '../format/time';
import { Field } from '../parts/Field';
import { Failed, Loaded } from '../parts/Loaded';
import { Notes, Part, Sheet } from '../parts/Sheet';
import { useKey } from '../parts/useKey';

const FIELDS = ['start', 'days', 'from', 'until', 'people'] as const;

/** What the address says of the hours. */
function hoursIn(query: URLSearchParams): JobHours {
  const number = (key: string) => (query.get(key) ? Number(query.get(key)) : undefined);
  return {
    ...(query.get('start') ? { start: query.get('start') ?? '' } : {}),
    ...(query.get('from') ? { from: query.get('from') ?? '' } : {}),
    ...(query.get('until') ? { until: query.get('until') ?? '' } : {}),
    ...(number('days') === undefined ? {} : { days: number('days') }),
    ...(number('people') === undefined ? {} : { people: number('people') }),
  } as JobHours;
}

/** A build as a sheet of tasks: the next one large, all of them with their times, ticked off as they are done. */
export function JobSheet({ plan }: { plan: number }) {
  const [query] = useSearchParams();
  const hours = hoursIn(query);
  const state = useJobSheet(plan, hours);
  const sheet = state.data;
  const back = <Link to={`/fit-out?plan=${plan}`}>Roof plan</Link>;
  if (!sheet) {
    return (
      <Sheet title="Job sheet" over={back} headline="Job sheet" margin={<Hours />}>
        <Loaded state={stateOf(state)}>{() => null}</Loaded>
      </Sheet>
    );
  }
  const next = sheet.tasks.find((t) => t.key === sheet.next);
  const waiting = sheet.tasks.find((t) => t.doneAt === null && t.readyAt !== null);
  return (
    <Sheet
      title={`${sheet.name}, job sheet`}
      over={
        <>
          {back} · {sheet.name}
        </>
      }
      headline={sheet.sentence}
      margin={
        <>
          <Part title="Before you begin" small="what is bought or borrowed">
            <Notes notes={sheet.parts} shown={9} more="More" />
          </Part>
          <Hours />
          <div className="no-print">
            <Part title="Take it along">
              <div className="note">
                <a
                  href={`/api/fitout/plans/${plan}/job-sheet/calendar?${new URLSearchParams(
                    Object.entries(hours).map(([k, v]) => [k, String(v)]),
                  )}`}
                  download="job-sheet.ics"
                >
                  Its times for a calendar
                </a>
              </div>
              <div className="note">
                <button type="button" className="link" onClick={() => window.print()}>
                  Print it
                </button>
              </div>
            </Part>
          </div>
        </>
      }
    >
      {sheet.problem !== null && (
        <p className="loss" role="alert">
          {sheet.problem}
        </p>
      )}
      {next ? (
        <Next key={next.key} plan={plan} task={next} />
      ) : (
        waiting?.readyAt && (
          <p className="action">
            Now it waits: {waiting.name} from {weekdayDay(waiting.readyAt)}, {clock(waiting.readyAt)} on.
          </p>
        )
      )}
      <All plan={plan} sheet={sheet} />
    </Sheet>
  );
}

/** The task that comes next. */
function Next({ plan, task }: { plan: number; task: JobTask }) {
  const step = useJobStep(plan);
  const [note, setNote] = useState(task.note ?? '');
  const enter = (kind: string, text: string | null = null) => step.mutate({ task: task.key, kind, text });
  const ready = task.lastLook === null || task.lookedAt !== null;
  useKey('Enter', () => {
    if (ready && !step.isPending) {
      enter('done');
    }
  });
  return (
    <section className="job-next" aria-label="The next task">
      <h2>{task.name}</h2>
      <p className="small">
        about {task.minutes} min{task.needsDry ? ', dry weather and daylight' : ''}
        {task.waitMin > 0 ? `; then ${Math.round(task.waitMin / 60)} h to wait` : ''}
      </p>
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
          <b>A last look, it cannot be undone:</b> {task.lastLook}
        </Checkbox>
      )}
      {task.trial !== null && (
        <p>
          <Link to="/trials?plan">Plan the trial</Link>
          {task.trial === 'roof-test'
            ? ': begin with “Roof test before drilling”.'
            : ': what you had against what stands now.'}
        </p>
      )}
      <div className="buttons">
        <Button
          type="primary"
          size="large"
          disabled={!ready}
          loading={step.isPending}
          onClick={() => enter('done')}
        >
          Done <kbd className="wide-only">Enter</kbd>
        </Button>
      </div>
      {step.error && <Failed error={step.error} />}
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
          placeholder="the seam is 2 cm further back"
        />
        <Button htmlType="submit">Note it</Button>
      </form>
    </section>
  );
}

/** All tasks by day; one that was ticked by mistake is taken back. */
function All({ plan, sheet }: { plan: number; sheet: Sheeted }) {
  const step = useJobStep(plan);
  const days = [...new Set(sheet.tasks.map((t) => (t.from === null ? '' : weekdayDay(t.from))))];
  return (
    <Part
      title="All tasks"
      small={`${count(sheet.tasks.length, 'task')}, about ${Math.round(sheet.minutes / 60)} h of work`}
    >
      {step.error instanceof Refusal && (
        <p className="loss" role="alert">
          {step.error.message}
        </p>
      )}
      {days.map((day) => (
        <div key={day} className="job-day">
          {day !== '' && <h3>{day}</h3>}
          {sheet.tasks
            .filter((t) => (t.from === null ? '' : weekdayDay(t.from)) === day)
            .map((t) => (
              <div className={t.doneAt === null ? 'job-task' : 'job-task done'} key={t.key}>
                <Checkbox
                  checked={t.doneAt !== null}
                  aria-label={t.name}
                  onChange={(e) =>
                    step.mutate({ task: t.key, kind: e.target.checked ? 'done' : 'not-done', text: null })
                  }
                />
                <span className="num">{t.from === null ? '' : clock(t.from)}</span>
                <div>
                  {t.name}
                  <div className="small">
                    {t.minutes} min
                    {t.waitMin > 0 ? `, then ${Math.round(t.waitMin / 60)} h to wait` : ''}
                    {t.needsDry ? ', dry' : ''}
                    {t.note !== null ? ` · ${t.note}` : ''}
                  </div>
                  {t.cautions.map((c) => (
                    <div className="small caution print-only" key={c}>
                      {c}
                    </div>
                  ))}
                </div>
              </div>
            ))}
        </div>
      ))}
    </Part>
  );
}

/** The days and hours there are; they stand in the address. */
function Hours() {
  const [query, setQuery] = useSearchParams();
  const [typed, setTyped] = useState(() => Object.fromEntries(FIELDS.map((f) => [f, query.get(f) ?? ''])));
  const field = (key: (typeof FIELDS)[number], label: string, placeholder: string, type = 'text') => (
    <Field
      name={`job-${key}`}
      label={label}
      type={type}
      value={typed[key] ?? ''}
      placeholder={placeholder}
      onChange={(value) => setTyped({ ...typed, [key]: value })}
    />
  );
  return (
    <div className="no-print">
      <Part title="Your hours">
        <form
          className="job-hours"
          onSubmit={(e) => {
            e.preventDefault();
            const next = new URLSearchParams(query);
            for (const key of FIELDS) {
              if ((typed[key] ?? '').trim() === '') {
                next.delete(key);
              } else {
                next.set(key, (typed[key] ?? '').trim());
              }
            }
            setQuery(next, { replace: true });
          }}
        >
          {field('start', 'First day', 'tomorrow', 'date')}
          {field('days', 'Days', '3')}
          {field('from', 'From', '09:00')}
          {field('until', 'Until', '18:00')}
          {field('people', 'People', '1')}
          <Button htmlType="submit">Plan with these</Button>
        </form>
      </Part>
    </div>
  );
}
