// @vitest-environment jsdom
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { expect, test } from 'vitest';
import type { Schemas } from '../data/client';
import { asked, serve } from '../testing/server';
import { show } from '../testing/show';
import { FindingsView } from './FindingsView';

const strength = (word: 'strong-good' | 'fair' | 'weak-none', blocks: number, stays: number) => ({
  strength: word,
  words: word,
  blocks,
  stays,
  estimate: blocks === 0 ? null : 2.4,
  low: stays < 4 ? null : 1.9,
  high: stays < 4 ? null : 3.1,
  verdict: stays < 4 ? 'too-few' : 'better',
});

const row = (setup: string, more: Partial<Schemas['ComparedView']>): Schemas['ComparedView'] => ({
  setup,
  pennant: 0,
  estimate: 1,
  low: null,
  high: null,
  verdict: 'no-difference',
  words: 'no difference that matters',
  sentence: `${setup} as it is`,
  plainMean: 8,
  plainRank: 1,
  adjustedRank: 2,
  ownBlocks: 20,
  ownStays: 7,
  runs: 40,
  failed: 0,
  staysWanted: null,
  byStrength: [],
  ...more,
});

const FOUND: Schemas['FindingsView'] = {
  metric: 'up',
  of: 'setups',
  words: 'upload',
  unit: 'Mb/s',
  scale: 'ratio',
  matters: 1.2,
  higherIsBetter: true,
  baseline: 'Roof dome',
  headline: 'Mast panel’s upload is double.',
  level: 0.95,
  blocks: 20,
  stays: 7,
  withoutStrength: 2,
  measurements: 120,
  setups: [
    row('Roof dome', {}),
    row('Mast panel', {
      estimate: 2,
      low: 1.6,
      high: 2.5,
      verdict: 'better',
      plainRank: 2,
      adjustedRank: 1,
      byStrength: [strength('strong-good', 0, 0), strength('fair', 4, 2), strength('weak-none', 9, 5)],
    }),
    row('Whips', {
      estimate: 0.6,
      low: 0.1,
      high: 2.9,
      verdict: 'too-few',
      ownStays: 2,
      staysWanted: 2,
      adjustedRank: 3,
      plainRank: 3,
    }),
  ],
  remarks: [
    { code: 'averages-mislead', sentence: 'Plain averages mislead here.', setups: ['Roof dome'] },
    { code: 'rank-differs', sentence: 'Mast panel is second by plain averages.', setups: ['Mast panel'] },
  ],
  choices: {
    metrics: [{ metric: 'up', words: 'upload' }],
    baselines: ['Roof dome', 'Mast panel', 'Whips'],
    campsites: ['One', 'Two'],
    setups: ['Roof dome', 'Mast panel', 'Whips'],
    carriers: ['Tarnwave', 'Ostrel'],
    bands: ['B3'],
    when: ['night', 'day', 'evening'],
    strengthRule: 'by RSRP: from −95 dBm on good or strong',
    fewestStays: 4,
  },
};

const QUESTIONS: Schemas['QuestionView'][] = [
  {
    key: 'setups',
    question: 'Which setup earned its place?',
    answer: 'Mast panel did.',
    address: 'metric=up&baseline=Roof+dome&ask=setups&see=setups',
  },
];

const SERVED = {
  'GET /api/findings': FOUND,
  'GET /api/findings/questions': QUESTIONS,
  'GET /api/findings/behind': [
    {
      stay: 4,
      campsite: 'Quarry Lake',
      arrivedAt: '2026-08-25T10:00:00+02:00',
      leftAt: null,
      blocks: 3,
      estimate: 2.2,
    },
  ],
};

test('a claim has its interval, what is under four stays has none, and each opens the stays behind it', async () => {
  const user = userEvent.setup();
  serve(SERVED);
  show(<FindingsView />, '/findings');
  expect(await screen.findByRole('heading', { level: 1, name: FOUND.headline })).toBeDefined();
  expect(screen.getByLabelText('Mast panel: ×2.00, interval ×1.60 to ×2.50')).toBeDefined();
  expect(screen.getByLabelText('Whips: ×0.60, interval – to –')).toBeDefined();
  expect(screen.getByText('Plain averages mislead here.')).toBeDefined();
  const plan = screen.getByRole('link', { name: 'Plan the trial' }).getAttribute('href');
  expect(plan).toBe('/trials?plan=&setup=Roof+dome&carrier=Tarnwave&setup=Whips&carrier=Tarnwave');
  await user.click(screen.getByText('Mast panel'));
  expect(await screen.findByText('Quarry Lake')).toBeDefined();
  expect(asked.at(-1)?.query).toContain('unit=Mast%20panel');
});

test('averages stand beside, with the sentence where the order differs', async () => {
  serve(SERVED);
  show(<FindingsView />, '/findings?see=plain');
  expect(await screen.findByText('Mast panel is second by plain averages.')).toBeDefined();
  expect(document.querySelectorAll('td.differs')).toHaveLength(2);
});

test('by strength what was not measured is hollow and few stays are said to be few', async () => {
  serve(SERVED);
  show(<FindingsView />, '/findings?see=strength');
  expect(await screen.findByText('not measured beside it')).toBeDefined();
  expect(screen.getByText(/from 4 stays on it can be said/)).toBeDefined();
  expect(screen.getByText(/2 blocks without the level of Roof dome left out/)).toBeDefined();
});

test('question and filters live in the address', async () => {
  const user = userEvent.setup();
  serve(SERVED);
  show(<FindingsView />, '/findings?carrier=Ostrel&when=evening&when=night&area=50,10,60,20');
  await waitFor(() => expect(asked.some((a) => a.query.includes('carrier=Ostrel'))).toBe(true));
  expect(asked.find((a) => a.call === 'GET /api/findings')?.query).toContain('when=evening&when=night');
  expect(await screen.findByText(/Campsites from 50° north/)).toBeDefined();
  await user.click(await screen.findByText('Which setup earned its place?'));
  expect(await screen.findByRole('heading', { level: 1, name: 'Mast panel did.' })).toBeDefined();
});

test('without anything it says what to measure first', async () => {
  serve({
    'GET /api/findings': { ...FOUND, setups: [], remarks: [], measurements: 0, blocks: 0, stays: 0 },
    'GET /api/findings/questions': [],
    'GET /api/demo': { shown: false, offered: true },
  });
  show(<FindingsView />, '/findings');
  expect(await screen.findByText(/at four campsites or more/)).toBeDefined();
});

test('a report is of the questions that are chosen, and says where only as it is told', async () => {
  const user = userEvent.setup();
  serve(SERVED);
  show(<FindingsView />, '/findings?part=report');
  const link = () => screen.getByText('Open and print').getAttribute('href');
  await screen.findByText('Open and print');
  await waitFor(() => expect(link()).toBe('/api/report?question=setups&coordinates=none'));
  await user.click(screen.getByLabelText('coordinates to about 10 km'));
  expect(link()).toBe('/api/report?question=setups&coordinates=coarse');
  await user.click(screen.getByLabelText('Which setup earned its place?'));
  expect(screen.getByText('Choose a question first.')).toBeDefined();
});
