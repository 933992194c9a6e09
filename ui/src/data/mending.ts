import { useQuery } from '@tanstack/react-query';
import { api, type Schemas, unwrap } from './client';
import { keys } from './keys';
import { useLogChange } from './log';

/** What has a name that can be mended. */
export type NameKind = 'campsite' | 'setup' | 'carrier';

/** The known name that a new one is close to; asked for a name that rests. */
export const useClose = (kind: NameKind, name: string) =>
  useQuery({
    queryKey: keys.close(kind, name),
    queryFn: () =>
      unwrap(api.GET('/api/names/{kind}/close', { params: { path: { kind }, query: { name } } })),
    enabled: name.trim() !== '',
    retry: false,
  }).data?.name ?? null;

export const useRename = () =>
  useLogChange(({ kind, id, name }: { kind: NameKind; id: number; name: string }) =>
    unwrap(api.PUT('/api/names/{kind}/{id}', { params: { path: { kind, id } }, body: { name } })),
  );

/** Lets a name that is not known mean something that is. */
export const useAlsoNamed = () =>
  useLogChange(({ kind, known, name }: { kind: NameKind; known: string; name: string }) =>
    unwrap(
      api.PUT('/api/names/{kind}/also', { params: { path: { kind }, query: { known } }, body: { name } }),
    ),
  );

export type Merge = Schemas['MergeOutcome'];

/** What merging would move; nothing is asked without both. */
export const useMergePreview = (kind: NameKind, from: number, into: number | null) =>
  useQuery({
    queryKey: keys.mergePreview(kind, from, into ?? 0),
    queryFn: () =>
      unwrap(
        api.POST('/api/names/{kind}/{id}/merge/preview', {
          params: { path: { kind, id: from } },
          body: { into: into ?? 0 },
        }),
      ),
    enabled: into !== null,
    gcTime: 0,
    retry: false,
  });

export const useMerge = () =>
  useLogChange(({ kind, from, into }: { kind: NameKind; from: number; into: number }) =>
    unwrap(
      api.POST('/api/names/{kind}/{id}/merge', { params: { path: { kind, id: from } }, body: { into } }),
    ),
  );
