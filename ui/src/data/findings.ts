import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { api, unwrap } from './client';
import { keys } from './keys';
import type { operations } from './schema';

/** What is asked of the trip, as the address says it. */
export type FindingsAsked = NonNullable<operations['findings']['parameters']['query']>;

export const useFindings = (asked: FindingsAsked) =>
  useQuery({
    queryKey: keys.findings(asked),
    queryFn: () => unwrap(api.GET('/api/findings', { params: { query: asked } })),
    placeholderData: keepPreviousData,
    retry: false,
  });

export const useQuestions = () =>
  useQuery({
    queryKey: keys.questions,
    queryFn: () => unwrap(api.GET('/api/findings/questions')),
  });

/** The stays behind what is said of one; nothing is asked without it. */
export const useBehind = (asked: FindingsAsked, unit: string) =>
  useQuery({
    queryKey: keys.behind(asked, unit),
    queryFn: () => unwrap(api.GET('/api/findings/behind', { params: { query: { ...asked, unit } } })),
    enabled: unit !== '',
  });

export const useDrift = (asked: FindingsAsked, wanted: boolean) =>
  useQuery({
    queryKey: keys.drift(asked),
    queryFn: () => unwrap(api.GET('/api/findings/drift', { params: { query: asked } })),
    enabled: wanted,
  });

export const useWorth = (asked: FindingsAsked, wanted: boolean) =>
  useQuery({
    queryKey: keys.worth(asked),
    queryFn: () => unwrap(api.GET('/api/findings/worth', { params: { query: asked } })),
    enabled: wanted,
  });
