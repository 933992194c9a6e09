import { useEffect, useEffectEvent } from 'react';

/** Follows what a server tells at an address, under a name; at no address, or while nobody looks where that is said, nothing. */
export function useEvents<T>(
  address: string | null,
  name: string,
  told: (event: T) => void,
  seenOnly = false,
) {
  const tell = useEffectEvent(told);
  useEffect(() => {
    if (address === null) {
      return undefined;
    }
    let events: EventSource | undefined;
    const look = () => {
      events?.close();
      events = undefined;
      if (!seenOnly || !document.hidden) {
        events = new EventSource(address);
        events.addEventListener(name, (event: MessageEvent<string>) => tell(JSON.parse(event.data) as T));
      }
    };
    look();
    document.addEventListener('visibilitychange', look);
    return () => {
      document.removeEventListener('visibilitychange', look);
      events?.close();
    };
  }, [address, name, seenOnly]);
}
