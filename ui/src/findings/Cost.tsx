import type { Schemas } from '../data/client';
import { type FindingsAsked, useWorth } from '../data/findings';
import { stateOf } from '../data/state';
import { useMoney } from '../data/useMoney';
import { capital, effect as asText } from '../format/numbers';
import { Loaded } from '../parts/Loaded';
import { Part } from '../parts/Sheet';
import { Name } from './Compared';

/** What setups cost beside what they bring: the cheapest that is good enough, and the fastest. */
export function Cost({ asked }: { asked: FindingsAsked }) {
  const worth = useWorth(asked, true);
  return <Loaded state={stateOf(worth)}>{(view) => <Rows view={view} />}</Loaded>;
}

function Rows({ view }: { view: Schemas['WorthView'] }) {
  const { money } = useMoney();
  const times = `${capital(view.words)}, times ${view.baseline}`;
  const rows = [...view.setups].sort((a, b) => (a.price ?? 1e12) - (b.price ?? 1e12));
  return (
    <Part
      title="Value for money"
      small={`money as the prices were entered, SIMs left out · a stay counts as met when at least half of its runs met ${view.need}`}
    >
      <table className="plain rows">
        <thead>
          <tr>
            <th />
            <th className="num">Costs</th>
            <th className="num">Parts besides {view.baseline}’s</th>
            <th className="num">{times}</th>
            <th className="num">Price per +50 %</th>
            <th>Stays that met the need</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <tr key={row.setup}>
              <td>
                <Name row={row} />
                {row.setup === view.cheapest && (
                  <div className="small gain">the cheapest that is good enough</div>
                )}
                {row.setup === view.fastest && <div className="small gain">the fastest</div>}
              </td>
              <td className="num" data-label="Costs">
                {money(row.price, 0)}
              </td>
              <td className="num" data-label={`Parts besides ${view.baseline}’s`}>
                {money(row.adds, 0)}
              </td>
              <td className="num" data-label={times}>
                {row.estimate === null ? '–' : `${told(row) ? '' : 'about '}${asText(row.estimate, 'ratio')}`}
              </td>
              <td className="num" data-label="Price per +50 %">
                {money(row.perStep, 0)}
              </td>
              <td data-label="Stays that met the need">
                {row.stays === 0 ? (
                  <span className="hollow">not measured on it</span>
                ) : (
                  <span>
                    {row.met} of {row.stays}{' '}
                    {row.shareLow !== null && row.shareHigh !== null && (
                      <span className="small">
                        ({Math.round(row.shareLow * 100)} to {Math.round(row.shareHigh * 100)} %)
                      </span>
                    )}
                  </span>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </Part>
  );
}

const told = (row: Schemas['WorthRow']) => row.verdict !== 'too-few' && row.verdict !== 'cannot-tell';
