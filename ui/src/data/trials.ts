import { useQuery } from '@tanstack/react-query';
import { api, unwrap } from './client';
import { keys } from './keys';

/** What a result is of: a trial, or two setups at a stay. */
export type ResultOf =
  | { kind: 'trial'; trial: string; campsite: string; baseline: string | undefined }
  | { kind: 'stay'; stay: number; baseline: string | undefined; candidate: string | undefined };

export const useTrials = () =>
  useQuery({ queryKey: keys.trials, queryFn: () => unwrap(api.GET('/api/trials')) });

/** What each trial came to; calculated after the list stands. */
export const useTrialResults = () =>
  useQuery({ queryKey: keys.trialResults, queryFn: () => unwrap(api.GET('/api/trials/results')) });

export const useResult = (of: ResultOf) =>
  useQuery({
    queryKey: keys.result(of),
    queryFn: () => {
      const { kind, ...query } = of;
      return kind === 'trial'
        ? unwrap(
            api.GET('/api/results/trial', {
              params: { query: query as Extract<ResultOf, { kind: 'trial' }> },
            }),
          )
        : unwrap(
            api.GET('/api/results/stay', { params: { query: query as Extract<ResultOf, { kind: 'stay' }> } }),
          );
    },
  });

/** Every run of a trial, with its samples. */
export const useTrialRuns = (campsite: string, trial: string) =>
  useQuery({
    queryKey: keys.trialRuns(campsite, trial),
    queryFn: () => unwrap(api.GET('/api/results/trial/runs', { params: { query: { campsite, trial } } })),
  });
