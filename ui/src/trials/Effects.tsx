import type { Schemas } from '../data/client';
import { Part } from '../parts/Sheet';
import { type Interval, IntervalAxis, IntervalLine, intervalDomain } from '../draw/IntervalLine';
import { useWidth } from '../draw/useWidth';
import { effect as asText, type Scale } from '../format/numbers';

type Effect = Schemas['Effect'];

const TONE: Record<Effect['result']['verdict'], Interval['tone']> = {
  better: 'better',
  'slightly-better': 'better',
  worse: 'worse',
  'slightly-worse': 'worse',
  'less-reliable': 'worse',
  'no-difference': 'open',
  'cannot-tell': 'open',
  'too-few': 'open',
  capped: 'open',
};

const interval = (e: Effect): Interval => ({
  scale: e.result.scale,
  estimate: e.result.estimate,
  low: e.result.low,
  high: e.result.high,
  margin: e.margin,
  tone: TONE[e.result.verdict],
});

/** One line per metric: interval, and the verdict as a sentence. */
export function Effects(props: {
  contrast: Schemas['Contrast'];
  chosen: string;
  choose: (label: string) => void;
}) {
  const { contrast, chosen, choose } = props;
  return (
    <Part
      title="Effect of the candidate"
      small="hatched: interval · tick: estimate · shaded: no difference that matters"
    >
      {(['ratio', 'dB', 'share'] as const).map((scale) => {
        const effects = contrast.effects.filter((e) => e.result.scale === scale);
        return (
          effects.length > 0 && (
            <Lines key={scale} scale={scale} effects={effects} chosen={chosen} choose={choose} />
          )
        );
      })}
    </Part>
  );
}

function Lines(props: { scale: Scale; effects: Effect[]; chosen: string; choose: (label: string) => void }) {
  const { scale, effects, chosen, choose } = props;
  const [ref, width] = useWidth<HTMLDivElement>(440);
  const domain = intervalDomain(scale, effects.map(interval));
  return (
    <>
      {effects.map((e, i) => (
        <div className="effect" key={e.label}>
          <div>
            <button
              type="button"
              className="pick"
              aria-pressed={e.label === chosen}
              onClick={() => choose(e.label)}
            >
              {e.label}
            </button>
          </div>
          <div ref={i === 0 ? ref : undefined}>
            <IntervalLine interval={interval(e)} domain={domain} width={width} label={e.label} />
          </div>
          <div className="small">
            {e.result.estimate !== null && (
              <b className={TONE[e.result.verdict] === 'worse' ? 'loss' : undefined}>
                {asText(e.result.estimate, scale)}{' '}
              </b>
            )}
            {e.result.sentence}
          </div>
        </div>
      ))}
      <div className="effect axis-row">
        <div />
        <IntervalAxis scale={scale} domain={domain} width={width} />
        <div className="small">{scale === 'ratio' ? 'times the baseline' : 'against the baseline'}</div>
      </div>
    </>
  );
}
