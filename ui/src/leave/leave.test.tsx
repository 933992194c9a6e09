// @vitest-environment jsdom
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { expect, test } from 'vitest';
import type { Schemas } from '../data/client';
import { bodies, serve } from '../testing/server';
import { show } from '../testing/show';
import { NAMES } from '../testing/world';
import { LeaveView } from './LeaveView';

const STEPS: Schemas['LeaveStep'][] = [
  {
    key: 'mast Rowan',
    says: 'Lower Rowan and stow it: it is 3.0 m above the roof.',
    caution: 'Never drive with a mast up.',
    done: false,
  },
  { key: 'booster Bittern', says: 'Switch Bittern off.', caution: null, done: false },
];
const UP: Schemas['LeaveView'] = {
  campsite: 'Quarry Lake',
  left: false,
  headline: 'Before you drive: 2 steps to do.',
  steps: STEPS,
  stillUp: 'Rowan is still up. Lower it and tick it before you drive off.',
};
const DOWN: Schemas['LeaveView'] = {
  ...UP,
  headline: 'Before you drive: 1 step to do.',
  steps: STEPS.map((step, i) => ({ ...step, done: i === 0 })),
  stillUp: null,
};

test('the mast comes first, and nobody drives off while it is up', async () => {
  const user = userEvent.setup();
  let now = UP;
  serve({
    ...NAMES,
    'GET /api/leave': () => now,
    'PUT /api/leave': () => (now = DOWN),
    'POST /api/leave': () =>
      (now = { ...DOWN, left: true, headline: 'You have left. Say where you are when you arrive.' }),
    'DELETE /api/leave': () => (now = DOWN),
  });
  show(<LeaveView />, '/leave');
  const drive = await screen.findByRole('button', { name: 'Drive off' });
  expect(drive.hasAttribute('disabled')).toBe(true);
  expect(screen.getByText('Never drive with a mast up.')).toBeDefined();
  await user.click(screen.getByRole('checkbox', { name: /Lower Rowan/ }));
  await waitFor(() => expect(bodies('PUT /api/leave')).toEqual([{ step: 'mast Rowan', done: true }]));
  await waitFor(() => expect(drive.hasAttribute('disabled')).toBe(false));
  expect(screen.queryByText('Never drive with a mast up.')).toBeNull();
  await user.click(drive);
  await screen.findByText('You have left. Say where you are when you arrive.');
  await user.click(screen.getByRole('button', { name: 'Undo: I have not left Quarry Lake' }));
  await screen.findByText('Before you drive: 1 step to do.');
});
