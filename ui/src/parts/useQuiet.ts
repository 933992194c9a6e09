import { useIsFetching } from '@tanstack/react-query';
import { useEffect, useState } from 'react';

/**
 * Whether the page has stood a while without asking the server for anything, so that more may be fetched without taking
 * from what is looked at; after so long at the latest, since some views never stop asking.
 */
export function useQuiet(quietMs: number, latestMs: number): boolean {
  const [quiet, setQuiet] = useState(false);
  const fetching = useIsFetching() > 0;
  useEffect(() => {
    const timer = setTimeout(() => setQuiet(true), latestMs);
    return () => clearTimeout(timer);
  }, [latestMs]);
  useEffect(() => {
    if (quiet || fetching) {
      return;
    }
    const timer = setTimeout(() => setQuiet(true), quietMs);
    return () => clearTimeout(timer);
  }, [quiet, fetching, quietMs]);
  return quiet;
}
