// @vitest-environment jsdom
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { beforeEach, expect, test, vi } from 'vitest';
import { Events, tell } from '../testing/events';
import { bodies, serve } from '../testing/server';
import { show } from '../testing/show';
import { DESIGN, NAMES, STANDING } from '../testing/world';
import { TrialsView } from './TrialsView';

const SHEET = {
  campsite: 'Lighthouse Meadow',
  trial: 'Mast',
  rounds: 3,
  runs: 1,
  kind: 'light',
  contenders: DESIGN.contenders,
  visits: DESIGN.visits,
  made: [1, 0, 0, 0],
  next: 1 as number | null,
  minutesLeft: 12,
  gbLeft: 0.3,
  minutesOfRun: 0.2,
  sessions: [],
  skipped: [] as number[],
  now: '2026-09-05T18:40:00+02:00',
  stoodAt: null as string | null,
  pausedAt: null as string | null,
  notes: [] as object[],
  last: null as object | null,
  doubts: [] as object[],
  goingOn: null as string | null,
};
const RUN = {
  id: 7,
  kind: 'light',
  state: 'down',
  setup: 'Roof dome',
  carrier: 'Tarnwave',
  campsite: 'Lighthouse Meadow',
  trial: 'Mast',
  round: 1,
  flat: { down: null, up: null },
  bytesUsed: 2_000_000,
  seconds: 2,
  endedBecause: null,
  sentence: null,
  series: [{ atMs: 2_600, phase: 'down', mbps: 12.34, latencyMs: null }],
  measurementId: null,
};
const ADDRESS = '/trials?campsite=Lighthouse+Meadow&sheet=Mast';

let sheet = SHEET;
let runs: object[] = [];
let check = { heard: true, says: [] as string[] };

/** As the server takes what is entered. */
function entered(body: unknown) {
  const { kind, visit, text } = body as { kind: string; visit: number; text: string };
  const now = new Date().toISOString();
  const changes: Record<string, Partial<typeof SHEET>> = {
    stands: { stoodAt: now },
    back: { stoodAt: null },
    skip: { skipped: [visit], next: visit + 1 },
    pause: { pausedAt: SHEET.now },
    resume: { pausedAt: null },
    keep: { doubts: [] },
    note: { notes: [{ at: SHEET.now, visit, text }] },
  };
  sheet = { ...sheet, now, ...changes[kind] };
  return sheet;
}

beforeEach(() => {
  localStorage.clear();
  sheet = { ...SHEET, visits: SHEET.visits.map((v) => ({ ...v, settleS: 0 })) };
  runs = [];
  check = { heard: true, says: [] };
  vi.stubGlobal('EventSource', Events);
});

const begun = () => {
  runs = [RUN];
  return RUN;
};

const served = () => ({
  ...NAMES,
  'PUT /api/standing': STANDING,
  'GET /api/trials/sheet': () => sheet,
  'GET /api/trials/sheet/mark': { mark: '1' },
  'GET /api/trials/sheet/check': () => check,
  'POST /api/trials/sheet/entries': entered,
  'GET /api/runs': () => runs,
  'GET /api/runs/7': () => runs[0] ?? RUN,
  'POST /api/runs': begun,
  'DELETE /api/runs/7': () => ({ ...RUN, state: 'cancelled' }),
});

