import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { saidAll, saidDrawn, useUnits } from '../format/units';
import { api, type Schemas, unwrap } from './client';
import { keys } from './keys';
import type { Change } from './rig';

export type Fitout = Schemas['FitoutView'];
export type RoofPlan = Schemas['RoofPlan'];
export type RoofPlanView = Schemas['RoofPlanView'];
export type Reckoned = Schemas['RoofReckoned'];

/** The plans there are, and what there is to choose from. */
export const useFitout = () =>
  useQuery({ queryKey: keys.fitout, queryFn: () => unwrap(api.GET('/api/fitout')) });

export const useRoofPlan = (id: number) =>
  useQuery({
    queryKey: keys.roofPlan(id),
    queryFn: () => unwrap(api.GET('/api/fitout/plans/{id}', { params: { path: { id } } })),
  });

/** What a plan comes to, also while it is drawn; the last answer stands until the next is there. */
export function useReckoned(plan: RoofPlan) {
  const { system } = useUnits();
  return useQuery({
    queryKey: keys.roofReckoned(plan),
    queryFn: () => unwrap(api.POST('/api/fitout/reckoned', { body: plan })),
    placeholderData: keepPreviousData,
    retry: false,
    gcTime: 10_000,
    select: (reckoned) => saidAll(reckoned, system, saidDrawn),
  });
}

/** A change of the list of plans. */
function usePlansChange<T, R>(change: (asked: T) => Promise<R>) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: change,
    onSuccess: () => client.invalidateQueries({ queryKey: keys.fitout }),
  });
}

export const useBeginPlan = () =>
  usePlansChange((body: Schemas['RoofPlanRequest']) => unwrap(api.POST('/api/fitout/plans', { body })));

export const useRemovePlan = () =>
  usePlansChange((id: number) => unwrap(api.DELETE('/api/fitout/plans/{id}', { params: { path: { id } } })));

export const useRestorePlan = () =>
  usePlansChange((id: number) =>
    unwrap(api.POST('/api/fitout/plans/{id}/restored', { params: { path: { id } } })),
  );

/** Keeps a plan as it is drawn. */
export function useKeepPlan(id: number) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: ({ body, version }: Change<RoofPlan>) =>
      unwrap(api.PUT('/api/fitout/plans/{id}', { params: { path: { id }, query: { version } }, body })),
    onSuccess: (kept) => client.setQueryData(keys.roofPlan(id), kept),
  });
}

export type JobSheet = Schemas['JobSheetView'];
export type JobTask = Schemas['JobTask'];

/** The hours in which a build is done, as the address has them; what is missing is as usual. */
export interface JobHours {
  start?: string;
  days?: number;
  from?: string;
  until?: string;
  people?: number;
}

/** The tasks that a build takes, in the order in which they are done. */
export function useJobSheet(id: number, hours: JobHours) {
  const { system } = useUnits();
  return useQuery({
    queryKey: keys.jobSheet(id, hours),
    queryFn: () =>
      unwrap(api.GET('/api/fitout/plans/{id}/job-sheet', { params: { path: { id }, query: hours } })),
    placeholderData: keepPreviousData,
    retry: false,
    refetchInterval: LOOKS_MS,
    select: (sheet) => saidAll(sheet, system, saidDrawn),
  });
}

/** What is ticked on one device stands on the others soon. */
const LOOKS_MS = 3_000;

export function useJobStep(id: number) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (body: Schemas['JobRequest']) =>
      unwrap(api.POST('/api/fitout/plans/{id}/job-sheet/steps', { params: { path: { id } }, body })),
    onSettled: () => client.invalidateQueries({ queryKey: keys.rig }),
  });
}
