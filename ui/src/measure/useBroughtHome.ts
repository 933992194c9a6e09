import { useEffect } from 'react';
import { useLocation, useNavigate } from 'react-router';
import { broughtIn, useBring } from '../data/browserRun';
import type { Run } from '../data/measure';

/** Takes what the page of a browser's run has brought in the address; it stays there until it is taken. */
export function useBroughtHome(run: Run | undefined) {
  const { hash, search } = useLocation();
  const navigate = useNavigate();
  const { mutate, isIdle, error, reset } = useBring();
  const id = run?.inBrowser ? run.id : null;
  useEffect(() => {
    const brought = broughtIn(hash);
    if (id !== null && brought !== null && isIdle) {
      mutate({ id, brought }, { onSuccess: () => void navigate({ search, hash: '' }, { replace: true }) });
    }
  }, [hash, search, id, mutate, isIdle, navigate]);
  return { error, again: reset };
}
