import { short } from '../format/numbers';
import { linear, logarithmic, logTicks } from './scale';

export interface HourOf {
  hour: number;
  runs: number;
  spread: { low: number; middle: number; high: number } | null;
}

const TOP = 8;
const BOTTOM = 128;
const RIGHT = 44;
const EVENING: [number, number] = [17, 23];

/** The hours of a day on a logarithmic scale: a bar from lowest to highest, a tick at the middle; dashed where there was none. */
export function DayHours(props: { hours: HourOf[]; width: number; unit: string; label: string }) {
  const { hours, width } = props;
  const values = hours.flatMap((h) => (h.spread ? [h.spread.low, h.spread.high] : [])).filter((v) => v > 0);
  const domain: [number, number] = values.length
    ? [Math.min(...values) / 1.3, Math.max(...values) * 1.3]
    : [1, 10];
  const y = logarithmic(domain, [BOTTOM, TOP]);
  const x = linear([0, 24], [4, width - RIGHT]);
  const bar = Math.max(3, (x(1) - x(0)) * 0.5);
  const every = width < 500 ? 6 : 3;
  return (
    <svg width={width} height={156} role="img" aria-label={props.label} className="day-hours">
      <rect
        x={x(EVENING[0])}
        y={TOP - 4}
        width={x(EVENING[1]) - x(EVENING[0])}
        height={BOTTOM - TOP + 8}
        fill="var(--zone)"
      />
      {logTicks(...domain).map((tick) => (
        <g key={tick}>
          <line x1={4} x2={width - RIGHT} y1={y(tick)} y2={y(tick)} stroke="var(--rule)" />
          <text x={width - RIGHT + 5} y={y(tick) + 4}>
            {short(tick)}
          </text>
        </g>
      ))}
      {hours.map((h) => {
        const centre = x(h.hour + 0.5);
        return (
          <g key={h.hour}>
            {h.hour % every === 0 && (
              <text x={x(h.hour)} y={150} textAnchor={h.hour === 0 ? 'start' : 'middle'}>
                {String(h.hour).padStart(2, '0')}
              </text>
            )}
            {h.spread ? (
              <>
                <rect
                  x={centre - bar / 2}
                  y={y(h.spread.high)}
                  width={bar}
                  height={Math.max(2, y(h.spread.low) - y(h.spread.high))}
                  fill="var(--kelp)"
                  opacity={0.45}
                />
                <rect
                  x={centre - bar / 2 - 2}
                  y={y(h.spread.middle) - 2}
                  width={bar + 4}
                  height={4}
                  fill="var(--kelp)"
                />
              </>
            ) : (
              <line
                x1={centre - bar / 2}
                x2={centre + bar / 2}
                y1={BOTTOM}
                y2={BOTTOM}
                stroke="var(--ink2)"
                strokeDasharray="3 2"
              />
            )}
          </g>
        );
      })}
    </svg>
  );
}
