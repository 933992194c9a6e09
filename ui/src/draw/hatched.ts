import type { HatchColour } from './Hatch';

/** Fill and outline of what is estimated. */
export const hatched = (colour: HatchColour) => ({
  fill: `url(#hatch-${colour})`,
  stroke: `var(--${colour})`,
});
