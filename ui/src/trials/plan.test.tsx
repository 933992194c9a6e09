// @vitest-environment jsdom
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { beforeEach, expect, test } from 'vitest';
import { bodies, Refused, serve } from '../testing/server';
import { show } from '../testing/show';
import { DESIGN, NAMES } from '../testing/world';
import { addressOf, askedIn, requestOf } from './planAddress';
import { TrialsView } from './TrialsView';

const SERVED = {
  ...NAMES,
  'GET /api/measure/kinds': [{ kind: 'light', says: 'Ends early.' }],
  'POST /api/trials/design': DESIGN,
  'GET /api/trials/choices': {
    changes: [
      { kind: 'bands', label: 'locked bands', allowed: 'bands such as B3' },
      { kind: 'place', label: 'place', allowed: 'a place such as on the table' },
    ],
    orders: [
      { order: 'turning', label: 'there and back', says: 'A B, then B A.' },
      { order: 'drawn', label: 'drawn each round', says: 'A new order each round.' },
    ],
    savings: ['time', 'data'],
    usual: {
      difference: 1.4,
      differenceSays: '1.4: you care if one is at least 40 % faster.',
      kind: 'light',
      order: 'turning',
      saving: 'time',
    },
  },
  'GET /api/trials/templates': [
    {
      key: 'bands',
      label: 'Band sweep',
      question: 'Is any band better held?',
      contenders: [
        { setup: 'Roof dome', carrier: 'Tarnwave', change: null },
        { setup: 'Roof dome', carrier: 'Tarnwave', change: { kind: 'bands', value: 'B3' } },
      ],
      lacking: null,
      notes: ['Give the device its bands back at the end.'],
      spread: ['08:00', '20:00'],
      seed: 5,
    },
    {
      key: 'booster',
      label: 'Booster off and on',
      question: 'Does it help?',
      contenders: [],
      lacking: 'No setup in Gear has a booster.',
      notes: [],
      spread: [],
      seed: null,
    },
  ],
};

beforeEach(() => localStorage.clear());

test('begins with what is up, shows what it takes, and is kept with the order that was shown', async () => {
  const user = userEvent.setup();
  serve({
    ...SERVED,
    'POST /api/trials/designed': { campsite: 'Lighthouse Meadow', trial: 'Mast', visits: [] },
    'GET /api/trials/sheet': new Refused(404, { detail: 'none' }),
  });
  show(<TrialsView />, '/trials?plan&seed=77');
  await screen.findByText(DESIGN.sentence);
  expect(screen.getByText(/its lead is too short/)).toBeTruthy();
  expect(screen.getByText(/under ×1\.9/)).toBeTruthy();
  expect(screen.getAllByText('4 min')).toHaveLength(2);
  await user.click(screen.getByRole('button', { name: 'Save and start' }));
  await screen.findByText('a trial needs a name');
  await user.type(screen.getByLabelText('Name of the trial'), 'Mast');
  await user.click(screen.getByRole('button', { name: 'Save and start' }));
  await waitFor(() => expect(bodies('POST /api/trials/designed')).toHaveLength(1));
  expect(bodies('POST /api/trials/designed')[0]).toMatchObject({
    campsite: 'Lighthouse Meadow',
    name: 'Mast',
    design: {
      contenders: [
        { setup: 'Mast panel', carrier: 'Tarnwave' },
        { setup: 'Roof dome', carrier: 'Tarnwave' },
      ],
      seed: 77,
    },
  });
});

test('a usual trial is filled in from the rig, and one that cannot be made says why', async () => {
  const user = userEvent.setup();
  serve(SERVED);
  show(<TrialsView />, '/trials?plan');
  await screen.findByText(DESIGN.sentence);
  expect(screen.getByText(/38\.2 GB left this month/)).toBeTruthy();
  await user.click(screen.getByRole('combobox', { name: 'Start from a common trial' }));
  await screen.findByText('No setup in Gear has a booster.');
  await user.click(await screen.findByText('Is any band better held?'));
  await screen.findByText('Give the device its bands back at the end.');
  expect(screen.getByLabelText('Setup 2: locked bands')).toHaveProperty('value', 'B3');
  await waitFor(() =>
    expect(bodies('POST /api/trials/design').at(-1)).toMatchObject({
      contenders: [
        { setup: 'Roof dome', change: null },
        { setup: 'Roof dome', change: { kind: 'bands', value: 'B3' } },
      ],
      seed: 5,
      spread: ['08:00', '20:00'],
    }),
  );
});

test('a wrong number is said at its field', async () => {
  const user = userEvent.setup();
  serve({
    ...SERVED,
    'POST /api/trials/design': (body) =>
      (body as { minutes: number | null }).minutes === 0
        ? new Refused(400, { detail: 'no', errors: [{ field: 'minutes', message: 'minutes is 0 min' }] })
        : DESIGN,
  });
  show(<TrialsView />, '/trials?plan');
  await screen.findByText(DESIGN.sentence);
  await user.type(screen.getByLabelText('Time available'), '0');
  await screen.findByText('minutes is 0 min');
  expect(screen.getByText('This cannot be planned as it is.')).toBeTruthy();
});

test('what is usual comes from the server, is shown, and is not sent as if it had been chosen', async () => {
  const user = userEvent.setup();
  serve(SERVED);
  show(<TrialsView />, '/trials?plan');
  await screen.findByText('1.4: you care if one is at least 40 % faster.');
  const difference = screen.getByLabelText<HTMLInputElement>('A difference of');
  expect(difference.value).toBe('1.4');
  expect(screen.getByText('A B, then B A.')).toBeTruthy();
  await waitFor(() =>
    expect(bodies('POST /api/trials/design').at(-1)).toMatchObject({
      difference: null,
      order: null,
      kind: null,
    }),
  );
  await user.clear(difference);
  expect(difference.value).toBe('');
  await user.type(difference, '2');
  await waitFor(() => expect(bodies('POST /api/trials/design').at(-1)).toMatchObject({ difference: 2 }));
});

test('what is asked stands in the address, and comes back out of it', () => {
  const asked = {
    contenders: [
      { setup: 'Mast panel', carrier: 'Tarnwave', kind: '', value: '' },
      { setup: 'Roof dome', carrier: 'Ostrel', kind: 'place', value: 'on: the table' },
    ],
    spread: '08:00, 20:00',
    difference: '1,4',
    kind: 'full',
    minutes: '90',
    gb: '',
    saving: 'data',
    order: 'drawn',
    seed: '5',
    file: '1.prove',
  };
  expect(askedIn(addressOf(asked))).toEqual(asked);
  expect(requestOf(asked)).toMatchObject({ difference: 1.4, minutes: 90, gb: null, seed: 5, order: 'drawn' });
  expect(requestOf(asked)?.contenders?.[1]?.change).toEqual({ kind: 'place', value: 'on: the table' });
  expect(requestOf(asked)?.spread).toEqual(['08:00', '20:00']);
  expect(requestOf({ ...asked, minutes: 'long' })).toBeNull();
  expect(requestOf({ ...asked, contenders: asked.contenders.slice(1) })).toBeNull();
});
