// @vitest-environment jsdom
import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { expect, test } from 'vitest';
import { NEVER, Refused, serve } from '../testing/server';
import { show } from '../testing/show';
import { NAMES, STAYS } from '../testing/world';
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
  serve({ ...NAMES, 'GET /api/trials': [TRIAL], 'GET /api/stays': STAYS });
  show(<TrialsView />, '/trials');
  expect((await screen.findByText('Dome or panel')).getAttribute('href')).toBe(
    '/trials?campsite=Lighthouse+Meadow&trial=Dome+or+panel',
  );
  expect(screen.getByText('5 of 6')).toBeDefined();
});

test('no trial yet: says how one is made', async () => {
  serve({ ...NAMES, 'GET /api/trials': [], 'GET /api/stays': [] });
  show(<TrialsView />, '/trials');
  expect(await screen.findByText(/No trial yet. Measure two setups in turn/)).toBeDefined();
});

test('two setups at a stay are offered only where two were measured', async () => {
  const user = userEvent.setup();
  serve({ ...NAMES, 'GET /api/trials': [], 'GET /api/stays': STAYS });
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
