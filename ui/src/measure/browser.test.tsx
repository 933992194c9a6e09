// @vitest-environment jsdom
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { beforeEach, expect, test, vi } from 'vitest';
import { broughtIn, pageOf } from '../data/browserRun';
import { Events } from '../testing/events';
import { bodies, Refused, serve } from '../testing/server';
import { show } from '../testing/show';
import { STANDING } from '../testing/world';
import { MeasureView } from './MeasureView';

const PLAN = {
  page: 'http://192.168.1.20:8790/measure',
  run: '0b7d9f1e-run',
  ticket: '1790000000.x-y_z',
  what: 'Mast panel on Tarnwave',
};
const WAITS = {
  id: 7,
  kind: 'light',
  state: 'waiting',
  setup: 'Mast panel',
  carrier: 'Tarnwave',
  campsite: null,
  server: 'http://192.168.1.20:8790',
  inBrowser: true,
  ownSim: true,
  flat: { down: null, up: null },
  bytesUsed: 0,
  seconds: 0,
  endedBecause: null,
  sentence: null,
  series: [],
  measurementId: null,
};
const DONE = { ...WAITS, state: 'done', upMbps: 3.2, sentence: '3.20 Mb/s up.' };
const BROUGHT = { ended: 'done', laterMs: 0, seconds: 10, idle: [], down: null, up: null };
const HASH = `#brought=${btoa(JSON.stringify(BROUGHT)).replaceAll('=', '')}`;
const SERVED = {
  'GET /api/measure/server': { address: 'http://192.168.1.20:8790', hasSecret: true },
  'GET /api/measure/kinds': [{ kind: 'light', says: 'Ends early.' }],
  'GET /api/standing': STANDING,
  'GET /api/runs': [],
  'GET /api/measure/plan': { sentence: 'Runs have taken 0.25 of the 40 GB on Tarnwave since 1 Sep.' },
};

beforeEach(() => {
  vi.stubGlobal('EventSource', Events);
  localStorage.clear();
});

test('a run on the phone’s own SIM is handed to a page of the speed server’s', async () => {
  const user = userEvent.setup();
  serve({
    ...SERVED,
    'POST /api/runs/by-browser': WAITS,
    'GET /api/runs/7': WAITS,
    'GET /api/runs/7/plan': { plan: null },
  });
  show(<MeasureView />, '/measure');
  await user.click(await screen.findByText('this device, own SIM'));
  expect(screen.getByText(/A phone by itself/)).toBeTruthy();
  await user.click(screen.getByRole('button', { name: 'Measure now' }));
  await screen.findByText('Mast panel waits for the browser that measures it.');
  expect(bodies('POST /api/runs/by-browser')).toEqual([
    { run: { setup: 'Mast panel', carrier: 'Tarnwave', kind: 'light' }, ownSim: true, leg: null },
  ]);
  await user.click(screen.getByRole('button', { name: 'Open that page on this device' }));
  await screen.findByText(/has waited for more than an hour/);
});

test('the page has all that it needs in its address, and the way back', () => {
  const page = pageOf(PLAN as Parameters<typeof pageOf>[0], 7, 'lamp');
  const [address, hash] = page.split('#');
  const told = JSON.parse(decodeURIComponent(hash ?? '')) as object;
  expect(address).toBe(PLAN.page);
  expect(told).toMatchObject({ run: PLAN.run, ticket: PLAN.ticket, light: 'lamp' });
  expect(told).toMatchObject({ back: `${location.origin}/measure?run=7` });
});

test('what comes back is taken, and once more where it was refused', async () => {
  const user = userEvent.setup();
  let refuses = true;
  serve({
    ...SERVED,
    'GET /api/runs/7': () => (refuses ? WAITS : DONE),
    'POST /api/runs/7/brought': () => (refuses ? new Refused(503, { detail: 'not now' }) : DONE),
  });
  show(<MeasureView />, `/measure?run=7${HASH}`);
  await screen.findByText('not now');
  refuses = false;
  await user.click(screen.getByRole('button', { name: 'Retry' }));
  await screen.findByText('Mast panel: 3.20 Mb/s up.');
  expect(bodies('POST /api/runs/7/brought')).toEqual([BROUGHT, BROUGHT]);
  await waitFor(() => expect(screen.queryByText('not now')).toBeNull());
});

test('an address that brings nothing that can be read brings nothing', () => {
  expect(broughtIn('')).toBeNull();
  expect(broughtIn('#brought=%%%')).toBeNull();
  expect(broughtIn(`#brought=${btoa('{')}`)).toBeNull();
  expect(broughtIn(HASH)).toEqual(BROUGHT);
});
