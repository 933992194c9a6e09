import { fixed } from '../format/numbers';
import { hatched } from './hatched';
import { linear, linearTicks } from './scale';

const HEIGHT = 102;
const TOP = 8;
const BOTTOM = 84;
const RIGHT = 46;

/** Values over the days of a trip about nothing: a mark for each stay, and where the level changed the means before and after. */
export function DriftLine(props: {
  points: { at: number; value: number; label: string }[];
  change: { at: number; before: number; after: number; label: string } | null;
  days: [number, number];
  /** How far from nothing the scale goes, in dB. */
  most: number;
  width: number;
  label: string;
}) {
  const { points, change, days, most, width } = props;
  const limit = Math.ceil(most / 2) * 2;
  const x = linear([days[0], Math.max(days[1], days[0] + 1)], [10, width - RIGHT - 10]);
  const y = linear([-limit, limit], [BOTTOM, TOP]);
  const turn = change ? x(change.at) - 8 : 0;
  return (
    <svg width={width} height={HEIGHT} role="img" aria-label={props.label} className="drift-line">
      {linearTicks(-limit, limit, 4).map((tick) => (
        <g key={tick}>
          <line
            x1={0}
            x2={width - RIGHT}
            y1={y(tick)}
            y2={y(tick)}
            stroke={tick === 0 ? 'var(--ink2)' : 'var(--rule)'}
          />
          <text x={width - RIGHT + 5} y={y(tick) + 4}>
            {fixed(tick, 0)} {tick === 0 ? '' : 'dB'}
          </text>
        </g>
      ))}
      {change && (
        <>
          <rect x={0} y={y(change.before) - 2.5} width={turn} height={5} {...hatched('ink2')} />
          <rect
            x={turn}
            y={y(change.after) - 2.5}
            width={width - RIGHT - turn}
            height={5}
            {...hatched(change.after < change.before ? 'rust' : 'kelp')}
          />
          <line x1={turn} x2={turn} y1={TOP - 6} y2={BOTTOM + 6} stroke="var(--rust)" strokeDasharray="3 3" />
          <text x={turn + 4} y={HEIGHT - 5}>
            {change.label}
          </text>
        </>
      )}
      {points.map((p) => (
        <rect key={p.at} x={x(p.at) - 3} y={y(p.value) - 3} width={6} height={6} fill="var(--ink)">
          <title>{`${p.label}: ${fixed(p.value, 1)} dB`}</title>
        </rect>
      ))}
    </svg>
  );
}
