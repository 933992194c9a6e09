import { useEffect, useState } from 'react';
import { useStored } from '../data/useStored';

/** Keeps the screen awake while it is asked for; the browser lets go when the page is hidden, and is asked again. */
export function useAwake() {
  const possible = 'wakeLock' in navigator;
  const [on, setOn] = useStored('awake', false);
  const [refused, setRefused] = useState(false);
  useEffect(() => {
    if (!on || !possible) {
      return;
    }
    let held: WakeLockSentinel | undefined;
    let over = false;
    const hold = () => {
      if (document.visibilityState !== 'visible') {
        return;
      }
      navigator.wakeLock.request('screen').then(
        (lock) => {
          held = lock;
          if (over) {
            void lock.release();
          }
        },
        () => setRefused(true),
      );
    };
    hold();
    document.addEventListener('visibilitychange', hold);
    return () => {
      over = true;
      document.removeEventListener('visibilitychange', hold);
      void held?.release();
    };
  }, [on, possible]);
  return {
    possible,
    on,
    refused,
    toggle: () => {
      setRefused(false);
      setOn(!on);
    },
  };
}
