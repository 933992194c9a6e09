import './draw.css';
const COLOURS = ['kelp', 'rust', 'tide', 'ink2'] as const;
export type HatchColour = (typeof COLOURS)[number];

/** The hatchings of estimates; stands once in the page. */
export function HatchDefs() {
  return (
    <svg width="0" height="0" className="defs" aria-hidden="true">
      <defs>
        {COLOURS.map((colour) => (
          <pattern
            key={colour}
            id={`hatch-${colour}`}
            width="5"
            height="5"
            patternUnits="userSpaceOnUse"
            patternTransform="rotate(45)"
          >
            <rect width="1.8" height="5" fill={`var(--${colour})`} />
          </pattern>
        ))}
      </defs>
    </svg>
  );
}
