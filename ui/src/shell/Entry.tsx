import { lazy, Suspense, useEffect } from 'react';
import { Navigate, useLocation } from 'react-router';
import { useSession } from '../data/access';
import { forgetWhatWasSeen } from '../data/seen';
import { HatchDefs } from '../draw/Hatch';
import { Shell } from './Shell';

const LogIn = lazy(async () => ({ default: (await import('../access/LogIn')).LogIn }));
const TrialsView = lazy(async () => ({ default: (await import('../trials/TrialsView')).TrialsView }));

/** Who comes in: everybody who is admitted sees the whole, a guest its one page, all others the door. */
export function Entry() {
  const { data: session, isPending } = useSession();
  const out = session?.needed === true && !session.ok;
  useEffect(() => {
    if (out) {
      // what this device saw while it was admitted is not its to keep
      void forgetWhatWasSeen();
    }
  }, [out]);
  if (isPending) {
    return <div className="page" />;
  }
  if (out) {
    return (
      <Suspense>
        <LogIn />
      </Suspense>
    );
  }
  return session?.page ? <Guest page={session.page} /> : <Shell />;
}

/** The one page that a guest's link is for. */
function Guest({ page }: { page: string }) {
  const { pathname, search } = useLocation();
  const [path, wanted] = page.split('?');
  const here = new URLSearchParams(search);
  const isIt =
    pathname === path && [...new URLSearchParams(wanted)].every(([key, value]) => here.get(key) === value);
  if (!isIt) {
    return <Navigate to={page} replace />;
  }
  return (
    <div className="guest">
      <HatchDefs />
      <Suspense fallback={<div className="sheet" />}>
        <TrialsView />
      </Suspense>
    </div>
  );
}
