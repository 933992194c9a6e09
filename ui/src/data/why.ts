import { useQuery } from '@tanstack/react-query';
import { api, unwrap } from './client';
import { keys } from './keys';

/** Of what it is asked why it is slow; nothing for what the standing line says. */
export interface DiagnosisQuery {
  stay?: number;
  setup?: string;
  carrier?: string;
}

const EVERY_MS = 60_000;

/** What limits it, by all that is known. */
export const useDiagnosis = (asked: DiagnosisQuery) =>
  useQuery({
    queryKey: keys.diagnosis(asked),
    queryFn: () => unwrap(api.GET('/api/diagnosis', { params: { query: asked } })),
    refetchInterval: EVERY_MS,
  });
