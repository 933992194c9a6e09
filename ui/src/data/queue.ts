import { api, refusal, type Refusal, type Schemas } from './client';
import { local } from './local';

export type Measurement = Schemas['MeasurementRequest'];

/**
 * A measurement that this device has to send.
 *
 * - `key`: under which the server stores it once, however often it is sent
 * - `sent`: as it was sent first, if it is not known whether that arrived
 * - `thrownAway`: it should no longer be in the log, if it has arrived
 * - `refused`: why the server did not take it
 * - `failed`: the server itself failed at it; it steps aside for the others and is tried again from `again` on
 * - `beside`: what another device logged for the same run; both are kept, until a person says otherwise
 */
export interface Waiting {
  key: string;
  body: Measurement;
  at: string;
  sent?: Measurement;
  thrownAway?: boolean;
  refused?: { message: string; errors: Schemas['FieldProblem'][] };
  failed?: { message: string; times: number; again: string };
  beside?: { id: number; others: Schemas['SameRoundEntry'][] };
}

/** What became of a measurement that was logged. */
export type Outcome =
  | { is: 'stored'; answer: Schemas['StoredEntry'] }
  | { is: 'refused'; refusal: Refusal }
  | { is: 'waits'; key: string; failed?: string };

const LOCK = 'syntoma-queue';
const channel = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel(LOCK);
const listeners = new Set<() => void>();
let entries: readonly Waiting[] = [];
/** Where the browser keeps nothing, the queue lasts as long as the page. */
let lasting = true;

/** Whether what waits outlives this page. */
export const isLasting = () => lasting;

/** What waits, the oldest first, as it stands on the device. */
export const waiting = () => entries;

