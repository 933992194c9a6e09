import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, unwrap } from './client';
import { keys } from './keys';
import type { operations } from './schema';

/** Filters of the logbook, as the address says them. */
export type LogbookAsked = NonNullable<operations['logbook']['parameters']['query']>;

export const useLogbook = (asked: LogbookAsked) =>
  useQuery({
    queryKey: keys.logbook(asked),
    queryFn: () => unwrap(api.GET('/api/logbook', { params: { query: asked } })),
    placeholderData: keepPreviousData,
    retry: false,
  });

/** The private page of a stay. */
export const useStayPage = (id: number) =>
  useQuery({
    queryKey: keys.stayPage(id),
    queryFn: () => unwrap(api.GET('/api/stays/{id}/page', { params: { path: { id } } })),
  });

/** A change of the private page of a stay. */
function useStayPageChange<T, R>(id: number, change: (asked: T) => Promise<R>) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: change,
    onSuccess: () => {
      void client.invalidateQueries({ queryKey: keys.stayPage(id) });
      void client.invalidateQueries({ queryKey: ['logbook'] });
    },
  });
}

export const useWriteNote = (id: number) =>
  useStayPageChange(id, ({ note, version }: { note: string; version: number }) =>
    unwrap(api.PUT('/api/stays/{id}/note', { params: { path: { id }, query: { version } }, body: { note } })),
  );

export const stayPhotoAddress = (id: number, photo: number) => `/api/stays/${id}/photos/${photo}`;

export const useAddStayPhoto = (id: number) =>
  useStayPageChange(id, (file: Blob) =>
    unwrap(
      api.POST('/api/stays/{id}/photos', {
        params: { path: { id } },
        headers: { 'Content-Type': 'application/octet-stream' },
        body: file as unknown as string,
        bodySerializer: (body) => body,
      }),
    ),
  );

export const useRemoveStayPhoto = (id: number) =>
  useStayPageChange(id, (photo: number) =>
    unwrap(api.DELETE('/api/stays/{id}/photos/{photo}', { params: { path: { id, photo } } })),
  );

export const useRestoreStayPhoto = (id: number) =>
  useStayPageChange(id, (photo: number) =>
    unwrap(api.POST('/api/stays/{id}/photos/{photo}/restored', { params: { path: { id, photo } } })),
  );

export const useCaption = (id: number) =>
  useStayPageChange(id, ({ photo, caption }: { photo: number; caption: string }) =>
    unwrap(
      api.PUT('/api/stays/{id}/photos/{photo}/caption', {
        params: { path: { id, photo } },
        body: { caption },
      }),
    ),
  );

/** The cards with what was used of their plans. */
export const useLedger = () =>
  useQuery({
    queryKey: keys.ledger,
    queryFn: () => unwrap(api.GET('/api/ledger')),
    refetchInterval: 300_000,
  });

function useLedgerChange<T, R>(change: (asked: T) => Promise<R>) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: change,
    onSuccess: () => client.invalidateQueries({ queryKey: keys.ledger }),
  });
}

export const useEnterCounter = (gear: number) =>
  useLedgerChange((usedGb: number) =>
    unwrap(
      api.POST('/api/ledger/{gear}/readings', { params: { path: { gear } }, body: { readAt: null, usedGb } }),
    ),
  );

export const useRemoveCounter = (gear: number) =>
  useLedgerChange((reading: number) =>
    unwrap(api.DELETE('/api/ledger/{gear}/readings/{reading}', { params: { path: { gear, reading } } })),
  );

export const useRestoreCounter = (gear: number) =>
  useLedgerChange((reading: number) =>
    unwrap(
      api.POST('/api/ledger/{gear}/readings/{reading}/restored', { params: { path: { gear, reading } } }),
    ),
  );
