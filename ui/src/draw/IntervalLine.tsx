import { effect as asText, plain, type Scale } from '../format/numbers';
import { hatched } from './hatched';
import { linear, logarithmic } from './scale';

export interface Interval {
  scale: Scale;
  estimate: number | null;
  low: number | null;
  high: number | null;
  /** The difference that matters: 1.2 as a ratio, 2 in dB, 1 in points. */
  margin: number;
  /** What the colour says. */
  tone: 'better' | 'worse' | 'open';
}

const COLOUR = { better: 'kelp', worse: 'rust', open: 'ink2' } as const;
const HEIGHT = 36;

/** Limits of an axis that holds all intervals: ratios symmetric on the log scale, differences around zero. */
export function intervalDomain(scale: Scale, intervals: Interval[]): [number, number] {
  const ends = intervals.flatMap((i) => [i.low, i.high, i.estimate]).filter((v) => v !== null);
  if (scale !== 'ratio') {
    const most = Math.max(6, ...ends.map((v) => Math.abs(v)));
    const limit = Math.min(40, Math.ceil(most / 2) * 2);
    return [-limit, limit];
  }
  const most = Math.max(2, ...ends.map((v) => Math.max(v, 1 / v)));
  const limit = [2, 4, 16, 64].find((step) => step * 0.98 >= most) ?? 64;
  return [1 / limit, limit];
}

/** Numbers on the axis of a domain. */
export function intervalTicks(scale: Scale, [low, high]: [number, number]): number[] {
  if (scale !== 'ratio') {
    return [low, low / 2, 0, high / 2, high];
  }
  return [0.015625, 0.0625, 0.25, 0.5, 1, 2, 4, 16, 64].filter((v) => v >= low * 0.999 && v <= high * 1.001);
}

function place(scale: Scale, domain: [number, number], width: number) {
  return (scale === 'ratio' ? logarithmic : linear)(domain, [8, width - 8]);
}

/** An effect as estimate and interval against no difference; the band shaded is no difference that matters. */
export function IntervalLine(props: {
  interval: Interval;
  domain: [number, number];
  width: number;
  label: string;
}) {
  const { interval, domain, width, label } = props;
  const { scale, estimate, low, high, margin } = interval;
  const x = place(scale, domain, width);
  const held = (v: number) => Math.min(width - 3, Math.max(3, x(v)));
  const none = scale === 'ratio' ? 1 : 0;
  const colour = COLOUR[interval.tone];
  const from = scale === 'ratio' ? 1 / margin : -margin;
  const text =
    estimate === null
      ? `${label}: no estimate`
      : `${label}: ${asText(estimate, scale)}, interval ${asText(low, scale)} to ${asText(high, scale)}`;
  return (
    <svg width={width} height={HEIGHT} role="img" aria-label={text} className="interval-line">
      <rect x={x(from)} y={2} width={x(margin) - x(from)} height={HEIGHT - 4} fill="var(--zone)" />
      <line x1={x(none)} x2={x(none)} y1={0} y2={HEIGHT} stroke="var(--ink)" strokeWidth={1.2} />
      {low !== null && high !== null && (
        <rect
          x={held(low)}
          y={12}
          width={Math.max(1, held(high) - held(low))}
          height={12}
          {...hatched(colour)}
        />
      )}
      {low !== null && low < domain[0] && (
        <path d={`M8 8L1 18L8 28`} fill="none" stroke={`var(--${colour})`} />
      )}
      {high !== null && high > domain[1] && (
        <path d={`M${width - 8} 8L${width - 1} 18L${width - 8} 28`} fill="none" stroke={`var(--${colour})`} />
      )}
      {estimate !== null &&
        (low === null ? (
          <rect
            x={held(estimate) - 2.5}
            y={7}
            width={5}
            height={22}
            fill="var(--sheet)"
            stroke="var(--ink2)"
          />
        ) : (
          <rect x={held(estimate) - 2.5} y={7} width={5} height={22} fill={`var(--${colour})`} />
        ))}
    </svg>
  );
}

/** The axis beneath interval lines of one scale. */
export function IntervalAxis(props: { scale: Scale; domain: [number, number]; width: number }) {
  const { scale, domain, width } = props;
  const x = place(scale, domain, width);
  return (
    <svg width={width} height={16} aria-hidden="true" className="axis">
      {intervalTicks(scale, domain).map((v, i, all) => (
        <text
          key={v}
          x={i === 0 ? 0 : i === all.length - 1 ? width : x(v)}
          y={12}
          textAnchor={i === 0 ? 'start' : i === all.length - 1 ? 'end' : 'middle'}
        >
          {scale === 'ratio'
            ? `×${Number(v.toPrecision(2))}`
            : `${v > 0 ? '+' : ''}${plain(v)}${i === all.length - 1 ? (scale === 'dB' ? ' dB' : ' points') : ''}`}
        </text>
      ))}
    </svg>
  );
}
