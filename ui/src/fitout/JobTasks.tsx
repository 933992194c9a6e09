import { Checkbox } from 'antd';
import { use, useState } from 'react';
import { Refusal } from '../data/client';
import { type JobSheet, type JobTask, useJobStep } from '../data/fitout';
import { HolePlace } from '../draw/HolePlace';
import { count } from '../format/numbers';
import { clock, weekdayDay } from '../format/time';
import { UnitsContext } from '../format/units';
import { Part } from '../parts/Sheet';
import { Shown } from './JobPhotos';
import { AddTask, ChangeTask } from './TaskForm';
import { hands, waits } from './jobWords';

const MIN_PER_H = 60;

/** All tasks by day; one that was ticked by mistake is taken back, one that takes longer here is changed. */
export function Tasks({ plan, sheet }: { plan: number; sheet: JobSheet }) {
  const step = useJobStep(plan);
  const { system } = use(UnitsContext);
  const [changing, change] = useState<string | null>(null);
  const days = [...new Set(sheet.tasks.map((t) => (t.from === null ? '' : weekdayDay(t.from))))];
  return (
    <Part
      title="All tasks"
      small={`${count(sheet.tasks.length, 'task')}, about ${Math.round(sheet.minutes / MIN_PER_H)} h of work`}
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
                    step.mutate({
                      task: t.key,
                      kind: e.target.checked ? 'done' : 'not-done',
                      text: null,
                      campsite: null,
                    })
                  }
                />
                <span className="num">{t.from === null ? '' : clock(t.from)}</span>
                <div>
                  {t.name}
                  <div className="small">
                    {said(t)}{' '}
                    <button
                      type="button"
                      className="link no-print"
                      aria-expanded={changing === t.key}
                      aria-label={`Change ${t.name}`}
                      onClick={() => change(changing === t.key ? null : t.key)}
                    >
                      Change
                    </button>
                  </div>
                  {changing === t.key && (
                    <ChangeTask plan={plan} task={t} tasks={sheet.tasks} close={() => change(null)} />
                  )}
                  {t.key !== sheet.next && t.photos.length > 0 && (
                    <div className="job-photos">
                      <Shown plan={plan} task={t} />
                    </div>
                  )}
                  {t.hole !== null && (
                    <div className="print-only">
                      <HolePlace hole={t.hole} system={system} />
                    </div>
                  )}
                  {t.lastLook !== null && (
                    <div className="small print-only">
                      <b>Last check, it cannot be undone:</b> {t.lastLook}
                    </div>
                  )}
                  {t.tools.length > 0 && (
                    <div className="small print-only">
                      <b>Tools:</b> {t.tools.join(', ')}
                    </div>
                  )}
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
      <AddTask plan={plan} tasks={sheet.tasks} />
    </Part>
  );
}

/** What a task takes, in a line. */
const said = (t: JobTask) =>
  `${t.minutes} min${t.learned === null ? '' : ' (learned)'}, ${hands(t)}${waits(t)}${
    t.weather === '' ? '' : `, ${t.weather}`
  }${t.note === null ? '' : ` · ${t.note}`}`;
