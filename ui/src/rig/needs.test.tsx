// @vitest-environment jsdom
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { expect, test } from 'vitest';
import type { Schemas } from '../data/client';
import { bodies, NEVER, Refused, serve } from '../testing/server';
import { show } from '../testing/show';
import { NAMES } from '../testing/world';
import { Needs } from './Needs';

const NEEDS: Schemas['NeedsView'] = {
  needs: [
    {
      name: 'Video calls',
      downMbps: 4,
      upMbps: 3,
      loadedMs: 150,
      lossPct: null,
      partOfDay: 'mornings',
      hoursADay: 6,
      chosen: true,
      version: 2,
    },
  ],
  requirement: {
    downMbps: 4,
    upMbps: 3,
    loadedMs: 150,
    lossPct: null,
    gbAMonth: 567,
    parts: [{ part: 'mornings', downMbps: 4, upMbps: 3, needs: ['Video calls'] }],
    uploadTime: null,
    sentence: 'Video calls: 4 Mb/s down, 3 Mb/s up.',
  },
  partsOfDay: ['any time', 'mornings'],
};
const VEHICLE: Schemas['VehicleView'] = {
  vehicle: 'Heron',
  body: 'steel',
  heightM: 2.86,
  limitM: 4,
  batteryAh: 200,
  batteryV: 12.8,
  hoursADay: 10,
  carrier: 'Tarnwave',
  region: null,
  budget: null,
  currency: null,
  uploadGb: null,
  features: [],
  version: 5,
  bodies: ['steel', 'wood'],
  allFeatures: ['failover'],
};
const SERVED = {
  ...NAMES,
  'GET /api/needs': NEEDS,
  'GET /api/vehicle': VEHICLE,
  'GET /api/carriers/bands': [{ carrier: 'Tarnwave', region: 'East shore', bands: ['B20'] }],
};

test('each part waits by itself, and none shows a number before it is there', () => {
  serve({ ...NAMES, 'GET /api/needs': NEVER, 'GET /api/vehicle': NEVER, 'GET /api/carriers/bands': NEVER });
  const page = show(<Needs />);
  expect(screen.getAllByText('Loading…')).toHaveLength(3);
  expect(page.container.querySelector('main')?.textContent).not.toMatch(/\d/);
});

test('a threshold is changed from its version on, and a text that is no number is not sent', async () => {
  const user = userEvent.setup();
  serve({ ...SERVED, 'PUT /api/needs': NEEDS });
  show(<Needs />);
  expect(await screen.findByText('Video calls: 4 Mb/s down, 3 Mb/s up.')).toBeDefined();
  await user.click(await screen.findByRole('button', { name: /^Change/ }));
  const row = screen.getByLabelText('Up').closest('td') as HTMLElement;
  await user.clear(screen.getByLabelText('Up'));
  await user.type(screen.getByLabelText('Up'), 'fast');
  expect((within(row).getByRole('button', { name: 'Save' }) as HTMLButtonElement).disabled).toBe(true);
  await user.clear(screen.getByLabelText('Up'));
  await user.type(screen.getByLabelText('Up'), '3,5');
  await user.click(within(row).getByRole('button', { name: 'Save' }));
  await waitFor(() => expect(bodies('PUT /api/needs')).toMatchObject([{ name: 'Video calls', upMbps: 3.5 }]));
});

test('a change that somebody else made first is shown, and one’s own can be kept all the same', async () => {
  const user = userEvent.setup();
  const changes = [{ field: 'chosen', was: 'true', now: 'false' }];
  const answers = [new Refused(409, { detail: 'changed meanwhile', version: 9, changes }), NEEDS];
  serve({ ...SERVED, 'PUT /api/needs': () => answers.shift() ?? {} });
  show(<Needs />);
  await user.click(await screen.findByRole('checkbox', { name: 'Video calls' }));
  expect(await screen.findByText('chosen')).toBeDefined();
  await user.click(screen.getByRole('button', { name: 'Save mine anyway' }));
  await waitFor(() => expect(bodies('PUT /api/needs')).toHaveLength(2));
});

test('the vehicle is sent without what there is to choose from', async () => {
  const user = userEvent.setup();
  serve({ ...SERVED, 'PUT /api/vehicle': VEHICLE });
  show(<Needs />);
  await user.clear(await screen.findByLabelText('Battery'));
  await user.type(screen.getByLabelText('Battery'), '280');
  await user.click(screen.getByRole('button', { name: 'Save' }));
  await waitFor(() =>
    expect(bodies('PUT /api/vehicle')).toMatchObject([{ vehicle: 'Heron', batteryAh: 280 }]),
  );
  expect(bodies('PUT /api/vehicle')[0]).not.toHaveProperty('bodies');
});
