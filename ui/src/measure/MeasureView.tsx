import { type ReactNode, useEffect, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { isOver, type Run, useRun, useRuns, useSpeedServer } from '../data/measure';
import { useRouter } from '../data/live';
import { useStanding } from '../data/names';
import { both, stateOf } from '../data/state';
import { Failed, Loaded } from '../parts/Loaded';
import { Part, Sheet } from '../parts/Sheet';
import { short } from '../format/numbers';
import { BrowserRun } from './BrowserRun';
import { RouterForm } from './RouterForm';
import { RunFigures, RunShown } from './RunShown';
import { ServerForm } from './ServerForm';
import { StartRun } from './StartRun';
import { useBroughtHome } from './useBroughtHome';
import './measure.css';

/** Measures: asks what kind of run, shows it as it comes, and says what it came to. */
export function MeasureView() {
  const [search, setSearch] = useSearchParams();
  const server = useSpeedServer();
  const standing = useStanding();
  const runs = useRuns();
  const router = useRouter().data;
  const latest = runs.data?.[0];
  const asked = Number(search.get('run')) || null;
  const going = latest && !isOver(latest) && !latest.inBrowser ? latest.id : null;
  const id = asked ?? going;
  // a run that is found going on stays on the page when it is over
  useEffect(() => {
    if (asked === null && going !== null) {
      setSearch({ run: String(going) }, { replace: true });
    }
  }, [asked, going, setSearch]);
  const shown = useRun(id).data;
  const home = useBroughtHome(shown);
  const goesOn = shown !== undefined && !isOver(shown);
  const waits = goesOn && shown.inBrowser;
  const isSet = server.data?.address != null;
  // the form that it was set with stays, with what trying it came to
  const [asksServer, setAsksServer] = useState(false);
  return (
    <Sheet
      title="Measure"
      over={<Link to="/tonight">Tonight</Link>}
      headline={headline(shown, isSet, server.data !== undefined)}
      margin={
        <>
          {router && (
            <Part title="Router">
              <Folded address={router.address}>
                <RouterForm router={router} />
              </Folded>
            </Part>
          )}
          {server.data?.address != null && !asksServer && (
            <Part title="Speed server">
              <Folded address={server.data.address}>
                <ServerForm server={server.data} />
              </Folded>
            </Part>
          )}
          <LatestRuns runs={runs.data} />
        </>
      }
    >
      <Loaded state={both(stateOf(server), stateOf(standing))}>
        {([at, line]) => (
          <>
            {home.error && <Failed error={home.error} again={home.again} />}
            {shown && (waits ? <BrowserRun run={shown} /> : <RunShown run={shown} />)}
            {at.address !== null && !goesOn && <StartRun line={line} again={shown !== undefined} />}
            {shown && !goesOn && <RunFigures run={shown} />}
            {(at.address === null || asksServer) && (
              <Part title="Speed server">
                <ServerForm server={at} used={() => setAsksServer(true)} />
              </Part>
            )}
          </>
        )}
      </Loaded>
    </Sheet>
  );
}

/** What is set stands out of the way; what is set only now stays open, with what trying it came to. */
function Folded({ address, children }: { address: string | null; children: ReactNode }) {
  const [open] = useState(address === null);
  return (
    <details className="numbers" open={open}>
      <summary>{address ?? 'not connected yet'}</summary>
      {children}
    </details>
  );
}

function headline(run: Run | undefined, isSet: boolean, known: boolean) {
  if (!run) {
    return isSet || !known
      ? 'Measure what is up now.'
      : 'Enter the speed server’s address once; after that a run takes one key.';
  }
  if (run.sentence !== null) {
    return `${run.setup}: ${run.sentence.charAt(0).toLowerCase()}${run.sentence.slice(1)}`;
  }
  switch (run.state) {
    case 'waiting':
      return run.inBrowser
        ? `${run.setup} waits for the browser that measures it.`
        : `Measuring ${run.setup}: latency.`;
    case 'cancelled':
      return 'Cancelled; nothing was logged.';
    case 'down':
      return `Measuring ${run.setup}: ${now(run)} Mb/s down.`;
    case 'up':
      return `Measuring ${run.setup}: ${now(run)} Mb/s up.`;
    default:
      return `Measuring ${run.setup}: latency.`;
  }
}

const now = (run: Run) => short(run.series.findLast((p) => p.mbps !== null && p.phase === run.state)?.mbps);

function LatestRuns({ runs }: { runs: Run[] | undefined }) {
  if (!runs || runs.length === 0) {
    return null;
  }
  return (
    <Part title="Latest runs">
      {runs.slice(0, 5).map((run) => (
        <div className="note" key={run.id}>
          <Link to={`/measure?run=${run.id}`}>
            {run.setup}, {run.carrier}
          </Link>
          : {outcome(run)}
        </div>
      ))}
    </Part>
  );
}

function outcome(run: Run) {
  if (run.state !== 'done') {
    return isOver(run) ? run.state : run.inBrowser ? 'waits for its browser' : 'goes on';
  }
  const rates = [
    run.upMbps === null ? null : `${short(run.upMbps)} Mb/s up`,
    run.downMbps === null ? null : `${short(run.downMbps)} Mb/s down`,
  ].filter(Boolean);
  return rates.join(', ') || `${short(run.idleMs)} ms`;
}
