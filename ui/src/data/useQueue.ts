import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useSyncExternalStore } from 'react';
import { isLasting, onQueue, readQueue, sendAll, waiting } from './queue';
import { useReach } from './reach';

/** What this device has to send; what was thrown away is not shown, though it may still have to be taken back. */
export const useWaiting = () =>
  useSyncExternalStore(onQueue, waiting, waiting).filter((entry) => !entry.thrownAway);

/** Whether what waits outlives this page; where it does not, that is said before anything is typed. */
export const useLasting = () => useSyncExternalStore(onQueue, isLasting, isLasting);

/** How soon it is tried again to send what waits: at first soon, then after twice as long, up to so long. */
const SOON_MS = 250;
const AGAIN_MS = 5_000;

/** Sends what waits as soon as the server is there. */
export function useSending() {
  const client = useQueryClient();
  const reach = useReach();
  const some = useSyncExternalStore(onQueue, waiting, waiting).some((e) => !e.refused && !e.beside);
  useEffect(() => {
    void readQueue();
  }, []);
  useEffect(() => {
    if (!some) {
      return;
    }
    let pause = SOON_MS;
    let timer: ReturnType<typeof setTimeout> | undefined;
    let over = false;
    const send = async () => {
      const stored = await sendAll();
      if (stored > 0) {
        pause = SOON_MS;
        void client.invalidateQueries();
      }
      if (!over) {
        timer = setTimeout(() => void send(), pause);
        pause = Math.min(AGAIN_MS, 2 * pause);
      }
    };
    timer = setTimeout(() => void send(), SOON_MS);
    return () => {
      over = true;
      clearTimeout(timer);
    };
  }, [some, reach.is, client]);
}
