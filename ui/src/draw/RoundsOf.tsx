import { short } from '../format/numbers';
import { logarithmic, logTicks } from './scale';

const LEFT = 44;
const TOP = 12;
const BOTTOM = 170;
const ROOM = 1.2;

/** Two of a round joined by a line, for rounds without setups to show pennants of: a dot, and a ring. */
export function RoundsOf(props: {
  rounds: { round: number; a: number | null; b: number | null }[];
  width: number;
  label: string;
}) {
  const { rounds, width } = props;
  const values = rounds.flatMap((r) => [r.a, r.b]).filter((v) => v !== null);
  const low = Math.max(0.05, Math.min(...values)) / ROOM;
  const high = Math.max(...values, low * ROOM) * ROOM;
  const y = logarithmic([low, high], [BOTTOM, TOP]);
  const step = (width - LEFT) / rounds.length;
  return (
    <svg width={width} height={BOTTOM + 26} role="img" aria-label={props.label} className="paired">
      {logTicks(low, high).map((tick) => (
        <g key={tick}>
          <line x1={LEFT - 6} x2={width} y1={y(tick)} y2={y(tick)} stroke="var(--rule)" />
          <text x={LEFT - 10} y={y(tick) + 4} textAnchor="end">
            {short(tick)}
          </text>
        </g>
      ))}
      {rounds.map((r, i) => {
        const x = LEFT + step * (i + 0.5);
        const apart = Math.min(14, step / 4);
        return (
          <g key={r.round}>
            {r.a !== null && r.b !== null && (
              <line x1={x - apart} y1={y(r.a)} x2={x + apart} y2={y(r.b)} stroke="var(--ink)" />
            )}
            {r.a !== null && <circle cx={x - apart} cy={y(r.a)} r={5} fill="var(--ink)" />}
            {r.b !== null && (
              <circle
                cx={x + apart}
                cy={y(r.b)}
                r={5}
                fill="var(--sheet)"
                stroke="var(--ink)"
                strokeWidth={2}
              />
            )}
            <text x={x} y={BOTTOM + 20} textAnchor="middle">
              {r.round}
            </text>
          </g>
        );
      })}
    </svg>
  );
}
