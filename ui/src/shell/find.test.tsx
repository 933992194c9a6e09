// @vitest-environment jsdom
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { expect, test } from 'vitest';
import type { Schemas } from '../data/client';
import { asked, serve } from '../testing/server';
import { show } from '../testing/show';
import { Find } from './Find';

const hit = (part: Partial<Schemas['Hit']>): Schemas['Hit'] => ({
  kind: 'stay',
  name: 'Quarry Lake',
  says: '',
  stay: 6,
  campsite: null,
  id: null,
  visit: null,
  ...part,
});

const FOUND = {
  hits: [
    hit({ kind: 'trial', name: 'Evening', campsite: 'Quarry Lake', stay: null }),
    hit({}),
    hit({
      kind: 'measurements',
      says: '2 measurements: herons on the jetty',
      stay: 4,
      name: 'Saltmarsh Jetty',
    }),
  ],
  since: null as string | null,
};

test('what was found stands by kind, and leads to its place with what was looked for', async () => {
  const user = userEvent.setup();
  serve({ 'GET /api/find': FOUND });
  show(<Find close={() => undefined} />);
  await user.type(screen.getByLabelText('Find in everything'), 'quarry');
  const stay = await screen.findByRole('link', { name: 'Quarry Lake' });
  expect(stay.getAttribute('href')).toBe('/logbook?stay=6');
  expect(screen.getByRole('link', { name: 'Saltmarsh Jetty' }).getAttribute('href')).toBe(
    '/logbook?stay=4&find=quarry',
  );
  expect(screen.getByRole('link', { name: 'Evening' }).getAttribute('href')).toBe(
    '/trials?campsite=Quarry+Lake&trial=Evening',
  );
  expect(screen.queryByText(/were not searched/)).toBeNull();
  // one question once the typing has settled, not one for each letter
  expect(asked.filter((a) => a.call === 'GET /api/find')).toHaveLength(1);
});

test('of a very long log it is said how far back was looked', async () => {
  const user = userEvent.setup();
  serve({ 'GET /api/find': { hits: [], since: '2019-03-04T10:00:00+01:00' } });
  show(<Find close={() => undefined} />);
  await user.type(screen.getByLabelText('Find in everything'), 'heron');
  expect(await screen.findByText(/Notes from before 4 Mar 2019 were not searched/)).toBeDefined();
  expect(screen.getByText(/Nothing has “heron” in it/)).toBeDefined();
});

test('a letter more asks anew, and Enter opens what is chosen', async () => {
  const user = userEvent.setup();
  let closed = 0;
  serve({ 'GET /api/find': FOUND });
  show(<Find close={() => closed++} />);
  const field = screen.getByLabelText('Find in everything');
  await user.type(field, 'quarry');
  await screen.findByRole('link', { name: 'Quarry Lake' });
  await user.type(field, '{ArrowDown}{Enter}');
  await waitFor(() => expect(closed).toBe(1));
});
