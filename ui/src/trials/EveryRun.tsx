import type { Schemas } from '../data/client';
import { useTrialRuns } from '../data/trials';
import { Pennant } from '../draw/Pennant';
import { linear } from '../draw/scale';
import { fixed, short } from '../format/numbers';
import { Part } from '../parts/Sheet';

type Run = Schemas['TrialRun'];

const WIDTH = 132;
const HEIGHT = 44;
const S = 1_000;

/** The samples of every run that Syntoma made, on one scale: what a median hides is seen here. */
export function EveryRun({ campsite, trial }: { campsite: string; trial: string }) {
  const runs = useTrialRuns(campsite, trial).data ?? [];
  const fastest = Math.max(0.1, ...runs.flatMap((r) => r.rates.map((p) => p.mbps)));
  return runs.every((r) => r.rates.length === 0) ? null : (
    <Part title="Every run" small={`solid: download · dashed: upload · all up to ${short(fastest)} Mb/s`}>
      <div className="every-run">
        {runs.map((run) => (
          <figure key={run.measurement}>
            <figcaption className="small">
              <Pennant number={run.setup.pennant} /> {run.setup.name}, round {run.round ?? '–'}
            </figcaption>
            <Samples run={run} fastest={fastest} />
          </figure>
        ))}
      </div>
    </Part>
  );
}

function Samples({ run, fastest }: { run: Run; fastest: number }) {
  if (run.rates.length === 0) {
    return (
      <p className="small quiet">{run.outcome === 'ok' ? 'no samples' : run.outcome.replace('_', ' ')}</p>
    );
  }
  const end = Math.max(...run.rates.map((p) => p.atMs));
  const x = linear([0, end], [2, WIDTH - 2]);
  const y = linear([0, fastest], [HEIGHT - 2, 2]);
  const path = (phase: string) =>
    run.rates
      .filter((p) => p.phase === phase)
      .map((p, i) => `${i === 0 ? 'M' : 'L'}${x(p.atMs).toFixed(1)} ${y(p.mbps).toFixed(1)}`)
      .join('');
  return (
    <svg
      width={WIDTH}
      height={HEIGHT}
      role="img"
      aria-label={`${run.setup.name}, round ${run.round}: ${run.downMbps} Mb/s down, ${run.upMbps} Mb/s up, over ${fixed(end / S, 0)} s`}
    >
      <line x1={0} x2={WIDTH} y1={HEIGHT - 1} y2={HEIGHT - 1} stroke="var(--rule)" />
      <path d={path('down')} fill="none" stroke="var(--ink)" strokeWidth={1.5} />
      <path d={path('up')} fill="none" stroke="var(--ink)" strokeWidth={1.5} strokeDasharray="4 3" />
    </svg>
  );
}
