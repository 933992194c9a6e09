import { api, refusal, type Refusal, type Schemas } from './client';
import { local } from './local';

export type Measurement = Schemas['MeasurementRequest'];

/**
 * A measurement that this device has to send.
 *
 * - `key`: under which the server stores it once, however often it is sent
 * - `sent`: as it was sent first, if it is not known whether that arrived
 * - `thrownAway`: it is to be in the log no more, should it have arrived
 * - `refused`: why the server did not take it
 * - `beside`: what another device logged for the same run; both are kept, until a person says otherwise
 */
export interface Waiting {
  key: string;
  body: Measurement;
  at: string;
  sent?: Measurement;
  thrownAway?: boolean;
  refused?: { message: string; errors: Schemas['FieldProblem'][] };
  beside?: { id: number; others: Schemas['Beside'][] };
}

/** What became of a measurement that was logged. */
export type Outcome =
  | { is: 'stored'; answer: Schemas['Stored'] }
  | { is: 'refused'; refusal: Refusal }
  | { is: 'waits'; key: string };

const LOCK = 'syntoma-queue';
const channel = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel(LOCK);
const listeners = new Set<() => void>();
let entries: readonly Waiting[] = [];
/** Where the browser keeps nothing, the queue lasts as long as the page. */
let lasting = true;

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
  if (lasting) {
    try {
      await write(await local());
    } catch {
      lasting = false;
    }
  }
}

/** Reads what waits from the device. */
export async function readQueue() {
  if (!lasting) {
    // what it kept before it failed is less than what this page knows
    return;
  }
  try {
    show(await (await local()).getAll('queue'));
  } catch {
    lasting = false;
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
  const { refused: _refused, ...rest } = entry;
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

/** Puts back what was thrown away; where the log has taken it out meanwhile, it is logged anew. */
export function putBack(entry: Waiting): Promise<void> {
  const { sent, ...rest } = entry;
  const taken = sent !== undefined && !entries.some((e) => e.key === entry.key);
  return put(taken ? { ...rest, key: crypto.randomUUID() } : entry);
}

/** Has seen that another device logged the same run. */
export const seenBeside = (key: string) => remove(key);

/** Sends all that waits, the oldest first, until the server does not answer. */
export async function sendAll(): Promise<number> {
  return alone(async () => {
    await readQueue();
    let stored = 0;
    for (const entry of entries) {
      if (entry.beside || entry.refused) {
        continue;
      }
      const outcome = await deliver(entry.key);
      if (outcome.is === 'waits') {
        break;
      }
      stored += outcome.is === 'stored' ? 1 : 0;
    }
    return stored;
  });
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
  const { sent: _sent, ...rest } = latest;
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
    const { sent: _sent, ...rest } = latest;
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
  return status >= 500 || LATER.includes(status)
    ? { is: 'waits', key }
    : { is: 'refused', refusal: refusal(answer.error, status) };
}
