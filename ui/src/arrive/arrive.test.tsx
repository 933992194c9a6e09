// @vitest-environment jsdom
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { expect, test } from 'vitest';
import type { Schemas } from '../data/client';
import { bodies, Refused, serve } from '../testing/server';
import { show } from '../testing/show';
import { DOME, NAMES, STANDING } from '../testing/world';
import { ArriveView } from './ArriveView';

const LOOK: Schemas['ArrivalView'] = {
  lat: 59.3293,
  lon: 18.0686,
  problem: null,
  near: [{ campsite: 'Quarry Lake', km: 2.41 }],
  last: {
    stays: 2,
    until: '2026-08-08T09:00:00+02:00',
    surroundings: 'woods',
    did: [{ setup: DOME, carrier: 'Tarnwave', runs: 12, failed: 1, down: 22, up: 3.4 }],
  },
  surroundings: ['open', 'woods'],
  carriers: ['Tarnwave', 'Ostrel'],
  askMast: null,
};
const SERVED = { ...NAMES, 'GET /api/arrival': LOOK, 'GET /api/names/campsite/close': {} };

test('an arrival keeps where, what it is like and what the phone shows, and shows what held last time', async () => {
  const user = userEvent.setup();
  serve({ ...SERVED, 'POST /api/arrival': STANDING });
  show(<ArriveView />, '/arrive');
  await user.type(await screen.findByLabelText('Coordinates, if you like'), 'N 59.3293 E 18.0686');
  expect(await screen.findByText('read as 59.3293, 18.0686')).toBeDefined();
  await user.click(screen.getByRole('button', { name: 'Quarry Lake, 2.4 km' }));
  expect(screen.getByText('3.4 Mb/s up, 22 Mb/s down, the median', { exact: false })).toBeDefined();
  await user.click(screen.getByLabelText('woods'));
  await user.type(screen.getByLabelText('Tarnwave outside'), '97');
  await user.click(screen.getByRole('button', { name: 'Ostrel inside: no service' }));
  expect(localStorage.getItem('syntoma.arrive')).toContain('Quarry Lake');
  await user.click(screen.getByRole('button', { name: 'Arrive' }));
  await waitFor(() =>
    expect(bodies('POST /api/arrival')).toEqual([
      {
        campsite: 'Quarry Lake',
        coordinates: 'N 59.3293 E 18.0686',
        surroundings: ['woods'],
        phones: [
          { carrier: 'Tarnwave', outside: '97', inside: '' },
          { carrier: 'Ostrel', outside: '', inside: 'no service' },
        ],
        again: false,
        mastDown: null,
      },
    ]),
  );
  await waitFor(() => expect(localStorage.getItem('syntoma.arrive')).toBeNull());
});

test('what is refused stands at its field and the draft stays', async () => {
  const user = userEvent.setup();
  const errors = [{ field: 'phones[0].outside', message: 'level is “so so”; allowed is −140 to −44 dBm' }];
  serve({ ...SERVED, 'POST /api/arrival': new Refused(400, { detail: errors[0]?.message, errors }) });
  show(<ArriveView />, '/arrive');
  await user.click(await screen.findByRole('button', { name: 'Quarry Lake, 2.4 km' }));
  await user.type(screen.getByLabelText('Tarnwave outside'), 'so so');
  await user.click(screen.getByRole('button', { name: 'Arrive' }));
  expect((await screen.findAllByText(/level is “so so”/)).length).toBeGreaterThan(0);
  expect(localStorage.getItem('syntoma.arrive')).toContain('so so');
});

test('who arrives with a mast that was up is asked whether it is down', async () => {
  const user = userEvent.setup();
  const askMast = 'Rowan was up when you last said so. Is the mast down?';
  serve({
    ...SERVED,
    'GET /api/arrival': { ...LOOK, askMast },
    'POST /api/arrival': STANDING,
  });
  show(<ArriveView />, '/arrive');
  await user.type(await screen.findByLabelText('Campsite'), 'Otter Field');
  expect(await screen.findByText(askMast)).toBeDefined();
  await user.click(screen.getByLabelText('Yes, it is down'));
  await user.click(screen.getByRole('button', { name: 'Arrive' }));
  await waitFor(() => expect(bodies('POST /api/arrival')).toMatchObject([{ mastDown: true }]));
});
