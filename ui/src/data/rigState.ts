import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, type Schemas, unwrap } from './client';
import { keys } from './keys';

/** What is where in the vehicle. */
export const useRigState = () =>
  useQuery({ queryKey: keys.rigState, queryFn: () => unwrap(api.GET('/api/state')) });

/** What to take down before driving off. */
export const useLeave = () =>
  useQuery({ queryKey: keys.leave, queryFn: () => unwrap(api.GET('/api/leave')) });

/** A change of what is where: everything that follows from it is asked for again. */
function useStateChange<A, R>(change: (asked: A) => Promise<R>) {
  const client = useQueryClient();
  return useMutation({ mutationFn: change, onSuccess: () => client.invalidateQueries() });
}

export const useTick = () =>
  useStateChange((body: Schemas['TickRequest']) => unwrap(api.PUT('/api/leave', { body })));

export const useDriveOff = () => useStateChange(() => unwrap(api.POST('/api/leave')));

export const useStayOn = () => useStateChange(() => unwrap(api.DELETE('/api/leave')));

export const useCorrectState = () =>
  useStateChange((body: Schemas['StateCorrection']) => unwrap(api.PUT('/api/state', { body })));

export const useAfterTheDrive = () =>
  useStateChange((down: boolean) => unwrap(api.POST('/api/state/after-the-drive', { body: { down } })));
