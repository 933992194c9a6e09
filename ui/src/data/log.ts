import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, type Schemas, unwrap } from './client';
import { keys } from './keys';
import { log } from './queue';

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

/** What a pasted text says of a measurement. */
export const usePaste = (text: string) =>
  useQuery({
    queryKey: keys.paste(text),
    queryFn: () =>
      unwrap(
        api.POST('/api/measurements/paste', {
          body: text,
          bodySerializer: (body) => body,
          headers: { 'Content-Type': 'text/plain' },
        }),
      ),
    enabled: text.trim() !== '',
    staleTime: Infinity,
    retry: false,
  });

/** A measurement as it would be typed, and what it was before. */
export const useMeasurement = (id: number) =>
  useQuery({
    queryKey: keys.measurement(id),
    queryFn: () => unwrap(api.GET('/api/measurements/{id}', { params: { path: { id } } })),
    staleTime: 0,
    gcTime: 0,
  });

/** What to measure next in a trial by hand; nothing is asked without one. */
export const useNextStep = (campsite: string, trial: string) =>
  useQuery({
    queryKey: keys.nextStep(campsite, trial),
    queryFn: () => unwrap(api.GET('/api/trials/next', { params: { query: { campsite, trial } } })),
    enabled: trial !== '' && campsite !== '',
    retry: false,
  });

export const useFound = (text: string) =>
  useQuery({
    queryKey: keys.found(text),
    queryFn: () => unwrap(api.GET('/api/find', { params: { query: { text } } })),
    enabled: text !== '',
    placeholderData: keepPreviousData,
    retry: false,
  });

/** What was changed of the log, the latest first. */
export const useChanges = () =>
  useQuery({ queryKey: keys.changes, queryFn: () => unwrap(api.GET('/api/changes')) });

/** A change of the log, after which all that is shown may be different. */
export function useLogChange<V, R>(mutationFn: (variables: V) => Promise<R>) {
  const client = useQueryClient();
  return useMutation({ mutationFn, onSuccess: () => client.invalidateQueries() });
}

/** Logs a measurement; where the server does not answer, it waits on this device. */
export const useStore = () =>
  useLogChange(async (body: Schemas['MeasurementRequest']) => {
    const outcome = await log(body);
    if (outcome.is === 'refused') {
      throw outcome.refusal;
    }
    return outcome;
  });

export const useRemove = () =>
  useLogChange((id: number) => unwrap(api.DELETE('/api/measurements/{id}', { params: { path: { id } } })));

/** What is typed of a measurement, and the version that was looked at. */
export interface Correction {
  id: number;
  body: Schemas['MeasurementRequest'];
  version?: number;
}

export const useCorrect = () =>
  useLogChange(({ id, body, version }: Correction) =>
    unwrap(
      api.PUT('/api/measurements/{id}', {
        params: { path: { id }, query: version === undefined ? {} : { version } },
        body,
      }),
    ),
  );

export const useUndoChange = () =>
  useLogChange((id: number) => unwrap(api.POST('/api/changes/{id}/undo', { params: { path: { id } } })));

/** When a stay began and ended, and the version that was looked at. */
export interface StayChange {
  id: number;
  body: Schemas['StayDatesRequest'];
  version?: number;
}

export const useStayDates = () =>
  useLogChange(({ id, body, version }: StayChange) =>
    unwrap(
      api.PUT('/api/stays/{id}', {
        params: { path: { id }, query: version === undefined ? {} : { version } },
        body,
      }),
    ),
  );

export const useSplitStay = () =>
  useLogChange(({ id, body }: { id: number; body: Schemas['SplitRequest'] }) =>
    unwrap(api.POST('/api/stays/{id}/split', { params: { path: { id } }, body })),
  );

export const useMove = () =>
  useLogChange((body: Schemas['MoveRequest']) => unwrap(api.POST('/api/measurements/move', { body })));
