import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, type Schemas, unwrap } from './client';
import { keys } from './keys';

/** What there is to know on arrival at a campsite, or at coordinates as they are typed. */
export const useArrival = (campsite: string, coordinates: string) =>
  useQuery({
    queryKey: keys.arrival(campsite, coordinates),
    queryFn: () => unwrap(api.GET('/api/arrival', { params: { query: { campsite, coordinates } } })),
    placeholderData: keepPreviousData,
  });

export function useArrive() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (body: Schemas['ArrivalRequest']) => unwrap(api.POST('/api/arrival', { body })),
    onSuccess: () => client.invalidateQueries(),
  });
}
