import type { Schemas } from '../data/client';
import { Part } from '../parts/Sheet';
import { fixed, short } from '../format/numbers';

type Contrast = Schemas['Contrast'];

const number = (e: Schemas['Effect'], v: number | null) =>
  e.result.scale === 'ratio' ? short(v) : fixed(v, 1);

/** The runs that failed, where any did. */
export function Failed({ contrast }: { contrast: Contrast }) {
  const failures = contrast.effects[0]?.result.failures;
  if (!failures || failures.baseline.failed + failures.candidate.failed === 0) {
    return null;
  }
  return (
    <Part title="Runs that failed" small="a failed run is a result; in brackets its 95 % interval">
      <table className="plain">
        <tbody>
          {[
            { name: contrast.candidate.name, share: failures.candidate },
            { name: contrast.baseline.name, share: failures.baseline },
          ].map(({ name, share }) => (
            <tr key={name}>
              <td className="name">{name}</td>
              <td className={share.failed > 0 ? 'loss' : undefined}>
                {share.failed} of {share.tried} failed
              </td>
              <td className="num">
                {share.low !== null && share.high !== null
                  ? `(${Math.round(share.low * 100)} to ${Math.round(share.high * 100)} %)`
                  : '–'}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </Part>
  );
}

/** The plain averages for those who ask for them. */
export function Averages({ contrast }: { contrast: Contrast }) {
  const { baseline, candidate } = contrast;
  const columns = [
    { label: `${candidate.name}, mean`, of: (p: Plain) => p.candidateMean },
    { label: `${baseline.name}, mean`, of: (p: Plain) => p.baselineMean },
    { label: `${candidate.name}, best run`, of: (p: Plain) => p.candidateBest },
    { label: `${baseline.name}, best run`, of: (p: Plain) => p.baselineBest },
  ];
  return (
    <details className="numbers no-print">
      <summary>Plain averages, on which no verdict rests</summary>
      <p className="small">Over all ok runs, paired or not: a setup used at the better hours looks better.</p>
      <table className="plain rows">
        <thead>
          <tr>
            <th />
            {columns.map((c) => (
              <th className="num" key={c.label}>
                {c.label}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {contrast.effects.map((e) => (
            <tr key={e.key}>
              <td className="name">
                {e.label}, {e.unit}
              </td>
              {columns.map((c) => (
                <td className="num" key={c.label} data-label={c.label}>
                  {number(e, c.of(e.result.plain))}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </details>
  );
}

type Plain = Schemas['Averages'];
