import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, type Schemas, unwrap } from '../api/client';

export const useStanding = () =>
  useQuery({
    queryKey: ['standing'],
    queryFn: () => unwrap(api.GET('/api/standing')),
    refetchInterval: 30_000,
  });

export const useCampsites = () =>
  useQuery({ queryKey: ['campsites'], queryFn: () => unwrap(api.GET('/api/campsites')) });

export const useSetups = () =>
  useQuery({ queryKey: ['setups'], queryFn: () => unwrap(api.GET('/api/setups')) });

export const useCarriers = () =>
  useQuery({ queryKey: ['carriers'], queryFn: () => unwrap(api.GET('/api/carriers')) });

export const useWishes = () =>
  useQuery({ queryKey: ['wishes'], queryFn: () => unwrap(api.GET('/api/rig/wishes')) });

export const useGear = () => useQuery({ queryKey: ['gear'], queryFn: () => unwrap(api.GET('/api/gear')) });

/** Changes the standing line; everything that is shown may follow from it. */
export function useChangeStanding() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (body: Schemas['StandingRequest']) => unwrap(api.PUT('/api/standing', { body })),
    onSuccess: () => client.invalidateQueries(),
  });
}

export type Figure = Schemas['FigureView'];

/** What a measurement holds; it changes with the application only. */
export const useFigures = () =>
  useQuery({
    queryKey: ['figures'],
    queryFn: () => unwrap(api.GET('/api/figures')),
    staleTime: Infinity,
  });
