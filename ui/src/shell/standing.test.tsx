// @vitest-environment jsdom
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { expect, test } from 'vitest';
import { bodies, NEVER, serve } from '../testing/server';
import { show } from '../testing/show';
import { NAMES, STANDING } from '../testing/world';
import { StandingLine } from './StandingLine';

test('what is on its way is not said to be missing', () => {
  serve({ 'GET /api/standing': NEVER, 'GET /api/needs': NEVER });
  const page = show(<StandingLine find={() => undefined} />);
  expect(page.container.textContent).not.toMatch(/no |not said/);
  expect(page.container.textContent).toContain('…');
});

test('an empty log says what is not chosen yet', async () => {
  const line = {
    ...STANDING,
    stay: null,
    campsite: null,
    since: null,
    setup: null,
    carrier: null,
    elsewhere: null,
  };
  serve({ ...NAMES, 'GET /api/standing': line, 'GET /api/needs': { needs: [] } });
  show(<StandingLine find={() => undefined} />);
  expect(await screen.findByText('no campsite yet')).toBeDefined();
  expect(screen.getByText('no setup yet')).toBeDefined();
  expect(await screen.findByText('not said yet')).toBeDefined();
});

test('what is left of the plan stands there, at most where its counter was not read', async () => {
  const use = { carrier: 'Tarnwave', leftGb: 61.2, allowanceGb: 100, sentence: 'Runs have taken 39 GB.' };
  serve({ ...NAMES, 'GET /api/measure/plan': { ...use, counterAt: null } });
  const first = show(<StandingLine find={() => undefined} />);
  expect(await screen.findByText('at most 61 of 100 GB')).toBeDefined();
  first.unmount();
  const read = { ...use, counterAt: '2026-09-05T20:00:00+02:00', isAbout: true };
  serve({ ...NAMES, 'GET /api/measure/plan': read });
  const second = show(<StandingLine find={() => undefined} />);
  expect(await screen.findByText('about 61 of 100 GB')).toBeDefined();
  second.unmount();
  serve({ ...NAMES, 'GET /api/measure/plan': { ...read, isAbout: false } });
  show(<StandingLine find={() => undefined} />);
  const left = await screen.findByRole('link', { name: '61 of 100 GB' });
  expect(left.getAttribute('href')).toBe('/logbook?part=ledger');
});

test('each bold part changes the line', async () => {
  const user = userEvent.setup();
  serve({
    ...NAMES,
    'GET /api/needs': { needs: [{ name: 'Video calls', chosen: true }] },
    'PUT /api/standing': STANDING,
  });
  show(<StandingLine find={() => undefined} />);
  expect(await screen.findByText('Video calls')).toBeDefined();
  await user.click(await screen.findByRole('button', { name: 'campsite: Lighthouse Meadow' }));
  const field = await screen.findByRole('combobox');
  await user.clear(field);
  await user.type(field, 'Amber Spit');
  await user.click(screen.getByRole('button', { name: 'Add and use' }));
  await waitFor(() => expect(bodies('PUT /api/standing')).toEqual([{ campsite: 'Amber Spit' }]));
});
