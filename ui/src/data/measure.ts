import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, Refusal, type Schemas, unwrap } from './client';
import { keys } from './keys';
import { useEvents } from './useEvents';

export type Run = Schemas['RunView'];

const OVER = ['done', 'cancelled', 'failed'];

/** Whether a run is over. */
export const isOver = (run: Run) => OVER.includes(run.state);

export const useRunKinds = () =>
  useQuery({
    queryKey: keys.runKinds,
    queryFn: () => unwrap(api.GET('/api/measure/kinds')),
    staleTime: Infinity,
  });

export const useSpeedServer = () =>
  useQuery({ queryKey: keys.speedServer, queryFn: () => unwrap(api.GET('/api/measure/server')) });

/** Sets the speed server, and tries it. */
export function useSetSpeedServer() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: async (body: Schemas['ServerRequest']) => {
      const set = await unwrap(api.PUT('/api/measure/server', { body }));
      return set.address === null ? null : unwrap(api.POST('/api/measure/server/probe'));
    },
    onSettled: () => client.invalidateQueries({ queryKey: keys.speedServer }),
  });
}

/** The latest runs, the last first, without their curves. */
export const useRuns = () => useQuery({ queryKey: keys.runs, queryFn: () => unwrap(api.GET('/api/runs')) });

/** A run; while it goes on it is told four times a second. */
export function useRun(id: number | null) {
  const client = useQueryClient();
  const query = useQuery({
    queryKey: keys.run(id ?? 0),
    queryFn: () => unwrap(api.GET('/api/runs/{id}', { params: { path: { id: id ?? 0 } } })),
    enabled: id !== null,
  });
  const goesOn = query.data !== undefined && !isOver(query.data);
  useEvents<Run>(goesOn ? `/api/runs/${query.data.id}/events` : null, 'run', (run) => {
    client.setQueryData(keys.run(run.id), run);
    if (isOver(run)) {
      void client.invalidateQueries({ queryKey: keys.runs });
    }
  });
  return query;
}

/** What is used of a carrier's plan this month; nothing while no carrier is said. */
export const usePlanUse = (carrier: string | null | undefined) =>
  useQuery({
    queryKey: keys.planUse(carrier ?? ''),
    queryFn: () => unwrap(api.GET('/api/measure/plan', { params: { query: { carrier: carrier ?? '' } } })),
    enabled: Boolean(carrier),
    refetchInterval: 300_000,
  });

/** A device on a roof loses the network for some seconds now and then; a minute is an outage. */
const RETRIES = 30;
const RETRY_MS = 2_000;

/** Asks whether the router is on the carrier that a run is to be logged on. */
export const useCarrierCheck = () =>
  useMutation({
    mutationFn: (carrier: string) =>
      unwrap(api.GET('/api/measure/carrier', { params: { query: { carrier } } })),
  });

export function useStartRun() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (body: Schemas['RunRequest']) => unwrap(api.POST('/api/runs', { body })),
    // should the first one have arrived after all, the second is refused: one run at a time
    retry: (failed, error) => failed < RETRIES && error instanceof Refusal && error.isSilence,
    retryDelay: RETRY_MS,
    onSuccess: (run) => {
      client.setQueryData(keys.run(run.id), run);
      return client.invalidateQueries({ queryKey: keys.runs });
    },
  });
}

export function useCancelRun() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (id: number) => unwrap(api.DELETE('/api/runs/{id}', { params: { path: { id } } })),
    onSuccess: (run) => client.setQueryData(keys.run(run.id), run),
  });
}
