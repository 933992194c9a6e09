import { Button } from 'antd';
import { Link, useLocation } from 'react-router';
import { isOver, useRuns } from '../data/measure';
import { useNetwork } from '../data/access';
import { useNow } from '../data/now';
import { useReach } from '../data/reach';
import { useLasting, useSending, useWaiting } from '../data/useQueue';
import { count } from '../format/numbers';
import { localClock } from '../format/time';

/** What has to be known on every view: whether the server answers, what waits to be sent, whether a newer page is there. */
export function Notices() {
  const reach = useReach();
  const { newer } = useNow();
  const waiting = useWaiting();
  useSending();
  const run = useRuns().data?.[0];
  const { pathname } = useLocation();
  const lasting = useLasting();
  const network = useNetwork().data;
  const asking =
    network?.here && network.served ? network.networks.find((n) => n.up && n.served === null) : undefined;
  const looks = waiting.filter((entry) => entry.refused || entry.beside || entry.failed).length;
  return (
    <div className="notices" role="status">
      {reach.is === 'away' && (
        <p>
          <b>Syntoma has not answered since {localClock(reach.since)}.</b> You read what was seen last; what
          you log waits on this device.
        </p>
      )}
      {!lasting && (
        <p className="attention">
          <b>This browser cannot save on this device</b> (a private window, or its storage is full).{' '}
          {reach.is === 'away' || waiting.length > 0
            ? 'What you log now is lost when you close this page. Leave it open until Syntoma answers, or write it down.'
            : 'While Syntoma is reachable, everything is saved there. If it stops answering, what you log is lost when you close this page.'}
        </p>
      )}
      {asking && pathname !== '/devices' && (
        <p>
          This machine is on a new network: {asking.name}.{' '}
          <Link to="/devices">Say whether Syntoma may answer there</Link>
        </p>
      )}
      {newer && (
        <p>
          A newer version of Syntoma is running. What you typed is kept.{' '}
          <Button size="small" onClick={() => window.location.reload()}>
            Open
          </Button>
        </p>
      )}
      {run && !isOver(run) && pathname !== '/measure' && (
        <p>
          <Link to={`/measure?run=${run.id}`}>A run of {run.setup} goes on</Link>
        </p>
      )}
      {waiting.length > 0 && (
        <p>
          <Link to="/logbook?part=waiting">
            {looks > 0
              ? `${count(looks, 'measurement')} of this device ${looks === 1 ? 'needs' : 'need'} a look`
              : `${count(waiting.length, 'measurement')} ${waiting.length === 1 ? 'waits' : 'wait'} to be sent`}
          </Link>
        </p>
      )}
    </div>
  );
}