export function onQueue(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

function show(next: readonly Waiting[]) {
  entries = [...next].sort((a, b) => a.at.localeCompare(b.at));
  for (const listener of [...listeners]) {
    listener();
  }
}

async function lastingly(write: (db: Awaited<ReturnType<typeof local>>) => Promise<unknown>) {
  try {
    const db = await local();
    await write(db);
    if (!lasting) {
      // it keeps again: what this page alone knew is written too
      await Promise.all(entries.map((entry) => db.put('queue', entry)));
      keeps(true);
    }
  } catch {
    keeps(false);
  }
}

function keeps(now: boolean) {
  if (lasting !== now) {
    lasting = now;
    show(entries);
  }
}

const PROBE: Waiting = { key: 'probe', body: {} as Measurement, at: '' };

/** Finds out before anything is typed whether the browser keeps what waits, and asks it not to clear that by itself. */
export async function tryKeeping() {
  await lastingly(async (db) => {
    await db.put('queue', PROBE);
    await db.delete('queue', PROBE.key);
  });
  try {
    await navigator.storage?.persist?.();
  } catch {
    // it decides by itself
  }
}

/** Reads what waits from the device. */
export async function readQueue() {
  if (!lasting) {
    // what it kept before it failed is less than what this page knows
    return;
  }
  try {
    show((await (await local()).getAll('queue')).filter((entry) => entry.key !== PROBE.key));
  } catch {
    keeps(false);
  }
}

channel?.addEventListener('message', () => void readQueue());

async function put(entry: Waiting) {
  await lastingly((db) => db.put('queue', entry));
  show([...entries.filter((e) => e.key !== entry.key), entry]);
  channel?.postMessage('changed');
}

async function remove(key: string) {
  await lastingly((db) => db.delete('queue', key));
  show(entries.filter((e) => e.key !== key));
  channel?.postMessage('changed');
}

/** One page of this browser sends at a time. */
async function alone<T>(work: () => Promise<T>): Promise<T> {
  return 'locks' in navigator ? await navigator.locks.request(LOCK, work) : await work();
}

/** Logs a measurement: sends it, or keeps it until it can be sent. What is refused at once is not kept. */
export async function log(body: Measurement): Promise<Outcome> {
  const entry: Waiting = { key: crypto.randomUUID(), body, at: new Date().toISOString() };
  await put(entry);
  const outcome = await alone(() => deliver(entry.key));
  if (outcome.is === 'refused') {
    await remove(entry.key);
  }
  return outcome;
}

/** Changes what waits. */
export async function mend(key: string, body: Measurement): Promise<Outcome> {
  const entry = entries.find((e) => e.key === key);
  if (!entry) {
    return { is: 'waits', key };
  }
  const { refused: _refused, failed: _failed, ...rest } = entry;
  await put({ ...rest, body });
  return alone(() => deliver(key));
}

/** Throws away what waits, by its key; where it may have arrived already, it is taken out of the log again. */
export async function throwAway(key: string) {
  const entry = entries.find((e) => e.key === key);
  if (entry?.sent) {
    await put({ ...entry, thrownAway: true });
  } else {
    await remove(key);
  }
}

/** Puts back what was thrown away; where the log has taken it out meanwhile, it is logged again. */
export function putBack(entry: Waiting): Promise<void> {
  const { sent, ...rest } = entry;
  const taken = sent !== undefined && !entries.some((e) => e.key === entry.key);
  return put(taken ? { ...rest, key: crypto.randomUUID() } : entry);
}

/** Has seen that another device logged the same run. */
export const seenBeside = (key: string) => remove(key);

/** How many in a row that the server itself fails at: it is the server, and not the measurement. */
const FAILS_IN_A_ROW = 3;
const AGAIN_AFTER_MS = 5_000;
const AGAIN_AT_MOST_MS = 300_000;

/**
 * Sends all that waits, the oldest first, until the server does not answer. One that the server fails at never holds up the others.
 *
 * @param now whether those are tried too that were to be tried later
 */
export async function sendAll(now = false): Promise<number> {
  return alone(async () => {
    await readQueue();
    let stored = 0;
    let fails = 0;
    for (const entry of entries) {
      const later = entry.failed !== undefined && Date.parse(entry.failed.again) > Date.now();
      if (entry.beside || entry.refused || (later && !now)) {
        continue;
      }
      const outcome = await deliver(entry.key);
      if (outcome.is === 'waits' && outcome.failed === undefined) {
        break;
      }
      fails = outcome.is === 'waits' ? fails + 1 : 0;
      if (fails === FAILS_IN_A_ROW) {
        break;
      }
      stored += outcome.is === 'stored' ? 1 : 0;
    }
    return stored;
  });
}

async function stepAside(key: string, message: string) {
  const entry = entries.find((e) => e.key === key);
  if (entry) {
    const times = (entry.failed?.times ?? 0) + 1;
    const pause = Math.min(AGAIN_AT_MOST_MS, AGAIN_AFTER_MS * 2 ** (times - 1));
    await put({ ...entry, failed: { message, times, again: new Date(Date.now() + pause).toISOString() } });
  }
}

async function deliver(key: string): Promise<Outcome> {
  const entry = entries.find((e) => e.key === key);
  if (!entry) {
    return { is: 'waits', key };
  }
  const body = entry.sent ?? entry.body;
  await put({ ...entry, sent: body });
  const answer = await post(key, body);
  if (answer.is === 'waits') {
    if (answer.failed !== undefined) {
      await stepAside(key, answer.failed);
    }
    return answer;
  }
  // a person may have changed it while it was on its way
  const latest = entries.find((e) => e.key === key) ?? entry;
  if (answer.is === 'refused') {
    return notTaken(latest, body, answer);
  }
  return (await follow(latest, body, answer.answer.id)) ? taken(latest, answer) : { is: 'waits', key };
}

async function notTaken(latest: Waiting, body: Measurement, answer: Outcome & { is: 'refused' }) {
  const { sent: _sent, failed: _failed, ...rest } = latest;
  if (latest.thrownAway) {
    await remove(latest.key);
    return answer;
  }
  if (JSON.stringify(latest.body) !== JSON.stringify(body)) {
    await put(rest);
    return deliver(latest.key);
  }
  const { message, errors } = answer.refusal;
  await put({ ...rest, refused: { message, errors } });
  return answer;
}

async function taken(latest: Waiting, answer: Outcome & { is: 'stored' }) {
  const { id, beside } = answer.answer;
  if (beside.length > 0 && !latest.thrownAway) {
    const { sent: _sent, failed: _failed, ...rest } = latest;
    await put({ ...rest, beside: { id, others: beside } });
  } else {
    await remove(latest.key);
  }
  return answer;
}

/** Does to what was stored what a person did to it while it was on its way; whether that is done. */
async function follow(latest: Waiting, body: Measurement, id: number): Promise<boolean> {
  const path = { id };
  try {
    if (latest.thrownAway) {
      await api.DELETE('/api/measurements/{id}', { params: { path } });
    } else if (JSON.stringify(latest.body) !== JSON.stringify(body)) {
      const changed = await api.PUT('/api/measurements/{id}', { params: { path }, body: latest.body });
      if (!changed.response.ok) {
        const { message, errors } = refusal(changed.error, changed.response.status);
        await put({ ...latest, refused: { message, errors } });
        return false;
      }
    }
    return true;
  } catch {
    return false;
  }
}

/** An answer that says nothing of the measurement itself: it is tried again later. */
const LATER = [401, 403, 408, 421, 429];

async function post(key: string, body: Measurement): Promise<Outcome> {
  let answer;
  try {
    answer = await api.POST('/api/measurements', {
      params: { header: { 'Idempotency-Key': key } },
      body,
    });
  } catch {
    return { is: 'waits', key };
  }
  const { status } = answer.response;
  if (answer.data) {
    return { is: 'stored', answer: answer.data };
  }
  if (LATER.includes(status)) {
    return { is: 'waits', key };
  }
  const refused = refusal(answer.error, status);
  return status >= 500 ? { is: 'waits', key, failed: refused.message } : { is: 'refused', refusal: refused };
}
