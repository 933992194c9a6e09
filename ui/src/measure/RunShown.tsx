import { Button } from 'antd';
import { Link } from 'react-router';
import { isOver, type Run, useCancelRun, usePlanUse } from '../data/measure';
import { RunCurve } from '../draw/RunCurve';
import { useWidth } from '../draw/useWidth';
import { fixed, short } from '../format/numbers';
import { Part } from '../parts/Sheet';

const BYTES_PER_MB = 1_000_000;

/** One run: its curve as it comes, what it has taken, and its numbers. */
export function RunShown({ run }: { run: Run }) {
  const [ref, width] = useWidth<HTMLDivElement>(700);
  const cancel = useCancelRun();
  const goesOn = !isOver(run);
  return (
    <Part
      title={goesOn ? 'The run as it comes' : 'The run'}
      small={`${run.kind} · ${run.setup} on ${run.carrier}${run.campsite === null ? '' : ` at ${run.campsite}`} · line: rate, bar: its median, dots: latency`}
    >
      <div ref={ref}>
        <RunCurve points={run.series} downMbps={run.downMbps} upMbps={run.upMbps} width={width} />
      </div>
      <p className="taken-so-far">
        {fixed(run.bytesUsed / BYTES_PER_MB, 1)} MB used{goesOn ? ' so far' : ''} in {fixed(run.seconds, 0)} s
        {!goesOn &&
          run.endedBecause !== null &&
          run.state === 'done' &&
          `; it stopped because ${run.endedBecause}`}
      </p>
      <PlanLeft carrier={run.carrier} />
      {goesOn && (
        <div className="buttons">
          <Button size="large" loading={cancel.isPending} onClick={() => cancel.mutate(run.id)}>
            Cancel
          </Button>
        </div>
      )}
    </Part>
  );
}

/** What runs have taken of the plan; nothing is said until it is known. */
export function PlanLeft({ carrier }: { carrier: string }) {
  const use = usePlanUse(carrier).data;
  return use ? <p className="small plan-left">{use.sentence}</p> : null;
}

/** What a run came to, in numbers. */
export function RunFigures({ run }: { run: Run }) {
  const rows = [
    { name: 'Upload', value: run.upMbps, unit: 'Mb/s', beside: flat(run.flat.up) },
    { name: 'Download', value: run.downMbps, unit: 'Mb/s', beside: flat(run.flat.down) },
    { name: 'Latency, alone', value: run.idleMs, unit: 'ms' },
    { name: 'Latency while uploading', value: run.upLoadedMs, unit: 'ms' },
    { name: 'Latency while downloading', value: run.downLoadedMs, unit: 'ms' },
    { name: 'Jitter', value: run.jitterMs, unit: 'ms' },
    { name: 'Loss', value: run.lossPct, unit: '%' },
  ].filter((row) => row.value !== null);
  return (
    <Part title="In numbers">
      <table className="plain">
        <tbody>
          {rows.map((row) => (
            <tr key={row.name}>
              <td>{row.name}</td>
              <td className="num">
                <b>{short(row.value)}</b> {row.unit}
              </td>
              <td className="small">{row.beside}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="small">
        {run.measurementId === null ? 'Not in the log.' : 'In the log.'} Measured with {run.server}.{' '}
        <Link to="/logbook">Back to the stays</Link>
      </p>
    </Part>
  );
}

const flat = (is: boolean | null) => (is ? 'hardly varied: maybe limited by the plan or the network' : '');
