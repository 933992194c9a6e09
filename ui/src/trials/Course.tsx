import type { Schemas } from '../data/client';
import { Pennant } from '../draw/Pennant';
import { fixed } from '../format/numbers';

/** The visits of a trial, a line for each round: hollow what is to come, solid what is made. */
export function Course(props: {
  contenders: Schemas['ContenderView'][];
  visits: Schemas['VisitView'][];
  runs: number;
  made?: number[];
  skipped?: number[];
  next?: number | null;
}) {
  const { contenders, visits, runs, made, skipped, next } = props;
  const rounds = [...new Set(visits.map((v) => v.round))];
  return (
    <ol className="course">
      {rounds.map((round) => (
        <li key={round}>
          <span className="small">Round {round}</span>
          {visits.map((visit, i) =>
            visit.round === round ? (
              <Visit
                key={i}
                visit={visit}
                contender={contenders[visit.contender]}
                state={
                  i === next
                    ? 'next'
                    : (made?.[i] ?? 0) >= runs
                      ? 'made'
                      : skipped?.includes(i)
                        ? 'left-out'
                        : 'to-come'
                }
                several={new Set(contenders.map((c) => c.carrier)).size > 1}
              />
            ) : null,
          )}
        </li>
      ))}
    </ol>
  );
}

const SAYS = { next: 'next', made: 'made', 'left-out': 'left out', 'to-come': 'to come' };

function Visit(props: {
  visit: Schemas['VisitView'];
  contender: Schemas['ContenderView'] | undefined;
  state: keyof typeof SAYS;
  several: boolean;
}) {
  const { visit, contender, state, several } = props;
  if (!contender) {
    return null;
  }
  return (
    <span className="step-there">
      <span className="hands small">{visit.minutes > 0 ? `${fixed(visit.minutes, 0)} min` : ''}</span>
      <span className={`visit ${state}`}>
        <Pennant number={contender.setup.pennant} /> {contender.setup.name}
        {several && contender.carrier ? ` on ${contender.carrier}` : ''}
        <span className="unseen">, {SAYS[state]}</span>
      </span>
    </span>
  );
}
