import createClient from 'openapi-fetch';
import { reaching } from './reach';
import { readStored } from './useStored';
import type { components, paths } from './schema';

export type Schemas = components['schemas'];

export const api = createClient<paths>({ baseUrl: '', fetch: reaching });

/** Under which name the choice of units is kept in this browser. */
export const UNITS = 'units';

// sentences of an answer are in the units that its call asks for
api.use({
  onRequest: ({ request }) => {
    request.headers.set('Syntoma-Units', readStored(UNITS, 'metric'));
    return request;
  },
});

/** An answer that refuses, with the fields at fault. */
export class Refusal extends Error {
  constructor(
    message: string,
    readonly errors: Schemas['FieldProblem'][],
    readonly status = 0,
  ) {
    super(message);
  }

  /** Whether nobody answered, so that it is not known what became of the call. */
  get isSilence() {
    return this.status === 0;
  }
}

/** Something was changed by somebody else since it was looked at. */
export class Clash extends Refusal {
  constructor(
    message: string,
    readonly version: number,
    readonly changes: Change[],
  ) {
    super(message, [], 409);
  }
}

/** Something that a person must say before it is done. */
export class ChoiceRequired extends Refusal {
  constructor(
    message: string,
    readonly choices: Choice[],
  ) {
    super(message, [], 409);
  }
}

/** One way in which it can be meant, and what to send along for it. */
export interface Choice {
  as: string;
  label: string;
  says: string;
}

/** A field that somebody else changed. */
export interface Change {
  field: string;
  was: string | null;
  now: string | null;
}

/** The data of an answer, or a refusal thrown. */
export async function unwrap<T>(
  call: Promise<{ data?: T; error?: unknown; response: Response }>,
): Promise<T> {
  let answer;
  try {
    answer = await call;
  } catch {
    throw new Refusal('Syntoma does not answer. Is it running, and is this device on its network?', []);
  }
  if (answer.response.ok) {
    return answer.data as T;
  }
  throw refusal(answer.error, answer.response.status);
}

/** A refusal from the body of an answer. */
export function refusal(body: unknown, status: number): Refusal {
  const problem = (body ?? {}) as {
    detail?: string;
    errors?: Schemas['FieldProblem'][];
    version?: number;
    changes?: Change[];
    choices?: Choice[];
  };
  const detail = problem.detail ?? `Syntoma answered with the status ${status}.`;
  if (problem.choices !== undefined) {
    return new ChoiceRequired(detail, problem.choices);
  }
  return problem.version !== undefined && problem.changes !== undefined
    ? new Clash(detail, problem.version, problem.changes)
    : new Refusal(detail, problem.errors ?? [], status);
}
