import { effect } from '../format/numbers';
import { hatched } from './hatched';
import { linear } from './scale';

/** A gain in dB: what is predicted hatched, what was measured solid; what is missing is not drawn. */
export interface Gain {
  predictedDb: number | null;
  halfWidthDb: number;
  estimateDb: number | null;
  lowDb: number | null;
  highDb: number | null;
  fallsShort: boolean;
}

const HEIGHT = 40;

/** Limits of an axis that holds all gains, with nought on it. */
export function gainDomain(gains: Gain[]): [number, number] {
  const ends = gains.flatMap((g) => [
    ...(g.predictedDb === null ? [] : [g.predictedDb - g.halfWidthDb, g.predictedDb + g.halfWidthDb]),
    ...[g.lowDb, g.highDb, g.estimateDb].filter((v) => v !== null),
  ]);
  const step = 5;
  return [
    Math.floor(Math.min(0, ...ends) / step) * step - step,
    Math.ceil(Math.max(0, ...ends) / step) * step + step,
  ];
}

/** Above, the prediction as a hatched bar; beneath, the measured interval as a line with a solid tick. */
export function GainBar(props: { gain: Gain; domain: [number, number]; width: number; label: string }) {
  const { gain, domain, width, label } = props;
  const x = linear(domain, [6, width - 6]);
  const tone = gain.fallsShort ? 'rust' : 'kelp';
  const says = [
    gain.predictedDb === null ? 'nothing predicted' : `predicted about ${effect(gain.predictedDb, 'dB')}`,
    gain.estimateDb === null ? 'not measured' : `measured ${effect(gain.estimateDb, 'dB')}`,
  ];
  return (
    <svg width={width} height={HEIGHT} role="img" aria-label={`${label}: ${says.join(', ')}`}>
      <line x1={x(0)} x2={x(0)} y1={0} y2={HEIGHT} stroke="var(--ink2)" strokeWidth={0.8} />
      {gain.predictedDb !== null && (
        <rect
          x={x(gain.predictedDb - gain.halfWidthDb)}
          y={5}
          width={Math.max(2, x(gain.predictedDb + gain.halfWidthDb) - x(gain.predictedDb - gain.halfWidthDb))}
          height={12}
          {...hatched('kelp')}
        />
      )}
      {gain.lowDb !== null && gain.highDb !== null && (
        <rect
          x={x(gain.lowDb)}
          y={27}
          width={Math.max(2, x(gain.highDb) - x(gain.lowDb))}
          height={4}
          fill={`var(--${tone})`}
        />
      )}
      {gain.estimateDb !== null && (
        <rect
          x={x(gain.estimateDb) - 2.5}
          y={21}
          width={5}
          height={16}
          fill={gain.lowDb === null ? 'var(--sheet)' : `var(--${tone})`}
          stroke={gain.lowDb === null ? 'var(--ink2)' : 'none'}
        />
      )}
    </svg>
  );
}

/** The axis beneath gain bars. */
export function GainAxis({ domain, width }: { domain: [number, number]; width: number }) {
  const x = linear(domain, [6, width - 6]);
  return (
    <svg width={width} height={16} aria-hidden="true" className="axis">
      <text x={0} y={12}>
        {effect(domain[0], 'dB')}
      </text>
      <text x={x(0)} y={12} textAnchor="middle">
        0
      </text>
      <text x={width} y={12} textAnchor="end">
        {effect(domain[1], 'dB')}
      </text>
    </svg>
  );
}
