import type { Schemas } from '../data/client';
import { Part } from '../parts/Sheet';
import { fixed, short } from '../format/numbers';

const number = (e: Schemas['Effect'], v: number | null) =>
  e.result.scale === 'ratio' ? short(v) : fixed(v, 1);

/** Failures, and the plain averages for those who want them. */
export function Averages({ contrast }: { contrast: Schemas['Contrast'] }) {
  const failures = contrast.effects[0]?.result.failures;
  return (
    <>
      {failures && (
        <Part title="Runs that failed" small="share of all attempts, with its 95 % interval">
          <table className="plain">
            <tbody>
              {[
                { name: contrast.baseline.name, share: failures.baseline },
                { name: contrast.candidate.name, share: failures.candidate },
              ].map(({ name, share }) => (
                <tr key={name}>
                  <td className="name">{name}</td>
                  <td>
                    {share.failed} of {share.tried} failed
                  </td>
                  <td className="num">
                    {share.low !== null && share.high !== null
                      ? `${Math.round(share.low * 100)} to ${Math.round(share.high * 100)} %`
                      : '–'}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
          {contrast.failuresSay && <p className="small">{contrast.failuresSay}</p>}
        </Part>
      )}
      <Part title="Plain averages" small="over all ok runs, paired or not; no verdict rests on them">
        <table className="plain">
          <thead>
            <tr>
              <th />
              <th className="num">{contrast.baseline.name}, mean</th>
              <th className="num">{contrast.candidate.name}, mean</th>
              <th className="num">{contrast.baseline.name}, best run</th>
              <th className="num">{contrast.candidate.name}, best run</th>
            </tr>
          </thead>
          <tbody>
            {contrast.effects.map((e) => (
              <tr key={e.label}>
                <td className="name">
                  {e.label}, {e.unit}
                </td>
                <td className="num">{number(e, e.result.plain.baselineMean)}</td>
                <td className="num">{number(e, e.result.plain.candidateMean)}</td>
                <td className="num">{number(e, e.result.plain.baselineBest)}</td>
                <td className="num">{number(e, e.result.plain.candidateBest)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </Part>
    </>
  );
}
