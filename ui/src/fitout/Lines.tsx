import type { Assessment, RoofPlan } from '../data/fitout';
import { length, useUnits } from '../format/units';
import { laid, type Point, spotOf } from './drawn';

interface LineProps {
  plan: RoofPlan;
  assessment: Assessment;
  px: (p: Point) => Point;
}

const line = (points: Point[], px: LineProps['px']) =>
  laid(points)
    .map(px)
    .map((p) => `${p.x},${p.y}`)
    .join(' ');

/** The way of the leads, along the vehicle and across it; what the leads are too short for is dashed. */
export function Leads({ plan, assessment, px }: LineProps) {
  const { system } = useUnits();
  const from = spotOf(plan, 'antenna') ?? assessment.best[0];
  const device = spotOf(plan, 'device');
  if (!from || !device || !assessment.run) {
    return null;
  }
  const entry = spotOf(plan, 'entry');
  return (
    <polyline
      points={line([from, ...(entry ? [entry] : []), ...(plan.cable?.bends ?? []), device], px)}
      className={assessment.run.extensionM > 0 ? 'lead short' : 'lead'}
      role="img"
      aria-label={`Leads, ${length(Math.round(assessment.run.wantedM * 10) / 10, system)}`}
    />
  );
}

/** The wire from the battery to the router. */
export function Wire({ plan, assessment, px }: LineProps) {
  const { system } = useUnits();
  const source = spotOf(plan, 'source');
  const device = spotOf(plan, 'device');
  return source && device && assessment.fed ? (
    <polyline
      points={line([source, device], px)}
      className="wire"
      role="img"
      aria-label={`Supply, ${length(Math.round(assessment.fed.wayM * 10) / 10, system)} one way`}
    />
  ) : null;
}

/** Within how far a phone finds its level on the band that reaches least. */
export function Reach(props: {
  booster: NonNullable<RoofPlan['booster']>;
  boosted: NonNullable<Assessment['boosted']>;
  px: LineProps['px'];
  scale: number;
}) {
  const least = [...props.boosted.bands].sort((a, b) => a.radiusM - b.radiusM)[0];
  if (!least || least.radiusM === 0) {
    return null;
  }
  const at = props.px({ x: props.booster.insideX, y: props.booster.insideY });
  const radius = least.radiusM * props.scale;
  return (
    <g className="reach-of" clipPath="url(#on-roof)">
      <circle cx={at.x} cy={at.y} r={radius} />
      <text x={Math.max(props.px({ x: 0, y: 0 }).x + 4, at.x - radius + 5)} y={at.y - 14}>
        {least.band} reaches to here
      </text>
    </g>
  );
}
