import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, type Schemas, unwrap } from './client';
import { keys } from './keys';

export type Aim = Schemas['AimView'];
export type Sweep = Schemas['SweepView'];

export const useAim = () => useQuery({ queryKey: keys.aim, queryFn: () => unwrap(api.GET('/api/aim')) });

export const useSweep = (id: number) =>
  useQuery({
    queryKey: keys.sweep(id),
    queryFn: () => unwrap(api.GET('/api/aim/sweeps/{id}', { params: { path: { id } } })),
  });

/** A change of masts or of the compass; the answer is all of it. */
function useAimChange<T>(change: (asked: T) => Promise<Aim>) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: change,
    onSuccess: (aim) => {
      client.setQueryData(keys.aim, aim);
    },
  });
}

export const useKeepMast = () =>
  useAimChange((body: Schemas['MastRequest']) => unwrap(api.POST('/api/aim/masts', { body })));

export const useForgetMast = () =>
  useAimChange((id: number) => unwrap(api.DELETE('/api/aim/masts/{id}', { params: { path: { id } } })));

export const useKeepCrossing = () =>
  useAimChange((key: string) => unwrap(api.POST('/api/aim/crossings', { body: { key } })));

export const useSetDeclination = () =>
  useAimChange((declinationDeg: number) =>
    unwrap(api.PUT('/api/aim/declination', { body: { declinationDeg } })),
  );

export function useBeginSweep() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: () => unwrap(api.POST('/api/aim/sweeps')),
    onSuccess: () => client.invalidateQueries({ queryKey: keys.aim }),
  });
}

/** A change of a sweep; the answer is the sweep. */
function useSweepChange<T>(id: number, change: (asked: T) => Promise<Sweep>) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: change,
    onSuccess: (sweep) => {
      client.setQueryData(keys.sweep(id), sweep);
      void client.invalidateQueries({ queryKey: keys.aim });
    },
  });
}

/** Says where the antenna points while it is held still; what is read follows. */
export const useTurn = (id: number) =>
  useMutation({
    mutationFn: (headingDeg: number) =>
      unwrap(
        api.POST('/api/aim/sweeps/{id}/turned', {
          params: { path: { id } },
          body: { headingDeg, magnetic: false },
        }),
      ),
  });

export const useReadHeading = (id: number) =>
  useSweepChange(id, (body: Schemas['PointRequest']) =>
    unwrap(api.POST('/api/aim/sweeps/{id}/points', { params: { path: { id } }, body })),
  );

export const useRemovePoint = (id: number) =>
  useSweepChange(id, (point: number) =>
    unwrap(api.DELETE('/api/aim/sweeps/{id}/points/{point}', { params: { path: { id, point } } })),
  );

export const useRestorePoint = (id: number) =>
  useSweepChange(id, (point: number) =>
    unwrap(api.POST('/api/aim/sweeps/{id}/points/{point}/restore', { params: { path: { id, point } } })),
  );
