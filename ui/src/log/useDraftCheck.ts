import { useState } from 'react';
import { Refusal, type Schemas } from '../data/client';
import { useFormCheck } from '../data/log';
import { type Draft, valueOf } from './logDraft';
import { useSettled } from '../parts/useSettled';

/** How long a form rests before the server is asked what it says. */
const SETTLED_MS = 180;

/** What the server says of a draft as it is typed, and what it said when it refused it. */
export function useDraftCheck(draft: Draft, request: Schemas['MeasurementRequest']) {
  const [refused, setRefused] = useState<Schemas['FieldProblem'][] | null>(null);
  const check = useFormCheck(useSettled(JSON.stringify(request), SETTLED_MS));
  const problems = refused ?? check?.problems ?? [];
  return {
    check,
    problems,
    /** Whether all that is wrong is said, also of what was not touched yet. */
    all: refused !== null,
    problem: (name: string) =>
      refused !== null || valueOf(draft, name) !== ''
        ? problems.find((p) => p.field === name)?.message
        : undefined,
    refuse: (error: Error) => setRefused(error instanceof Refusal ? error.errors : []),
    touched: () => setRefused(null),
  };
}

export type DraftCheck = ReturnType<typeof useDraftCheck>;
