// @vitest-environment jsdom
import { fireEvent, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { beforeEach, expect, test, vi } from 'vitest';
import type { RoofPlan } from '../data/fitout';
import { bodies, Refused, serve } from '../testing/server';
import { show } from '../testing/show';
import { handles, movedTo, nameOf, snapped, spotOf } from './drawn';
import { FitoutView } from './FitoutView';

const ANTENNA = {
  name: 'Alder',
  lengthM: 0.2,
  widthM: 0.2,
  heightM: 0.1,
  clearanceM: null,
  groundPlaneM: 0.2,
  plateM: null,
  fixing: 'drilled',
  holeMm: 20,
  x: 1,
  y: 0.8,
};
const PLAN: RoofPlan = {
  shape: 'panel-van',
  lengthM: 4,
  widthM: 1.6,
  thicknessMm: null,
  wallMm: null,
  doubleSkin: null,
  things: [
    { kind: 'vent', name: 'Vent', x: 2, y: 0.6, lengthM: 0.4, widthM: 0.4, heightM: 0.1, clearM: null },
    { kind: 'gas', name: 'Gas line', x: 3, y: 1.2, lengthM: 0.8, widthM: 0.02, heightM: null, clearM: null },
  ],
  antenna: ANTENNA,
  cable: {
    cableClass: '195-class',
    leadM: 2,
    slackM: null,
    dripLoopM: null,
    dropM: null,
    entryX: 2,
    entryY: 1,
    deviceX: 3,
    deviceY: 0.3,
  },
  leads: { count: 4, cableMm: 5, plugMm: 9, stemMm: null, ductMm: null },
  mast: { areaM2: 0.12, leverM: 2, clampNm: null },
  booster: {
    name: 'Bittern',
    gainDb: 50,
    outputDbm: null,
    outsideX: 0.4,
    outsideY: 0.8,
    outsideUpM: 0.2,
    outsideGainDbi: 5,
    insideX: 3,
    insideY: 0.8,
    insideDownM: 0.4,
    insideGainDbi: 2,
    facing: true,
    donorRsrpDbm: -100,
    donorSinrDb: null,
    targetDbm: null,
    reported: [],
    warns: null,
  },
  mains: null,
};
const PLACE = {
  x: 0.5,
  y: 0.8,
  clearanceM: 0.9,
  nearest: 'Vent',
  wantedM: 3,
  extensionM: 1,
  lossDb: 1.2,
  shade: 0,
  why: '0.90 m to Vent.',
  objection: null,
};
const RECKONED = {
  lengthM: 4,
  widthM: 1.6,
  thicknessMm: 30,
  wallMm: 25,
  body: 'steel',
  heightM: 2.86,
  limitM: 4,
  sentence: 'Alder stands best 0.50 m from the front and 0.80 m from the left edge.',
  misfits: ['Vent and Box overlap.'],
  notes: [],
  best: [PLACE],
  here: { ...PLACE, why: null },
  worse: '0.4 dB more in the cable',
  stepM: 0.05,
  strips: [{ y: 0.5, fromX: 1, toX: 1.5, why: 'clearance' }],
  run: { leadM: 2, wantedM: 3, extensionM: 1, bands: [{ band: 'B20', mhz: 806, lossDb: 0.8 }] },
  passage: {
    oneAtATimeMm: 15,
    allAtOnceMm: 21.7,
    cablesMm: 12.1,
    holeMm: 15,
    sawMm: 16,
    ductFill: null,
    notes: ['They pass 15.0 mm.'],
  },
  hole: {
    fromFrontM: 0.5,
    fromLeftM: 0.8,
    fromRearM: 3.5,
    fromRightM: 0.8,
    diagonalM: 0.94,
    insideFromFrontM: 0.475,
    insideFromLeftM: 0.775,
  },
  wind: { at: [{ kmh: 60, forceN: 27.1, momentNm: 54.2 }], clampNm: 50, takeDownAboveKmh: 55 },
  boosted: {
    separationM: 2.7,
    sentence: 'Turn the antennas back to back.',
    targetDbm: -100,
    bands: [
      {
        band: 'B20',
        isolationDb: 42,
        stableGainDb: 32,
        usableGainDb: 32,
        fullGainAtM: 16.6,
        shortM: 14,
        radiusM: 2.6,
      },
    ],
    held: ['Its warning light is on.'],
  },
};
const FITOUT = {
  plans: [
    { id: 1, name: 'Heron as it is' },
    { id: 2, name: 'With a mast' },
  ],
  shapes: [
    { key: 'panel-van', label: 'panel van', lengthM: 4.2, widthM: 1.7, thicknessMm: 30, wallMm: 25 },
    { key: 'trailer', label: 'trailer', lengthM: 6, widthM: 2.3, thicknessMm: 40, wallMm: 32 },
  ],
  kinds: [
    { key: 'vent', label: 'vent', onRoof: true },
    { key: 'gas', label: 'gas line', onRoof: false },
  ],
  fixings: [
    { key: 'drilled', label: 'through a hole beneath it' },
    { key: 'magnet', label: 'by a magnet' },
  ],
  whys: [{ key: 'clearance', label: 'too near to other gear' }],
  cableClasses: ['195-class'],
  antennas: [],
};

let version = 3;
beforeEach(() => {
  version = 3;
  vi.spyOn(Element.prototype, 'scrollIntoView').mockImplementation(() => undefined);
  Element.prototype.setPointerCapture = () => undefined;
});

const served = (more: Record<string, object> = {}) =>
  serve({
    'GET /api/fitout': FITOUT,
    'GET /api/fitout/plans/1': { id: 1, name: 'Heron as it is', version, plan: PLAN },
    'PUT /api/fitout/plans/1': (plan: unknown) => ({
      id: 1,
      name: 'Heron as it is',
      version: ++version,
      plan,
    }),
    'POST /api/fitout/reckoned': RECKONED,
    ...more,
  });

const kept = () => bodies('PUT /api/fitout/plans/1') as RoofPlan[];

test('what is drawn is reckoned, and its numbers stand beside it', async () => {
  served();
  show(<FitoutView />, '/fit-out?plan=1');
  expect(await screen.findByRole('heading', { level: 1, name: /Alder stands best/ })).toBeDefined();
  expect(screen.getByText('Vent and Box overlap.')).toBeDefined();
  expect(screen.getByText('an extension of 1 m for each.')).toBeDefined();
  expect(screen.getByText('A hole of 15.0 mm: a saw of 16 mm.')).toBeDefined();
  expect(screen.getByText('Take it down above 55 km/h, gusts counted.')).toBeDefined();
  expect(screen.getByText('Turn the antennas back to back.')).toBeDefined();
  expect(screen.getByText('Its warning light is on.')).toBeDefined();
  expect(screen.getByText('B20 reaches to here')).toBeDefined();
  expect(screen.getByText('too near to other gear')).toBeDefined();
  expect(screen.getByRole('img', { name: /From the side: 2.86 m high, at most 4 m/ })).toBeDefined();
});

test('a thing is moved by keys and by dragging, undone, made again, and kept', async () => {
  const user = userEvent.setup();
  served();
  show(<FitoutView />, '/fit-out?plan=1');
  const vent = await screen.findByRole('button', { name: /^Vent, 2 m from the front, 0.6 m from the left/ });
  vent.focus();
  await user.keyboard('{ArrowRight}{Shift>}{ArrowDown}{/Shift}');
  expect(await screen.findByRole('button', { name: /^Vent, 2.01 m from the front, 0.7 m/ })).toBeDefined();
  await waitFor(() => expect(kept().at(-1)?.things[0]).toMatchObject({ x: 2.01, y: 0.7 }));
  expect(await screen.findByText('Kept.')).toBeDefined();

  const antenna = screen.getByRole('button', { name: /^Alder, 1 m from the front/ });
  // the page of these tests knows pointers by their name alone
  const point = (type: string, clientX: number) =>
    fireEvent(antenna, new MouseEvent(type, { bubbles: true, clientX, clientY: 100 }));
  point('pointerdown', 100);
  point('pointermove', 150);
  point('pointermove', 200);
  point('pointerup', 200);
  const dragged = await screen.findByRole('button', { name: /^Alder, 1\.[1-9]/ });
  expect(dragged).toBeDefined();
  await user.click(screen.getByRole('button', { name: 'Undo' }));
  expect(screen.getByRole('button', { name: /^Alder, 1 m from the front/ })).toBeDefined();
  await user.click(screen.getByRole('button', { name: 'Undo' }));
  expect(screen.getByRole('button', { name: /^Vent, 2 m from the front, 0.6 m/ })).toBeDefined();
  await user.click(screen.getByRole('button', { name: 'Redo' }));
  expect(screen.getByRole('button', { name: /^Vent, 2.01 m from the front/ })).toBeDefined();
});

test('what is drawn while the plan is on its way to be kept is not lost', async () => {
  const user = userEvent.setup();
  let answer: () => void = () => undefined;
  served({
    'PUT /api/fitout/plans/1': (plan: unknown) =>
      kept().length > 1
        ? { id: 1, name: 'Heron as it is', version: 5, plan }
        : new Promise((resolve) => {
            answer = () => resolve({ id: 1, name: 'Heron as it is', version: 4, plan });
          }),
  });
  show(<FitoutView />, '/fit-out?plan=1');
  const vent = await screen.findByRole('button', { name: /^Vent, 2 m from the front/ });
  vent.focus();
  await user.keyboard('{ArrowRight}');
  await waitFor(() => expect(kept().length).toBe(1));
  await user.keyboard('{ArrowRight}');
  answer();
  await waitFor(() => expect(kept().at(-1)?.things[0]).toMatchObject({ x: 2.02 }));
  expect(screen.getByRole('button', { name: /^Vent, 2.02 m from the front/ })).toBeDefined();
});

test('the antenna is put to a place that is proposed; a number that is none stays as it is typed', async () => {
  const user = userEvent.setup();
  served();
  show(<FitoutView />, '/fit-out?plan=1');
  await user.click(await screen.findByRole('button', { name: 'Put it here' }));
  await waitFor(() => expect(kept().at(-1)?.antenna).toMatchObject({ x: 0.5, y: 0.8 }));
  const height = screen.getByLabelText('Clamp to its middle');
  await user.clear(height);
  await user.type(height, '2,5x');
  expect(await screen.findByText('a number alone')).toBeDefined();
  await user.type(height, '{Backspace}');
  await waitFor(() => expect(kept().at(-1)?.mast?.leverM).toBe(2.5));
});

test('what is refused is said, and what another device changed is asked about', async () => {
  const user = userEvent.setup();
  served({
    'PUT /api/fitout/plans/1': new Refused(409, {
      detail: 'The roof plan “Heron as it is” was changed meanwhile.',
      version: 9,
      changes: [{ field: 'shape', was: 'panel-van', now: 'trailer' }],
    }),
    'POST /api/fitout/reckoned': new Refused(400, {
      detail: 'duct is 0 mm; allowed is 4 to 200 mm',
      errors: [{ field: 'leads.ductMm', message: 'duct is 0 mm; allowed is 4 to 200 mm' }],
    }),
  });
  show(<FitoutView />, '/fit-out?plan=1');
  expect(await screen.findByText(/duct is 0 mm; allowed is 4 to 200 mm/)).toBeDefined();
  await user.type(screen.getByLabelText('Duct inside'), '0');
  await waitFor(() => expect(kept().length).toBe(1));
  expect(await screen.findAllByText('Changed meanwhile, from another page or device')).not.toEqual([]);
  expect(kept().length).toBe(1);
  expect(screen.getByText('Not kept yet.')).toBeDefined();
});

test('without a plan it says what it is for, and begins one', async () => {
  const user = userEvent.setup();
  let begun = false;
  served({
    'GET /api/fitout': () => ({ ...FITOUT, plans: begun ? FITOUT.plans : [] }),
    'POST /api/fitout/plans': () => {
      begun = true;
      return { id: 1, name: 'Heron as it is', version, plan: PLAN };
    },
  });
  show(<FitoutView />, '/fit-out');
  expect(await screen.findByText('Draw the roof before you drill it.')).toBeDefined();
  await user.type(screen.getByLabelText('Name of the plan'), 'Heron as it is{Enter}');
  expect(await screen.findByRole('heading', { level: 1, name: /Alder stands best/ })).toBeDefined();
});

const TASK = {
  key: 'pilot',
  name: 'Pilot hole of 3 mm, from inside',
  minutes: 10,
  waitMin: 0,
  needsDry: false,
  after: ['Look above the ceiling'],
  cautions: ['Look for wiring first.'],
  from: '2026-09-06T10:20:00',
  until: '2026-09-06T10:30:00',
  lastLook: 'Both sides are clear.',
  lookedAt: null as string | null,
  doneAt: null as string | null,
  readyAt: null,
  note: null,
  trial: null,
};

test('the job sheet shows the next task, its cautions, and the last look before what cannot be undone', async () => {
  const user = userEvent.setup();
  let looked: string | null = null;
  const sheet = () => ({
    plan: 1,
    name: 'Heron as it is',
    sentence: '7 of 20 tasks done; about 5.2 h of work left.',
    minutes: 500,
    problem: 'It cannot be done in these hours.',
    parts: ['hole saw for 15.0 mm'],
    tasks: [
      {
        ...TASK,
        key: 'look',
        name: 'Look above the ceiling',
        doneAt: '2026-09-06T10:00:00+02:00',
        lastLook: null,
      },
      { ...TASK, lookedAt: looked },
      {
        ...TASK,
        key: 'seal',
        name: 'Set Alder in sealant',
        waitMin: 720,
        from: '2026-09-07T09:00:00',
        needsDry: true,
      },
    ],
    next: 'pilot',
  });
  served({
    'GET /api/fitout/plans/1/job-sheet': sheet,
    'POST /api/fitout/plans/1/job-sheet/steps': () => {
      looked = '2026-09-06T10:19:00+02:00';
      return {};
    },
  });
  show(<FitoutView />, '/fit-out?plan=1&sheet');
  expect(await screen.findByRole('heading', { level: 1, name: /7 of 20 tasks done/ })).toBeDefined();
  expect(screen.getByRole('heading', { level: 2, name: 'Pilot hole of 3 mm, from inside' })).toBeDefined();
  expect(screen.getAllByText('Look for wiring first.')).not.toEqual([]);
  expect(screen.getByText('It cannot be done in these hours.')).toBeDefined();
  expect(screen.getByText('Mon 7 Sep')).toBeDefined();
  expect(screen.getByText('10 min, then 12 h to wait, dry')).toBeDefined();
  const done = screen.getByRole('button', { name: /^Done/ });
  expect((done as HTMLButtonElement).disabled).toBe(true);
  await user.click(screen.getByRole('checkbox', { name: /A last look/ }));
  await waitFor(() =>
    expect((screen.getByRole('button', { name: /^Done/ }) as HTMLButtonElement).disabled).toBe(false),
  );
  await user.click(screen.getByRole('button', { name: /^Done/ }));
  const steps = () => bodies('POST /api/fitout/plans/1/job-sheet/steps');
  await waitFor(() => expect(steps().at(-1)).toMatchObject({ task: 'pilot', kind: 'done' }));
  await user.click(screen.getByRole('checkbox', { name: 'Look above the ceiling' }));
  await waitFor(() => expect(steps().at(-1)).toMatchObject({ task: 'look', kind: 'not-done' }));
  await user.type(screen.getByLabelText('Note'), 'by the rail');
  await user.click(screen.getByRole('button', { name: 'Note it' }));
  await waitFor(() => expect(steps().at(-1)).toMatchObject({ kind: 'note', text: 'by the rail' }));
});

test('everything that is drawn has a place, a name, and can be moved', () => {
  expect(handles(PLAN)).toEqual(['thing 0', 'thing 1', 'device', 'entry', 'outside', 'inside', 'antenna']);
  for (const handle of handles(PLAN)) {
    const moved = movedTo(PLAN, handle, { x: 1.2345, y: 0.5 });
    expect(spotOf(moved, handle)).toMatchObject({ x: snapped(1.2345), y: 0.5 });
    expect(nameOf(moved, handle)).not.toBe('');
  }
});
