// @vitest-environment jsdom
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { asked, bodies, serve } from '../testing/server';
import { Events, tell } from '../testing/events';
import { show } from '../testing/show';
import { pitchHz } from './tone';
import { WalkView } from './WalkView';

const LADDER = {
  label: 'RSRP',
  unit: 'dBm',
  grade: 'good',
  usual: null,
  from: -135,
  to: -60,
  floors: [-80, -95, -105, -118],
};
const ladder = (value: number) => ({ ...LADDER, value, spread: { low: value, median: value, high: value } });
const heard = (value: number, strongest = value) => ({
  reading: { takenAt: '2026-09-05T21:12:00+02:00', ageMs: 0, problem: null, mode: 'LTE', cells: [] },
  strips: [],
  levels: [{ metric: 'rsrp', ladder: ladder(value), readings: 3, strongest, strongestAgoS: 12 }],
  nrSharePct: null,
});
const place = (name: string, values: number[], against: object | null = null) => ({
  name,
  ladder: ladder(values[0] ?? 0),
  marks: values.map((value, i) => ({
    id: 10 * value + i,
    takenAt: '2026-09-05T21:12:00+02:00',
    value,
    band: 'B20',
    readings: 3,
  })),
  against,
});
const WALK = {
  id: 4,
  campsite: 'Lighthouse Meadow',
  setup: 'Mast panel',
  carrier: 'Tarnwave',
  beganAt: '2026-09-05T21:10:00+02:00',
  endedAt: null,
  metric: 'rsrp',
  unit: 'dBm',
  headline: null,
  marksForVerdict: 3,
  places: [] as object[],
  lacking: 0,
  caution: 'Watch your step.',
};

/** The tones that were sounded, in Hz. */
let sounded: number[] = [];

class Sound {
  currentTime = 0;
  destination = {};
  resume = () => Promise.resolve();
  close = () => Promise.resolve();
  createGain = () => ({
    gain: { setValueAtTime: () => undefined, linearRampToValueAtTime: () => undefined },
    connect: () => undefined,
  });
  createOscillator = () => {
    const frequency = { value: 0 };
    return {
      frequency,
      connect: (to: object) => to,
      start: () => sounded.push(Math.round(frequency.value)),
      stop: () => undefined,
    };
  };
}

beforeEach(() => {
  sounded = [];
  localStorage.clear();
  vi.stubGlobal('EventSource', Events);
  vi.stubGlobal('AudioContext', Sound);
});

afterEach(() => vi.unstubAllGlobals());

const ROUTER = { kind: 'http-json', address: 'http://a', mapping: {}, hasSecret: false };

test('the first mark begins a walk; its word is one press from then on', async () => {
  const user = userEvent.setup();
  let walk = WALK;
  serve({
    'GET /api/measure/router': ROUTER,
    'GET /api/walks': () => (walk.places.length === 0 ? [] : [walk]),
    'GET /api/walks/4': () => walk,
    'POST /api/walks': () => walk,
    'POST /api/walks/4/marks': () => (walk = { ...walk, places: [place('window left', [-91.5])] }),
  });
  show(<WalkView />);
  await screen.findByText('Asking the router.');
  tell(heard(-91.5, -88));
  expect(await screen.findByText('−91.5')).toBeTruthy();
  expect(screen.getByText(/Best in five minutes/).textContent).toContain('−88.0 dBm, 12 s ago');
  await user.type(screen.getByLabelText('Where is it?'), 'window left{Enter}');
  await user.click(await screen.findByRole('button', { name: 'window left 1' }));
  await waitFor(() =>
    expect(bodies('POST /api/walks/4/marks')).toEqual([{ place: 'window left' }, { place: 'window left' }]),
  );
  expect(asked.filter((a) => a.call === 'POST /api/walks').length).toBe(1);
  expect(screen.getByText(/Best mark/).textContent).toContain('−91.5 dBm, window left');
});

test('a number that is held stands still, and is what is marked', async () => {
  const user = userEvent.setup();
  serve({
    'GET /api/measure/router': ROUTER,
    'GET /api/walks': [WALK],
    'GET /api/walks/4': WALK,
    'POST /api/walks/4/marks': WALK,
  });
  show(<WalkView />);
  await screen.findByText('Asking the router.');
  tell(heard(-91.5));
  await user.click(screen.getByRole('button', { name: 'Freeze the number' }));
  tell(heard(-110));
  expect(screen.getByText('−91.5')).toBeTruthy();
  await user.type(screen.getByLabelText('Where is it?'), 'seat{Enter}');
  await waitFor(() => expect(bodies('POST /api/walks/4/marks').length).toBe(1));
  const [{ agoS }] = bodies('POST /api/walks/4/marks') as [{ agoS: number }];
  expect(agoS).toBeGreaterThanOrEqual(0);
  expect(agoS).toBeLessThan(5);
  await waitFor(() => expect(screen.getAllByText('−110.0').length).toBe(2));
});

test('a tone follows the level, with a higher one at a new best; without a level there is silence', async () => {
  const user = userEvent.setup();
  serve({ 'GET /api/measure/router': ROUTER, 'GET /api/walks': [] });
  show(<WalkView />);
  await screen.findByText('Asking the router.');
  tell(heard(-110, -90));
  await user.click(screen.getByRole('button', { name: 'Play a tone' }));
  tell(heard(-100, -90));
  tell(heard(-85, -85));
  tell({
    ...heard(-85),
    levels: [],
    reading: { ...heard(-85).reading, problem: 'the router did not answer' },
  });
  expect(screen.getByText('The router did not answer.')).toBeTruthy();
  const hz = (value: number) => Math.round(pitchHz(value, -135, -60));
  expect(sounded).toEqual([hz(-110), hz(-100), hz(-85), Math.round(1.5 * pitchHz(-85, -135, -60))]);
});

test('equal steps of level are equal steps of pitch', () => {
  expect(pitchHz(-135, -135, -60)).toBeCloseTo(220);
  expect(pitchHz(-110, -135, -60)).toBeCloseTo(440);
  expect(pitchHz(-85, -135, -60)).toBeCloseTo(880);
  expect(pitchHz(-40, -135, -60)).toBeCloseTo(1_760);
});

test('a walk that is over says which places differ, and how sure that is', async () => {
  const over = {
    ...WALK,
    endedAt: '2026-09-05T21:20:00+02:00',
    headline: 'Window left heard the most: really better than shelf.',
    places: [
      place('window left', [-90, -91, -90]),
      place('shelf', [-97, -98, -97], {
        pairs: 3,
        estimate: 7,
        low: 5,
        high: 9,
        level: 0.95,
        verdict: 'better',
        sentence: '7.0 dB weaker than window left’s: a real difference (from 5.0 to 9.0 dB, 95 % sure)',
      }),
    ],
  };
  serve({ 'GET /api/measure/router': ROUTER, 'GET /api/walks': [over], 'GET /api/walks/4': over });
  show(<WalkView />, '/walk?walk=4');
  expect(await screen.findByRole('heading', { level: 1 })).toBeTruthy();
  await screen.findByText('Window left heard the most: really better than shelf.');
  expect(screen.getByText('The best of 2.')).toBeTruthy();
  expect(screen.getByText(/^7.0 dB weaker than window left’s/)).toBeTruthy();
  expect(screen.queryByRole('button', { name: 'Mark' })).toBeNull();
});
