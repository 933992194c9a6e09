// @vitest-environment jsdom
import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { expect, test } from 'vitest';
import { NEVER, Refused, serve } from '../testing/server';
import { show } from '../testing/show';
import { DOME, NAMES, PANEL, STAYS } from '../testing/world';
import { TrialsView } from './TrialsView';

const TRIAL = {
  trial: {
    campsiteId: 1,
    campsite: 'Lighthouse Meadow',
    name: 'Dome or panel',
    from: '2026-09-05T18:00:00+02:00',
    to: '2026-09-05T20:00:00+02:00',
    rounds: 5,
    setups: 2,
  },
  plannedRounds: 6,
};

test('trials lead to their verdict, planned rounds beside those made', async () => {
  serve({
    ...NAMES,
    'GET /api/trials': [TRIAL],
    'GET /api/trials/results': NEVER,
    'GET /api/stays': STAYS,
  });
  show(<TrialsView />, '/trials');
  expect((await screen.findByText('Dome or panel')).getAttribute('href')).toBe(
    '/trials?campsite=Lighthouse+Meadow&trial=Dome+or+panel',
  );
  expect(screen.getByText('5 of 6 rounds')).toBeDefined();
  expect(screen.getByText('…')).toBeDefined();
});

const RESULT = {
  metric: 'up',
  scale: 'ratio',
  blocks: 5,
  leftOut: 0,
  estimate: 2.1,
  low: 1.6,
  high: 2.8,
  level: 0.95,
  verdict: 'better',
  sentence: 'Mast panel’s upload is double that of Roof dome (clearly: …). Use Mast panel for uploads.',
  roundsWanted: null,
  wild: [],
  restsOn: null,
  failures: {
    baseline: { tried: 5, failed: 2, low: 0.12, high: 0.77 },
    candidate: { tried: 5, failed: 0, low: 0, high: 0.43 },
    mcnemarP: 0.5,
  },
  plain: { baselineMean: 5, candidateMean: 10.5, baselineBest: 6, candidateBest: 12 },
};

const told = (trial: string, verdict: string) => ({
  campsiteId: 1,
  trial,
  setups: [DOME, PANEL],
  sentence: `${trial} came to something.`,
  line: { baseline: DOME, candidate: PANEL, label: 'Upload', margin: 1.2, result: { ...RESULT, verdict } },
  need: 'Video calls',
  met: [
    { setup: DOME, runs: 5, met: 2 },
    { setup: PANEL, runs: 5, met: 5 },
  ],
});

test('each trial stands with its result, filtered by the setup in the address; those of one pair side by side', async () => {
  const other = { ...TRIAL, trial: { ...TRIAL.trial, name: 'Once more', campsite: 'Quarry Lake' } };
  serve({
    ...NAMES,
    'GET /api/trials': [TRIAL, other],
    'GET /api/trials/results': [told('Dome or panel', 'better'), told('Once more', 'cannot-tell')],
    'GET /api/stays': STAYS,
  });
  const all = show(<TrialsView />, '/trials');
  expect(await screen.findByText('Dome or panel came to something.')).toBeDefined();
  expect(screen.getAllByText('Roof dome 2 of 5')).toHaveLength(2);
  expect(screen.getByText('Mast panel and Roof dome, trial by trial')).toBeDefined();
  expect(document.title).toBe('Trials · Syntoma');
  all.unmount();
  show(<TrialsView />, '/trials?at=Quarry+Lake&setup=Roof+dome');
  expect(await screen.findByText('Once more came to something.')).toBeDefined();
  expect(screen.queryByText('Dome or panel')).toBeNull();
  expect(screen.queryByText(/trial by trial/)).toBeNull();
});

const effect = (key: string, label: string, asked: boolean) => ({
  key,
  label,
  asked,
  unit: 'Mb/s',
  higherIsBetter: true,
  margin: 1.2,
  result: { ...RESULT, metric: key, sentence: `${label}, said.` },
  rounds: [
    {
      number: 1,
      sim: 'Tarnwave',
      baselineAt: '2026-09-05T18:00:00+02:00',
      candidateAt: '2026-09-05T18:15:00+02:00',
      baseline: 5,
      candidate: 10,
      effect: 2,
      wild: false,
    },
  ],
});

const LEVEL = {
  factor: 'the antennas',
  level: 'Alder',
  against: 'own',
  where: null,
  estimate: 1.3,
  low: 1.1,
  high: 1.6,
  verdict: 'better',
};
const RUN = {
  takenAt: '2026-09-05T18:00:00+02:00',
  round: 1,
  setup: DOME,
  carrier: 'Tarnwave',
  outcome: 'ok',
  downMbps: 9,
  upMbps: 2,
  rates: [],
};

