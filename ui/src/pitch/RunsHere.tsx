import { useState } from 'react';
import type { Schemas } from '../data/client';
import { useFigures } from '../data/log';
import { useSetups } from '../data/names';
import { Part } from '../parts/Sheet';
import { SetupLabel } from '../draw/Pennant';
import { RunSeries } from '../draw/RunSeries';
import { useWidth } from '../draw/useWidth';
import { plain } from '../format/numbers';
import { weekdayClock } from '../format/time';

type Run = Schemas['LoggedMeasurement'];

/** All runs of this stay over time, on one of the metrics that they have. */
export function RunsHere({ runs, metrics, now }: { runs: Run[]; metrics: string[]; now: string }) {
  const [chosen, setChosen] = useState<string>();
  const [ref, width] = useWidth<HTMLDivElement>(700);
  const setups = useSetups();
  const figures = useFigures().data ?? [];
  const offered = metrics.flatMap((field) => figures.filter((f) => f.field === field));
  const figure = offered.find((f) => f.field === chosen) ?? offered[0];
  const value = (run: Run) => (figure ? (run[figure.field as keyof Run] as number | null) : null);
  const name = figure?.label ?? 'Runs';
  const unit = figure?.unit ?? '';
  const pennants = new Map(setups.data?.map((s) => [s.name, s.pennant]));
  const shown = runs.filter((run) => run.outcome !== 'ok' || value(run) !== null);
  const used = setups.data?.filter((s) => shown.some((run) => run.setup === s.name)) ?? [];
  return (
    <Part
      title="At this stay"
      small={`${figure ? `in ${unit} · ` : ''}each pennant is one run · cross: failed`}
      actions={
        figure && (
          <select
            className="pick"
            aria-label="Metric of the runs"
            value={figure.field}
            onChange={(event) => setChosen(event.target.value)}
          >
            {offered.map((f) => (
              <option key={f.field} value={f.field}>
                {f.label}
              </option>
            ))}
          </select>
        )
      }
    >
      <div ref={ref} className="chart-scroll" role="group" aria-label="The runs, drawn" tabIndex={0}>
        <RunSeries
          runs={shown.map((run) => ({
            id: run.id,
            takenAt: run.takenAt,
            pennant: pennants.get(run.setup) ?? 0,
            value: run.outcome === 'ok' ? value(run) : null,
          }))}
          now={now}
          log={figure?.scale === 'ratio'}
          width={width}
          label={`${name} of ${shown.length} runs at this stay`}
        />
      </div>
      <div className="small">
        {used.map((setup) => (
          <span key={setup.id}>
            <SetupLabel setup={setup} />
            {'   '}
          </span>
        ))}
      </div>
      <details className="numbers">
        <summary>Numbers as a table</summary>
        <table className="plain">
          <thead>
            <tr>
              <th>Taken</th>
              <th>Setup</th>
              <th>Carrier</th>
              <th className="num">
                {name}, {unit}
              </th>
            </tr>
          </thead>
          <tbody>
            {shown.toReversed().map((run) => (
              <tr key={run.id}>
                <td>{weekdayClock(run.takenAt)}</td>
                <td>{run.setup}</td>
                <td>{run.carrier}</td>
                <td className="num">
                  {run.outcome === 'ok' ? plain(value(run)) : run.outcome.replace('_', ' ')}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </details>
    </Part>
  );
}
