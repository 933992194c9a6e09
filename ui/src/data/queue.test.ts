// @vitest-environment jsdom
import 'fake-indexeddb/auto';
import { beforeEach, expect, test } from 'vitest';
import { type SeenRequest, asked, Cut, Refused, serve } from '../testing/server';
import { local } from './local';
import {
  isLasting,
  log,
  mend,
  putBack,
  readQueue,
  seenBeside,
  sendAll,
  throwAway,
  tryKeeping,
  type Waiting,
  waiting,
} from './queue';

/** A log that stores what comes under a key once, as the server does; and a link to it that is cut at will. */
class Log {
  readonly stored = new Map<string, { id: number; body: unknown }>();
  readonly deleted: number[] = [];
  readonly corrected: [number, unknown][] = [];

  constructor(readonly cut: () => 'before' | 'after' | 'not') {
    serve({
      'POST /api/measurements': (body, { headers }: SeenRequest) => {
        const cut = this.cut();
        if (cut === 'before') {
          throw new Cut();
        }
        const key = headers.get('Idempotency-Key') ?? '';
        const known = this.stored.get(key);
        if (known && JSON.stringify(known.body) !== JSON.stringify(body)) {
          return new Refused(409, { detail: 'this key came with another measurement already' });
        }
        this.stored.set(key, known ?? { id: this.stored.size + 1, body });
        if (cut === 'after') {
          throw new Cut();
        }
        return { id: this.stored.get(key)?.id, beside: [] };
      },
      ...Object.fromEntries(
        [1, 2, 3].flatMap((id) => [
          [
            `DELETE /api/measurements/${id}`,
            () => {
              this.deleted.push(id);
              return { change: 1 };
            },
          ],
          [
            `PUT /api/measurements/${id}`,
            (body: unknown) => {
              this.corrected.push([id, body]);
              return { change: 1 };
            },
          ],
        ]),
      ),
    });
  }
}

const run = (upMbps: string) => ({
  takenAt: '2026-09-05T20:00:00+02:00',
  campsite: 'Quarry Lake',
  setup: 'Dome',
  outcome: 'ok',
  upMbps,
});

/** A sequence that looks random and is the same each time. */
function chance(seed: number) {
  let state = seed;
  return () => {
    state = (state * 48271) % 2147483647;
    return state / 2147483647;
  };
}

beforeEach(async () => {
  await (await local()).clear('queue');
  await readQueue();
});

test('what is logged while the link is cut at random moments is stored once, all of it', async () => {
  const next = chance(11);
  let linked = false;
  const server = new Log(() => {
    const drawn = next();
    return !linked || drawn < 0.15 ? 'before' : drawn < 0.3 ? 'after' : 'not';
  });
  for (let i = 0; i < 1000; i++) {
    linked = next() < 0.3;
    await log(run(String(i)));
    if (i % 50 === 0) {
      // as after a reload: nothing but what the device has kept is known
      await readQueue();
    }
  }
  linked = true;
  for (let tries = 0; waiting().length > 0 && tries < 5000; tries++) {
    await sendAll();
  }
  expect(waiting()).toEqual([]);
  const stored = [...server.stored.values()].map((m) => (m.body as { upMbps: string }).upMbps);
  expect(stored.length).toBe(1000);
  expect(new Set(stored).size).toBe(1000);
}, 120_000);

test('what was mended while it may have arrived is corrected in the log', async () => {
  let cut: 'before' | 'after' | 'not' = 'after';
  const server = new Log(() => cut);
  await log(run('1'));
  const key = waiting()[0]?.key ?? '';
  cut = 'before';
  expect((await mend(key, run('2'))).is).toBe('waits');
  cut = 'not';
  expect(await sendAll()).toBe(1);
  expect([...server.stored.values()].map((m) => m.body)).toEqual([run('1')]);
  expect(server.corrected).toEqual([[1, run('2')]]);
  expect(waiting()).toEqual([]);
});

test('what was thrown away while it may have arrived is taken out of the log', async () => {
  let cut: 'after' | 'not' = 'after';
  const server = new Log(() => cut);
  await log(run('1'));
  const entry = waiting()[0];
  await throwAway(entry?.key ?? '');
  cut = 'not';
  await sendAll();
  expect(server.deleted).toEqual([1]);
  expect(waiting()).toEqual([]);
  await putBack(entry as Waiting);
  await sendAll();
  expect([...server.stored.values()].map((m) => m.id)).toEqual([1, 2]);
});

