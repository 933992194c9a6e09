// @vitest-environment jsdom
import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { expect, test, vi } from 'vitest';
import { show } from '../testing/show';
import * as download from './download';
import { type Column, FindableList } from './FindableList';

interface Row {
  id: number;
  name: string;
  mbps: number | null;
}

const COLUMNS: Column<Row>[] = [
  { label: 'Name', dataIndex: 'name', sorter: (a, b) => a.name.localeCompare(b.name) },
  { label: 'Upload', unit: 'Mb/s', dataIndex: 'mbps', sorter: (a, b) => (a.mbps ?? 0) - (b.mbps ?? 0) },
];

const list = (rows: Row[]) =>
  show(
    <FindableList
      title="Runs"
      noun="run"
      rows={rows}
      rowKey={(r) => r.id}
      text={(r) => r.name}
      find="find a run"
      empty="No run yet. Log one."
      export={{ file: 'runs.csv', columns: ['name', 'mbps'], row: (r) => [r.name, r.mbps] }}
      columns={COLUMNS}
    />,
  );

const names = () =>
  screen
    .getAllByRole('row')
    .slice(1)
    .map((row) => within(row).getAllByRole('cell')[0]?.textContent);

const ROWS = [
  { id: 1, name: 'Saltmarsh', mbps: 4 },
  { id: 2, name: 'Birch Hollow', mbps: 9 },
  { id: 3, name: 'Amber Spit', mbps: null },
];

test('finds by any text of a row, says how many there are, and what is in none', async () => {
  const user = userEvent.setup();
  list(ROWS);
  expect(screen.getByText('3 runs')).toBeDefined();
  await user.type(screen.getByPlaceholderText('find a run'), 'HOLLOW');
  expect(names()).toEqual(['Birch Hollow']);
  expect(screen.getByText('1 of 3 runs')).toBeDefined();
  await user.type(screen.getByPlaceholderText('find a run'), 'x');
  expect(screen.getByText('Nothing here has “HOLLOWx” in it.')).toBeDefined();
});

test('sorts by a column, and carries the unit where rows become lines', async () => {
  const user = userEvent.setup();
  list(ROWS);
  await user.click(screen.getByText('Name'));
  expect(names()).toEqual(['Amber Spit', 'Birch Hollow', 'Saltmarsh']);
  const cells = within(screen.getAllByRole('row')[1] as HTMLElement).getAllByRole('cell');
  expect(cells.map((c) => c.dataset.label)).toEqual(['Name', 'Upload, Mb/s']);
});

test('gives what is found as a file', async () => {
  const user = userEvent.setup();
  const given = vi.spyOn(download, 'downloadCsv').mockImplementation(() => undefined);
  list(ROWS);
  await user.type(screen.getByPlaceholderText('find a run'), 'a');
  await user.click(screen.getByText('Export this list'));
  expect(given).toHaveBeenCalledWith(
    'runs.csv',
    ['name', 'mbps'],
    [
      ['Saltmarsh', 4],
      ['Amber Spit', null],
    ],
  );
});

test('an empty list says what to do first', () => {
  list([]);
  expect(screen.getByText('No run yet. Log one.')).toBeDefined();
  expect(screen.getByText('0 runs')).toBeDefined();
});

test('keeps what it is searched for, filtered and sorted by in the address', async () => {
  const user = userEvent.setup();
  const filtered: Column<Row>[] = [
    {
      ...(COLUMNS[0] as Column<Row>),
      filters: ROWS.map((r) => ({ value: r.name, text: r.name })),
      onFilter: (value, r) => r.name === value,
    },
    COLUMNS[1] as Column<Row>,
  ];
  show(
    <FindableList
      title="Runs"
      noun="run"
      rows={ROWS}
      rowKey={(r) => r.id}
      text={(r) => r.name}
      find="find a run"
      empty="No run yet."
      columns={filtered}
    />,
    '/?name=Saltmarsh&name=Amber+Spit&sort=name:up&find=a',
  );
  expect(names()).toEqual(['Amber Spit', 'Saltmarsh']);
  expect((screen.getByPlaceholderText('find a run') as HTMLInputElement).value).toBe('a');
  await user.click(screen.getByRole('button', { name: 'Show all' }));
  expect(names()).toHaveLength(3);
});
