// @vitest-environment jsdom
import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { expect, test, vi } from 'vitest';
import type { Schemas } from '../data/client';
import { serve } from '../testing/server';
import { show } from '../testing/show';
import { TableColumns } from './TableColumns';

const VIEW: Schemas['TableView'] = {
  ofContract: false,
  remembered: false,
  reading: {
    columns: [
      { heading: 'Date', use: 'date', figure: null, unit: '' },
      { heading: 'Time', use: 'clock', figure: null, unit: '' },
      { heading: 'Down', use: 'figure', figure: 'down_mbps', unit: '' },
      { heading: 'Bars', use: 'left-out', figure: null, unit: '' },
    ],
    dateOrder: '' as Schemas['TableReading']['dateOrder'],
    zone: '',
    decimalComma: false,
    setup: null,
    campsite: null,
  },
  reasons: ['', '', '', 'left out: makers draw bars as they like'],
  asked: ['date-order', 'zone', 'setup', 'campsite'],
  rows: [['3/8/26', '18:05', '24.1', '3']],
  sheets: [],
  size: null,
  choices: {
    uses: [{ value: 'date', label: 'the day' }],
    figures: [{ value: 'down_mbps', label: 'Download', units: ['Mb/s', 'MB/s'] }],
    dateOrders: [
      { value: 'day-first', label: 'day first, as 14.8.2026' },
      { value: 'month-first', label: 'month first, as 8/14/2026' },
    ],
  },
};

function Host({ use }: { use: () => void }) {
  const [reading, change] = useState(VIEW.reading);
  return <TableColumns view={VIEW} reading={reading} change={change} use={use} choose={() => undefined} />;
}

test('nothing is judged before what the table does not say is answered', async () => {
  const user = userEvent.setup();
  const use = vi.fn();
  serve({
    'POST /api/measurements/import/rows': [{ taken_at: '2026-08-03T18:05:00+03:00', down_mbps: '24.1' }],
  });
  show(<Host use={use} />, '/logbook');
  expect(screen.getByText('left out: makers draw bars as they like')).toBeDefined();
  expect(
    (screen.getByRole('button', { name: 'Answer what is asked first' }) as HTMLButtonElement).disabled,
  ).toBe(true);
  await user.click(screen.getByLabelText('Order of the dates'));
  await user.click(await screen.findByTitle('day first, as 14.8.2026'));
  await user.type(screen.getByLabelText('Time zone'), '+03:00');
  await user.type(screen.getByLabelText('Setup of all rows'), 'Puck');
  expect(screen.queryByText(/as they would be read/)).toBeNull();
  await user.type(screen.getByLabelText('Campsite of all rows'), 'Pine Bend');
  expect(await screen.findByText('2026-08-03T18:05:00+03:00')).toBeDefined();
  await user.click(screen.getByRole('button', { name: 'Judge the rows' }));
  expect(use).toHaveBeenCalledOnce();
});
