import { Link, useSearchParams } from 'react-router';
import { useJobSheet } from '../data/fitout';
import { stateOf } from '../data/state';
import { clock, weekdayDay } from '../format/time';
import { Loaded } from '../parts/Loaded';
import { Notes, Part, Sheet } from '../parts/Sheet';
import { BeforeAndAfter } from './FiledTrial';
import { Hours, hoursIn } from './JobHours';
import { Next } from './JobNext';
import { Tasks } from './JobTasks';

/** A build as a sheet of tasks: the next one large, all of them with their times, ticked off as they are done. */
export function JobSheet({ plan }: { plan: number }) {
  const [query] = useSearchParams();
  const hours = hoursIn(query);
  const state = useJobSheet(plan, hours);
  const sheet = state.data;
  const back = <Link to={`/build?plan=${plan}`}>Roof plan</Link>;
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
            <Part title="Take it with you">
              <div className="note">
                <a
                  href={`/api/fitout/plans/${plan}/job-sheet/calendar?${new URLSearchParams(
                    Object.entries(hours).map(([k, v]) => [k, String(v)]),
                  )}`}
                  download="job-sheet.ics"
                >
                  Add to calendar
                </a>
              </div>
              <div className="note">
                <button type="button" className="link" onClick={() => window.print()}>
                  Print
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
            Waiting until {weekdayDay(waiting.readyAt)}, {clock(waiting.readyAt)}: {waiting.name}.
          </p>
        )
      )}
      <BeforeAndAfter sheet={sheet} />
      <Tasks plan={plan} sheet={sheet} />
    </Sheet>
  );
}