test('says what to change and what to mind, measures by itself, and goes on when it is logged', async () => {
  const user = userEvent.setup();
  serve(served());
  show(<TrialsView />, ADDRESS);
  await screen.findByRole('heading', { name: /plug the leads of Alder into Curlew/ });
  expect(screen.getByText(/Step 2 of 4, round 1/)).toBeTruthy();
  expect(screen.getByText('Leave everything else as it is.')).toBeTruthy();
  expect(screen.getByText(/Switch Curlew off first/)).toBeTruthy();
  await user.keyboard('{Enter}');
  await screen.findByText(/Run 1 of 1; 2\.0 MB used/);
  expect(bodies('PUT /api/standing')).toEqual([
    { campsite: 'Lighthouse Meadow', setup: 'Roof dome', carrier: 'Tarnwave' },
  ]);
  expect(bodies('POST /api/runs')).toEqual([
    {
      setup: 'Roof dome',
      carrier: 'Tarnwave',
      campsite: 'Lighthouse Meadow',
      trial: 'Mast',
      round: 1,
      kind: 'light',
    },
  ]);
  runs = [{ ...RUN, state: 'done', sentence: 'Done.', measurementId: 9 }];
  sheet = { ...sheet, made: [1, 1, 0, 0], next: 2, stoodAt: null };
  tell(runs[0] ?? {});
  await screen.findByText('Roof dome is already up: change nothing.');
  expect(bodies('POST /api/runs')).toHaveLength(1);
});

test('a run that is cancelled is not made again by itself', async () => {
  const user = userEvent.setup();
  serve(served());
  show(<TrialsView />, ADDRESS);
  await user.click(await screen.findByRole('button', { name: /Done, start the wait|Start the run/ }));
  await user.click(await screen.findByRole('button', { name: 'Cancel' }));
  runs = [{ ...RUN, state: 'cancelled' }];
  tell(runs[0] ?? {});
  await screen.findByText('The run was not logged: cancelled.');
  expect(bodies('POST /api/runs')).toHaveLength(1);
  await user.click(screen.getByRole('button', { name: 'Measure it again' }));
  await waitFor(() => expect(bodies('POST /api/runs')).toHaveLength(2));
});

test('waits until it has settled, also after a reload', async () => {
  const user = userEvent.setup();
  sheet = { ...SHEET };
  serve(served());
  show(<TrialsView />, ADDRESS).unmount();
  const shown = show(<TrialsView />, ADDRESS);
  await user.click(await screen.findByRole('button', { name: /Done, start the wait|Start the run/ }));
  await screen.findByText('Roof dome settles: touch nothing.');
  shown.unmount();
  show(<TrialsView />, ADDRESS);
  await screen.findByText('Roof dome settles: touch nothing.');
  expect(bodies('POST /api/runs')).toHaveLength(0);
  await user.click(screen.getByRole('button', { name: 'Skip the wait' }));
  await waitFor(() => expect(bodies('POST /api/runs')).toHaveLength(1));
});

test('a run that failed is logged with why, and an undo deletes what was entered last and names it', async () => {
  const user = userEvent.setup();
  runs = [{ ...RUN, state: 'done', sentence: 'Done.', measurementId: 9 }];
  serve({
    ...served(),
    'GET /api/runs/7': () => runs[0] ?? RUN,
    'POST /api/measurements': () => {
      const last = { measurement: 10, setup: 'Roof dome', outcome: 'failed', takenAt: SHEET.now };
      sheet = { ...sheet, last };
      return { id: 10, beside: [] };
    },
    'DELETE /api/measurements/10': { change: 5 },
  });
  show(<TrialsView />, ADDRESS);
  await user.click(await screen.findByRole('button', { name: /Run failed/ }));
  await user.type(screen.getByLabelText('Why it failed'), 'no service');
  await user.click(screen.getByRole('button', { name: 'Log as failed' }));
  await waitFor(() => expect(bodies('POST /api/measurements')).toHaveLength(1));
  expect(bodies('POST /api/measurements')[0]).toMatchObject({
    setup: 'Roof dome',
    outcome: 'failed',
    note: 'no service',
    trial: 'Mast',
    round: '1',
  });
  await user.click(await screen.findByRole('button', { name: 'Undo: Roof dome failed, 18:40' }));
  await waitFor(() => expect(bodies('DELETE /api/measurements/10')).toHaveLength(1));
  await screen.findByText('Deleted: Roof dome failed, 18:40.');
});

