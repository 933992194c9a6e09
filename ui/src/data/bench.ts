import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, type Schemas, unwrap } from './client';
import { keys } from './keys';

/** The calculators with their fields; they change with the application only. */
export const useCalculators = () =>
  useQuery({
    queryKey: keys.calculators,
    queryFn: () => unwrap(api.GET('/api/bench')),
    staleTime: Infinity,
  });

/** What a calculator says to what is typed. */
export const useCalculation = (calculator: string, values: Record<string, string>) =>
  useQuery({
    queryKey: keys.calculated(calculator, values),
    queryFn: () =>
      unwrap(api.POST('/api/bench/{calculator}', { params: { path: { calculator } }, body: { values } })),
    placeholderData: keepPreviousData,
    enabled: calculator !== '',
    staleTime: Infinity,
    retry: false,
  });

/** Keeps something of a result in the rig, or among the masts. */
export function useKeepResult() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: async (keep: Schemas['KeepView'] & { name: string }) => {
      if (keep.what === 'mast') {
        const [lat, lon] = [Number(keep.values['lat']), Number(keep.values['lon'])];
        await unwrap(
          api.POST('/api/aim/masts', { body: { name: keep.name, carrier: null, cellId: null, lat, lon } }),
        );
        return;
      }
      await unwrap(
        api.POST('/api/gear', {
          body: {
            kind: 'cable',
            name: keep.name,
            state: 'owned',
            price: null,
            sheet: {
              cableClass: keep.values['cableClass'],
              lengthM: Number(keep.values['lengthM']),
              first: 'SMA-male',
              second: 'SMA-female',
            },
          },
        }),
      );
    },
    onSuccess: () => client.invalidateQueries(),
  });
}

/** Adds a line to the private note of a stay. */
export function useAddToNote() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: async ({ stay, line }: { stay: number; line: string }) => {
      const page = await unwrap(api.GET('/api/stays/{id}/page', { params: { path: { id: stay } } }));
      return unwrap(
        api.PUT('/api/stays/{id}/note', {
          params: { path: { id: stay }, query: { version: page.version } },
          body: { note: page.note === '' ? line : `${page.note}\n${line}` },
        }),
      );
    },
    onSuccess: () => client.invalidateQueries(),
  });
}
