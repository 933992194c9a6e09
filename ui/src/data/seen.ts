import { dehydrate, hydrate, type QueryClient } from '@tanstack/react-query';
import { keys } from './keys';
import { local } from './local';
import { onReach, reach } from './reach';

/** What is kept of what was seen, to be read while the server is away; the first part of each key. */
const KEPT = new Set<unknown>(
  [
    keys.standing,
    keys.pitch,
    keys.stays,
    keys.trials,
    keys.setups,
    keys.carriers,
    keys.campsites,
    keys.figures,
    keys.rig,
    keys.session,
    keys.demo,
    ['measurements'],
    ['logbook'],
    ['stay-page'],
    ['result'],
    ['next-step'],
  ].map(([first]) => first),
);

/** How long after the last answer what was seen is written down. */
const SETTLED_MS = 1_000;

/** How many answers are kept; those that were asked for longest ago go. */
const MOST = 150;

const NAME = 'answers';

/** That it was not admitted yet is nothing to come back to. */
const isAtTheDoor = (data: unknown) => (data as { ok?: boolean } | null)?.ok === false;

/** Keeps what is seen on this device, and brings it back when the server cannot be reached. */
export function keepWhatIsSeen(client: QueryClient): () => void {
  let timer: ReturnType<typeof setTimeout> | undefined;
  const keep = async () => {
    const { queries } = dehydrate(client, {
      shouldDehydrateQuery: (query) =>
        query.state.status === 'success' && KEPT.has(query.queryKey[0]) && !isAtTheDoor(query.state.data),
    });
    const now = new Set(queries.map((query) => query.queryHash));
    try {
      const db = await local();
      // what this page has not asked for is as it was seen before
      const before = (await db.get('seen', NAME))?.queries.filter((query) => !now.has(query.queryHash)) ?? [];
      await db.put('seen', { mutations: [], queries: [...queries, ...before].slice(0, MOST) }, NAME);
    } catch {
      // the browser keeps nothing
    }
  };
  const unsubscribe = client.getQueryCache().subscribe((event) => {
    if (event.type === 'updated' && event.action.type === 'success' && KEPT.has(event.query.queryKey[0])) {
      clearTimeout(timer);
      timer = setTimeout(() => void keep(), SETTLED_MS);
    }
  });
  const unreach = onReach(() => {
    if (reach().is === 'away') {
      void bringBack(client);
    } else {
      // what could not be read meanwhile is read without anybody pressing anything
      void client.refetchQueries({ predicate: (query) => query.state.status === 'error' });
    }
  });
  return () => {
    clearTimeout(timer);
    unsubscribe();
    unreach();
  };
}

/** Brings back what was seen, where nothing newer is known. */
export async function bringBack(client: QueryClient) {
  try {
    const seen = await (await local()).get('seen', NAME);
    if (seen) {
      hydrate(client, seen);
    }
  } catch {
    // nothing was kept
  }
}

/** Forgets what was seen: this device is no longer admitted. */
export async function forgetWhatWasSeen() {
  try {
    await (await local()).delete('seen', NAME);
  } catch {
    // nothing was kept
  }
}
