import { Link } from 'react-router';
import type { Schemas } from '../data/client';
import { type Interval, IntervalAxis, IntervalLine, intervalDomain } from '../draw/IntervalLine';
import { SetupLabel } from '../draw/Pennant';
import { TONE } from '../draw/tones';
import { useWidth } from '../draw/useWidth';
import { count, effect as asText } from '../format/numbers';
import { Part } from '../parts/Sheet';
import { withParts } from './address';

type View = Schemas['FindingsView'];
type Row = Schemas['ComparedView'];
type Verdict = keyof typeof TONE;

/** What is drawn of a contrast; without a claim no interval is drawn. */
export const intervalOf = (
  view: View,
  row: Pick<Row, 'estimate' | 'low' | 'high' | 'verdict'>,
): Interval => ({
  scale: view.scale,
  estimate: row.estimate,
  low: row.verdict === 'too-few' ? null : row.low,
  high: row.verdict === 'too-few' ? null : row.high,
  margin: view.matters,
  tone: TONE[row.verdict as Verdict],
});

/** A setup with its pennant; a carrier or a band by its name. */
export function Name({ row }: { row: { setup: string; pennant: number | null } }) {
  return row.pennant === null ? (
    <>{row.setup}</>
  ) : (
    <SetupLabel setup={{ name: row.setup, pennant: row.pennant }} />
  );
}

/** Each against the baseline at the same places and times, the best first; each claim opens the stays behind it. */
export function Compared({ view, query }: { view: View; query: URLSearchParams }) {
  const [ref, width] = useWidth<HTMLDivElement>(300);
  const others = view.setups
    .filter((s) => s.setup !== view.baseline)
    .sort((a, b) => (a.adjustedRank ?? 99) - (b.adjustedRank ?? 99));
  const domain = intervalDomain(
    view.scale,
    others.map((s) => intervalOf(view, s)),
  );
  return (
    <Part
      title={`Compared with ${view.baseline ?? 'nothing'}`}
      small="hatched: the interval that contains the true effect in 95 % of cases · tick: the estimate · shaded: no difference that matters · each pair on its own"
    >
      {others.map((row, i) => (
        <div className="effect found" key={row.setup}>
          <div>
            <Link
              className="pick"
              to={`?${withParts(query, { unit: row.setup })}`}
              replace
              aria-current={query.get('unit') === row.setup ? 'true' : undefined}
            >
              <Name row={row} />
            </Link>
            <div className="small">
              {count(row.ownBlocks, 'block')} at {count(row.ownStays, 'stay')}
            </div>
          </div>
          <div ref={i === 0 ? ref : undefined}>
            {row.estimate === null ? (
              <span className="hollow">no estimate</span>
            ) : (
              <IntervalLine
                interval={intervalOf(view, row)}
                domain={domain}
                width={width}
                label={row.setup}
              />
            )}
          </div>
          <div className="small">
            {row.estimate !== null && (
              <b className={toneClass(row.verdict)}>
                {row.verdict === 'too-few' && 'about '}
                {asText(row.estimate, view.scale)}{' '}
              </b>
            )}
            {row.sentence}
            <Settle view={view} row={row} query={query} />
          </div>
        </div>
      ))}
      {others.some((s) => s.estimate !== null) && (
        <div className="effect axis-row">
          <div />
          <IntervalAxis scale={view.scale} domain={domain} width={width} />
          <div className="small">
            {view.scale === 'ratio' ? `times that of ${view.baseline}` : `compared with ${view.baseline}`}
          </div>
        </div>
      )}
    </Part>
  );
}

const toneClass = (verdict: string) =>
  TONE[verdict as Verdict] === 'worse' ? 'loss' : TONE[verdict as Verdict] === 'better' ? 'gain' : undefined;

/** Where it is open: the trial that would tell. */
function Settle(props: { view: View; row: Row; query: URLSearchParams }) {
  const { view, row, query } = props;
  if (view.of === 'bands' || row.staysWanted === null || view.baseline === null) {
    return null;
  }
  const carrier = query.get('carrier') ?? view.choices.carriers[0] ?? '';
  const setup = query.get('setup') ?? view.choices.setups[0] ?? '';
  const contenders: [string, string][] =
    view.of === 'setups'
      ? [
          [view.baseline, carrier],
          [row.setup, carrier],
        ]
      : [
          [setup, view.baseline],
          [setup, row.setup],
        ];
  return (
    <>
      {' '}
      <Link className="todo" to={`/trials?${planFor(contenders)}`}>
        Plan the trial
      </Link>
    </>
  );
}

/** The planner, filled in with setups on carriers. */
const planFor = (contenders: [string, string][]) =>
  new URLSearchParams([
    ['plan', ''],
    ...contenders.flatMap(([setup, carrier]) => [
      ['setup', setup],
      ['carrier', carrier],
    ]),
  ]).toString();
