import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, type Schemas, unwrap } from './client';
import { keys } from './keys';

export type Figure = Schemas['FigureView'];

/** What a measurement holds; it changes with the application only. */
export const useFigures = () =>
  useQuery({
    queryKey: keys.figures,
    queryFn: () => unwrap(api.GET('/api/figures')),
    staleTime: Infinity,
  });

export const useStays = () =>
  useQuery({ queryKey: keys.stays, queryFn: () => unwrap(api.GET('/api/stays')) });

export const useMeasurements = (stay: number) =>
  useQuery({
    queryKey: keys.measurements(stay),
    queryFn: () => unwrap(api.GET('/api/measurements', { params: { query: { stay, limit: 5000 } } })),
  });

export const usePitch = () =>
  useQuery({
    queryKey: keys.pitch,
    queryFn: () => unwrap(api.GET('/api/pitch')),
    refetchInterval: 60_000,
  });

/** What the server says of a measurement as it is typed, given as its request in JSON. */
export const useFormCheck = (text: string) =>
  useQuery({
    queryKey: keys.formCheck(text),
    queryFn: () =>
      unwrap(
        api.POST('/api/measurements/check', { body: JSON.parse(text) as Schemas['MeasurementRequest'] }),
      ),
    placeholderData: keepPreviousData,
    staleTime: Infinity,
  }).data;

/** Logs a measurement, takes it out again, and puts it back; all that is shown may follow. */
export function useLogChanges() {
  const client = useQueryClient();
  const onSuccess = () => client.invalidateQueries();
  const store = useMutation({
    mutationFn: (body: Schemas['MeasurementRequest']) => unwrap(api.POST('/api/measurements', { body })),
    onSuccess,
  });
  const remove = useMutation({
    mutationFn: (id: number) => unwrap(api.DELETE('/api/measurements/{id}', { params: { path: { id } } })),
    onSuccess,
  });
  const restore = useMutation({
    mutationFn: (id: number) =>
      unwrap(api.POST('/api/measurements/{id}/restore', { params: { path: { id } } })),
    onSuccess,
  });
  return { store, remove, restore };
}
