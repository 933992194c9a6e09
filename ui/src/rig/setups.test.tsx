// @vitest-environment jsdom
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import type { Schemas } from '../data/client';
import { asked, bodies, NEVER, Refused, serve } from '../testing/server';
import { show } from '../testing/show';
import { DOME, gear, PANEL } from '../testing/world';
import { RigView } from './RigView';

const PLAN: Schemas['ChainPlan'] = {
  device: 1,
  devicePlacement: 'inside',
  booster: null,
  runs: [
    {
      antenna: 2,
      cables: [],
      leadCables: {},
      mount: null,
      placement: 'roof',
      mastM: 0,
      plateCm2: null,
    },
  ],
  adapters: [],
  sims: [],
  wiring: {},
  mode: 'automatic',
  lockedBands: [],
  source: 'cellular',
};
const VIEW = {
  setup: DOME,
  revision: 2,
  measured: 0,
  version: 4,
  revisions: [
    { revision: 1, since: null, measured: 40 },
    { revision: 2, since: '2026-09-01T10:00:00+02:00', measured: 0 },
  ],
  summary: 'Curlew + Alder',
  headline: 'It fits. Two streams reach Curlew.',
  plan: PLAN,
  carrier: '',
  region: null,
  streams: 2,
  findings: [],
  toBuy: [],
  price: null,
  wiring: [
    {
      key: '2/1',
      lead: 'Alder 1',
      use: 'cellular',
      ends: 'SMA-male',
      port: 'M1',
      portHas: 'SMA-female',
      adapter: null,
      sticker: '1 → M1',
    },
  ],
  leadsOver: [],
  portsOver: ['M2'],
  ports: [
    { label: 'M1', use: 'cellular', connector: 'SMA-female', main: true },
    { label: 'M2', use: 'cellular', connector: 'SMA-female', main: false },
  ],
  coverage: { sentence: 'Choose a carrier.', links: [], bands: [] },
  staircases: [],
  besideGain: '',
  cables: [],
  cableM: 0,
  system: '12 V',
  power: [],
} as Schemas['SetupView'];
const SERVED = {
  'GET /api/setups/1': VIEW,
  'GET /api/gear': [gear({}), gear({ id: 2, name: 'Alder', kind: 'antenna' })],
  'GET /api/carriers/bands': [],
  'GET /api/setups/choices': {
    places: ['roof', 'mast'],
    modes: ['automatic'],
    sources: ['cellular'],
    cableClasses: ['240-class'],
  },
};
const row = (part: Partial<Schemas['SetupRow']>): Schemas['SetupRow'] => ({
  setup: DOME,
  revision: 1,
  measured: 12,
  complete: true,
  summary: 'Curlew + Alder',
  headline: 'It fits.',
  blockers: 0,
  ...part,
});

describe('the list of setups', () => {
  it('waits without a number, and says what to do first', async () => {
    serve({ 'GET /api/setups/fit': NEVER });
    const page = show(<RigView />, '/gear');
    expect(page.container.querySelector('main')?.textContent).not.toMatch(/\d/);
    page.unmount();
    serve({ 'GET /api/setups/fit': [] });
    show(<RigView />, '/gear');
    expect(await screen.findByText(/No setup yet. Enter your need/)).toBeDefined();
  });

  it('tells those that are put together from those known by name alone', async () => {
    serve({
      'GET /api/setups/fit': [row({ setup: PANEL, complete: false, revision: 0 }), row({ blockers: 1 })],
    });
    show(<RigView />, '/gear');
    expect(await screen.findByText('1 setup ready, 1 blocked; 1 without parts.')).toBeDefined();
    expect(screen.getByText('Without parts')).toBeDefined();
  });

  it('says why a name is refused', async () => {
    const user = userEvent.setup();
    serve({
      'GET /api/setups/fit': [],
      'POST /api/setups': new Refused(409, { detail: 'which another setup has' }),
    });
    show(<RigView />, '/gear');
    await user.type(await screen.findByLabelText('Name of the new setup'), 'Roof dome');
    await user.click(screen.getByRole('button', { name: 'Add setup' }));
    expect(await screen.findByText('which another setup has')).toBeDefined();
  });
});

