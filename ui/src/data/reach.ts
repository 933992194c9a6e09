import { useSyncExternalStore } from 'react';

/** Whether the server answers, as the last call found it; `since` is when it was first missed, by this device's clock. */
export type Reach = { is: 'here' } | { is: 'away'; since: number };

let now: Reach = { is: 'here' };
const listeners = new Set<() => void>();

/** Since when the server is missed, also after a reload. */
const MISSED = 'syntoma.missed';

function become(next: Reach) {
  if (next.is !== now.is) {
    now = next;
    if (next.is === 'away') {
      localStorage.setItem(MISSED, String(next.since));
    } else {
      localStorage.removeItem(MISSED);
    }
    for (const listener of [...listeners]) {
      listener();
    }
  }
}

export const reached = () => become({ is: 'here' });
export const missed = () => become({ is: 'away', since: Number(localStorage.getItem(MISSED)) || Date.now() });
export const reach = () => now;

/** Tells when the server is missed, and when it is there again. */
export function onReach(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

export const useReach = () => useSyncExternalStore(onReach, reach, reach);

/** How long what is read, or a measurement that is sent, may take before the server counts as away. */
const LONGEST_MS = 20_000;

/** Long work, such as an import, takes the time that it takes. */
const isShort = (request: Request) =>
  request.method === 'GET' || new URL(request.url).pathname === '/api/measurements';

/** Asks the server, and notes whether it answers. */
export async function reaching(request: Request): Promise<Response> {
  const given = request.signal;
  const late = isShort(request) ? AbortSignal.timeout(LONGEST_MS) : new AbortController().signal;
  try {
    const answer = await globalThis.fetch(new Request(request, { signal: AbortSignal.any([given, late]) }));
    reached();
    return answer;
  } catch (failed) {
    if (!given.aborted || late.aborted) {
      missed();
    }
    throw failed;
  }
}

/** How long a page waits for the first answer before it shows what was seen last. */
const FIRST_ANSWER_MS = 3_000;

/** The first thing that a page asks: whether it is admitted. Nothing where the server does not answer. */
export async function firstAnswer(): Promise<unknown> {
  try {
    const answer = await globalThis.fetch('/api/session', { signal: AbortSignal.timeout(FIRST_ANSWER_MS) });
    localStorage.removeItem(MISSED);
    return answer.ok ? await answer.json() : null;
  } catch {
    missed();
    return null;
  }
}
