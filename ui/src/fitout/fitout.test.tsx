// @vitest-environment jsdom
import { fireEvent, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { beforeEach, expect, test, vi } from 'vitest';
import { bodies, Refused } from '../testing/server';
import { show } from '../testing/show';
import { handles, movedTo, nameOf, snapped, spotOf } from './drawn';
import { FitoutView } from './FitoutView';
import { FITOUT, kept, PLAN, served, TASK } from './served';

beforeEach(() => {
  vi.spyOn(Element.prototype, 'scrollIntoView').mockImplementation(() => undefined);
  Element.prototype.setPointerCapture = () => undefined;
});

test('what is drawn is assessment, and its numbers stand beside it', async () => {
  served();
  show(<FitoutView />, '/build?plan=1');
  expect(await screen.findByRole('heading', { level: 1, name: /Alder is best placed/ })).toBeDefined();
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
  show(<FitoutView />, '/build?plan=1');
  const vent = await screen.findByRole('button', { name: /^Vent, 2 m from the front, 0.6 m from the left/ });
  vent.focus();
  await user.keyboard('{ArrowRight}{Shift>}{ArrowDown}{/Shift}');
  expect(await screen.findByRole('button', { name: /^Vent, 2.01 m from the front, 0.7 m/ })).toBeDefined();
  await waitFor(() => expect(kept().at(-1)?.things[0]).toMatchObject({ x: 2.01, y: 0.7 }));
  expect(await screen.findByText('Saved.')).toBeDefined();

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
  show(<FitoutView />, '/build?plan=1');
  const vent = await screen.findByRole('button', { name: /^Vent, 2 m from the front/ });
  vent.focus();
  await user.keyboard('{ArrowRight}');
  await waitFor(() => expect(kept().length).toBe(1));
  await user.keyboard('{ArrowRight}');
  // longer than a change rests before it is kept: it waits for the one that is on its way
  await new Promise((wait) => setTimeout(wait, 900));
  expect(kept().length).toBe(1);
  answer();
  await waitFor(() => expect(kept().at(-1)?.things[0]).toMatchObject({ x: 2.02 }));
  expect(screen.getByRole('button', { name: /^Vent, 2.02 m from the front/ })).toBeDefined();
});

test('the antenna is put to a place that is proposed; a number that is none stays as it is typed', async () => {
  const user = userEvent.setup();
  served();
  show(<FitoutView />, '/build?plan=1');
  await user.click(await screen.findByRole('button', { name: /^Place it here/ }));
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
    'POST /api/fitout/assessment': new Refused(400, {
      detail: 'duct is 0 mm; allowed is 4 to 200 mm',
      errors: [{ field: 'leads.ductMm', message: 'duct is 0 mm; allowed is 4 to 200 mm' }],
    }),
  });
  show(<FitoutView />, '/build?plan=1');
  expect(await screen.findByText(/duct is 0 mm; allowed is 4 to 200 mm/)).toBeDefined();
  await user.type(screen.getByLabelText('Duct inside'), '0');
  await waitFor(() => expect(kept().length).toBe(1));
  expect(await screen.findAllByText('Changed meanwhile, from another page or device')).not.toEqual([]);
  expect(kept().length).toBe(1);
  expect(screen.getByText('Not saved yet.')).toBeDefined();
});

test('without a plan it says what it is for, and begins one', async () => {
  const user = userEvent.setup();
  let begun = false;
  served({
    'GET /api/fitout': () => ({ ...FITOUT, plans: begun ? FITOUT.plans : [] }),
    'POST /api/fitout/plans': () => {
      begun = true;
      return { id: 1, name: 'Heron as it is', version: 3, plan: PLAN };
    },
  });
  show(<FitoutView />, '/build');
  expect(await screen.findByText('Draw the roof before you drill it.')).toBeDefined();
  await user.type(screen.getByLabelText('Name of the plan'), 'Heron as it is{Enter}');
  expect(await screen.findByRole('heading', { level: 1, name: /Alder is best placed/ })).toBeDefined();
});

test('an existing cable entry is taken, and the extension goes into a setup', async () => {
  const user = userEvent.setup();
  served({
    'POST /api/fitout/plans/1/extension': { cable: 'Extension 1 m', setup: 3, name: 'Roof dome' },
  });
  show(<FitoutView />, '/build?plan=1');
  expect(await screen.findByText(/Satellite inlet needs no hole/)).toBeDefined();
  await user.click(screen.getByRole('button', { name: 'Add the extension to Roof dome' }));
  expect(await screen.findByText(/Roof dome now has Extension 1 m/)).toBeDefined();
  expect(bodies('POST /api/fitout/plans/1/extension')).toEqual([{ setup: 'Roof dome' }]);
  const [take] = screen.getAllByRole('button', { name: 'Use this entry' });
  await user.click(take as HTMLElement);
  await waitFor(() => expect(kept().at(-1)?.cable).toMatchObject({ entryX: 3.2, entryY: 0.2 }));
  expect(screen.getByText('From 12 V as it is.', { exact: false })).toBeDefined();
  expect(screen.getByText('all that the router has')).toBeDefined();
  await user.click(screen.getByRole('button', { name: 'Add a bend' }));
  await waitFor(() => expect(kept().at(-1)?.cable?.bends).toHaveLength(2));
  await user.clear(screen.getByLabelText(/Inside, from the front wall/));
  await user.type(screen.getByLabelText(/Inside, from the front wall/), '1');
  await waitFor(() => expect(kept().at(-1)?.antenna?.x).toBe(1.025));
});

test('variants stand side by side with what differs', async () => {
  served({
    'GET /api/fitout/plans/2': { id: 2, name: 'With a mast', version: 3, plan: { ...PLAN, antenna: null } },
    'GET /api/fitout/plans/1/job-sheet': { minutes: 500, tasks: [TASK] },
    'GET /api/fitout/plans/2/job-sheet': new Refused(400, { detail: 'antenna is missing' }),
  });
  show(<FitoutView />, '/build?side');
  expect(await screen.findByRole('heading', { level: 1, name: '2 variants side by side' })).toBeDefined();
  expect(await screen.findAllByText('0.5 m, 0.8 m')).not.toEqual([]);
  expect(await screen.findByText('8.3 h')).toBeDefined();
  expect(screen.getAllByRole('group', { name: 'The roof from above' })).toHaveLength(2);
  expect(screen.queryByRole('button', { name: /^Vent/ })).toBeNull();
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
