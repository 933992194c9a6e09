import { Button } from 'antd';
import type { Schemas } from '../data/client';
import type { RunSheet } from '../data/design';
import { useCancelRun } from '../data/measure';
import { count, fixed, short } from '../format/numbers';
import type { useVisit } from './useVisit';

const BYTES_PER_MB = 1e6;
const S_PER_MIN = 60;

/** What is to be done at this moment of a visit. */
export function StepNow(props: {
  sheet: RunSheet;
  visit: Schemas['VisitView'];
  leading: ReturnType<typeof useVisit>;
}) {
  const { sheet, visit } = props;
  const { doing, made, stands, measure, confirm, back } = props.leading;
  const cancel = useCancelRun();
  switch (doing.is) {
    case 'changing':
      return (
        <>
          <Moves visit={visit} />
          <p className="then">
            {visit.settleS > 0 && (
              <>
                <b>Then wait {visit.settleS} s.</b>{' '}
              </>
            )}
            {count(sheet.runs - made, 'run')} start{sheet.runs - made === 1 ? 's' : ''} automatically: about{' '}
            {fixed((sheet.runs - made) * sheet.minutesOfRun * S_PER_MIN, 0)} s.
          </p>
          <Button type="primary" size="large" onClick={stands}>
            {visit.settleS > 0 ? 'Done, start the wait' : 'Start the run'}{' '}
            <kbd aria-hidden="true" className="wide-only">
              Enter
            </kbd>
          </Button>
        </>
      );
    case 'settling':
      if (doing.leftS === 0) {
        return <p className="step-number">The router is asked whether this is it.</p>;
      }
      return (
        <>
          <p className="step-number">
            <b>{doing.leftS}</b> s
          </p>
          <p>until it has settled: the device finds its cells again.</p>
          {doing.says.map((say) => (
            <p className="caution" role="alert" key={say}>
              {say}
            </p>
          ))}
          <div className="buttons">
            <Button size="large" onClick={measure}>
              Skip the wait
            </Button>
            <Button size="large" type="text" onClick={back}>
              Not ready yet
            </Button>
          </div>
        </>
      );
    case 'asking':
      return (
        <>
          {doing.says.map((say) => (
            <p className="step-move" role="alert" key={say}>
              {say}
            </p>
          ))}
          <p>Nothing was measured yet. It continues as soon as the router reports what it should.</p>
          <div className="buttons">
            <Button type="primary" size="large" onClick={back}>
              Not ready yet
            </Button>
            <Button size="large" onClick={confirm}>
              It is right, measure now
            </Button>
          </div>
        </>
      );
    case 'waiting-for-another':
      return (
        <>
          <p>The other device starts each run automatically. If it is gone, start the runs from this one.</p>
          <Button type="primary" size="large" onClick={measure}>
            Measure from here
          </Button>
        </>
      );
    case 'unanswered':
      return (
        <p role="alert">Syntoma does not answer. The run starts as soon as it does: keep this page open.</p>
      );
    case 'ready':
      return (
        <>
          <p>A run of this step was deleted, or was not logged. Is everything still as it was?</p>
          <Again label="Measure now" measure={measure} back={back} />
        </>
      );
    case 'measuring':
      return (
        <>
          <p className="step-number">
            <b>{short(doing.run.series.findLast((p) => p.mbps !== null)?.mbps)}</b> Mb/s{' '}
            {doing.run.state === 'up' ? 'up' : 'down'}
          </p>
          <p>
            Run {made + 1} of {sheet.runs}; {fixed(doing.run.bytesUsed / BYTES_PER_MB, 1)} MB used.
          </p>
          <Button size="large" loading={cancel.isPending} onClick={() => cancel.mutate(doing.run.id)}>
            Cancel
          </Button>
        </>
      );
    case 'stopped':
      return (
        <>
          <p className="loss">The run was not logged{doing.why ? `: ${doing.why}` : ''}.</p>
          <Again label="Measure it again" measure={measure} back={back} />
        </>
      );
  }
}

/** Measures once more, or goes back to what is changed before it. */
function Again(props: { label: string; measure: () => void; back: () => void }) {
  return (
    <div className="buttons">
      <Button type="primary" size="large" onClick={props.measure}>
        {props.label}
      </Button>
      <Button size="large" type="text" onClick={props.back}>
        Back to the set-up
      </Button>
    </div>
  );
}

/** What to do, each with what to watch out for; and that the rest stays. One alone is the headline. */
function Moves({ visit }: { visit: Schemas['VisitView'] }) {
  if (visit.moves.length === 0) {
    return null;
  }
  return (
    <>
      {visit.moves.length > 1 ? (
        <ol className="step-moves">
          {visit.moves.map((move) => (
            <li key={move.says}>
              <span className="step-move">{move.says}</span>
              {move.caution && <span className="caution">{move.caution}</span>}
            </li>
          ))}
        </ol>
      ) : (
        visit.moves[0]?.caution && <p className="caution">{visit.moves[0].caution}</p>
      )}
      <p className="step-move">Leave everything else as it is.</p>
    </>
  );
}
