import type { Schemas } from '../data/client';
import { count, fixed } from '../format/numbers';
import { Part } from '../parts/Sheet';

/** What the fit check found, the heaviest first. */
export function Fit({ findings }: { findings: Schemas['FindingView'][] }) {
  return (
    <Part title="Fit" small={count(findings.length, 'finding')}>
      {findings.map((f) => (
        <div className="note" key={f.code + f.where + f.says}>
          <b className={TONE[f.severity]}>{f.severity[0]?.toUpperCase() + f.severity.slice(1)}.</b>{' '}
          {!f.says.includes(f.where) && f.where !== 'chain' && <span className="small">{f.where}: </span>}
          {f.says}
          {f.fix && (
            <>
              {' '}
              <span className="fix">
                {f.fix}
                {f.price !== null && ` About ${fixed(f.price, 0)}.`}
              </span>
            </>
          )}
        </div>
      ))}
      {findings.length === 0 && <div className="note">Nothing stands in the way.</div>}
    </Part>
  );
}

const TONE: Record<string, string> = { blocker: 'loss', caution: 'attention' };
