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
    {
      kind: 'vent',
      name: 'Vent',
      x: 2,
      y: 0.6,
      lengthM: 0.4,
      widthM: 0.4,
      heightM: 0.1,
      clearM: null,
      freeMm: null,
    },
    {
      kind: 'gas',
      name: 'Gas line',
      x: 3,
      y: 1.2,
      lengthM: 0.8,
      widthM: 0.02,
      heightM: null,
      clearM: null,
      freeMm: null,
    },
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
    bends: [{ x: 2.5, y: 0.6 }],
    deviceX: 3,
    deviceY: 0.3,
  },
  leads: { count: 4, cableMm: 5, plugMm: 9, stemMm: null, ductMm: null },
  mast: { areaM2: 0.12, leverM: 2, clampNm: null, raisedM: 6, laidM: 0.3, weightKg: null, holdsKg: null },
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
  router: {
    closed: true,
    sunny: false,
    simInReach: true,
    ratedC: null,
    reach: [{ name: 'Bunk', x: 3.6, y: 0.8, outside: false, walls: 1 }],
  },
  power: { device: 'Curlew', peakW: null, sourceX: 3.5, sourceY: 1.3, wayM: null, wireMm2: null },
  mains: null,
  tasks: [],
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
  ways: [
    {
      inlet: 'Satellite inlet',
      x: 3.2,
      y: 0.2,
      wantedM: 3.4,
      extensionM: 1.4,
      lossDb: 1.3,
      passes: true,
      says: 'Satellite inlet needs no hole: the leads want 1.4 m more; they pass its 28 mm.',
    },
    {
      inlet: null,
      x: 0.5,
      y: 0.8,
      wantedM: 3,
      extensionM: 1,
      lossDb: 1.2,
      passes: true,
      says: 'A hole of 15.0 mm beneath the antenna: the leads want 1.0 m more.',
    },
  ],
  router: {
    notes: ['About 45 °C on a summer’s day; up to what its maker allows is not stated.'],
    reach: [{ name: 'Bunk', awayM: 0.8, lowDbm: -20.3, highDbm: -28.4, good: 'all that the router has' }],
  },
  fed: {
    wayM: 2.5,
    supply: 'From 12 V as it is',
    amps: 2,
    wireMm2: 1.5,
    awg: 14,
    fuseA: 3,
    dropV: 0.13,
    notes: [],
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
  antennas: [
    {
      name: 'Alder',
      heightM: 0.1,
      groundPlaneM: null,
      magnetic: false,
      leads: 4,
      leadM: 2,
      cableClass: '195-class',
      cableMm: 5,
      setups: ['Roof dome'],
    },
  ],
  devices: [{ name: 'Curlew', mostW: 22 }],
  wires: [{ mm2: 1.5, awg: 14 }],
  weathers: [
    { key: 'any', label: '' },
    { key: 'dry', label: 'dry weather and daylight' },
  ],
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
  expect(screen.getAllByText('Turn the antennas back to back.')).toHaveLength(2);
  expect(screen.getAllByText('Its warning light is on.')).not.toEqual([]);
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
  learned: null,
  byHand: false,
  people: 1,
  waitMin: 0,
  weather: '',
  after: ['look'],
  cautions: ['Look for wiring first.'],
  from: '2026-09-06T10:20:00',
  until: '2026-09-06T10:30:00',
  lastLook: 'Both sides are clear.',
  begunAt: null,
  lookedAt: null as string | null,
  doneAt: null as string | null,
  readyAt: null,
  note: null,
  trial: null,
  filed: null,
  photos: [],
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
        weather: 'dry weather and daylight',
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
  expect(screen.getByText(/10 min, then 12 h to wait, dry weather and daylight/)).toBeDefined();
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

test('a way in that is there is taken, and the extension goes into a setup', async () => {
  const user = userEvent.setup();
  served({
    'POST /api/fitout/plans/1/extension': { cable: 'Extension 1 m', setup: 3, name: 'Roof dome' },
  });
  show(<FitoutView />, '/fit-out?plan=1');
  expect(await screen.findByText(/Satellite inlet needs no hole/)).toBeDefined();
  await user.click(screen.getByRole('button', { name: 'Put the extension into Roof dome' }));
  expect(await screen.findByText(/Roof dome has Extension 1 m now/)).toBeDefined();
  expect(bodies('POST /api/fitout/plans/1/extension')).toEqual([{ setup: 'Roof dome' }]);
  const [take] = screen.getAllByRole('button', { name: 'Take this way' });
  await user.click(take as HTMLElement);
  await waitFor(() => expect(kept().at(-1)?.cable).toMatchObject({ entryX: 3.2, entryY: 0.2 }));
  expect(screen.getByText('From 12 V as it is.', { exact: false })).toBeDefined();
  expect(screen.getByText('all that the router has')).toBeDefined();
  await user.click(screen.getByRole('button', { name: 'Add a bend' }));
  await waitFor(() => expect(kept().at(-1)?.cable?.bends).toHaveLength(2));
  await user.clear(screen.getByLabelText(/Measured inside, from the front wall/));
  await user.type(screen.getByLabelText(/Measured inside, from the front wall/), '1');
  await waitFor(() => expect(kept().at(-1)?.antenna?.x).toBe(1.025));
});

test('variants stand side by side with what differs', async () => {
  served({
    'GET /api/fitout/plans/2': { id: 2, name: 'With a mast', version, plan: { ...PLAN, antenna: null } },
    'GET /api/fitout/plans/1/job-sheet': { minutes: 500, tasks: [TASK] },
    'GET /api/fitout/plans/2/job-sheet': new Refused(400, { detail: 'antenna is missing' }),
  });
  show(<FitoutView />, '/fit-out?side');
  expect(await screen.findByRole('heading', { level: 1, name: '2 variants side by side' })).toBeDefined();
  expect(await screen.findAllByText('0.5 m, 0.8 m')).not.toEqual([]);
  expect(await screen.findByText('8.3 h')).toBeDefined();
  expect(screen.getAllByRole('group', { name: 'The roof from above' })).toHaveLength(2);
  expect(screen.queryByRole('button', { name: /^Vent/ })).toBeNull();
});

test('tasks are added, changed and filed with their trial and photos', async () => {
  const user = userEvent.setup();
  const prove = {
    ...TASK,
    key: 'prove',
    name: 'The trial that proves the gain',
    trial: 'prove',
    lastLook: null,
    photos: [{ id: 7, widthPx: 1600, heightPx: 1200 }],
    filed: null as object | null,
  };
  served({
    'GET /api/trials/sheets': [{ campsite: 'Saltmarsh Jetty', trial: 'Dome or not' }],
    'GET /api/trials': [],
    'GET /api/fitout/plans/1/job-sheet': () => ({
      plan: 1,
      name: 'Heron as it is',
      sentence: 'One task left.',
      minutes: 60,
      problem: null,
      parts: [],
      tasks: [{ ...TASK, doneAt: '2026-09-06T10:00:00+02:00', lastLook: null }, prove],
      next: 'prove',
    }),
    'POST /api/fitout/plans/1/job-sheet/steps': () => {
      prove.filed = { id: 4, campsite: 'Saltmarsh Jetty', name: 'Dome or not' };
      return {};
    },
    'POST /api/fitout/plans/1/job-sheet/photos': { id: 8, widthPx: 10, heightPx: 10 },
    'DELETE /api/fitout/plans/1/job-sheet/photos/7': {},
    'GET /api/results/trial': new Refused(404, { detail: 'no measurement' }),
  });
  show(<FitoutView />, '/fit-out?plan=1&sheet');
  const plan = await screen.findByRole('link', { name: /Plan the trial/ });
  await waitFor(() =>
    expect((plan as HTMLAnchorElement).search).toBe(
      '?plan&template=before_after&file=1.prove&with=Roof+dome',
    ),
  );
  expect(screen.getByAltText('The trial that proves the gain, photo 1')).toBeDefined();
  await user.upload(
    screen.getByLabelText('Photo of this task'),
    new File(['x'], 'hole.jpg', { type: 'image/jpeg' }),
  );
  await waitFor(() => expect(bodies('POST /api/fitout/plans/1/job-sheet/photos')).toHaveLength(1));
  await user.click(screen.getByRole('button', { name: 'Take it away' }));
  expect(await screen.findByText('The photo is taken away.')).toBeDefined();
  await user.click(screen.getByRole('combobox', { name: /planned already/ }));
  await user.click(await screen.findByText('Dome or not, Saltmarsh Jetty'));
  await waitFor(() =>
    expect(bodies('POST /api/fitout/plans/1/job-sheet/steps').at(-1)).toMatchObject({
      kind: 'trial',
      campsite: 'Saltmarsh Jetty',
      text: 'Dome or not',
    }),
  );
  expect(await screen.findByText('Before and after', { exact: false })).toBeDefined();
  await user.click(screen.getByRole('button', { name: 'Add a task' }));
  await user.click(screen.getByRole('button', { name: 'Put it on the sheet' }));
  expect(screen.getByText('name: what is to be done is missing')).toBeDefined();
  await user.type(screen.getByLabelText('What is to be done'), 'Paint the plate');
  await user.click(screen.getByRole('button', { name: 'Put it on the sheet' }));
  await waitFor(() =>
    expect(kept().at(-1)?.tasks).toMatchObject([{ key: 'own-1', name: 'Paint the plate', minutes: 30 }]),
  );
  await user.click(screen.getByRole('button', { name: 'Change The trial that proves the gain' }));
  await user.clear(screen.getByLabelText('Takes'));
  await user.type(screen.getByLabelText('Takes'), '90');
  await user.click(screen.getByRole('button', { name: 'Keep it' }));
  await waitFor(() =>
    expect(kept().at(-1)?.tasks.at(-1)).toMatchObject({ key: 'prove', name: null, minutes: 90 }),
  );
});

test('everything that is drawn has a place, a name, and can be moved', () => {
  expect(handles(PLAN)).toEqual([
    'thing 0',
    'thing 1',
    'device',
    'entry',
    'bend 0',
    'source',
    'reach 0',
    'outside',
    'inside',
    'antenna',
  ]);
  for (const handle of handles(PLAN)) {
    const moved = movedTo(PLAN, handle, { x: 1.2345, y: 0.5 });
    expect(spotOf(moved, handle)).toMatchObject({ x: snapped(1.2345), y: 0.5 });
    expect(nameOf(moved, handle)).not.toBe('');
  }
});
