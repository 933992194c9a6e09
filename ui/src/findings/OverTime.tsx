import { Link } from 'react-router';
import type { Schemas } from '../data/client';
import { type FindingsAsked, useDrift } from '../data/findings';
import { stateOf } from '../data/state';
import { DriftLine } from '../draw/DriftLine';
import { useWidth } from '../draw/useWidth';
import { count, effect as asText, fixed } from '../format/numbers';
import { dayMonth } from '../format/time';
import { Loaded } from '../parts/Loaded';
import { Part } from '../parts/Sheet';
import { Name } from './Compared';

/** Measured less predicted over the trip, setup by setup, and where something changed. */
export function OverTime({ asked }: { asked: FindingsAsked }) {
  const drift = useDrift(asked, true);
  return (
    <Part
      title="Measured minus predicted"
      small="dB of RSRP compared with the other setups at the same place and time, minus the prediction · each mark is a stay"
    >
      <Loaded state={stateOf(drift)}>{(view) => <Drifts view={view} />}</Loaded>
    </Part>
  );
}

function Drifts({ view }: { view: Schemas['DriftsView'] }) {
  const [ref, width] = useWidth<HTMLDivElement>(640);
  const all = view.setups.flatMap((s) => s.points);
  const days = all.map((p) => Date.parse(p.at));
  const most = Math.max(6, ...all.map((p) => Math.abs(p.aboveDb)));
  return (
    <div ref={ref}>
      {view.setups.map((s) => (
        <section className="drift" key={s.setup} aria-label={s.setup}>
          <h3>
            <Name row={s} />{' '}
            <small>
              {s.predictedDb === null || s.setup === view.baseline ? (
                s.sentence
              ) : (
                <>
                  about {asText(s.predictedDb, 'dB')} predicted, {asText(s.measuredDb, 'dB')} measured at{' '}
                  {count(s.stays, 'stay')}: {s.sentence}
                </>
              )}
            </small>
          </h3>
          <DriftLine
            points={s.points.map((p) => ({ at: Date.parse(p.at), value: p.aboveDb, label: p.campsite }))}
            change={
              s.change && {
                at: Date.parse(s.change.at),
                before: s.change.beforeDb,
                after: s.change.afterDb,
                label: dayMonth(s.change.at),
              }
            }
            days={[Math.min(...days), Math.max(...days)]}
            most={most}
            width={width}
            label={`${s.setup}: measured less predicted. ${s.change?.sentence ?? 'No sign of a change.'}`}
          />
          {s.change && <p className="note attention">{s.change.sentence}</p>}
          <details className="numbers">
            <summary>As a table, and by week</summary>
            <table className="plain">
              <tbody>
                {s.points.map((p) => (
                  <tr key={p.at}>
                    <td>{dayMonth(p.at)}</td>
                    <td>
                      {p.stay === null ? (
                        p.campsite
                      ) : (
                        <Link to={`/logbook?stay=${p.stay}`} aria-label={`${p.campsite}, ${dayMonth(p.at)}`}>
                          {p.campsite}
                        </Link>
                      )}
                    </td>
                    <td className="num">{asText(p.aboveDb, 'dB')}</td>
                  </tr>
                ))}
              </tbody>
            </table>
            <p className="small">
              By week, from its Monday:{' '}
              {s.weeks.map((w) => `${dayMonth(`${w.week}T00:00:00Z`)} ${fixed(w.medianDb, 1)} dB`).join(', ')}
            </p>
          </details>
        </section>
      ))}
    </div>
  );
}