test('a verdict keeps its figure in the address, shows what the need asks for and folds the rest', async () => {
  const user = userEvent.setup();
  serve({
    'GET /api/results/trial': {
      campsite: 'A',
      trial: 'T',
      from: '2026-09-05T18:00:00+02:00',
      to: '2026-09-05T20:10:00+02:00',
      rounds: 5,
      plannedRounds: 6,
      carriers: ['Tarnwave'],
      servers: [],
      setups: [DOME, PANEL],
      baseline: 'Roof dome',
      judgedBy: null,
      adjusted: false,
      need: 'Video calls',
      met: told('T', 'better').met,
      contrasts: [
        {
          baseline: DOME,
          candidate: PANEL,
          headline: 'What is so, and what to do.',
          otherCell: 'In 5 of 5 rounds Mast panel was on another cell than Roof dome.',
          effects: [
            effect('down', 'Download', true),
            effect('up', 'Upload', true),
            effect('idle', 'Idle latency', false),
          ],
          cautions: ['One.', 'Two.', 'Three.', 'Four.'],
          judged: ['By the rules.'],
          action: 'Leave the mast down.',
          bands: [
            {
              band: 'B20',
              predictedDb: 8,
              halfWidthDb: 2.5,
              estimateDb: -1,
              lowDb: -2,
              highDb: 0.5,
              blocks: 5,
              fallsShort: true,
              sentence: 'something in this chain is not doing its job',
            },
          ],
          causes: 'Look for a bad crimp.',
        },
      ],
      grid: {
        across: 'the device',
        columns: ['Curlew', 'Plover'],
        down: 'the antennas',
        rows: ['own', 'Alder'],
        setups: [],
        figures: [
          {
            key: 'up',
            label: 'Upload',
            rounds: 5,
            depends: true,
            level: 0.983,
            scale: 'ratio',
            margin: 1.2,
            sentence: 'What the antennas do depends on the device.',
            main: [LEVEL],
            within: [{ ...LEVEL, where: 'Plover', verdict: 'worse' }],
          },
        ],
      },
      next: {
        label: 'Plan a trial of the best bands together',
        says: 'Alone, B3 and B20 did best.',
        contenders: [
          { setup: 'Roof dome', carrier: 'Tarnwave', change: null },
          { setup: 'Roof dome', carrier: 'Tarnwave', change: { kind: 'bands', value: 'B3 + B20' } },
        ],
      },
    },
    'GET /api/results/trial/runs': [
      {
        ...RUN,
        measurement: 1,
        rates: [
          { atMs: 100, phase: 'down', mbps: 9 },
          { atMs: 900, phase: 'up', mbps: 2 },
        ],
      },
      { ...RUN, measurement: 2, outcome: 'timed_out' },
    ],
    'GET /api/trials': [],
    'GET /api/trials/results': [],
    'GET /api/session': { needed: false, ok: true, page: null },
  });
  show(<TrialsView />, '/trials?campsite=A&trial=T&metric=up');
  expect(await screen.findByRole('heading', { level: 1, name: 'What is so, and what to do.' })).toBeDefined();
  expect(document.title).toBe('T, A · Syntoma');
  expect(screen.getByText('5 Sep 2026, 18:00 to 20:10', { exact: false })).toBeDefined();
  expect(screen.getByText('Upload, round by round')).toBeDefined();
  expect(screen.getByText('2 of 5 failed')).toBeDefined();
  expect(screen.getByText('The other figures (1)')).toBeDefined();
  expect(screen.getByText('More (1)')).toBeDefined();
  expect(screen.getByText('Leave the mast down.')).toBeDefined();
  expect(screen.getByText(/was on another cell than Roof dome/)).toBeDefined();
  expect(screen.getByText('Look for a bad crimp.')).toBeDefined();
  expect(screen.getByText('Upload: depends on the device')).toBeDefined();
  expect(screen.getByText('with Plover')).toBeDefined();
  expect(await screen.findByText('timed out')).toBeDefined();
  expect(screen.getByText('Alone, B3 and B20 did best.')).toBeDefined();
  const planned = new URL(
    screen.getByText('Plan a trial of the best bands together').getAttribute('href') ?? '',
    'http://here',
  ).searchParams;
  expect(planned.getAll('setup')).toEqual(['Roof dome', 'Roof dome']);
  expect(planned.getAll('change')).toEqual(['', 'bands:B3 + B20']);
  expect(screen.getByRole('img', { name: /Roof dome, round 1: 9 Mb\/s down/ })).toBeDefined();
  await user.click(screen.getByRole('button', { name: 'Download' }));
  expect(await screen.findByText('Download, round by round')).toBeDefined();
  expect(screen.getByRole('button', { name: 'Download' }).getAttribute('aria-pressed')).toBe('true');
});

test('no trial yet: says how one is made', async () => {
  serve({ ...NAMES, 'GET /api/trials': [], 'GET /api/trials/results': [], 'GET /api/stays': [] });
  show(<TrialsView />, '/trials');
  expect(await screen.findByText(/No trial yet. Measure two setups in turn/)).toBeDefined();
});

test('two setups at a stay are offered only where two were measured', async () => {
  const user = userEvent.setup();
  serve({ ...NAMES, 'GET /api/trials': [], 'GET /api/trials/results': [], 'GET /api/stays': STAYS });
  show(<TrialsView />, '/trials');
  await user.click(await screen.findByLabelText('Stay'));
  expect(await screen.findByText(/Lighthouse Meadow,/)).toBeDefined();
  expect(screen.queryByText(/Quarry Lake,/)).toBeNull();
});

test('a verdict waits, fails in words, and says when there is nothing to compare', async () => {
  serve({ 'GET /api/results/trial': NEVER });
  const waiting = show(<TrialsView />, '/trials?campsite=A&trial=T');
  expect(waiting.container.querySelector('main')?.textContent).not.toMatch(/\d/);
  waiting.unmount();
  serve({ 'GET /api/results/trial': new Refused(404, { detail: 'no trial is named “T” at A' }) });
  const failed = show(<TrialsView />, '/trials?campsite=A&trial=T');
  expect((await screen.findByRole('alert')).textContent).toContain('no trial is named “T”');
  failed.unmount();
  serve({ 'GET /api/results/stay': { contrasts: [] } });
  show(<TrialsView />, '/trials?stay=7');
  expect(await screen.findByText(/One setup alone was measured here/)).toBeDefined();
});
