import type { Schemas } from '../data/client';
import type { Game } from '../data/practice';
import { type Interval, IntervalAxis, IntervalLine, intervalDomain } from '../draw/IntervalLine';
import { useWidth } from '../draw/useWidth';
import { effect as asText } from '../format/numbers';
import { Part } from '../parts/Sheet';

const SAID: Record<string, string> = {
  better: 'B is better',
  no_difference: 'no difference that matters',
  worse: 'B is worse',
  cannot_tell: 'can’t tell yet',
};

/** What is so, what the trial could say, and what others would have told. */
export function Truth({ game, truth }: { game: Game; truth: Schemas['PracticeTruth'] }) {
  const [ref, width] = useWidth<HTMLDivElement>(440);
  const line = (
    by: string,
    estimate: number | null,
    low: number | null = null,
    high: number | null = null,
  ): [string, Interval] => [by, { scale: 'ratio', estimate, low, high, margin: truth.margin, tone: 'open' }];
  const lines = [
    line('The truth', truth.truth),
    line('Your trial', truth.estimate, truth.low, truth.high),
    ...truth.otherwise.map((t) => line(t.by, t.ratio)),
  ];
  const domain = intervalDomain(
    'ratio',
    lines.map(([, interval]) => interval),
  );
  return (
    <>
      <p className="action">{truth.lesson}</p>
      <Part
        title={`B’s ${game.figure} in times of A’s`}
        small="hatched: the trial’s interval · tick: what each came to · shaded: no difference that matters"
      >
        {lines.map(([by, interval], i) => (
          <div className="effect" key={by}>
            <div>{i < 2 ? <b>{by}</b> : by}</div>
            <div ref={i === 0 ? ref : undefined}>
              <IntervalLine interval={interval} domain={domain} width={width} label={by} />
            </div>
            <div className="small">
              <b>{asText(interval.estimate, 'ratio')}</b> {i === 1 && truth.sentence}
              {i === 1 && ` You said: ${SAID[truth.said] ?? truth.said}.`}
            </div>
          </div>
        ))}
        <div className="effect axis-row">
          <div />
          <IntervalAxis scale="ratio" domain={domain} width={width} />
          <div className="small">times that of A</div>
        </div>
      </Part>
      {truth.right && truth.claimedTooMuch && (
        <p>You were right, and it was luck: the trial’s numbers left it open.</p>
      )}
    </>
  );
}
