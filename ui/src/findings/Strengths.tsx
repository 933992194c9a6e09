import type { Schemas } from '../data/client';
import { IntervalAxis, IntervalLine, intervalDomain } from '../draw/IntervalLine';
import { useWidth } from '../draw/useWidth';
import { count, effect as asText } from '../format/numbers';
import { Part } from '../parts/Sheet';
import { intervalOf, Name } from './Compared';

/** The effect where the baseline’s signal was strong, fair and weak: an antenna that helps in weak places only shows as that. */
export function Strengths({ view }: { view: Schemas['FindingsView'] }) {
  const [ref, width] = useWidth<HTMLDivElement>(300);
  const others = view.setups.filter(
    (s) => s.setup !== view.baseline && s.byStrength.some((b) => b.blocks > 0),
  );
  const domain = intervalDomain(
    view.scale,
    others.flatMap((s) => s.byStrength.map((b) => intervalOf(view, b))),
  );
  return (
    <Part title={`By how strong it was with ${view.baseline}`} small={view.choices.strengthRule}>
      {others.length === 0 && (
        <p className="hollow">
          No block has the level of {view.baseline} and another setup. Read the level with each run.
        </p>
      )}
      {others.map((row, i) => (
        <section key={row.setup} aria-label={row.setup}>
          <h3>
            <Name row={row} />
          </h3>
          {row.byStrength.map((b, k) => (
            <div className="effect found" key={b.strength}>
              <div className="small">{b.words}</div>
              <div ref={i === 0 && k === 0 ? ref : undefined}>
                {b.estimate === null ? (
                  <span className="hollow">not measured beside it</span>
                ) : (
                  <IntervalLine
                    interval={intervalOf(view, b)}
                    domain={domain}
                    width={width}
                    label={`${row.setup} where it was ${b.words}`}
                  />
                )}
              </div>
              <div className="small">
                {b.estimate !== null && (
                  <>
                    {b.verdict === 'too-few' && 'about '}
                    <b>{asText(b.estimate, view.scale)}</b>, {count(b.blocks, 'block')} at{' '}
                    {count(b.stays, 'stay')}
                    {b.verdict === 'too-few' && `; from ${view.choices.fewestStays} stays on it can be said`}
                  </>
                )}
              </div>
            </div>
          ))}
        </section>
      ))}
      {others.length > 0 && (
        <div className="effect axis-row">
          <div />
          <IntervalAxis scale={view.scale} domain={domain} width={width} />
          <div className="small">
            {view.withoutStrength > 0 &&
              `${count(view.withoutStrength, 'block')} without the level of ${view.baseline} left out`}
          </div>
        </div>
      )}
    </Part>
  );
}
