// @vitest-environment jsdom
import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { expect, test } from 'vitest';
import type { Schemas } from '../data/client';
import { asked, serve } from '../testing/server';
import { show } from '../testing/show';
import { WhyView } from './WhyView';

const hours = Array.from({ length: 24 }, (_, hour) => ({
  hour,
  runs: hour === 20 ? 3 : 0,
  down: hour === 20 ? { low: 4, middle: 6, high: 9 } : null,
  up: hour === 20 ? { low: 1, middle: 2, high: 3 } : null,
  loaded: null,
}));
const FOUND: Schemas['DiagnosisView'] = {
  headline: 'The cell is busy with others in the evenings.',
  about: 'Mast panel on Tarnwave at Quarry Lake',
  claims: [
    {
      cause: 'busy-cell',
      sure: 'likely',
      says: 'The cell is busy with others in the evenings.',
      evidence: ['evenings here are slower than mornings by ×2.9'],
      next: 'Move what can wait to the night.',
    },
    {
      cause: 'latency-under-load',
      sure: 'surely',
      says: 'It answers late.',
      evidence: ['latency 45 ms idle and 480 ms under load'],
      next: 'Pause uploads during calls.',
    },
  ],
  lookedFor: null,
  telling: { how: 'morning', says: 'Run once before seven.' },
  day: { of: 'cell 77 of Tarnwave', runs: 3, hours, upload: '11 GB tonight: begin at 01:00.' },
};

test('each cause stands with its evidence, how sure it is and what to do; one measurement would tell', async () => {
  const user = userEvent.setup();
  serve({ 'GET /api/diagnosis': FOUND });
  show(<WhyView />, '/why?stay=4&setup=Mast+panel&carrier=Tarnwave');
  expect(await screen.findByRole('heading', { level: 1, name: FOUND.headline })).toBeDefined();
  expect(asked.at(-1)?.query).toBe('?stay=4&setup=Mast%20panel&carrier=Tarnwave');
  expect(screen.getByText('Move what can wait to the night.').className).toBe('action');
  expect(screen.getByText('Pause uploads during calls.')).toBeDefined();
  expect(screen.getByText('likely')).toBeDefined();
  expect(screen.getByRole('link', { name: 'Run now, and again then' })).toBeDefined();
  expect(screen.getByText('11 GB tonight: begin at 01:00.')).toBeDefined();
  expect(screen.getByRole('img', { name: /Download by the hour/ })).toBeDefined();
  await user.click(screen.getByText('Upload'));
  expect(screen.getByRole('img', { name: /Upload by the hour/ })).toBeDefined();
  expect(screen.getAllByText('2 Mb/s')).toHaveLength(1);
});

test('nothing points to a cause is an answer', async () => {
  serve({
    'GET /api/diagnosis': {
      ...FOUND,
      headline: 'Nothing looks wrong: this is what this cell gives at this hour.',
      claims: [],
      lookedFor: 'Looked for: no service, a weak place.',
      telling: null,
      day: null,
    },
    'GET /api/advice': { headline: 'Use Roof dome on Brissa: it should meet HD film nearly always.' },
  });
  show(<WhyView />, '/why');
  expect(await screen.findByText(/Use Roof dome on Brissa/)).toBeDefined();
  expect(await screen.findByText(/Looked for: no service/)).toBeDefined();
  expect(screen.queryByText('What to measure next')).toBeNull();
});
