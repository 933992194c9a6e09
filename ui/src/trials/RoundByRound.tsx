import type { Schemas } from '../data/client';
import { Part } from '../parts/Sheet';
import { PairedRounds } from '../draw/PairedRounds';
import { useWidth } from '../draw/useWidth';
import { count, effect as asText, plain, short } from '../format/numbers';
import { clock } from '../format/time';

/** Where the rounds of a drawing begin, and how narrow one may be. */
const LEFT = 44;
const LEAST_COLUMN = 62;

/** The rounds as paired points, and as a table. */
export function RoundByRound({
  contrast,
  effect,
}: {
  contrast: Schemas['Contrast'];
  effect: Schemas['Effect'];
}) {
  const [ref, width] = useWidth<HTMLDivElement>(760);
  const { result, rounds, unit, label } = effect;
  const perRow = Math.max(2, Math.floor((width - LEFT) / LEAST_COLUMN));
  const rows = Array.from({ length: Math.ceil(rounds.length / perRow) }, (_, i) =>
    rounds.slice(i * perRow, (i + 1) * perRow),
  );
  return (
    <Part
      title={`${label}, round by round`}
      small={`${unit} · a round measures each setup once, one soon after the other; a line joins the two`}
    >
      <div ref={ref}>
        {rows.map((row, i) => (
          <PairedRounds
            key={i}
            rounds={row}
            all={rounds}
            scale={result.scale}
            unit={unit}
            pennants={{ baseline: contrast.baseline.pennant, candidate: contrast.candidate.pennant }}
            width={width}
            label={`${label} in ${count(row.length, 'round')}`}
          />
        ))}
      </div>
      {result.wild.map((wild) => (
        <p className="small" key={wild.round}>
          <span className="attention">Round {wild.round} is an outlier</span>:{' '}
          {asText(wild.ratio, result.scale)}, further from the others than chance explains; {wild.setup}{' '}
          stands out in it. It is kept. With it {asText(result.estimate, result.scale)}; without it{' '}
          {asText(wild.without.estimate, result.scale)} ({asText(wild.without.low, result.scale)} to{' '}
          {asText(wild.without.high, result.scale)}).
        </p>
      ))}
      {result.leftOut > 0 && (
        <p className="small">{count(result.leftOut, 'round')} could not be paired on this and stood aside.</p>
      )}
      <details className="numbers">
        <summary>Numbers as a table</summary>
        <table className="plain rows">
          <thead>
            <tr>
              <th>Round</th>
              <th>SIM</th>
              <th className="num">
                {contrast.baseline.name}, {unit}
              </th>
              <th className="num">
                {contrast.candidate.name}, {unit}
              </th>
              <th className="num">Effect</th>
            </tr>
          </thead>
          <tbody>
            {rounds.map((r) => (
              <tr key={`${r.number} ${r.baselineAt}`}>
                <td>
                  {r.number} · {clock(r.baselineAt)}
                  {r.wild && ' · wild'}
                </td>
                <td data-label="SIM">{r.sim}</td>
                <td className="num" data-label={`${contrast.baseline.name}, ${unit}`}>
                  {result.scale === 'ratio' ? short(r.baseline) : plain(r.baseline)}
                </td>
                <td className="num" data-label={`${contrast.candidate.name}, ${unit}`}>
                  {result.scale === 'ratio' ? short(r.candidate) : plain(r.candidate)}
                </td>
                <td className="num" data-label="Effect">
                  {asText(r.effect, result.scale)}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </details>
    </Part>
  );
}