test('what this device measured and is deleted can be measured again', async () => {
  vi.useFakeTimers({ shouldAdvanceTime: true });
  try {
    const user = userEvent.setup({ advanceTimers: vi.advanceTimersByTime });
    serve(served());
    show(<TrialsView />, ADDRESS);
    await user.click(await screen.findByRole('button', { name: /Start the run/ }));
    await screen.findByText(/Run 1 of 1; 2\.0 MB used/);
    // it is logged, and deleted before the sheet counted it
    runs = [{ ...RUN, state: 'done', sentence: 'Done.', measurementId: 9 }];
    tell(runs[0] ?? {});
    await vi.advanceTimersByTimeAsync(11_000);
    await screen.findByText('Measure Roof dome once more.');
    await user.click(await screen.findByRole('button', { name: 'Measure now' }));
    await waitFor(() => expect(bodies('POST /api/runs')).toHaveLength(2));
  } finally {
    vi.useRealTimers();
  }
});

test('what the router says is held against what is to be measured, and asked about', async () => {
  const user = userEvent.setup();
  check = { heard: true, says: ['The device is on Ostrel; Roof dome should be measured on Tarnwave.'] };
  serve(served());
  show(<TrialsView />, ADDRESS);
  await user.click(await screen.findByRole('button', { name: /Start the run/ }));
  await screen.findByRole('heading', { name: 'Is this Roof dome?' });
  expect(screen.getByText(/The device is on Ostrel/)).toBeTruthy();
  expect(bodies('POST /api/runs')).toHaveLength(0);
  await user.click(screen.getByRole('button', { name: 'It is right, measure now' }));
  await waitFor(() => expect(bodies('POST /api/runs')).toHaveLength(1));
});

test('a second device follows, and goes on where the first is gone', async () => {
  const user = userEvent.setup();
  sheet = { ...sheet, stoodAt: '2026-09-05T18:39:00+02:00' };
  serve(served());
  show(<TrialsView />, ADDRESS);
  await screen.findByRole('heading', { name: 'Measuring Roof dome: touch nothing.' });
  await user.click(await screen.findByRole('button', { name: 'Measure from here' }));
  await waitFor(() => expect(bodies('POST /api/runs')).toHaveLength(1));
});

test('a visit is left out, a note is kept, it is paused and goes on', async () => {
  const user = userEvent.setup();
  sheet = {
    ...sheet,
    goingOn: 'The remaining rounds take about 12 min.',
    doubts: [{ measurement: 4, round: 1, setup: 'Mast panel', says: ['The device is on B20.'] }],
  };
  serve(served());
  show(<TrialsView />, ADDRESS);
  await screen.findByText('The device is on B20.', { exact: false });
  await user.click(screen.getByRole('button', { name: 'Save anyway' }));
  await user.type(screen.getByLabelText('Note'), 'a lorry');
  await user.click(screen.getByRole('button', { name: 'Save note' }));
  await screen.findByText(/step 2: a lorry/);
  await user.click(screen.getByRole('button', { name: 'Pause' }));
  await screen.findByText('Paused since 18:40.');
  await user.click(screen.getByRole('button', { name: 'Continue' }));
  await user.click(await screen.findByRole('button', { name: 'Skip this visit' }));
  await screen.findByText(/Step 3 of 4/);
  expect(bodies('POST /api/trials/sheet/entries').map((b) => (b as { kind: string }).kind)).toEqual([
    'keep',
    'note',
    'pause',
    'resume',
    'skip',
  ]);
});

test('when all is made it leads to the verdict', async () => {
  sheet = { ...SHEET, made: [1, 1, 1, 1], next: null, minutesLeft: 0 };
  serve(served());
  show(<TrialsView />, ADDRESS);
  await screen.findByText('All rounds are made.');
  expect(screen.getByRole('link', { name: 'Read the verdict' }).getAttribute('href')).toContain('trial=Mast');
});
