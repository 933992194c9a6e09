// @vitest-environment jsdom
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { expect, test } from 'vitest';
import type { Schemas } from '../data/client';
import { bodies, serve } from '../testing/server';
import { show } from '../testing/show';
import { NAMES } from '../testing/world';
import { AfterTheDrive, WhatIsWhere } from './WhatIsWhere';

const STATE: Schemas['StateView'] = {
  inUse: 'Curlew',
  antennas: [{ name: 'Rowan', at: 'Curlew', raisedM: 3 }],
  sims: [{ name: 'Tarnwave SIM', carrier: 'Tarnwave', device: 'Curlew', active: true }],
  devices: [{ name: 'Curlew', bands: 'B20' }],
  leadsGoTo: ['Curlew', 'Bittern'],
  boosterOn: null,
  boosters: ['Bittern'],
  asked: { antennas: ['Rowan'], says: 'Rowan was up when you last said so. Is the mast down?' },
};

test('after a drive the mast is asked about, and the answer is kept', async () => {
  const user = userEvent.setup();
  let state = STATE;
  serve({
    ...NAMES,
    'GET /api/state': () => state,
    'POST /api/state/after-the-drive': () => (state = { ...STATE, asked: null }),
  });
  show(<AfterTheDrive />, '/tonight');
  await user.click(await screen.findByRole('button', { name: 'Yes, it is down' }));
  await waitFor(() => expect(bodies('POST /api/state/after-the-drive')).toEqual([{ down: true }]));
  await waitFor(() => expect(screen.queryByText(/Is the mast down/)).toBeNull());
});

test('what is where is corrected: the booster on, the bands released', async () => {
  const user = userEvent.setup();
  serve({ ...NAMES, 'GET /api/state': STATE, 'PUT /api/state': STATE });
  show(<WhatIsWhere />, '/tonight');
  await user.click(await screen.findByRole('button', { name: 'What is where' }));
  await user.click(await screen.findByRole('switch', { name: 'Bittern is on' }));
  await user.click(screen.getByRole('button', { name: 'Release' }));
  await user.click(screen.getByRole('button', { name: 'Save' }));
  await waitFor(() =>
    expect(bodies('PUT /api/state')).toEqual([
      {
        antennas: [],
        sims: [],
        devices: [{ name: 'Curlew', bands: 'automatic' }],
        boosterOn: 'Bittern',
      },
    ]),
  );
});
