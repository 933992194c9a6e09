import { hatched } from './hatched';
import { logarithmic } from './scale';

const HEIGHT = 16;

/** What a figure may come to, hatched, on a logarithmic scale; the tick is its middle. */
export function RangeBar(props: {
  low: number;
  middle: number;
  high: number;
  domain: [number, number];
  width: number;
  label: string;
}) {
  const { domain, width } = props;
  const x = logarithmic(domain, [2, width - 4]);
  const held = (v: number) => Math.min(width - 2, Math.max(2, x(Math.max(v, domain[0]))));
  return (
    <svg width={width} height={HEIGHT} role="img" aria-label={props.label}>
      <line x1={0} x2={width} y1={8} y2={8} stroke="var(--rule)" />
      <rect
        x={held(props.low)}
        y={3}
        width={Math.max(2, held(props.high) - held(props.low))}
        height={10}
        {...hatched('ink2')}
      />
      <rect x={held(props.middle) - 1.5} y={0} width={3} height={16} fill="var(--ink)" />
    </svg>
  );
}
