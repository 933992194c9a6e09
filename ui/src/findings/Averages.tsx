import type { Schemas } from '../data/client';
import { effect as asText, plain, short } from '../format/numbers';
import { Part } from '../parts/Sheet';
import { Name } from './Compared';

/** Plain averages beside what the same places and times say; where they part, why. */
export function Averages({ view }: { view: Schemas['FindingsView'] }) {
  const remarks = view.remarks.filter((r) => r.code !== 'fault');
  const rows = [...view.setups].sort((a, b) => (a.plainRank ?? 99) - (b.plainRank ?? 99));
  return (
    <Part
      title="Plain averages, and the same places and times"
      small="a plain average is over all runs that ended ok, wherever they were made; no verdict rests on it"
    >
      {remarks.map((remark) => (
        <p className="note" key={remark.sentence}>
          {remark.sentence}
        </p>
      ))}
      {remarks.length === 0 && <p className="note">Both put them in the same order.</p>}
      <table className="plain rows">
        <thead>
          <tr>
            <th />
            <th className="num">Runs</th>
            <th className="num">
              Plain average <span className="small">{view.unit}</span>
            </th>
            <th className="num">Rank</th>
            <th className="num">
              {view.scale === 'ratio' ? 'Times' : 'Against'} {view.baseline}
            </th>
            <th className="num">Rank</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <tr key={row.setup}>
              <td>
                <Name row={row} />
              </td>
              <td className="num" data-label="Runs">
                {row.runs}
                {row.failed > 0 && <span className="small">, {row.failed} failed</span>}
              </td>
              <td className="num" data-label={`Plain average, ${view.unit}`}>
                {short(row.plainMean)}
              </td>
              <td className="num" data-label="Rank by plain averages">
                {plain(row.plainRank)}
              </td>
              <td className="num" data-label="At the same places and times">
                {row.estimate === null ? <span className="hollow">–</span> : asText(row.estimate, view.scale)}
              </td>
              <td
                className={row.plainRank !== row.adjustedRank ? 'num differs' : 'num'}
                data-label="Rank at the same places"
              >
                {plain(row.adjustedRank)}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </Part>
  );
}
