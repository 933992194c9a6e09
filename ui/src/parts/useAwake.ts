import { useEffect, useSyncExternalStore } from 'react';

const NAME = 'syntoma.awake';
const listeners = new Set<() => void>();
const isWanted = () => localStorage.getItem(NAME) === 'true';

function subscribe(listener: () => void) {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

/** Whether the screen is to stay awake on this device, and the switch for it. */
export function useAwake() {
  const on = useSyncExternalStore(subscribe, isWanted, () => false);
  return {
    possible: 'wakeLock' in navigator,
    on,
    toggle: () => {
      localStorage.setItem(NAME, String(!on));
      for (const listener of [...listeners]) {
        listener();
      }
    },
  };
}

/** Keeps the screen awake while that is wanted on this device. */
export function useStayingAwake() {
  const { on } = useAwake();
  useKeptAwake(on);
}

/** Keeps the screen awake; a browser lets go when the page is hidden, and is asked again. */
export function useKeptAwake(wanted: boolean) {
  useEffect(() => {
    if (!wanted || !('wakeLock' in navigator)) {
      return;
    }
    let held: WakeLockSentinel | undefined;
    let over = false;
    const hold = async () => {
      if (document.visibilityState === 'visible' && (!held || held.released)) {
        // a battery that is low may refuse
        held = await navigator.wakeLock.request('screen').catch(() => undefined);
        if (over) {
          await held?.release();
        }
      }
    };
    const again = () => void hold();
    again();
    document.addEventListener('visibilitychange', again);
    return () => {
      over = true;
      document.removeEventListener('visibilitychange', again);
      void held?.release();
    };
  }, [wanted]);
}
