import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, type Schemas, unwrap } from './client';
import { keys } from './keys';

/** The standing line; it shows the time, so it is asked for again and again. */
export const useStanding = () =>
  useQuery({
    queryKey: keys.standing,
    queryFn: () => unwrap(api.GET('/api/standing')),
    refetchInterval: 30_000,
  });

/** Changes the standing line; everything that is shown may follow from it. */
export function useChangeStanding() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (body: Schemas['StandingRequest']) => unwrap(api.PUT('/api/standing', { body })),
    onSuccess: () => client.invalidateQueries(),
  });
}

export const useCampsites = () =>
  useQuery({ queryKey: keys.campsites, queryFn: () => unwrap(api.GET('/api/campsites')) });

export const useSetups = () =>
  useQuery({ queryKey: keys.setups, queryFn: () => unwrap(api.GET('/api/setups')) });

export const useCarriers = () =>
  useQuery({ queryKey: keys.carriers, queryFn: () => unwrap(api.GET('/api/carriers')) });
