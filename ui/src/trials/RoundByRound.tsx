import type { Schemas } from '../data/client';
import { Part } from '../parts/Sheet';
import { PairedRounds } from '../draw/PairedRounds';
import { useWidth } from '../draw/useWidth';
import { count, effect as asText, plain, short } from '../format/numbers';
import { clock } from '../format/time';

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
  const [wild] = result.wild;
  return (
    <Part title={`${label}, round by round`} small={`${unit} · a line joins the two runs of a round`}>
      <div ref={ref} className="chart-scroll">
        {rounds.length > 0 ? (
          <PairedRounds
            rounds={rounds}
            scale={result.scale}
            unit={unit}
            pennants={{ baseline: contrast.baseline.pennant, candidate: contrast.candidate.pennant }}
            width={width}
            label={`${label} in ${count(rounds.length, 'round')}`}
          />
        ) : (
          <p className="quiet">No round has {label.toLowerCase()} from both setups.</p>
        )}
      </div>
      {wild && (
        <p className="small">
          <span className="attention">Round {wild.round} is wild</span> ({asText(wild.ratio, result.scale)},
          from {wild.setup}). It is kept. With it {asText(result.estimate, result.scale)}; without it{' '}
          {asText(wild.without.estimate, result.scale)} ({asText(wild.without.low, result.scale)} to{' '}
          {asText(wild.without.high, result.scale)}).
        </p>
      )}
      {result.leftOut > 0 && (
        <p className="small">{count(result.leftOut, 'round')} could not be paired on this and stood aside.</p>
      )}
      {rounds.length > 0 && (
        <details className="numbers">
          <summary>Numbers as a table</summary>
          <table className="plain">
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
                  <td>{r.sim}</td>
                  <td className="num">{result.scale === 'ratio' ? short(r.baseline) : plain(r.baseline)}</td>
                  <td className="num">
                    {result.scale === 'ratio' ? short(r.candidate) : plain(r.candidate)}
                  </td>
                  <td className="num">{asText(r.effect, result.scale)}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </details>
      )}
    </Part>
  );
}
