// @vitest-environment jsdom
import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { expect, test, vi } from 'vitest';
import type { Schemas } from '../data/client';
import { bodies, serve } from '../testing/server';
import { show } from '../testing/show';
import { TableColumns } from './TableColumns';

const VIEW: Schemas['TableView'] = {
  ofContract: false,
  remembered: false,
  reading: {
    columns: [
      { heading: 'Date', use: 'date', figure: null, unit: '', of: '' },
      { heading: 'Time', use: 'clock', figure: null, unit: '', of: '' },
      { heading: 'Down', use: 'figure', figure: 'down_mbps', unit: '', of: '' },
      { heading: 'Bars', use: 'left-out', figure: null, unit: '', of: '' },
    ],
    dateOrder: '' as Schemas['TableReading']['dateOrder'],
    zone: '',
    year: null,
    clock: null,
    above: null,
    each: null,
    decimalComma: false,
    setup: null,
    campsite: null,
  },
  reasons: ['', '', '', 'left out: every maker draws bars differently'],
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
    eaches: [
      { value: 'setup', label: 'setups' },
      { value: 'run', label: 'runs, one after another' },
    ],
  },
};

function Host({ use, view = VIEW }: { use: () => void; view?: Schemas['TableView'] }) {
  const [reading, change] = useState(view.reading);
  return <TableColumns view={view} reading={reading} change={change} use={use} choose={() => undefined} />;
}

test('nothing is judged before what the table does not say is answered', async () => {
  const user = userEvent.setup();
  const use = vi.fn();
  serve({
    'POST /api/measurements/import/rows': [
      { measurements: [{ taken_at: '2026-08-03T18:05:00+03:00', down_mbps: '24.1' }] },
    ],
  });
  show(<Host use={use} />, '/logbook');
  expect(screen.getByText('left out: every maker draws bars differently')).toBeDefined();
  expect(
    (screen.getByRole('button', { name: 'Answer the questions above first' }) as HTMLButtonElement).disabled,
  ).toBe(true);
  await user.click(screen.getByLabelText('Order of the dates'));
  await user.click(await screen.findByTitle('day first, as 14.8.2026'));
  await user.type(screen.getByLabelText('Time zone'), '+03:00');
  await user.type(screen.getByLabelText('Setup of all rows'), 'Puck');
  expect(screen.queryByText(/as they would be read/)).toBeNull();
  await user.type(screen.getByLabelText('Campsite of all rows'), 'Pine Bend');
  expect(await screen.findByText('2026-08-03T18:05:00+03:00')).toBeDefined();
  await user.click(screen.getByRole('button', { name: 'Check the rows' }));
  expect(use).toHaveBeenCalledOnce();
});

/** Dome DL and Mast DL side by side, with their day alone. */
const SIDE_BY_SIDE: Schemas['TableView'] = {
  ...VIEW,
  reading: {
    ...VIEW.reading,
    columns: [
      { heading: 'Date', use: 'date', figure: null, unit: '', of: '' },
      { heading: 'Place', use: 'figure', figure: 'campsite', unit: '', of: '' },
      { heading: 'Dome DL', use: 'figure', figure: 'down_mbps', unit: '', of: 'Dome' },
      { heading: 'Mast DL', use: 'figure', figure: 'down_mbps', unit: '', of: 'Mast' },
    ],
    dateOrder: 'year-first',
    zone: 'Z',
  },
  reasons: ['', '', 'of “Dome” alone', 'of “Mast” alone'],
  asked: ['clock', 'each', 'setup'],
  rows: [['2026-08-03', 'Pine Bend', '24.1', '31']],
};

test('measurements side by side are told apart, and a day without its hour is given one', async () => {
  const user = userEvent.setup();
  serve({
    'POST /api/measurements/import/rows': [
      {
        measurements: [
          { setup: 'Dome', down_mbps: '24.10' },
          { setup: 'Mast', down_mbps: '31.0' },
        ],
      },
    ],
  });
  show(<Host use={() => undefined} view={SIDE_BY_SIDE} />, '/logbook');
  expect(screen.getByText(/“Dome”, “Mast”. What are these/)).toBeDefined();
  await user.type(screen.getByLabelText('Time of day of all rows'), '18:00');
  expect(screen.getByLabelText('Setup of all rows')).toBeDefined();
  await user.click(screen.getByLabelText('What the measurements of a row are of'));
  await user.click(await screen.findByTitle('setups'));
  expect(screen.queryByLabelText('Setup of all rows')).toBeNull();
  expect(await screen.findByText('31.0')).toBeDefined();
  expect(screen.getByText('24.10')).toBeDefined();
  expect(bodies('POST /api/measurements/import/rows').at(-1)).toMatchObject({
    reading: { each: 'setup', clock: '18:00' },
  });
});
