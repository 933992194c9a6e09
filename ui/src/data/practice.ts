import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, type Schemas, unwrap } from './client';
import { keys } from './keys';

export type Game = Schemas['PracticeView'];
export type PracticePlan = Schemas['PracticePlan'];

export const useScore = () =>
  useQuery({ queryKey: keys.practice, queryFn: () => unwrap(api.GET('/api/practice')) });

export const useGame = (id: number) =>
  useQuery({
    queryKey: keys.game(id),
    queryFn: () => unwrap(api.GET('/api/practice/{id}', { params: { path: { id } } })),
  });

/** What a trial would take. */
export const useGameEffort = (id: number, plan: PracticePlan) =>
  useQuery({
    queryKey: keys.gameEffort(id, plan),
    queryFn: () => unwrap(api.POST('/api/practice/{id}/effort', { params: { path: { id } }, body: plan })),
    placeholderData: keepPreviousData,
    retry: false,
  });

/** A change of a practice trial; the answer is the trial. */
function useGameChange<T>(change: (asked: T) => Promise<Game>) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: change,
    onSuccess: (game) => {
      client.setQueryData(keys.game(game.id), game);
      void client.invalidateQueries({ queryKey: keys.practice });
    },
  });
}

export const useBeginGame = () => useGameChange(() => unwrap(api.POST('/api/practice')));

export const useMakeGame = (id: number) =>
  useGameChange((body: PracticePlan) =>
    unwrap(api.POST('/api/practice/{id}/trial', { params: { path: { id } }, body })),
  );

export const useJudgeGame = (id: number) =>
  useGameChange((said: string) =>
    unwrap(api.POST('/api/practice/{id}/verdict', { params: { path: { id } }, body: { said } })),
  );
