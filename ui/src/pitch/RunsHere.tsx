import { Segmented } from 'antd';
import { useState } from 'react';
import type { Schemas } from '../data/client';
import { useSetups } from '../data/names';
import { Part } from '../parts/Sheet';
import { SetupLabel } from '../draw/Pennant';
import { RunSeries } from '../draw/RunSeries';
import { useWidth } from '../draw/useWidth';
import { plain } from '../format/numbers';
import { weekdayClock } from '../format/time';

type Run = Schemas['LoggedMeasurement'];
const METRICS = {
  Upload: { field: 'upMbps', unit: 'Mb/s', log: true },
  Download: { field: 'downMbps', unit: 'Mb/s', log: true },
  RSRP: { field: 'rsrpDbm', unit: 'dBm', log: false },
} as const;
type Name = keyof typeof METRICS;

/** All runs of this stay over time. */
export function RunsHere({ runs, now }: { runs: Run[]; now: string }) {
  const [name, setName] = useState<Name>('Upload');
  const [ref, width] = useWidth<HTMLDivElement>(700);
  const setups = useSetups();
  const { field, unit, log } = METRICS[name];
  const pennants = new Map(setups.data?.map((s) => [s.name, s.pennant]));
  const shown = runs.filter((run) => run.outcome !== 'ok' || run[field] !== null);
  const used = setups.data?.filter((s) => shown.some((run) => run.setup === s.name)) ?? [];
  return (
    <Part
      title="At this stay"
      small={`${name === 'RSRP' ? name : name.toLowerCase()} in ${unit} · each pennant is one run · cross: failed`}
      actions={
        <Segmented size="small" options={Object.keys(METRICS) as Name[]} value={name} onChange={setName} />
      }
    >
      <div ref={ref} className="chart-scroll">
        <RunSeries
          runs={shown.map((run) => ({
            id: run.id,
            takenAt: run.takenAt,
            pennant: pennants.get(run.setup) ?? 0,
            value: run.outcome === 'ok' ? run[field] : null,
          }))}
          now={now}
          log={log}
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
                  {run.outcome === 'ok' ? plain(run[field]) : run.outcome.replace('_', ' ')}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </details>
    </Part>
  );
}
