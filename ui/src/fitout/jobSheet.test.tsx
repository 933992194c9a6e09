// @vitest-environment jsdom
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { beforeEach, expect, test, vi } from 'vitest';
import { bodies, Refused } from '../testing/server';
import { show } from '../testing/show';
import { FitoutView } from './FitoutView';
import { kept, served, TASK } from './served';

beforeEach(() => {
  vi.spyOn(Element.prototype, 'scrollIntoView').mockImplementation(() => undefined);
  Element.prototype.setPointerCapture = () => undefined;
});

test('the job sheet shows the next task, its cautions, and the last look before what cannot be undone', async () => {
  const user = userEvent.setup();
  let looked: string | null = null;
  const sheet = () => ({
    plan: 1,
    name: 'Heron as it is',
    sentence: '7 of 20 tasks done; about 5.2 h of work left.',
    minutes: 500,
    problem: 'It cannot be done in these hours.',
    parts: ['hole saw of 16 mm'],
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
  show(<FitoutView />, '/build?plan=1&sheet');
  expect(await screen.findByRole('heading', { level: 1, name: /7 of 20 tasks done/ })).toBeDefined();
  expect(screen.getByRole('heading', { level: 2, name: 'Pilot hole of 3 mm, from inside' })).toBeDefined();
  expect(screen.getAllByText('Look for wiring first.')).not.toEqual([]);
  expect(screen.getByText('It cannot be done in these hours.')).toBeDefined();
  expect(screen.getByText('Mon 7 Sep')).toBeDefined();
  expect(
    screen.getByText(/10 min, one person and a helper, then 12 h to wait, dry weather and daylight/),
  ).toBeDefined();
  const done = screen.getByRole('button', { name: /^Done/ });
  expect((done as HTMLButtonElement).disabled).toBe(true);
  await user.click(screen.getByRole('checkbox', { name: /Last check/ }));
  await waitFor(() =>
    expect((screen.getByRole('button', { name: /^Done/ }) as HTMLButtonElement).disabled).toBe(false),
  );
  await user.click(screen.getByRole('button', { name: /^Done/ }));
  const steps = () => bodies('POST /api/fitout/plans/1/job-sheet/steps');
  await waitFor(() => expect(steps().at(-1)).toMatchObject({ task: 'pilot', kind: 'done' }));
  await user.click(screen.getByRole('checkbox', { name: 'Look above the ceiling' }));
  await waitFor(() => expect(steps().at(-1)).toMatchObject({ task: 'look', kind: 'not-done' }));
  await user.type(screen.getByLabelText('Note'), 'by the rail');
  await user.click(screen.getByRole('button', { name: 'Save note' }));
  await waitFor(() => expect(steps().at(-1)).toMatchObject({ kind: 'note', text: 'by the rail' }));
});

test('tasks are added, changed and filed with their trial and photos', async () => {
  const user = userEvent.setup();
  const prove = {
    ...TASK,
    key: 'prove',
    name: 'Run the trial that proves the gain',
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
  show(<FitoutView />, '/build?plan=1&sheet');
  const plan = await screen.findByRole('link', { name: /Plan the trial/ });
  await waitFor(() =>
    expect((plan as HTMLAnchorElement).search).toBe(
      '?plan&template=before_after&file=1.prove&with=Roof+dome',
    ),
  );
  expect(screen.getByAltText('Run the trial that proves the gain, photo 1')).toBeDefined();
  await user.upload(
    screen.getByLabelText('Photo of this task'),
    new File(['x'], 'hole.jpg', { type: 'image/jpeg' }),
  );
  await waitFor(() => expect(bodies('POST /api/fitout/plans/1/job-sheet/photos')).toHaveLength(1));
  await user.click(screen.getByRole('button', { name: 'Delete' }));
  expect(await screen.findByText('Photo deleted.')).toBeDefined();
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
  await user.click(screen.getByRole('button', { name: 'Add the task' }));
  expect(screen.getByText('Enter what is to be done.')).toBeDefined();
  await user.type(screen.getByLabelText('Task'), 'Paint the plate');
  await user.click(screen.getByRole('button', { name: 'Add the task' }));
  await waitFor(() =>
    expect(kept().at(-1)?.tasks).toMatchObject([{ key: 'own-1', name: 'Paint the plate', minutes: 30 }]),
  );
  await user.click(screen.getByRole('button', { name: 'Change Run the trial that proves the gain' }));
  await user.clear(screen.getByLabelText('Takes'));
  await user.type(screen.getByLabelText('Takes'), '90');
  await user.click(screen.getByRole('button', { name: 'Save' }));
  await waitFor(() =>
    expect(kept().at(-1)?.tasks.at(-1)).toMatchObject({ key: 'prove', name: null, minutes: 90 }),
  );
});

test('the task in which the hole is marked shows where, measured from all four edges', async () => {
  const mark = {
    ...TASK,
    key: 'mark',
    name: 'Mark the hole',
    lastLook: null,
    hole: {
      fromFrontM: 1.2,
      fromRearM: 3.8,
      fromLeftM: 0.45,
      fromRightM: 1.55,
      diagonalM: 1.28,
      insideFrontM: 1.16,
      insideLeftM: 0.41,
    },
  };
  served({
    'GET /api/fitout/plans/1/job-sheet': {
      plan: 1,
      name: 'Heron as it is',
      sentence: 'Build in Alder: 1 task.',
      minutes: 20,
      problem: null,
      parts: [],
      tasks: [mark],
      next: 'mark',
    },
  });
  show(<FitoutView />, '/build?plan=1&sheet');
  const drawings = await screen.findAllByRole('img', { name: /Where to drill/ });
  expect(drawings[0]?.getAttribute('aria-label')).toContain('1.2 m from the front, 3.8 m from the rear');
  expect(screen.getAllByText('1.55 m from the right')).toHaveLength(2);
});
