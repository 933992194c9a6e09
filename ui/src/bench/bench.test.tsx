// @vitest-environment jsdom
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { expect, test } from 'vitest';
import { bodies, Refused, serve } from '../testing/server';
import { show } from '../testing/show';
import { NAMES } from '../testing/world';
import { BenchView } from './BenchView';

const CABLE = {
  key: 'cable',
  name: 'Cable',
  answers: 'What a cable loses.',
  formula: 'L = a √f',
  holds: 'For a sound cable.',
  caution: '',
  inputs: [
    {
      name: 'class',
      label: 'Cable',
      unit: '',
      usual: '240-class',
      low: null,
      high: null,
      choices: ['240-class'],
      lines: false,
      needed: true,
    },
    {
      name: 'length',
      label: 'Length',
      unit: 'm',
      usual: '5',
      low: 0,
      high: 200,
      choices: [],
      lines: false,
      needed: true,
    },
  ],
};
const SAYS = {
  says: 'It loses about 1.9 dB.',
  lines: [{ label: 'Cable', value: '1.8 dB', about: true }],
  profile: null,
  keep: { what: 'cable', values: { cableClass: '240-class', lengthM: '5' } },
};
const SERVED = { ...NAMES, 'GET /api/bench': [CABLE], 'POST /api/bench/cable': SAYS };

test('calculators stand in a list with what each answers', async () => {
  serve(SERVED);
  show(<BenchView />, '/tools');
  expect(await screen.findByText('What a cable loses.')).toBeDefined();
  expect(screen.getByRole('link', { name: 'Judge trials whose answer is known' })).toBeDefined();
});

test('what is typed is calculated, with its formula, and can be kept', async () => {
  const user = userEvent.setup();
  serve({ ...SERVED, 'POST /api/gear': {} });
  show(<BenchView />, '/tools?calculator=cable&length=7');
  expect(await screen.findByRole('heading', { level: 1, name: SAYS.says })).toBeDefined();
  expect(bodies('POST /api/bench/cable').at(-1)).toEqual({ values: { class: '240-class', length: '7' } });
  expect(screen.getByText('L = a √f')).toBeDefined();
  expect(screen.getByText(/For a sound cable/)).toBeDefined();
  await user.click(screen.getByText('Save the cable to Gear'));
  await waitFor(() => expect(bodies('POST /api/gear')).toHaveLength(1));
  expect(bodies('POST /api/gear')[0]).toMatchObject({ kind: 'cable', sheet: { lengthM: 5 } });
});

test('what cannot be stands at its field', async () => {
  serve({
    ...SERVED,
    'POST /api/bench/cable': new Refused(400, {
      detail: 'Length is −1 m',
      errors: [{ field: 'values.length', message: 'Length is −1 m; allowed is 0 to 200 m' }],
    }),
  });
  show(<BenchView />, '/tools?calculator=cable&length=-1');
  expect((await screen.findByRole('alert')).textContent).toContain('allowed is 0 to 200 m');
});
