import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, type Schemas, unwrap } from './client';
import { keys } from './keys';

/** A change, and the version that it began from where the thing has one. */
export interface Change<T> {
  body: T;
  version?: number;
}

export const useNeeds = () =>
  useQuery({ queryKey: keys.needs, queryFn: () => unwrap(api.GET('/api/needs')) });

export const useVehicle = () =>
  useQuery({ queryKey: keys.vehicle, queryFn: () => unwrap(api.GET('/api/vehicle')) });

export const useRegions = () =>
  useQuery({ queryKey: keys.regions, queryFn: () => unwrap(api.GET('/api/carriers/bands')) });

/** Sends a change; everything of the rig follows from it. */
function useRigChange<T, R>(send: (change: T) => Promise<R>) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: send,
    onSuccess: () =>
      Promise.all([
        client.invalidateQueries({ queryKey: keys.rig }),
        client.invalidateQueries({ queryKey: keys.carriers }),
        client.invalidateQueries({ queryKey: keys.setups }),
      ]),
  });
}

export const useChangeNeed = () =>
  useRigChange(({ body, version }: Change<Schemas['NeedRequest']>) =>
    unwrap(api.PUT('/api/needs', { params: { query: { version } }, body })),
  );

export const useChangeVehicle = () =>
  useRigChange(({ body, version }: Change<Schemas['VehicleRequest']>) =>
    unwrap(api.PUT('/api/vehicle', { params: { query: { version } }, body })),
  );

export const useChangeRegion = () =>
  useRigChange((body: Schemas['RegionView']) => unwrap(api.PUT('/api/carriers/bands', { body })));

export const useGear = () => useQuery({ queryKey: keys.gear, queryFn: () => unwrap(api.GET('/api/gear')) });

/** The data sheet of each kind of gear; it changes with the application only. */
export const useGearForms = () =>
  useQuery({
    queryKey: keys.gearForms,
    queryFn: () => unwrap(api.GET('/api/gear/forms')),
    staleTime: Infinity,
  });

/** A change of gear: a new piece has no number. `as` says how a changed sheet of a measured part is meant. */
export interface GearChange extends Change<Schemas['GearRequest']> {
  id: number | null;
  as?: string;
}

export const useKeepGear = () =>
  useRigChange(({ id, body, version, as }: GearChange) =>
    id === null
      ? unwrap(api.POST('/api/gear', { body }))
      : unwrap(api.PUT('/api/gear/{id}', { params: { path: { id }, query: { version, as } }, body })),
  );

export const useDeleteGear = () =>
  useRigChange((id: number) => unwrap(api.DELETE('/api/gear/{id}', { params: { path: { id } } })));

export const useImportGear = () =>
  useRigChange((file: Schemas['GearFileRequest']) => unwrap(api.POST('/api/gear/import', { body: file })));

/** What a pasted data sheet says; nothing is kept. */
export const useReadSheet = () =>
  useMutation({
    mutationFn: (body: Schemas['SheetTextRequest']) => unwrap(api.POST('/api/gear/sheet-text', { body })),
  });

/** All setups with what the fit check says of each. */
export const useSetupFits = () =>
  useQuery({
    queryKey: keys.setupFits,
    queryFn: () => unwrap(api.GET('/api/setups/fit')),
  });

/** A setup with all that is computed of it. */
export const useSetup = (id: number, revision: number | null) =>
  useQuery({
    queryKey: keys.setup(id, revision),
    queryFn: () =>
      unwrap(
        api.GET('/api/setups/{id}', {
          params: { path: { id }, query: revision === null ? {} : { revision } },
        }),
      ),
  });

/** What a setup brings by measurement against another one, beside what is predicted. */
export const useGains = (setup: string, against: string | undefined) =>
  useQuery({
    queryKey: keys.gains(setup, against),
    queryFn: () =>
      unwrap(
        api.GET('/api/results/gain', {
          params: { query: { setup, ...(against === undefined ? {} : { against }) } },
        }),
      ),
    placeholderData: keepPreviousData,
  });

/** What is computed of a chain that is not stored; nothing is asked without one. */
export const useSetupCheck = (request: Schemas['CheckRequest'] | null) =>
  useQuery({
    queryKey: keys.setupCheck(request ?? {}),
    queryFn: () => checkChain(request ?? {}),
    enabled: request !== null,
    placeholderData: keepPreviousData,
    retry: false,
  });

export const checkChain = (request: Schemas['CheckRequest']) =>
  unwrap(api.POST('/api/setups/check', { body: request }));

/** What there is to choose from for a chain; it changes with the application only. */
export const useChainChoices = () =>
  useQuery({
    queryKey: keys.chainChoices,
    queryFn: () => unwrap(api.GET('/api/setups/choices')),
    staleTime: Infinity,
  });

export const useAddSetup = () =>
  useRigChange((name: string) => unwrap(api.POST('/api/setups', { body: { name } })));

export const useRetireSetup = () =>
  useRigChange(({ id, retired }: { id: number; retired: boolean }) =>
    unwrap(api.PUT('/api/setups/{id}/retired', { params: { path: { id } }, body: { retired } })),
  );

/** Deletes a setup; its own sheet, which may still be looked at, is not asked for again. */
export function useDeleteSetup() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (id: number) => unwrap(api.DELETE('/api/setups/{id}', { params: { path: { id } } })),
    onSuccess: () =>
      Promise.all(
        [keys.setupFits, keys.setups, keys.gear, keys.standing].map((queryKey) =>
          client.invalidateQueries({ queryKey }),
        ),
      ),
  });
}

/** Keeps the chain of a setup that was just made. */
export const useKeepChainOf = () =>
  useRigChange(({ id, plan }: { id: number; plan: Schemas['ChainPlan'] }) =>
    unwrap(api.PUT('/api/setups/{id}', { params: { path: { id }, query: {} }, body: plan })),
  );

export const useKeepChain = (id: number) =>
  useRigChange(({ body, version }: Change<Schemas['ChainPlan']>) =>
    unwrap(api.PUT('/api/setups/{id}', { params: { path: { id }, query: { version } }, body })),
  );

/** Candidates side by side; nothing is asked with too few or too many of them. */
export const useCandidates = (request: Schemas['CandidatesRequest'], enough: boolean) =>
  useQuery({
    queryKey: keys.candidates(request),
    queryFn: () => unwrap(api.POST('/api/candidates', { body: request })),
    enabled: enough,
    placeholderData: keepPreviousData,
    retry: false,
  });
