import { useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import { api, unwrap } from './client';
import { keys } from './keys';
import { reach } from './reach';

/** How long after a page is quiet, what may be read away from the server is fetched ahead; and again after so long. */
const AFTER_MS = 1_500;
const AGAIN_MS = 120_000;

/** How many of the latest stays, and of the latest trials, are there to read. */
const RECENT = 5;

/** Has what is read on the way at hand before the server is out of reach. */
export function useAhead(quiet: boolean) {
  const client = useQueryClient();
  useEffect(() => {
    if (!quiet) {
      return;
    }
    const get = <T>(queryKey: readonly unknown[], queryFn: () => Promise<T>) =>
      client.fetchQuery({ queryKey, queryFn, staleTime: AGAIN_MS }).catch(() => undefined);
    const fetchAhead = async () => {
      if (reach().is === 'away' || document.hidden) {
        return;
      }
      await get(keys.pitch, () => unwrap(api.GET('/api/pitch')));
      await get(keys.figures, () => unwrap(api.GET('/api/figures')));
      await get(keys.setups, () => unwrap(api.GET('/api/setups')));
      await get(keys.carriers, () => unwrap(api.GET('/api/carriers')));
      await get(keys.campsites, () => unwrap(api.GET('/api/campsites')));
      await get(keys.logbook({}), () => unwrap(api.GET('/api/logbook', { params: { query: {} } })));
      const stays = await get(keys.stays, () => unwrap(api.GET('/api/stays')));
      for (const stay of stays?.slice(0, RECENT) ?? []) {
        await get(keys.measurements(stay.id), () =>
          unwrap(api.GET('/api/measurements', { params: { query: { stay: stay.id, limit: 5000 } } })),
        );
      }
      const trials = await get(keys.trials, () => unwrap(api.GET('/api/trials')));
      await get(keys.trialResults, () => unwrap(api.GET('/api/trials/results')));
      for (const { trial } of trials?.filter((t) => t.trial.rounds > 0).slice(0, RECENT) ?? []) {
        const query = { trial: trial.name, campsite: trial.campsite };
        await get(keys.result({ kind: 'trial', ...query }), () =>
          unwrap(api.GET('/api/results/trial', { params: { query } })),
        );
        await get(keys.nextStep(query.campsite, query.trial), () =>
          unwrap(api.GET('/api/trials/next', { params: { query } })),
        );
      }
    };
    const first = setTimeout(() => void fetchAhead(), AFTER_MS);
    const timer = setInterval(() => void fetchAhead(), AGAIN_MS);
    return () => {
      clearTimeout(first);
      clearInterval(timer);
    };
  }, [client, quiet]);
}