describe('a setup', () => {
  it('shows its fit and leads to what was measured with before', async () => {
    serve(SERVED);
    show(<RigView />, '/gear?setup=1');
    expect(await screen.findByText('It fits. Two streams reach Curlew.')).toBeDefined();
    expect(screen.getByText('No problems found.')).toBeDefined();
    expect(screen.getByText('revision 1').getAttribute('href')).toBe('/gear?setup=1&revision=1');
  });

  it('is only looked at in a revision of before', async () => {
    serve({ ...SERVED, 'GET /api/setups/1': { ...VIEW, revision: 1, measured: 40 } });
    show(<RigView />, '/gear?setup=1&revision=1');
    expect(await screen.findByText('revision 2')).toBeDefined();
    expect(asked.find((a) => a.call === 'GET /api/setups/1')?.query).toBe('?revision=1');
    expect(screen.queryByRole('button', { name: 'Edit parts' })).toBeNull();
  });

  it('asks the server what becomes of the wiring when a lead is plugged elsewhere', async () => {
    const user = userEvent.setup();
    const plugged = { ...VIEW, plan: { ...PLAN, wiring: { '2/1': 'M2' } } };
    serve({ ...SERVED, 'POST /api/setups/check': plugged, 'PUT /api/setups/1': plugged });
    show(<RigView />, '/gear?setup=1');
    await user.click(await screen.findByRole('button', { name: 'Edit parts' }));
    await user.click(screen.getByText('How the leads are plugged'));
    await user.click(screen.getByLabelText('Port of Alder 1'));
    await user.click(await screen.findByText('M2 · cellular, SMA-female'));
    await waitFor(() =>
      expect(bodies('POST /api/setups/check')[0]).toMatchObject({ plug: { lead: '2/1', port: 'M2' } }),
    );
    await user.click(await screen.findByRole('button', { name: 'Save' }));
    await waitFor(() => expect(bodies('PUT /api/setups/1')).toMatchObject([{ wiring: { '2/1': 'M2' } }]));
  });

  it('can be renamed and retired, and deleted only as long as nothing was measured with it', async () => {
    const user = userEvent.setup();
    serve({
      ...SERVED,
      'PUT /api/names/setup/1': { ...DOME, name: 'Dome' },
      'PUT /api/setups/1/retired': { ...DOME, retired: true },
    });
    show(<RigView />, '/gear?setup=1');
    await user.click(await screen.findByRole('button', { name: 'Rename' }));
    await user.clear(screen.getByLabelText('New name'));
    await user.type(screen.getByLabelText('New name'), 'Dome');
    await user.click(screen.getByRole('button', { name: 'Rename' }));
    await waitFor(() => expect(bodies('PUT /api/names/setup/1')).toEqual([{ name: 'Dome' }]));
    await user.click(await screen.findByRole('button', { name: 'Retire' }));
    await waitFor(() => expect(bodies('PUT /api/setups/1/retired')).toEqual([{ retired: true }]));
    expect(screen.queryByRole('button', { name: 'Delete' })).toBeNull();
  });

  it('stands what was measured beside what is predicted, and says where it falls short', async () => {
    const band = {
      band: 'B20',
      predictedDb: 13.2,
      halfWidthDb: 5,
      estimateDb: 2.1,
      lowDb: 0.4,
      highDb: 3.9,
      blocks: 6,
      fallsShort: true,
      sentence: 'something in this chain is not doing its job',
    };
    const stairs = {
      band: 'B20',
      mhz: 806,
      along: 'Alder 1',
      steps: [],
      netDb: 1,
      baselineDb: -12,
      deltaDb: 13.2,
      halfWidthDb: 5,
    };
    serve({
      ...SERVED,
      'GET /api/setups/1': { ...VIEW, staircases: [stairs] },
      'GET /api/results/gain': {
        against: PANEL,
        ownAntenna: false,
        others: [PANEL],
        bands: [band],
        causes: 'Look, in this order, for: a lead on a Wi-Fi or GNSS port',
      },
    });
    show(<RigView />, '/gear?setup=1');
    expect(await screen.findByText(/measured \+2.1 dB \(\+0.4 dB to \+3.9 dB\)/)).toBeDefined();
    expect(screen.getByText(/a lead on a Wi-Fi or GNSS port/)).toBeDefined();
    expect(
      screen.getByRole('img', { name: 'B20: predicted about +13.2 dB, measured +2.1 dB' }),
    ).toBeDefined();
  });
});
