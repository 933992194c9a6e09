import { Button } from 'antd';
import { Link, useLocation } from 'react-router';
import { isOver, useRuns } from '../data/measure';
import { useNow } from '../data/now';
import { useReach } from '../data/reach';
import { useSending, useWaiting } from '../data/useQueue';
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
  const looks = waiting.filter((entry) => entry.refused || entry.beside).length;
  return (
    <div className="notices" role="status">
      {reach.is === 'away' && (
        <p>
          <b>Syntoma has not answered since {localClock(reach.since)}.</b> You read what was seen last; what
          you log waits on this device.
        </p>
      )}
      {newer && (
        <p>
          A newer Syntoma is running. What you have typed stays.{' '}
          <Button size="small" onClick={() => window.location.reload()}>
            Take it
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
