// @vitest-environment jsdom
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { bodies, Refused, serve } from '../testing/server';
import { show } from '../testing/show';
import { STANDING } from '../testing/world';
import { MeasureView } from './MeasureView';

const RUN = {
  id: 7,
  kind: 'light',
  state: 'down',
  setup: 'Mast panel',
  carrier: 'Tarnwave',
  campsite: 'Lighthouse Meadow',
  server: 'http://127.0.0.1:8790',
  downMbps: null,
  upMbps: null,
  idleMs: 40,
  downLoadedMs: null,
  upLoadedMs: null,
  jitterMs: null,
  lossPct: null,
  flat: { down: null, up: null },
  bytesUsed: 2_340_000,
  seconds: 3.4,
  endedBecause: null,
  sentence: null,
  series: [
    { atMs: 100, phase: 'idle', mbps: null, latencyMs: 40 },
    { atMs: 2_600, phase: 'down', mbps: 12.34, latencyMs: null },
  ],
  measurementId: null,
};
const SERVED = {
  'GET /api/measure/server': { address: 'http://127.0.0.1:8790', hasSecret: false },
  'GET /api/measure/kinds': [
    { kind: 'full', says: 'All of it.' },
    { kind: 'light', says: 'Ends early.' },
  ],
  'GET /api/standing': STANDING,
  'GET /api/runs': [],
  'GET /api/measure/carrier': { on: null, says: null },
  'GET /api/measure/plan': { sentence: 'Runs have taken 0.25 of the 40 GB on Tarnwave since 1 Sep.' },
};

/** The run as the server knows it. */
let now: object = RUN;

/** Tells what happens to a run. */
class Events {
  static last: Events | undefined;
  private told: ((event: { data: string }) => void) | undefined;

  constructor(readonly address: string) {
    Events.last = this;
  }

  addEventListener(_name: string, told: (event: { data: string }) => void) {
    this.told = told;
  }

  tell(run: object) {
    now = run;
    this.told?.({ data: JSON.stringify(run) });
  }

  close() {
    this.told = undefined;
  }
}

afterEach(() => vi.unstubAllGlobals());

beforeEach(() => {
  now = RUN;
  vi.stubGlobal('EventSource', Events);
});

test('a run is begun with what the line says, followed, and said when it is over', async () => {
  const user = userEvent.setup();
  serve({ ...SERVED, 'POST /api/runs': RUN, 'GET /api/runs/7': () => now });
  show(<MeasureView />, '/measure');
  await user.type(await screen.findByLabelText('At most'), '2,5');
  await user.click(screen.getByRole('button', { name: 'Measure now' }));
  await waitFor(() => expect(bodies('POST /api/runs')).toHaveLength(1));
  expect(bodies('POST /api/runs')).toEqual([
    { setup: 'Mast panel', carrier: 'Tarnwave', kind: 'light', budgetMb: 2.5 },
  ]);
  await screen.findByText('Measuring Mast panel: 12.3 Mb/s down.');
  expect(screen.getByText('2.3 MB used so far in 3 s')).toBeTruthy();
  expect(screen.getByText(/0\.25 of the 40 GB/)).toBeTruthy();
  expect(screen.queryByRole('button', { name: 'Measure now' })).toBeNull();
  await waitFor(() => expect(Events.last?.address).toBe('/api/runs/7/events'));
  Events.last?.tell({
    ...RUN,
    state: 'done',
    downMbps: 12.1,
    upMbps: 4,
    flat: { down: true, up: false },
    endedBecause: 'the budget of 3 MB was used up',
    sentence: '4.00 Mb/s up, 12.1 Mb/s down.',
    measurementId: 99,
  });
  await screen.findByText('Mast panel: 4.00 Mb/s up, 12.1 Mb/s down.');
  expect(screen.getByText(/it stopped because the budget of 3 MB was used up/)).toBeTruthy();
  expect(screen.getByText(/limited by the plan/)).toBeTruthy();
  expect(screen.getByText(/In the log\./)).toBeTruthy();
});

test('a router on another carrier than the line says is asked about before anything is logged', async () => {
  const user = userEvent.setup();
  serve({
    ...SERVED,
    'POST /api/runs': RUN,
    'GET /api/runs/7': () => now,
    'GET /api/measure/carrier': {
      on: 'Brissa',
      says: 'The router is on Brissa, and the line says Tarnwave.',
    },
  });
  show(<MeasureView />, '/measure');
  await user.click(await screen.findByRole('button', { name: 'Measure now' }));
  await screen.findByText('The router is on Brissa, and the line says Tarnwave.');
  expect(bodies('POST /api/runs')).toEqual([]);
  await user.click(screen.getByRole('button', { name: 'Measure as Brissa' }));
  await waitFor(() => expect(bodies('POST /api/runs')).toMatchObject([{ carrier: 'Brissa' }]));
});

test('a run that goes on is cancelled', async () => {
  const user = userEvent.setup();
  serve({ ...SERVED, 'GET /api/runs': () => [now], 'GET /api/runs/7': () => now, 'DELETE /api/runs/7': RUN });
  show(<MeasureView />, '/measure');
  await user.click(await screen.findByRole('button', { name: 'Cancel' }));
  expect(bodies('DELETE /api/runs/7')).toHaveLength(1);
  Events.last?.tell({ ...RUN, state: 'cancelled' });
  await screen.findByText('Cancelled; nothing was logged.');
});

test('without a speed server its address comes first, and is tried', async () => {
  const user = userEvent.setup();
  serve({
    ...SERVED,
    'GET /api/measure/server': { address: null, hasSecret: false },
    'PUT /api/measure/server': (body) =>
      (body as { address: string }).address === 'here'
        ? new Refused(400, { detail: 'no', errors: [{ field: 'address', message: 'address is “here”' }] })
        : { address: 'http://a:1', hasSecret: false },
    'POST /api/measure/server/probe': { reached: false, problem: 'nothing answers', answerMs: null },
  });
  show(<MeasureView />, '/measure');
  const address = await screen.findByLabelText('Address');
  await user.type(address, 'here');
  await user.click(screen.getByRole('button', { name: 'Save and test the speed server' }));
  await screen.findByText('address is “here”');
  await user.clear(address);
  await user.type(address, 'http://a:1');
  await user.click(screen.getByRole('button', { name: 'Save and test the speed server' }));
  await screen.findByText('Not reached: nothing answers.');
  expect(bodies('PUT /api/measure/server')).toEqual([{ address: 'here' }, { address: 'http://a:1' }]);
});
