import { useMutation, useQueryClient } from '@tanstack/react-query';
import { api, Refusal, type Schemas, unwrap } from './client';
import { keys } from './keys';
import type { Run } from './measure';

/** What went over the way to Syntoma's machine is looked at with more and more, until it takes long enough to be timed. */
const SIZES = [250_000, 1_000_000, 4_000_000];
const LONG_ENOUGH_MS = 700;

/** What a run's page hands back in the address. */
const BROUGHT = '#brought=';

/** Sends something over the way to Syntoma's machine, and says what that took. */
async function passed(send: (bytes: number) => Promise<Response>) {
  let bytes = 0;
  let ms = 0;
  for (const size of SIZES) {
    const from = performance.now();
    const answer = await send(size);
    await answer.arrayBuffer();
    if (!answer.ok) {
      throw new Refusal('The connection from this device to Syntoma could not be tested.', []);
    }
    bytes = size;
    ms = performance.now() - from;
    if (ms >= LONG_ENOUGH_MS) {
      break;
    }
  }
  return { bytes, ms: Math.max(0.1, ms) };
}

async function legSeen(): Promise<Schemas['LegSeen']> {
  const down = await passed((bytes) => fetch(`/api/leg?bytes=${bytes}`, { cache: 'no-store' }));
  const up = await passed((bytes) =>
    fetch('/api/leg', {
      method: 'POST',
      headers: { 'Content-Type': 'application/octet-stream' },
      body: new Uint8Array(bytes),
    }),
  );
  return { downBytes: down.bytes, downMs: down.ms, upBytes: up.bytes, upMs: up.ms };
}

/** Where the page stands that makes a run, with all that it needs in its address. */
export function pageOf(plan: Schemas['BrowserPlan'], id: number, light: string) {
  const { page, ...rest } = plan;
  const back = `${location.origin}/measure?run=${id}`;
  return `${page}#${encodeURIComponent(JSON.stringify({ ...rest, back, at: Date.now(), light }))}`;
}

/** Has a run wait for this browser; gives what its page needs. */
export function useBeginInBrowser() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: async (asked: { run: Schemas['RunRequest']; ownSim: boolean }) => {
      const leg = asked.ownSim ? null : await legSeen();
      const body = { ...asked, leg } as Schemas['BrowserRequest'];
      const run = await unwrap(api.POST('/api/runs/by-browser', { body }));
      return { run, plan: await planOf(run.id) };
    },
    onSuccess: () => client.invalidateQueries({ queryKey: keys.runs }),
  });
}

/** What the page of a run that waits for a browser needs; null where it no longer waits. */
export async function planOf(id: number) {
  const view = await unwrap(api.GET('/api/runs/{id}/plan', { params: { path: { id } } }));
  return view.plan;
}

/** What a page has brought in the address; null where there is nothing, or nothing that can be read. */
export function broughtIn(hash: string): Schemas['BrowserResult'] | null {
  if (!hash.startsWith(BROUGHT)) {
    return null;
  }
  try {
    const code = hash.slice(BROUGHT.length).replaceAll('-', '+').replaceAll('_', '/');
    const bytes = Uint8Array.from(atob(code), (c) => c.charCodeAt(0));
    return JSON.parse(new TextDecoder().decode(bytes)) as Schemas['BrowserResult'];
  } catch {
    return null;
  }
}

/** Takes what was brought of a run; to do it twice does no harm. */
export function useBring() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: ({ id, brought }: { id: number; brought: Schemas['BrowserResult'] }) =>
      unwrap(api.POST('/api/runs/{id}/brought', { params: { path: { id } }, body: brought })),
    onSuccess: (run: Run) => {
      client.setQueryData(keys.run(run.id), run);
      return client.invalidateQueries({ queryKey: keys.runs });
    },
  });
}
