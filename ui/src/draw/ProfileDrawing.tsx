import { fixed } from '../format/numbers';
import { shownUnit, useUnits } from '../format/units';
import { linear, linearTicks } from './scale';

const TOP = 14;
const BOTTOM = 170;
const LEFT = 44;

/** The ground between two antennas: the line of sight, the first Fresnel zone shaded about it, and the ground as it was sketched. */
export function ProfileDrawing(props: {
  profile: { km: number[]; groundM: number[]; fromM: number; toM: number; fresnelM: number[] };
  width: number;
  label: string;
}) {
  const { system } = useUnits();
  const along = shownUnit('km', system);
  const up = shownUnit('m', system);
  const distances = props.profile.km.map(along.shown);
  const ground = props.profile.groundM.map(up.shown);
  const fresnel = props.profile.fresnelM.map(up.shown);
  const [from, to] = [up.shown(props.profile.fromM), up.shown(props.profile.toM)];
  const last = distances.at(-1) ?? 1;
  const line = (d: number) => from + ((to - from) * d) / last;
  const low = Math.min(...ground, ...distances.map((d, i) => line(d) - (fresnel[i] ?? 0)));
  const high = Math.max(...ground, ...distances.map((d, i) => line(d) + (fresnel[i] ?? 0)));
  const x = linear([0, last], [LEFT, props.width - 10]);
  const y = linear([low, Math.max(high, low + 1)], [BOTTOM, TOP]);
  const path = (points: [number, number][]) =>
    points.map(([d, h], i) => `${i === 0 ? 'M' : 'L'}${x(d).toFixed(1)} ${y(h).toFixed(1)}`).join('');
  const zone = (sign: number) =>
    distances.map((d, i): [number, number] => [d, line(d) + sign * (fresnel[i] ?? 0)]);
  return (
    <svg width={props.width} height={200} role="img" aria-label={props.label} className="profile">
      {linearTicks(low, high, 4).map((tick) => (
        <g key={tick}>
          <line x1={LEFT} x2={props.width - 10} y1={y(tick)} y2={y(tick)} stroke="var(--rule)" />
          <text x={LEFT - 5} y={y(tick) + 4} textAnchor="end">
            {fixed(tick, 0)} {up.unit}
          </text>
        </g>
      ))}
      <path
        d={`${path(zone(1))}${path(zone(-1).reverse()).replace('M', 'L')}Z`}
        fill="var(--zone)"
        stroke="var(--rule)"
      />
      <path
        d={`${path(distances.map((d, i) => [d, ground[i] ?? 0]))}L${x(last)} ${BOTTOM}L${x(0)} ${BOTTOM}Z`}
        fill="var(--ochre-fill, var(--ochre))"
        fillOpacity={0.35}
        stroke="var(--ink)"
      />
      <line x1={x(0)} x2={x(last)} y1={y(from)} y2={y(to)} stroke="var(--kelp)" strokeWidth={1.6} />
      {linearTicks(0, last, 5).map((tick) => (
        <text
          key={tick}
          x={x(tick)}
          y={192}
          textAnchor={tick === 0 ? 'start' : x(tick) > props.width - 40 ? 'end' : 'middle'}
        >
          {fixed(tick, last < 5 ? 1 : 0)} {along.unit}
        </text>
      ))}
    </svg>
  );
}
