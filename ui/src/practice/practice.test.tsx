// @vitest-environment jsdom
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { beforeEach, expect, test } from 'vitest';
import { bodies, serve } from '../testing/server';
import { show } from '../testing/show';
import { PracticeView } from './PracticeView';

const GAME = { id: 3, campsite: 'Quarry Lake', fromHour: 16, figure: 'upload', made: null, truth: null };
const MADE = {
  rounds: 3,
  runs: 2,
  minutes: 40,
  gb: 0.2,
  byRound: [
    { round: 1, a: 4.1, b: 5.2 },
    { round: 2, a: 3.6, b: null },
    { round: 3, a: 4.4, b: 4 },
  ],
};
const TRUTH = {
  title: 'The evening came in between.',
  lesson: 'Within a round both are hit alike.',
  truth: 1.01,
  estimate: 1.1,
  low: 0.7,
  high: 1.7,
  margin: 1.2,
  verdict: 'cannot-tell',
  sentence: 'Can’t tell yet.',
  said: 'better',
  right: false,
  claimedTooMuch: true,
  otherwise: [{ by: 'Best of three runs each', ratio: 1.34 }],
};

let game: object = GAME;

beforeEach(() => {
  localStorage.clear();
  game = GAME;
});

test('plans, sends the hands out, gives a verdict, and sees what is so', async () => {
  const user = userEvent.setup();
  serve({
    'GET /api/practice': { given: 4, right: 2, claimedTooMuch: 1, heldBack: 1, open: null },
    'POST /api/practice': GAME,
    'GET /api/practice/3': () => game,
    'POST /api/practice/3/effort': { minutes: 40.4, gb: 0.21 },
    'POST /api/practice/3/trial': () => (game = { ...GAME, made: MADE }),
    'POST /api/practice/3/verdict': () => (game = { ...GAME, made: MADE, truth: TRUTH }),
  });
  show(<PracticeView />, '/practice');
  await user.click(await screen.findByRole('button', { name: 'Start one' }));
  await screen.findByRole('heading', { name: 'Is B’s upload better than A’s? Plan the trial.' });
  await screen.findByText(/about 40 min and 0\.21 GB/);
  await user.click(screen.getByRole('button', { name: /Run the trial/ }));
  expect(bodies('POST /api/practice/3/trial')).toEqual([{ rounds: 5, runs: 2 }]);
  await screen.findByRole('heading', { name: 'What do you say of B’s upload?' });
  expect(screen.getByText('×1.27')).toBeTruthy();
  expect(screen.getByText('failed')).toBeTruthy();
  await user.click(screen.getByRole('button', { name: 'B is better' }));
  await screen.findByRole('heading', { name: 'The evening came in between. You claimed too much.' });
  expect(screen.getByText('Best of three runs each')).toBeTruthy();
  expect(screen.getByText('×1.34')).toBeTruthy();
  await waitFor(() => expect(screen.getByText(/You said: B is better/)).toBeTruthy());
  expect(screen.getByText('Claimed too much').textContent).toContain('1');
});
