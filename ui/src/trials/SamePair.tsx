import { Link } from 'react-router';
import type { Schemas } from '../data/client';
import { IntervalAxis, IntervalLine, intervalDomain } from '../draw/IntervalLine';
import { useWidth } from '../draw/useWidth';
import { effect as asText } from '../format/numbers';
import { dayMonth } from '../format/time';
import { Part } from '../parts/Sheet';
import { interval } from './Effects';
import { type Row, trialAddress } from './TrialList';

type Line = Schemas['Line'];

interface TrialLine {
  trial: Schemas['TrialSpan'];
  line: Line;
}

/** Trials of the same two setups on the same figure, in the order of time; two of them at least. */
export function samePairs(rows: Row[]): TrialLine[][] {
  const pairs = new Map<string, TrialLine[]>();
  rows.forEach(({ trial, result }) => {
    const line = result?.line;
    if (line) {
      const key = `${line.baseline.id} ${line.candidate.id} ${line.label}`;
      pairs.set(key, [{ trial, line }, ...(pairs.get(key) ?? [])]);
    }
  });
  return [...pairs.values()].filter((told) => told.length > 1);
}

/** The trials of one pair side by side. */
export function SamePair({ rows }: { rows: Row[] }) {
  const pairs = samePairs(rows);
  return pairs.map((told) => <Pair key={told.map((t) => t.trial.name).join()} told={told} />);
}

/** Trials of one pair, a line for each. */
export function Pair({ told }: { told: TrialLine[] }) {
  const [ref, width] = useWidth<HTMLDivElement>(440);
  const first = (told[0] as TrialLine).line;
  const intervals = told.map(({ line }) => interval(line));
  const { scale } = first.result;
  const domain = intervalDomain(scale, intervals);
  return (
    <Part
      title={`${first.candidate.name} and ${first.baseline.name}, trial by trial`}
      small={`${first.label.toLowerCase()} · hatched: the interval · shaded: no difference that matters`}
    >
      {told.map(({ trial, line }, i) => (
        <div className="effect" key={`${trial.campsiteId} ${trial.name}`}>
          <div>
            <Link to={trialAddress(trial)}>{trial.name}</Link>
            <div className="small">
              {trial.campsite}, {dayMonth(trial.from)}
            </div>
          </div>
          <div ref={i === 0 ? ref : undefined}>
            <IntervalLine interval={interval(line)} domain={domain} width={width} label={trial.name} />
          </div>
          <div className="small">{asText(line.result.estimate, scale)}</div>
        </div>
      ))}
      <div className="effect axis-row">
        <div />
        <IntervalAxis scale={scale} domain={domain} width={width} />
        <div className="small">{scale === 'ratio' ? `times that of ${first.baseline.name}` : ''}</div>
      </div>
    </Part>
  );
}
