import type { Schemas } from '../data/client';
import { Part } from '../parts/Sheet';
import { TONE } from '../draw/tones';
import { type Interval, IntervalAxis, IntervalLine, intervalDomain } from '../draw/IntervalLine';
import { useWidth } from '../draw/useWidth';
import { effect as asText, type Scale } from '../format/numbers';

type Effect = Schemas['Effect'];

const toneClass = (verdict: Effect['result']['verdict']) =>
  TONE[verdict] === 'worse' ? 'loss' : TONE[verdict] === 'better' ? 'gain' : undefined;

/** What is drawn of a comparison. */
export const interval = (e: Pick<Effect, 'result' | 'margin'>): Interval => ({
  scale: e.result.scale,
  estimate: e.result.estimate,
  low: e.result.low,
  high: e.result.high,
  margin: e.margin,
  tone: TONE[e.result.verdict],
});

/** One line per metric: interval, and the verdict as a sentence. What the need asks for stands first, the rest folds. */
export function Effects(props: {
  contrast: Schemas['Contrast'];
  chosen: string;
  choose: (key: string) => void;
}) {
  const { contrast, chosen, choose } = props;
  const shared = contrast.effects.filter((e) => e.result.estimate !== null);
  const [first, rest] = foremost(shared);
  if (shared.length === 0) {
    return null;
  }
  return (
    <Part title={`${contrast.candidate.name} compared with ${contrast.baseline.name}`} small={<Legend />}>
      <Scales effects={first} chosen={chosen} choose={choose} baseline={contrast.baseline.name} />
      {rest.length > 0 && (
        <details className="numbers" open={rest.some((e) => e.key === chosen)}>
          <summary>The other figures ({rest.length})</summary>
          <Scales effects={rest} chosen={chosen} choose={choose} baseline={contrast.baseline.name} />
        </details>
      )}
      <Without effects={contrast.effects.filter((e) => e.result.estimate === null)} />
    </Part>
  );
}

/** The figures that no round has from both. */
function Without({ effects }: { effects: Effect[] }) {
  return (
    effects.length > 0 && (
      <p className="small">
        No round has {effects.map((e) => e.label.toLowerCase()).join(', ')} from both setups.
      </p>
    )
  );
}

/** The words that a traveller may not know, where they first stand. */
function Legend() {
  return (
    <>
      hatched: the interval that contains the true effect as surely as stated · tick: the estimate · shaded:
      no difference that matters
    </>
  );
}

/** How many figures stand open where the need asks for none. */
const OPEN = 4;

/** What the need asks for, else the usual ones; and the rest. */
export function foremost(effects: Effect[]): [Effect[], Effect[]] {
  const asked = effects.filter((e) => e.asked);
  return asked.length > 0
    ? [asked, effects.filter((e) => !e.asked)]
    : [effects.slice(0, OPEN), effects.slice(OPEN)];
}

function Scales(props: {
  effects: Effect[];
  chosen: string;
  choose: (key: string) => void;
  baseline: string;
}) {
  return (['ratio', 'dB', 'share'] as const).map((scale) => {
    const effects = props.effects.filter((e) => e.result.scale === scale);
    return effects.length > 0 && <Lines key={scale} {...props} scale={scale} effects={effects} />;
  });
}

function Lines(props: {
  scale: Scale;
  effects: Effect[];
  chosen: string;
  choose: (key: string) => void;
  baseline: string;
}) {
  const { scale, effects, chosen, choose, baseline } = props;
  const [ref, width] = useWidth<HTMLDivElement>(440);
  const domain = intervalDomain(scale, effects.map(interval));
  return (
    <>
      {effects.map((e, i) => (
        <div className="effect" key={e.key}>
          <div>
            <button
              type="button"
              className="pick"
              aria-pressed={e.key === chosen}
              onClick={() => choose(e.key)}
            >
              {e.label}
            </button>
          </div>
          <div ref={i === 0 ? ref : undefined}>
            <IntervalLine interval={interval(e)} domain={domain} width={width} label={e.label} />
          </div>
          <div className="small">
            {e.result.estimate !== null && (
              <b className={toneClass(e.result.verdict)}>{asText(e.result.estimate, scale)} </b>
            )}
            {e.result.sentence}
          </div>
        </div>
      ))}
      <div className="effect axis-row">
        <div />
        <IntervalAxis scale={scale} domain={domain} width={width} />
        <div className="small">
          {scale === 'ratio' ? `times that of ${baseline}` : `compared with ${baseline}`}
        </div>
      </div>
    </>
  );
}
