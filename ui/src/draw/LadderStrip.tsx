import { linear } from './scale';

export interface Ladder {
  label: string;
  unit: string;
  value: number;
  grade: string;
  spread: { low: number; median: number; high: number };
  usual: number | null;
  from: number;
  to: number;
  /** Where strong, good, fair and weak begin. */
  floors: number[];
}

const GRADES = ['none', 'weak', 'fair', 'good', 'strong'];
/** A letter is about as wide; a word that does not fit its zone is cut, except the grade's own. */
const LETTER = 7;
const CUT = 3;

/** A reading on the scale of its metric: latest solid, spread of the last readings as a bar, the usual value hollow. */
export function LadderStrip({ ladder, width }: { ladder: Ladder; width: number }) {
  const { from, to, value, spread, usual, label, unit, grade } = ladder;
  const x = linear([from, to], [0, width]);
  const held = (v: number) => Math.min(width - 3, Math.max(3, x(v)));
  const floors = [...ladder.floors].reverse();
  const zones = GRADES.map((word, i) => ({ word, low: floors[i - 1] ?? from, high: floors[i] ?? to }));
  const said = (word: string, room: number) =>
    word !== grade && word.length > CUT + 1 && word.length * LETTER > room ? `${word.slice(0, CUT)}.` : word;
  return (
    <svg
      width={width}
      height={40}
      role="img"
      aria-label={`${label} ${value} ${unit}, ${grade}`}
      className="ladder"
    >
      {zones.map(({ word, low, high }) => (
        <g key={word}>
          <rect x={x(low)} y={8} width={x(high) - x(low) - 2} height={15} fill="var(--zone)" />
          <text x={x(low) + 3} y={36} className={word === grade ? 'strong' : undefined}>
            {said(word, x(high) - x(low) - 3)}
          </text>
        </g>
      ))}
      <rect
        x={held(spread.low)}
        y={12}
        width={Math.max(0, held(spread.high) - held(spread.low))}
        height={7}
        fill="var(--kelp)"
        opacity={0.4}
      />
      {usual !== null && (
        <rect
          x={held(usual) - 2}
          y={6}
          width={4}
          height={19}
          fill="none"
          stroke="var(--ink2)"
          className="usual"
        />
      )}
      <rect x={held(value) - 2.5} y={4} width={5} height={23} fill="var(--kelp)" className="latest" />
    </svg>
  );
}
