import { hatched } from './hatched';
import { linear } from './scale';

const HEIGHT = 20;

/** A share of runs: predicted hatched up to its end; what was measured a line with a solid tick. */
export function ChanceBar(props: {
  chance: number;
  here: { runs: number; met: number; low: number; high: number } | null;
  width: number;
}) {
  const { chance, here, width } = props;
  const x = linear([0, 1], [1, width - 4]);
  const says = `predicted ${Math.round(chance * 100)} %`;
  const measured = here ? `, measured ${here.met} of ${here.runs}` : '';
  return (
    <svg width={width} height={HEIGHT} role="img" aria-label={says + measured}>
      <rect x={x(0)} y={3} width={x(1) - x(0)} height={12} fill="none" stroke="var(--rule)" />
      <rect x={x(0)} y={3} width={Math.max(1, x(chance) - x(0))} height={12} {...hatched('kelp')} />
      {here && (
        <>
          <rect
            x={x(here.low)}
            y={8}
            width={Math.max(2, x(here.high) - x(here.low))}
            height={2.5}
            fill="var(--ink)"
          />
          <rect x={x(here.met / here.runs) - 2} y={0} width={4} height={18} fill="var(--ink)" />
        </>
      )}
    </svg>
  );
}
