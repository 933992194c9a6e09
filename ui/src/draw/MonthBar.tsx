import { fixed } from '../format/numbers';
import { hatched } from './hatched';
import { linear } from './scale';

const HEIGHT = 58;
const TOP = 16;
const THICK = 16;

/** A month of a plan as a bar: what was counted is solid, what is about is hatched, the rest is hollow; where today stands, and the forecast. */
export function MonthBar(props: {
  width: number;
  allowance: number | null;
  runs: number;
  logged: number;
  rest: number | null;
  /** Whether the rest is calculated on from an older reading of the counter. */
  restIsAbout: boolean;
  forecast: number | null;
  /** How much of the month has passed, 0 to 1. */
  passed: number;
  label: string;
}) {
  const { width, allowance, runs, logged, rest, forecast } = props;
  const used = runs + logged + (rest ?? 0);
  const most = Math.max(allowance ?? 0, used, forecast ?? 0, 0.1) * 1.04;
  const x = linear([0, most], [1, width - 1]);
  const end = allowance ?? most;
  return (
    <svg width={width} height={HEIGHT} role="img" aria-label={props.label} className="month-bar">
      <rect
        x={x(0)}
        y={TOP}
        width={x(end) - x(0)}
        height={THICK}
        fill="none"
        stroke="var(--ink2)"
        strokeDasharray="3 3"
      />
      <rect x={x(0)} y={TOP} width={x(runs) - x(0)} height={THICK} fill="var(--kelp)" />
      <rect x={x(runs)} y={TOP} width={x(runs + logged) - x(runs)} height={THICK} {...hatched('kelp')} />
      {rest !== null && (
        <rect
          x={x(runs + logged)}
          y={TOP}
          width={x(used) - x(runs + logged)}
          height={THICK}
          {...(props.restIsAbout ? hatched('tide') : { fill: 'var(--tide)' })}
        />
      )}
      {allowance !== null && (
        <>
          <line
            x1={x(props.passed * end)}
            x2={x(props.passed * end)}
            y1={TOP - 5}
            y2={TOP + THICK + 5}
            stroke="var(--ink)"
          />
          <text
            x={x(props.passed * end)}
            y={TOP - 6}
            textAnchor={props.passed > 0.85 ? 'end' : props.passed < 0.12 ? 'start' : 'middle'}
          >
            even use until today
          </text>
          <text x={x(allowance)} y={HEIGHT - 4} textAnchor="end">
            {fixed(allowance, 0)} GB
          </text>
        </>
      )}
      {forecast !== null && (
        <>
          <rect x={x(forecast) - 2} y={TOP - 3} width={4} height={THICK + 6} {...hatched('rust')} />
          <text
            x={x(forecast)}
            y={HEIGHT - 4}
            textAnchor={forecast / most > 0.75 ? 'end' : forecast / most < 0.1 ? 'start' : 'middle'}
            className={allowance !== null && Math.abs(x(forecast) - x(allowance)) < 130 ? 'under' : undefined}
          >
            about {fixed(forecast, 0)} GB at this rate
          </text>
        </>
      )}
    </svg>
  );
}
