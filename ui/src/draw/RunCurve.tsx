import { short } from '../format/numbers';
import { linear, linearTicks } from './scale';

export interface CurvePoint {
  atMs: number;
  phase: string;
  mbps: number | null;
  latencyMs: number | null;
}

const LEFT = 8;
const RIGHT = 52;
const TOP = 24;
const RATES = 150;
const GAP = 26;
const ANSWERS = 60;
const FOOT = 20;
const NAMES: Record<string, string> = { idle: 'alone', down: 'download', up: 'upload' };

/** A run over its seconds: above, the rate of each direction and its median; beneath, what answers took meanwhile. */
export function RunCurve(props: {
  points: CurvePoint[];
  downMbps: number | null;
  upMbps: number | null;
  width: number;
}) {
  const { points, width } = props;
  const end = Math.max(8_000, ...points.map((p) => p.atMs));
  const fastest = Math.max(0.1, ...points.map((p) => p.mbps ?? 0));
  const slowest = Math.max(50, ...points.map((p) => p.latencyMs ?? 0));
  const foot = TOP + RATES + GAP + ANSWERS;
  const x = linear([0, end], [LEFT, width - RIGHT]);
  const y = linear([0, fastest * 1.08], [TOP + RATES, TOP]);
  const ms = linear([0, slowest * 1.1], [foot, TOP + RATES + GAP]);
  const phases = ['idle', 'down', 'up'].flatMap((phase) => {
    const own = points.filter((p) => p.phase === phase);
    const first = own[0];
    const last = own.at(-1);
    return first && last ? [{ phase, own, from: first.atMs, to: last.atMs }] : [];
  });
  const median = { down: props.downMbps, up: props.upMbps } as Record<string, number | null>;
  return (
    <svg width={width} height={foot + FOOT} role="img" aria-label={label(props)} className="run-curve">
      {linearTicks(0, fastest * 1.08, 4).map((tick) => (
        <g key={tick}>
          <line x1={LEFT} x2={width - RIGHT} y1={y(tick)} y2={y(tick)} stroke="var(--rule)" />
          <text x={width - RIGHT + 6} y={y(tick) + 4}>
            {short(tick)}
          </text>
        </g>
      ))}
      <text x={width - RIGHT + 6} y={12}>
        Mb/s
      </text>
      {[0, Math.round(slowest)].map((tick) => (
        <g key={tick}>
          <line x1={LEFT} x2={width - RIGHT} y1={ms(tick)} y2={ms(tick)} stroke="var(--rule)" />
          <text x={width - RIGHT + 6} y={ms(tick) + 4}>
            {tick} ms
          </text>
        </g>
      ))}
      {phases.map(({ phase, own, from, to }) => (
        <g key={phase}>
          <line x1={x(from)} x2={x(from)} y1={TOP - 8} y2={foot} stroke="var(--rule)" strokeDasharray="2 3" />
          {x(to) - x(from) > 34 && (
            <text x={x(from) + 4} y={12} className="strong">
              {NAMES[phase]}
            </text>
          )}
          {phase !== 'idle' && (
            <polyline
              points={own.map((p) => `${x(p.atMs)},${y(p.mbps ?? 0)}`).join(' ')}
              fill="none"
              stroke="var(--kelp)"
              strokeWidth={1.6}
            />
          )}
          {median[phase] != null && (
            <line
              x1={x(from)}
              x2={x(to)}
              y1={y(median[phase])}
              y2={y(median[phase])}
              stroke="var(--ink)"
              strokeWidth={2.5}
            />
          )}
          {own
            .filter((p) => p.latencyMs !== null)
            .map((p) => (
              <rect
                key={p.atMs}
                x={x(p.atMs) - 1.5}
                y={ms(p.latencyMs ?? 0) - 1.5}
                width={3}
                height={3}
                fill="var(--ink2)"
              />
            ))}
        </g>
      ))}
      {linearTicks(0, end / 1_000, Math.max(2, Math.floor(width / 90))).map((second) => (
        <text key={second} x={x(second * 1_000)} y={foot + 16} textAnchor={second === 0 ? 'start' : 'middle'}>
          {second} s
        </text>
      ))}
    </svg>
  );
}

function label({
  points,
  downMbps,
  upMbps,
}: {
  points: CurvePoint[];
  downMbps: number | null;
  upMbps: number | null;
}) {
  const said = [
    downMbps === null ? null : `download ${short(downMbps)} Mb/s`,
    upMbps === null ? null : `upload ${short(upMbps)} Mb/s`,
  ].filter(Boolean);
  return `The run over ${Math.round((points.at(-1)?.atMs ?? 0) / 1_000)} s: ${said.join(', ') || 'no rate yet'}`;
}
