import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, type Schemas, unwrap } from './client';
import { keys } from './keys';
import { useEvents } from './useEvents';

export type Live = Schemas['LiveView'];

export const useRouter = () =>
  useQuery({ queryKey: keys.router, queryFn: () => unwrap(api.GET('/api/measure/router')) });

/** Sets the router, and asks it once. */
export function useSetRouter() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: async (body: Schemas['RouterRequest']) => {
      const set = await unwrap(api.PUT('/api/measure/router', { body }));
      return set.kind === null ? null : unwrap(api.POST('/api/measure/router/probe'));
    },
    onSettled: () => client.invalidateQueries({ queryKey: keys.router }),
  });
}

/** What the router says, once a second while the page is looked at; undefined until it has said something. */
export function useLive(watched: boolean): Live | undefined {
  const [live, setLive] = useState<Live>();
  useEvents<Live>(watched ? '/api/live/view' : null, 'live', setLive, true);
  return live;
}
