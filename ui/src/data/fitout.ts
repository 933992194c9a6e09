import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, type Schemas, unwrap } from './client';
import { keys } from './keys';
import type { Change } from './rig';

export type Fitout = Schemas['FitoutView'];
export type RoofPlan = Schemas['RoofPlan'];
export type RoofPlanView = Schemas['RoofPlanView'];
export type Assessment = Schemas['RoofAssessment'];

/** The plans there are, and what there is to choose from. */
export const useFitout = () =>
  useQuery({ queryKey: keys.fitout, queryFn: () => unwrap(api.GET('/api/fitout')) });

export const useRoofPlan = (id: number) =>
  useQuery({
    queryKey: keys.roofPlan(id),
    queryFn: () => unwrap(api.GET('/api/fitout/plans/{id}', { params: { path: { id } } })),
  });

/** What a plan comes to, also while it is drawn; the last answer stands until the next is there. */
export function useAssessment(plan: RoofPlan | null) {
  return useQuery({
    queryKey: keys.roofAssessment(plan),
    queryFn: () => unwrap(api.POST('/api/fitout/assessment', { body: plan as RoofPlan })),
    enabled: plan !== null,
    placeholderData: keepPreviousData,
    retry: false,
    gcTime: 10_000,
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
    onSuccess: (kept) => {
      client.setQueryData(keys.roofPlan(id), kept);
      void client.invalidateQueries({ queryKey: keys.jobSheets });
    },
  });
}

/** Puts the extension that a plan comes to into a setup. */
export function useExtend(id: number) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (setup: string) =>
      unwrap(api.POST('/api/fitout/plans/{id}/extension', { params: { path: { id } }, body: { setup } })),
    onSuccess: () => client.invalidateQueries({ queryKey: keys.rig }),
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
  return useQuery({
    queryKey: keys.jobSheet(id, hours),
    queryFn: () =>
      unwrap(api.GET('/api/fitout/plans/{id}/job-sheet', { params: { path: { id }, query: hours } })),
    placeholderData: keepPreviousData,
    retry: false,
    refetchInterval: LOOKS_MS,
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

/** Files a trial with a task of a build, which the address of its plan names: the plan, a dot, the task. */
export function useFileTrial() {
  const client = useQueryClient();
  return (task: string, campsite: string, trial: string) => {
    const dot = task.indexOf('.');
    if (dot > 0) {
      void api
        .POST('/api/fitout/plans/{id}/job-sheet/steps', {
          params: { path: { id: Number(task.slice(0, dot)) } },
          body: { task: task.slice(dot + 1), kind: 'trial', text: trial, campsite },
        })
        .finally(() => client.invalidateQueries({ queryKey: keys.jobSheets }));
    }
  };
}

/** Where a photo of a job sheet stands. */
export const photoAddress = (plan: number, photo: number) =>
  `/api/fitout/plans/${plan}/job-sheet/photos/${photo}`;

/** A change of the photos of a job sheet. */
function usePhotosChange<T>(change: (asked: T) => Promise<unknown>) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: change,
    onSuccess: () => client.invalidateQueries({ queryKey: keys.jobSheets }),
  });
}

export const useAddPhoto = (plan: number, task: string) =>
  usePhotosChange((file: Blob) =>
    unwrap(
      api.POST('/api/fitout/plans/{id}/job-sheet/photos', {
        params: { path: { id: plan }, query: { task } },
        headers: { 'Content-Type': 'application/octet-stream' },
        body: file as unknown as string,
        bodySerializer: (body) => body,
      }),
    ),
  );

export const useRemovePhoto = (plan: number) =>
  usePhotosChange((photo: number) =>
    unwrap(
      api.DELETE('/api/fitout/plans/{id}/job-sheet/photos/{photo}', {
        params: { path: { id: plan, photo } },
      }),
    ),
  );

export const useRestorePhoto = (plan: number) =>
  usePhotosChange((photo: number) =>
    unwrap(
      api.POST('/api/fitout/plans/{id}/job-sheet/photos/{photo}/restored', {
        params: { path: { id: plan, photo } },
      }),
    ),
  );
