import { short } from '../format/numbers';
import { clock, dayMonth } from '../format/time';
import { PennantMark } from './Pennant';
import { linear, linearTicks, logarithmic, logTicks } from './scale';

export interface SeriesRun {
  id: number;
  takenAt: string;
  pennant: number;
  /** Missing where the run failed. */
  value: number | null;
}

const RIGHT = 46;
const LEFT = 10;
const TOP = 8;
const BOTTOM = 108;
const HOUR = 3_600_000;
const STEPS = [0.25, 0.5, 1, 2, 3, 6, 12, 24, 48, 96, 168].map((h) => h * HOUR);

/** Runs in the order of time, each a pennant; a failed run is a cross at the foot. */
export function RunSeries(props: {
  runs: SeriesRun[];
  now: string;
  log: boolean;
  width: number;
  label: string;
}) {
  const { runs, now, width } = props;
  const values = runs.map((r) => r.value).filter((v) => v !== null);
  const start = Date.parse(runs[0]?.takenAt ?? now);
  const end = Math.max(Date.parse(now), start + HOUR);
  const x = linear([start, end], [LEFT + 10, width - RIGHT - 14]);
  const low = values.length ? Math.min(...values) : 1;
  const high = values.length ? Math.max(...values) : 10;
  // a nought has no place on a scale of ratios
  const log = props.log && low > 0;
  const domain: [number, number] = log ? [low / 1.3, high * 1.3] : [low - 2, high + 2];
  const y = (log ? logarithmic : linear)(domain, [BOTTOM, TOP]);
  const ticks = log ? logTicks(...domain) : linearTicks(...domain, 4);
  return (
    <svg width={width} height={148} role="img" aria-label={props.label} className="run-series">
      {ticks.map((tick) => (
        <g key={tick}>
          <line x1={LEFT} x2={width - RIGHT} y1={y(tick)} y2={y(tick)} stroke="var(--rule)" />
          <text x={width - RIGHT + 6} y={y(tick) + 4}>
            {short(tick)}
          </text>
        </g>
      ))}
      {timeTicks(start, end, now, Math.max(2, Math.floor(width / 110))).map((t) => (
        <text key={t.at} x={x(t.at)} y={144} textAnchor="middle">
          {t.text}
        </text>
      ))}
      <line x1={x(end)} x2={x(end)} y1={TOP - 4} y2={BOTTOM + 10} stroke="var(--ink)" strokeWidth={1.5} />
      {runs.map((run) =>
        run.value === null ? (
          <path
            key={run.id}
            d={`M${x(Date.parse(run.takenAt)) - 4} ${BOTTOM + 8}l8 8m0 -8l-8 8`}
            stroke="var(--rust)"
            strokeWidth={1.8}
          />
        ) : (
          <PennantMark
            key={run.id}
            number={run.pennant}
            x={x(Date.parse(run.takenAt))}
            y={y(run.value)}
            width={14}
          />
        ),
      )}
    </svg>
  );
}

/** Times at round hours of the place, in its own offset. */
export function timeTicks(start: number, end: number, now: string, wanted: number) {
  const shift = offsetOf(now);
  const step = STEPS.find((s) => (end - start) / s <= wanted) ?? (end - start) / wanted;
  const ticks: { at: number; text: string }[] = [];
  for (let local = Math.ceil((start + shift) / step) * step; local - shift <= end; local += step) {
    const iso = new Date(local).toISOString();
    ticks.push({ at: local - shift, text: step >= 24 * HOUR ? dayMonth(iso) : clock(iso) });
  }
  return ticks;
}

function offsetOf(iso: string) {
  const match = /([+-])(\d{2}):(\d{2})$/.exec(iso);
  return match ? (match[1] === '-' ? -1 : 1) * (Number(match[2]) * HOUR + (Number(match[3]) * HOUR) / 60) : 0;
}
