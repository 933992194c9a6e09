import { Button } from 'antd';
import { Link } from 'react-router';
import { useLogOut } from '../data/access';
import { useWaiting } from '../data/useQueue';
import { forgetWhatWasSeen } from '../data/seen';
import { Part } from '../parts/Sheet';
import { useAwake } from '../parts/useAwake';
import { useDeviceName } from './deviceName';
import { useFailed } from '../parts/useFailed';

/** What this device itself can do: stay awake, be at hand without the server, go. */
export function ThisDevice({ served }: { served: boolean }) {
  const [name] = useDeviceName();
  const awake = useAwake();
  const waiting = useWaiting();
  const logOut = useLogOut();
  const failed = useFailed();
  const atHand = navigator.serviceWorker?.controller !== null && navigator.serviceWorker !== undefined;
  return (
    <>
      <Part title="This device" small={name}>
        {awake.possible && (
          <div className="buttons">
            <Button onClick={awake.toggle} aria-pressed={awake.on}>
              {awake.on ? 'Let the screen sleep' : 'Keep the screen awake'}
            </Button>
          </div>
        )}
        <p className="small">
          {atHand
            ? 'Tonight, your latest stays and trials also work without the server. What you log then is sent later.'
            : 'This browser does not trust the certificate, so the page opens only while Syntoma is reachable. What you log in between waits here.'}
        </p>
        <p>
          {waiting.length > 0 ? (
            <Link to="/logbook?part=waiting">{waiting.length} measured here and not sent yet</Link>
          ) : (
            'Nothing waits to be sent.'
          )}
        </p>
        {served && (
          <div className="buttons">
            <Button
              loading={logOut.isPending}
              onClick={() =>
                logOut.mutate(undefined, {
                  onSuccess: () => void forgetWhatWasSeen(),
                  onError: (refused) => failed(refused.message),
                })
              }
            >
              Log out this device
            </Button>
          </div>
        )}
      </Part>
      <Part title="On the home screen">
        <p className="small">
          The browser’s menu has “Add to home screen” or “Install”. Syntoma then opens at Tonight, without an
          address line.
        </p>
      </Part>
    </>
  );
}