test('what was never sent is thrown away here, and can be put back', async () => {
  const server = new Log(() => 'not');
  const entry = { key: 'never-sent-1', body: run('7'), at: '2026-09-05T18:00:00Z' };
  await putBack(entry);
  await throwAway(entry.key);
  await sendAll();
  expect(server.stored.size).toBe(0);
  await putBack(entry);
  await sendAll();
  expect(server.stored.size).toBe(1);
});

test('what is refused is kept with the reason until it is mended', async () => {
  const refused = {
    detail: 'rsrpDbm is −9999',
    errors: [{ field: 'rsrpDbm', message: 'rsrpDbm is −9999' }],
  };
  serve({ 'POST /api/measurements': () => new Refused(400, refused) });
  await putBack({ key: 'kept-and-wrong', body: run('1'), at: '2026-09-05T18:00:00Z' });
  await sendAll();
  expect(waiting()[0]?.refused?.message).toBe('rsrpDbm is −9999');
  const before = asked.length;
  await sendAll();
  expect(asked.length).toBe(before);
  const server = new Log(() => 'not');
  expect((await mend('kept-and-wrong', run('2'))).is).toBe('stored');
  expect([...server.stored.values()].map((m) => m.body)).toEqual([run('2')]);
});

test('what is refused at once is not kept, and what the server is too busy for is', async () => {
  serve({ 'POST /api/measurements': () => new Refused(400, { detail: 'no' }) });
  expect((await log(run('1'))).is).toBe('refused');
  expect(waiting()).toEqual([]);
  for (const status of [401, 429, 503, 507]) {
    serve({ 'POST /api/measurements': () => new Refused(status, { detail: 'later' }) });
    expect((await log(run(String(status)))).is).toBe('waits');
  }
  expect(waiting().length).toBe(4);
});

test('one that the server fails at steps aside, says why, and is tried again; the others are sent', async () => {
  let broken = true;
  const stored: string[] = [];
  serve({
    'POST /api/measurements': (body: unknown) => {
      const { upMbps } = body as { upMbps: string };
      if (broken && upMbps === '2') {
        return new Refused(500, { detail: 'something went wrong' });
      }
      stored.push(upMbps);
      return { id: stored.length, beside: [] };
    },
  });
  for (const [i, up] of ['1', '2', '3', '4'].entries()) {
    await putBack({ key: `aside-${up}`, body: run(up), at: `2026-09-05T18:0${i}:00Z` });
  }
  expect(await sendAll()).toBe(3);
  expect(stored).toEqual(['1', '3', '4']);
  expect(waiting().map((e) => [e.key, e.failed?.message, e.failed?.times])).toEqual([
    ['aside-2', 'something went wrong', 1],
  ]);
  const before = asked.length;
  await sendAll();
  expect(asked.length).toBe(before);
  broken = false;
  expect(await sendAll(true)).toBe(1);
  expect(waiting()).toEqual([]);
});

test('a server that fails at everything is not asked for each of them', async () => {
  serve({ 'POST /api/measurements': () => new Refused(503, { detail: 'busy' }) });
  for (let i = 0; i < 9; i++) {
    await putBack({ key: `busy-${i}`, body: run(String(i)), at: `2026-09-05T18:0${i}:00Z` });
  }
  const before = asked.length;
  await sendAll();
  expect(asked.length).toBe(before + 3);
  expect(waiting().length).toBe(9);
});

test('a browser that keeps nothing is found out before anything is typed, and so is that it keeps again', async () => {
  const db = await local();
  const put = db.put.bind(db);
  db.put = () => Promise.reject(new DOMException('full', 'QuotaExceededError'));
  await tryKeeping();
  expect(isLasting()).toBe(false);
  await putBack({ key: 'in-the-page', body: run('5'), at: '2026-09-05T18:00:00Z' });
  expect(waiting().length).toBe(1);
  db.put = put;
  await tryKeeping();
  expect(isLasting()).toBe(true);
  await readQueue();
  expect(waiting().map((e) => e.key)).toEqual(['in-the-page']);
});

test('a run that another device logged too stays visible until somebody has seen it', async () => {
  const others = [{ id: 9, sentence: 'Dome at Quarry Lake, 5 Sep, 20:00' }];
  serve({ 'POST /api/measurements': { id: 4, beside: others } });
  await log(run('1'));
  expect(waiting()[0]?.beside).toEqual({ id: 4, others });
  expect(await sendAll()).toBe(0);
  await seenBeside(waiting()[0]?.key ?? '');
  expect(waiting()).toEqual([]);
});
