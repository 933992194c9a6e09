import type { Schemas } from '../data/client';
import { length, type System } from '../format/units';

type Place = Schemas['HolePlace'];

const WIDTH = 330;
const LEFT = 16;
const TOP = 30;
const LONGEST = WIDTH - 2 * LEFT;
const TEXT = 14;
const BESIDE = 14;

/** The roof from above with its front to the left, the hole on it, and what to measure to it from all four edges. */
export function HolePlace({ hole, system }: { hole: Place; system: System }) {
  const said = (m: number) => length(Math.round(m * 100) / 100, system);
  const long = hole.fromFrontM + hole.fromRearM;
  const wide = hole.fromLeftM + hole.fromRightM;
  const scale = LONGEST / long;
  const tall = Math.max(110, wide * scale);
  const x = LEFT + hole.fromFrontM * scale;
  const y = TOP + (hole.fromLeftM / wide) * tall;
  const right = LEFT + LONGEST;
  const bottom = TOP + tall;
  const room = x < WIDTH / 2;
  const across = (middle: number, m: number, name: string) => (
    <text
      x={room ? x + BESIDE : x - BESIDE}
      y={Math.min(bottom - 5, Math.max(TOP + TEXT, middle + 4))}
      textAnchor={room ? 'start' : 'end'}
    >
      {said(m)} {name}
    </text>
  );
  return (
    <svg
      className="hole-place"
      width={WIDTH}
      height={bottom + 2 * TEXT + 16}
      role="img"
      aria-label={`Where to drill, seen from above: ${said(hole.fromFrontM)} from the front, ${said(hole.fromRearM)} from the rear, ${said(hole.fromLeftM)} from the left, ${said(hole.fromRightM)} from the right`}
    >
      <text x={LEFT} y={TEXT}>
        {said(hole.fromFrontM)} from the front
      </text>
      <text x={right} y={TEXT} textAnchor="end">
        {said(hole.fromRearM)} from the rear
      </text>
      <path
        d={`M${LEFT} ${TOP - 8}H${x}M${LEFT} ${TOP - 12}v8M${x} ${TOP - 12}v8M${x} ${TOP - 8}H${right}M${right} ${TOP - 12}v8`}
        stroke="var(--ink)"
        fill="none"
      />
      <rect x={LEFT} y={TOP} width={LONGEST} height={tall} fill="var(--paper)" stroke="var(--ink)" />
      <path d={`M${x} ${TOP}V${bottom}`} stroke="var(--rule)" strokeDasharray="4 3" />
      <path d={`M${LEFT} ${y}H${right}`} stroke="var(--rule)" strokeDasharray="4 3" />
      {across((TOP + y) / 2, hole.fromLeftM, 'from the left')}
      {across((y + bottom) / 2, hole.fromRightM, 'from the right')}
      <circle cx={x} cy={y} r={6} fill="none" stroke="var(--kelp)" strokeWidth={2} />
      <path d={`M${x - 10} ${y}h20M${x} ${y - 10}v20`} stroke="var(--kelp)" strokeWidth={2} />
      <text x={LEFT} y={bottom + TEXT + 4}>
        front is left; corner to hole {said(hole.diagonalM)}
      </text>
      <text x={LEFT} y={bottom + 2 * TEXT + 8}>
        inside: {said(hole.insideFrontM)} from the front wall, {said(hole.insideLeftM)} from the left
      </text>
    </svg>
  );
}
