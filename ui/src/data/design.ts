import { useEffect, useRef } from 'react';
import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, type Schemas, unwrap } from './client';
import { keys } from './keys';

export type Design = Schemas['DesignView'];
export type RunSheet = Schemas['SheetView'];
export type Template = Schemas['TemplateView'];
export type DesignRequest = Schemas['DesignRequest'];

/** What a trial would take and could show, as what is asked of it changes; nothing is asked while there is nothing to compare. */
export const useDesign = (asked: DesignRequest | null) =>
  useQuery({
    queryKey: keys.design(asked),
    queryFn: () => unwrap(api.POST('/api/trials/design', { body: asked as DesignRequest })),
    enabled: asked !== null,
    placeholderData: keepPreviousData,
    retry: false,
  });

/** Keeps a trial as it is designed. */
export function useKeepDesign() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (body: Schemas['DesignedRequest']) => unwrap(api.POST('/api/trials/designed', { body })),
    onSuccess: () => client.invalidateQueries({ queryKey: keys.trials }),
  });
}

/** How far a designed trial is, and what comes next. */
export const useRunSheet = (campsite: string, trial: string) =>
  useQuery({
    queryKey: keys.runSheet(campsite, trial),
    queryFn: () => unwrap(api.GET('/api/trials/sheet', { params: { query: { campsite, trial } } })),
  });

/** The designed trials that are not made yet, the latest first. */
export const useRunSheets = () =>
  useQuery({ queryKey: keys.runSheets, queryFn: () => unwrap(api.GET('/api/trials/sheets')) });

/** Trials that are made again and again, filled in from what is on board. */
export const useTemplates = () =>
  useQuery({ queryKey: keys.templates, queryFn: () => unwrap(api.GET('/api/trials/templates')) });

/** What may be changed about a setup while it is tried. */
export const usePlanChoices = () =>
  useQuery({
    queryKey: keys.planChoices,
    queryFn: () => unwrap(api.GET('/api/trials/choices')),
    staleTime: Infinity,
  });

/** Two devices agree within a second. */
const LOOKS_MS = 500;
const CHECKS_MS = 1_500;

/** Asks for the sheet again whenever anything of it changed on any device. */
export function useFollowedSheet(campsite: string, trial: string) {
  const client = useQueryClient();
  const sheet = useRunSheet(campsite, trial);
  const query = { campsite, trial };
  const mark = useQuery({
    queryKey: keys.sheetMark(campsite, trial),
    queryFn: () => unwrap(api.GET('/api/trials/sheet/mark', { params: { query } })),
    enabled: sheet.data !== undefined,
    refetchInterval: LOOKS_MS,
    retry: false,
  }).data?.mark;
  const seen = useRef(mark);
  useEffect(() => {
    if (mark !== undefined && seen.current !== undefined && mark !== seen.current) {
      void client.invalidateQueries({ queryKey: keys.trials });
      void client.invalidateQueries({ queryKey: keys.runs });
    }
    seen.current = mark;
  }, [mark, client]);
  return sheet;
}

/** What is done on a sheet beside what is logged. */
export function useEnter(sheet: RunSheet) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (entry: Omit<Schemas['EntryRequest'], 'campsite' | 'trial'>) =>
      unwrap(
        api.POST('/api/trials/sheet/entries', {
          body: { campsite: sheet.campsite, trial: sheet.trial, ...entry },
        }),
      ),
    onSuccess: (changed) => client.setQueryData(keys.runSheet(sheet.campsite, sheet.trial), changed),
  });
}

/** Whether what the router says agrees with what is to be measured, while something stands that is not measured yet. */
export const useSheetCheck = (sheet: RunSheet, asks: boolean) =>
  useQuery({
    queryKey: keys.sheetCheck(sheet.campsite, sheet.trial, sheet.next ?? -1),
    queryFn: () =>
      unwrap(
        api.GET('/api/trials/sheet/check', {
          params: { query: { campsite: sheet.campsite, trial: sheet.trial } },
        }),
      ),
    enabled: asks,
    refetchInterval: CHECKS_MS,
    gcTime: 0,
    retry: false,
  });
