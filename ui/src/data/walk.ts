import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, type Schemas, unwrap } from './client';
import { keys } from './keys';

export type Walk = Schemas['WalkView'];
export type Place = Schemas['PlaceView'];
export type WalkMetric = 'rsrp' | 'sinr';

/** The latest walks, the last first. */
export const useWalks = () =>
  useQuery({ queryKey: keys.walks, queryFn: () => unwrap(api.GET('/api/walks')) });

export const useWalk = (id: number | null, metric: WalkMetric) =>
  useQuery({
    queryKey: keys.walk(id ?? 0, metric),
    queryFn: () =>
      unwrap(api.GET('/api/walks/{id}', { params: { path: { id: id ?? 0 }, query: { metric } } })),
    enabled: id !== null,
  });

/** What is done on a walk; each answer is the walk as it then is. */
function useStep<T>(step: (asked: T) => Promise<Walk>) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: step,
    onSuccess: (walk) => {
      client.setQueryData(keys.walk(walk.id, walk.metric as WalkMetric), walk);
      return client.invalidateQueries({ queryKey: keys.walks });
    },
  });
}

/** Marks a level; the first mark begins the walk. */
export const useMark = () =>
  useStep(async (asked: { id: number | null; metric: WalkMetric; body: Schemas['MarkRequest'] }) => {
    const query = { metric: asked.metric };
    const id = asked.id ?? (await unwrap(api.POST('/api/walks', { params: { query } }))).id;
    return unwrap(api.POST('/api/walks/{id}/marks', { params: { path: { id }, query }, body: asked.body }));
  });

interface OneMark {
  id: number;
  mark: number;
  metric: WalkMetric;
}

export const useTakeBack = () =>
  useStep(({ id, mark, metric }: OneMark) =>
    unwrap(api.DELETE('/api/walks/{id}/marks/{mark}', { params: { path: { id, mark }, query: { metric } } })),
  );

export const usePutBack = () =>
  useStep(({ id, mark, metric }: OneMark) =>
    unwrap(
      api.POST('/api/walks/{id}/marks/{mark}/restore', { params: { path: { id, mark }, query: { metric } } }),
    ),
  );

export const useEndWalk = () =>
  useStep(({ id, metric }: { id: number; metric: WalkMetric }) =>
    unwrap(api.POST('/api/walks/{id}/end', { params: { path: { id }, query: { metric } } })),
  );
