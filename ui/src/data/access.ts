import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, type Schemas, unwrap } from './client';
import { keys } from './keys';

export type Device = Schemas['DeviceView'];

/** Whether this device is admitted. */
export const useSession = () =>
  useQuery({
    queryKey: keys.session,
    queryFn: () => unwrap(api.GET('/api/session')),
    staleTime: 30_000,
  });

export const useNetwork = () =>
  useQuery({
    queryKey: keys.network,
    queryFn: () => unwrap(api.GET('/api/network')),
    refetchInterval: 30_000,
  });

/** Lets a network be served or not, or gives it another name. */
export const useDecideNetwork = () =>
  useAccessChange(({ id, ...body }: { id: string } & Schemas['LocalNetworkRequest']) =>
    unwrap(api.PUT('/api/networks/{id}', { params: { path: { id } }, body })),
  );

export const useForgetNetwork = () =>
  useAccessChange((id: string) => unwrap(api.DELETE('/api/networks/{id}', { params: { path: { id } } })));

export const useDevices = () =>
  useQuery({
    queryKey: keys.devices,
    queryFn: () => unwrap(api.GET('/api/devices')),
    refetchInterval: 5_000,
  });

/** A change of who is admitted, after which everything is asked for again. */
function useAccessChange<V, R>(mutationFn: (variables: V) => Promise<R>) {
  const client = useQueryClient();
  return useMutation({ mutationFn, onSuccess: () => client.invalidateQueries() });
}

export const useLogIn = () =>
  useAccessChange((body: Schemas['LoginRequest']) => unwrap(api.POST('/api/session', { body })));

export const useLogOut = () => useAccessChange(() => unwrap(api.DELETE('/api/session')));

export const useSetPhrase = () =>
  useAccessChange((body: Schemas['PhraseRequest']) => unwrap(api.PUT('/api/phrase', { body })));

export const useServe = () =>
  useAccessChange((served: boolean) => unwrap(api.PUT('/api/network', { body: { served } })));

export const useEndDevice = () =>
  useAccessChange((id: string) => unwrap(api.DELETE('/api/devices/{id}', { params: { path: { id } } })));

/** Makes a code; it is shown, not kept. */
export const usePair = () => useMutation({ mutationFn: () => unwrap(api.POST('/api/pairing')) });

export const useInvite = () =>
  useAccessChange((body: Schemas['GuestRequest']) => unwrap(api.POST('/api/guests', { body })));
