import { short, effect as asText, type Scale } from '../format/numbers';
import { clock } from '../format/time';
import { PennantMark } from './Pennant';
import { linear, linearTicks, logarithmic, logTicks } from './scale';

export interface RoundPair {
  number: number;
  baselineAt: string;
  candidateAt: string;
  baseline: number;
  candidate: number;
  effect: number;
  wild: boolean;
}

const LEFT = 44;
/** From here on a column has room for its round and time in one line. */
const WIDE = 108;
const TOP = 16;
const BOTTOM = 176;

/** The least that a logarithmic axis shows; a value of 0 stands at its foot. */
const LEAST = 0.1;

function domainOf(scale: Scale, low: number, high: number): [number, number] {
  if (scale === 'ratio') {
    return [Math.max(low, LEAST) / 1.25, Math.max(high, LEAST) * 1.25];
  }
  return [scale === 'share' ? 0 : Math.floor(low - 1), Math.ceil(high + 1)];
}

/** Each round as the two measured values, joined, in the order they were taken. */
export function PairedRounds(props: {
  rounds: RoundPair[];
  /** Those that share the axis, where the rounds stand in several rows. */
  all?: RoundPair[];
  scale: Scale;
  unit: string;
  pennants: { baseline: number; candidate: number };
  width: number;
  label: string;
}) {
  const { rounds, scale, pennants } = props;
  const values = (props.all ?? rounds).flatMap((r) => [r.baseline, r.candidate]);
  const low = Math.min(...values);
  const high = Math.max(...values);
  const domain = domainOf(scale, low, high);
  const onScale = (scale === 'ratio' ? logarithmic : linear)(domain, [BOTTOM, TOP]);
  const y = (value: number) => onScale(Math.max(value, domain[0]));
  const ticks = scale === 'ratio' ? logTicks(...domain) : linearTicks(...domain, 4);
  const { width } = props;
  const column = Math.min(160, (width - LEFT) / rounds.length);
  const apart = Math.min(26, column / 4);
  return (
    <svg width={width} height={224} role="img" aria-label={props.label} className="paired-rounds">
      {ticks.map((tick) => (
        <g key={tick}>
          <line x1={LEFT - 6} x2={width} y1={y(tick)} y2={y(tick)} stroke="var(--rule)" />
          <text x={LEFT - 12} y={y(tick) + 4} textAnchor="end">
            {short(tick)}
          </text>
        </g>
      ))}
      {rounds.map((round, i) => {
        const middle = LEFT + column * (i + 0.5);
        const first = round.baselineAt <= round.candidateAt ? -1 : 1;
        const xa = middle + first * apart;
        const xb = middle - first * apart;
        const start = round.baselineAt <= round.candidateAt ? round.baselineAt : round.candidateAt;
        return (
          <g key={`${round.number}-${round.baselineAt}`}>
            {round.wild && (
              <rect
                x={middle - column / 2 + 4}
                y={TOP - 8}
                width={column - 8}
                height={BOTTOM - TOP + 16}
                fill="none"
                stroke="var(--ochre)"
                strokeDasharray="4 3"
              />
            )}
            <line x1={xa} y1={y(round.baseline)} x2={xb} y2={y(round.candidate)} stroke="var(--ink2)" />
            <PennantMark number={pennants.baseline} x={xa} y={y(round.baseline)} width={17} />
            <PennantMark number={pennants.candidate} x={xb} y={y(round.candidate)} width={17} />
            <text x={middle} y={200} textAnchor="middle">
              {column < WIDE
                ? `${round.number} · ${clock(start)}`
                : `round ${round.number} · ${clock(start)}`}
            </text>
            <text x={middle} y={216} textAnchor="middle" className={round.wild ? 'attention' : 'strong'}>
              {asText(round.effect, scale)}
              {round.wild ? ' · wild' : ''}
            </text>
          </g>
        );
      })}
    </svg>
  );
}
