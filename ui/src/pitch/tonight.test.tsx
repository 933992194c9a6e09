// @vitest-environment jsdom
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { expect, test } from 'vitest';
import type { Schemas } from '../data/client';
import { bodies, serve } from '../testing/server';
import { show } from '../testing/show';
import { DOME, NAMES, PANEL } from '../testing/world';
import { AdviceNotes, Tonight, WhatToTry } from './Tonight';

const rate = (middle: number) => ({ low: middle / 2, middle, high: middle * 2 });
const option = (part: Partial<Schemas['OptionView']>): Schemas['OptionView'] => ({
  kind: 'setup',
  setup: PANEL,
  carrier: 'Ostrel',
  chance: 0.87,
  times: [],
  whyHere: null,
  up: rate(10),
  down: rate(120),
  loaded: rate(200),
  minutes: 3,
  moves: [
    {
      says: 'Put the Ostrel SIM into Curlew, in place of the Tarnwave SIM.',
      caution: 'Switch Curlew off first.',
    },
  ],
  pricePerGb: null,
  reason: 'Because all 3 runs here at this stay met it.',
  here: null,
  ...part,
});
const ADVICE: Schemas['AdviceView'] = {
  headline: 'Use Mast panel on Ostrel.',
  whatToTry: [],
  need: 'Video calls',
  at: '2026-09-05T21:12:00+02:00',
  options: [
    option({}),
    option({
      kind: 'as-it-is',
      setup: DOME,
      carrier: 'Tarnwave',
      chance: 0.68,
      minutes: 0,
      moves: [],
      here: { runs: 14, met: 10, when: '', low: 0.45, high: 0.88 },
    }),
    option({ kind: 'move-on', setup: null, chance: null, moves: [] }),
  ],
  more: 7,
  test: {
    sentence: 'A test of 15 minutes would likely settle it.',
    between: [
      { setup: 'Mast panel', carrier: 'Ostrel' },
      { setup: 'Roof dome', carrier: 'Brissa' },
    ],
  },
  record: { followed: 6, said: 0.8, came: 0.7, offBy: 1.3, sentence: '6 times it was followed.' },
  asked: {
    id: 4,
    setup: 'Roof dome',
    carrier: 'Ostrel',
    need: 'Video calls',
    at: '2026-09-04T20:00:00+02:00',
  },
};

test('each option says its chance, its work and why; what is measured here stands beside what is predicted', async () => {
  const user = userEvent.setup();
  serve({ ...NAMES, 'POST /api/advice/followed': ADVICE });
  show(<Tonight advice={ADVICE} />);
  expect(screen.getByText('on Ostrel · 3 min of work')).toBeDefined();
  expect(screen.getByText('10 of 14 runs here met it', { exact: false })).toBeDefined();
  expect(screen.getByRole('img', { name: 'predicted 68 %, measured 10 of 14' })).toBeDefined();
  expect(screen.getByRole('img', { name: 'predicted 87 %' })).toBeDefined();
  expect(screen.getByText('7 more options, all ranked lower', { exact: false })).toBeDefined();
  expect(screen.getByRole('region', { name: 'Move on' })).toBeDefined();
  await user.keyboard('f');
  await waitFor(() =>
    expect(bodies('POST /api/advice/followed')).toEqual([{ setup: 'Mast panel', carrier: 'Ostrel' }]),
  );
});

test('a test that would settle it leads to its plan, and the outcome of earlier advice is asked once', async () => {
  const user = userEvent.setup();
  serve({ ...NAMES, 'POST /api/advice/followed/4/outcome': { ...ADVICE, asked: null } });
  show(<AdviceNotes advice={ADVICE} />);
  expect(screen.getByRole('link', { name: 'Plan this test' }).getAttribute('href')).toBe(
    '/trials?plan=&setup=Mast+panel&carrier=Ostrel&setup=Roof+dome&carrier=Brissa',
  );
  expect(screen.getByText('6 times it was followed.')).toBeDefined();
  await user.click(screen.getByRole('button', { name: 'No' }));
  await waitFor(() => expect(bodies('POST /api/advice/followed/4/outcome')).toEqual([{ met: false }]));
});

test('where no carrier was heard it says what to try, in order', () => {
  serve(NAMES);
  show(
    <WhatToTry
      advice={{
        ...ADVICE,
        headline: 'No carrier was heard here yet.',
        whatToTry: ['Raise the antenna.', 'Keep a second means.'],
      }}
    />,
  );
  expect(screen.getAllByRole('listitem').map((item) => item.textContent)).toEqual([
    'Raise the antenna.',
    'Keep a second means.',
  ]);
});

test('why an option is first stands beside it, and without a need it has no percentage', () => {
  serve(NAMES);
  const options = [
    option({ whyHere: 'About as likely as the next ones, and less work.', chance: null }),
    option({ setup: DOME }),
  ];
  show(<Tonight advice={{ ...ADVICE, options }} />);
  expect(screen.getByText('About as likely as the next ones', { exact: false })).toBeDefined();
  expect(screen.getAllByRole('img', { name: /predicted/ })).toHaveLength(1);
});

test('a need of other hours is told now and then', () => {
  serve(NAMES);
  const times = [
    { what: 'HD film now', chance: 0.88 },
    { what: 'HD film this evening', chance: 0.79 },
  ];
  show(<Tonight advice={{ ...ADVICE, options: [option({ chance: 0.79, times })] }} />);
  expect(screen.getByText('HD film now 88 % · HD film this evening 79 %')).toBeDefined();
});

test('nothing is advised where nothing was measured', () => {
  serve(NAMES);
  const { container } = show(<Tonight advice={{ ...ADVICE, options: [] }} />);
  expect(container.querySelector('.tonight-option')).toBeNull();
});
