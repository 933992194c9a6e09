import { Link } from 'react-router';
import type { Schemas } from '../data/client';
import { type FindingsAsked, useBehind } from '../data/findings';
import { stateOf } from '../data/state';
import { count, effect as asText } from '../format/numbers';
import { span } from '../format/time';
import { Loaded } from '../parts/Loaded';
import { Part } from '../parts/Sheet';

/** The stays behind a claim. */
export function Behind(props: { asked: FindingsAsked; unit: string; view: Schemas['FindingsView'] }) {
  const { asked, unit, view } = props;
  const behind = useBehind(asked, unit);
  return (
    <Part title={`The stays behind it: ${unit}`} small={`what it had there, compared with ${view.baseline}`}>
      <Loaded state={stateOf(behind)}>
        {(stays) =>
          stays.length === 0 ? (
            <p className="hollow">It stood beside no other at any stay.</p>
          ) : (
            <table className="plain rows">
              <thead>
                <tr>
                  <th>Campsite</th>
                  <th>When</th>
                  <th className="num">Blocks</th>
                  <th className="num">There</th>
                </tr>
              </thead>
              <tbody>
                {stays.map((s) => (
                  <tr key={`${s.stay} ${s.campsite}`}>
                    <td>
                      {s.stay === null ? (
                        s.campsite
                      ) : (
                        <Link
                          to={`/logbook?stay=${s.stay}`}
                          aria-label={
                            s.arrivedAt === null ? undefined : `${s.campsite}, ${span(s.arrivedAt, s.leftAt)}`
                          }
                        >
                          {s.campsite}
                        </Link>
                      )}
                    </td>
                    <td data-label="When">{s.arrivedAt === null ? '–' : span(s.arrivedAt, s.leftAt)}</td>
                    <td className="num" data-label="Blocks">
                      {s.blocks}
                    </td>
                    <td className="num" data-label={`There, in ${count(s.blocks, 'block')}`}>
                      {asText(s.estimate, view.scale)}
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
          )
        }
      </Loaded>
    </Part>
  );
}
