import type { Assessment, RoofPlan } from '../data/fitout';
import { hatched } from '../draw/hatched';
import { height, type System } from '../format/units';

const ROOM = 16;
const HEIGHT = 190;
const WHEEL_M = 0.35;

/** The vehicle from its left side: what stands how high, and the most it may be high while it drives. */
export function SideDrawing(props: {
  plan: RoofPlan;
  assessment: Assessment;
  width: number;
  system: System;
  hidden: ReadonlySet<string>;
}) {
  const { plan, assessment, width, system } = props;
  const antenna = plan.antenna;
  const place = assessment.here ?? assessment.best[0] ?? null;
  const mast = plan.mast;
  const top = Math.max(
    assessment.limitM,
    mast?.raisedM ?? 0,
    assessment.heightM + Math.max(0.3, ...plan.things.map((t) => t.heightM ?? 0), antenna?.heightM ?? 0),
  );
  const scale = (HEIGHT - 2 * ROOM) / top;
  const along = (width - 2 * ROOM) / (assessment.lengthM * 1.35);
  const nose = ROOM + assessment.lengthM * 0.32 * along;
  const y = (m: number) => HEIGHT - ROOM - m * scale;
  const x = (m: number) => nose + m * along;
  const roof = y(assessment.heightM);
  const floor = y(WHEEL_M);
  const trailer = plan.shape === 'trailer';
  const said = (m: number) => height(m, system);
  /** A mast is at the rear, where a ladder or a hitch carries it. */
  const foot = x(assessment.lengthM * 0.97);
  const over = antenna !== null && assessment.heightM + antenna.heightM > assessment.limitM;
  return (
    <svg
      width={width}
      height={HEIGHT}
      className="roof side"
      role="img"
      aria-label={`From the side: ${said(assessment.heightM)} high, at most ${said(assessment.limitM)} while driving`}
    >
      <line x1={ROOM} x2={width - ROOM} y1={y(0)} y2={y(0)} className="ground" />
      <path
        d={
          trailer
            ? `M${x(0)} ${floor}V${roof}H${x(assessment.lengthM)}V${floor}ZM${x(0)} ${floor}L${ROOM + 20} ${floor}`
            : `M${ROOM} ${floor}V${y(assessment.heightM * 0.45)}L${ROOM + (nose - ROOM) * 0.45} ${y(assessment.heightM * 0.52)}L${nose} ${roof}H${x(assessment.lengthM)}V${floor}Z`
        }
        className="outline"
      />
      {(trailer ? [0.55] : [0.02, 0.78]).map((at) => (
        <circle
          key={at}
          cx={x(assessment.lengthM * at)}
          cy={y(WHEEL_M)}
          r={WHEEL_M * scale}
          className="wheel"
        />
      ))}
      {plan.things
        .filter((t) => !props.hidden.has(t.kind))
        .map((t, i) => (
          <rect
            key={i}
            x={x(t.x)}
            y={roof - (t.heightM ?? 0.1) * scale}
            width={t.lengthM * along}
            height={(t.heightM ?? 0.1) * scale}
            className="thing"
          />
        ))}
      {antenna && place && (
        <rect
          x={x(place.x) - Math.max(3, (antenna.lengthM * along) / 2)}
          y={roof - Math.max(2, antenna.heightM * scale)}
          width={Math.max(6, antenna.lengthM * along)}
          height={Math.max(2, antenna.heightM * scale)}
          className={over ? 'antenna over' : 'antenna'}
          style={assessment.here ? undefined : hatched(over ? 'rust' : 'kelp')}
        />
      )}
      {mast?.raisedM != null && (
        <g>
          <line x1={foot} x2={foot} y1={roof} y2={y(mast.raisedM)} className="mast" />
          <rect
            x={foot - 4}
            y={y(mast.raisedM)}
            width={8}
            height={Math.max(8, 0.4 * scale)}
            className="antenna"
          />
          <text x={foot - 8} y={y(mast.raisedM) + 10} textAnchor="end">
            parked: {said(mast.raisedM)}
          </text>
        </g>
      )}
      {mast?.laidM != null && (
        <g>
          <line
            x1={x(assessment.lengthM * 0.45)}
            x2={foot}
            y1={roof - mast.laidM * scale}
            y2={roof - mast.laidM * scale}
            className={assessment.heightM + mast.laidM > assessment.limitM ? 'mast laid over' : 'mast laid'}
          />
          <text x={x(assessment.lengthM * 0.45)} y={roof - mast.laidM * scale - 4}>
            driving: {said(assessment.heightM + mast.laidM)}
          </text>
        </g>
      )}
      <line
        x1={ROOM}
        x2={width - ROOM}
        y1={y(assessment.limitM)}
        y2={y(assessment.limitM)}
        className="limit"
      />
      <text x={width - ROOM} y={y(assessment.limitM) - 4} textAnchor="end">
        at most {said(assessment.limitM)} while driving
      </text>
      <text x={x(assessment.lengthM) - 6} y={roof + 16} textAnchor="end">
        {said(assessment.heightM)}
      </text>
    </svg>
  );
}
