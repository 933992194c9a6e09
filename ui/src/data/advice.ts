import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, type Schemas, unwrap } from './client';
import { keys } from './keys';

const EVERY_MS = 60_000;

/** What to put up where the vehicle stands. */
export const useAdvice = () =>
  useQuery({
    queryKey: keys.advice,
    queryFn: () => unwrap(api.GET('/api/advice')),
    refetchInterval: EVERY_MS,
  });

/** Puts an option up: the standing line says so, and what was expected is kept. */
export function useFollow() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (body: Schemas['FollowRequest']) => unwrap(api.POST('/api/advice/followed', { body })),
    onSuccess: () => client.invalidateQueries(),
  });
}

/** Says whether advice that was followed did. */
export function useOutcome() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: ({ id, met }: { id: number; met: boolean }) =>
      unwrap(api.POST('/api/advice/followed/{id}/outcome', { params: { path: { id } }, body: { met } })),
    onSuccess: (view) => client.setQueryData(keys.advice, view),
  });
}
