import { useId } from 'react';
import { pennant } from './pennants';

/** A setup's pennant as part of a drawing, its middle at x, y. */
export function PennantMark({
  number,
  x,
  y,
  width = 20,
}: {
  number: number;
  x: number;
  y: number;
  width?: number;
}) {
  const clip = useId();
  const { outline, colour, ground, split } = pennant(number);
  const scale = width / 24;
  return (
    <g transform={`translate(${x - width / 2} ${y - 9 * scale}) scale(${scale})`}>
      <clipPath id={clip}>
        <path d={outline} />
      </clipPath>
      <path d={outline} fill={ground} />
      <path d={split} fill={colour} clipPath={`url(#${clip})`} />
      <path d={outline} fill="none" stroke="var(--ink)" strokeWidth={1.2 / Math.max(scale, 0.6)} />
    </g>
  );
}

/** A setup's pennant beside its name. */
export function Pennant({ number }: { number: number }) {
  return (
    <svg className="pennant" width="25" height="18" viewBox="0 0 25 18" aria-hidden="true">
      <PennantMark number={number} x={12} y={9} width={24} />
    </svg>
  );
}

/** Pennant and name. */
export function SetupLabel({ setup }: { setup: { name: string; pennant: number } }) {
  return (
    <span className="setup-label">
      <Pennant number={setup.pennant} /> {setup.name}
    </span>
  );
}
