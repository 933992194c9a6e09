// @vitest-environment jsdom
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, expect, test, vi } from 'vitest';
import { bodies, serve } from '../testing/server';
import { Events, tell } from '../testing/events';
import { show } from '../testing/show';
import { STANDING } from '../testing/world';
import { LiveNow } from './LiveNow';

const READING = {
  takenAt: '2026-09-05T21:12:00+02:00',
  ageMs: 400,
  problem: null,
  mode: 'LTE',
  carrier: 'Tarnwave',
  cells: [],
};
const CELL = {
  role: 'primary',
  rat: 'LTE',
  band: 'B20',
  arfcn: 6300,
  bandwidthMhz: 10,
  pci: null,
  cellId: null,
  rssiDbm: null,
  rsrpDbm: -97,
  rsrqDb: null,
  sinrDb: null,
};
const STRIP = {
  label: 'RSRP',
  unit: 'dBm',
  value: -97,
  grade: 'fair',
  spread: { low: -99, median: -97, high: -95 },
  usual: null,
  from: -135,
  to: -60,
  floors: [-80, -95, -105, -118],
};

afterEach(() => vi.unstubAllGlobals());

test('the cells in use stand with their numbers; a router that is gone is hollow and says why', async () => {
  vi.stubGlobal('EventSource', Events);
  serve({
    'GET /api/measure/router': { kind: 'http-json', address: 'http://a', mapping: {}, hasSecret: false },
  });
  show(<LiveNow />);
  await screen.findByText('asking the router');
  tell({ reading: READING, strips: [{ cell: CELL, strips: [STRIP] }], nrSharePct: 25 });
  expect(screen.getByText('Primary cell · LTE B20 · channel 6300 · 10 MHz')).toBeTruthy();
  expect(screen.getByText('Tarnwave · LTE · NR in 25 % of the last minute')).toBeTruthy();
  expect(screen.getByText('−97 dBm')).toBeTruthy();
  tell({
    reading: { ...READING, ageMs: 12_300, mode: null, problem: 'the router did not answer within 3 s' },
    strips: [],
    nrSharePct: null,
  });
  expect(screen.getByText('The router did not answer within 3 s.')).toBeTruthy();
  expect(screen.getByText('Tarnwave · 12 s old')).toBeTruthy();
  expect(screen.queryByText('−97 dBm')).toBeNull();
});

test('what is live is logged with one key, of the carrier that the router is on', async () => {
  vi.stubGlobal('EventSource', Events);
  serve({
    'GET /api/measure/router': { kind: 'http-json', address: 'http://a', mapping: {}, hasSecret: false },
    'GET /api/standing': { ...STANDING, carrier: 'Ostrel' },
    'POST /api/measurements': { id: 9, beside: [] },
  });
  show(<LiveNow />);
  await screen.findByText('asking the router');
  tell({
    reading: { ...READING, takenAt: '2026-09-05T21:12:00.123+02:00', cells: [CELL] },
    strips: [],
    nrSharePct: null,
  });
  const button = await screen.findByRole('button', { name: /Log this/ });
  await waitFor(() => expect(button.hasAttribute('disabled')).toBe(false));
  await userEvent.setup().keyboard('k');
  await waitFor(() => expect(bodies('POST /api/measurements')).toHaveLength(1));
  expect(bodies('POST /api/measurements')[0]).toEqual({
    takenAt: '2026-09-05T21:12:00+02:00',
    campsite: 'Lighthouse Meadow',
    setup: 'Mast panel',
    carrier: 'Tarnwave',
    outcome: 'ok',
    rat: 'LTE',
    band: 'B20',
    arfcn: '6300',
    rsrpDbm: '-97',
  });
  tell({ reading: { ...READING, ageMs: 7_000, cells: [CELL] }, strips: [], nrSharePct: null });
  expect(button.hasAttribute('disabled')).toBe(true);
});

test('without a router it says how to connect one', async () => {
  serve({ 'GET /api/measure/router': { kind: null, address: null, mapping: {}, hasSecret: false } });
  show(<LiveNow />);
  expect((await screen.findByText('Connect it once')).getAttribute('href')).toBe('/measure');
});
