// @vitest-environment jsdom
import { act, fireEvent, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { Schemas } from '../data/client';
import { type SeenRequest, asked, bodies, NEVER, Refused, serve } from '../testing/server';
import { show } from '../testing/show';
import { ImportPanel } from './ImportPanel';

const COLUMNS = 'POST /api/measurements/import/columns';
const IMPORT = 'POST /api/measurements/import';

/** What stands for the browser's EventSource of one import. */
class Progress {
  static now: Progress | undefined;
  onmessage: ((event: { data: string }) => void) | undefined;

  constructor(readonly address: string) {
    Progress.now = this;
  }

  close() {
    Progress.now = undefined;
  }
}

const REPORT: Schemas['ImportReport'] = {
  accepted: 4,
  duplicates: 2,
  rejected: [{ line: 7, column: 'rsrp_dbm', message: 'rsrp_dbm is −300; allowed is −156 to −31 dBm' }],
  rejectedRows: 1,
  created: { campsites: ['Pebble Cove'], setups: [], carriers: ['Brissa'] },
  close: [],
  change: 12,
};

const OF_CONTRACT = { ofContract: true, remembered: false, size: 7 };

const FILE = new File(['taken_at,campsite\n2026-08-14T18:05:00+03:00,Pebble Cove\n'], 'mine.csv', {
  type: 'text/csv',
});

const choose = (file = FILE) =>
  fireEvent.change(screen.getByLabelText(/Drop a spreadsheet here/), { target: { files: [file] } });

const queries = (call: string) =>
  asked.filter((a) => a.call === call).map((a) => new URLSearchParams(a.query));

beforeEach(() => {
  vi.stubGlobal('EventSource', Progress);
  vi.stubGlobal('crypto', { ...crypto, randomUUID: () => 'one' });
});

describe('a file in Syntoma’s own columns', () => {
  it('is judged first, kept when that is confirmed, and can be undone', async () => {
    const user = userEvent.setup();
    const close = vi.fn();
    serve({
      [COLUMNS]: OF_CONTRACT,
      [IMPORT]: REPORT,
      'GET /api/figures': [],
      'POST /api/changes/12/undone': {},
    });
    show(<ImportPanel close={close} />, '/logbook?import=1');
    choose();
    expect(
      await screen.findByText('4 new measurements, 2 already in the log, 1 refused. Nothing is saved yet.'),
    ).toBeDefined();
    expect(queries(IMPORT).map((q) => q.get('dryRun'))).toEqual(['true']);
    expect(screen.getByText('Pebble Cove')).toBeDefined();
    expect(screen.getByText('rsrp_dbm is −300; allowed is −156 to −31 dBm')).toBeDefined();
    await user.click(screen.getByRole('button', { name: 'Import 4 measurements' }));
    expect(await screen.findByRole('heading', { name: '4 measurements imported.' })).toBeDefined();
    expect(queries(IMPORT).map((q) => q.get('dryRun'))).toEqual(['true', 'false']);
    expect(queries(IMPORT)[1].get('file')).toBe('mine.csv');
    expect(await screen.findByRole('button', { name: 'Undo' })).toBeDefined();
    await user.click(screen.getByRole('button', { name: 'Back to the stays' }));
    expect(close).toHaveBeenCalledOnce();
  });

  it('that adds nothing is not imported', async () => {
    serve({ [COLUMNS]: OF_CONTRACT, [IMPORT]: { ...REPORT, accepted: 0, rejected: [], rejectedRows: 0 } });
    show(<ImportPanel close={() => undefined} />);
    choose();
    const button = await screen.findByRole('button', { name: 'Nothing to import' });
    expect((button as HTMLButtonElement).disabled).toBe(true);
  });

  it('says how far it is, and can be cancelled', async () => {
    const user = userEvent.setup();
    let give: (report: object) => void = () => undefined;
    serve({
      [COLUMNS]: { ...OF_CONTRACT, size: 200 },
      [IMPORT]: () => new Promise((resolve) => (give = resolve)),
      'DELETE /api/imports/one': {},
    });
    show(<ImportPanel close={() => undefined} />);
    choose();
    expect(await screen.findByText('Saving…')).toBeDefined();
    await waitFor(() => expect(Progress.now?.address).toBe('/api/imports/one'));
    act(() => Progress.now?.onmessage?.({ data: JSON.stringify({ rows: 50, done: false }) }));
    expect(await screen.findByText('50 rows read')).toBeDefined();
    expect(screen.getByRole('progressbar').getAttribute('aria-valuenow')).toBe('25');
    await user.click(screen.getByRole('button', { name: 'Cancel' }));
    await waitFor(() => expect(bodies('DELETE /api/imports/one')).toHaveLength(1));
    act(() => give(new Refused(409, { detail: 'The import was cancelled; nothing was kept.' })));
    expect((await screen.findByRole('alert')).textContent).toBe(
      'mine.csv: The import was cancelled; nothing was kept.',
    );
  });

  it('that cannot be read says why, and another one is chosen at once', async () => {
    serve({
      [COLUMNS]: (_: unknown, { headers }: SeenRequest) =>
        headers.get('Content-Type') === 'text/csv'
          ? new Refused(400, { detail: 'mine.csv is a zip; allowed are CSV and .xlsx' })
          : OF_CONTRACT,
      [IMPORT]: NEVER,
    });
    show(<ImportPanel close={() => undefined} />);
    choose();
    expect((await screen.findByRole('alert')).textContent).toContain('mine.csv is a zip');
    choose(new File(['PK'], 'MINE.XLSX'));
    expect(await screen.findByText('Judging the rows.')).toBeDefined();
  });
});

describe('names that are close to known ones', () => {
  const close = [
    { kind: 'campsite', name: 'Ambre Spit', known: 'Amber Spit' },
    { kind: 'setup', name: 'mast pannel', known: 'Mast panel' },
  ];

  it('are asked about before anything is kept; one that is the same is remembered', async () => {
    const user = userEvent.setup();
    let judged = 0;
    serve({
      [COLUMNS]: OF_CONTRACT,
      [IMPORT]: () => ({ ...REPORT, close: judged++ === 0 ? close : close.slice(1) }),
      'PUT /api/names/campsite/also': {},
    });
    show(<ImportPanel close={() => undefined} />);
    choose();
    const wait = await screen.findByRole('button', { name: 'First decide about the names above' });
    expect((wait as HTMLButtonElement).disabled).toBe(true);
    await user.click(screen.getByRole('button', { name: 'It is Amber Spit' }));
    await waitFor(() => expect(bodies('PUT /api/names/campsite/also')).toEqual([{ name: 'Ambre Spit' }]));
    await waitFor(() => expect(screen.queryByText('Ambre Spit')).toBeNull());
    await user.click(screen.getByRole('button', { name: 'It is another setup' }));
    expect(await screen.findByRole('button', { name: 'Import 4 measurements' })).toBeDefined();
  });

  it('can all be said to be others', async () => {
    const user = userEvent.setup();
    serve({ [COLUMNS]: OF_CONTRACT, [IMPORT]: { ...REPORT, close } });
    show(<ImportPanel close={() => undefined} />);
    choose();
    await user.click(await screen.findByRole('button', { name: 'None of them are the same' }));
    const button = await screen.findByRole('button', { name: 'Import 4 measurements' });
    expect((button as HTMLButtonElement).disabled).toBe(false);
  });
});

describe('a table of one’s own', () => {
  const view = (remembered: boolean): Schemas['TableView'] => ({
    ofContract: false,
    remembered,
    reading: {
      columns: [{ heading: 'Up', use: 'figure', figure: 'up_mbps', unit: '', of: '' }],
      dateOrder: 'day-first',
      zone: '+03:00',
      year: null,
      clock: null,
      above: null,
      each: null,
      decimalComma: false,
      setup: 'Puck',
      campsite: 'Pine Bend',
    },
    reasons: [''],
    asked: [],
    rows: [['4.4']],
    sheets: ['May', 'June'],
    size: null,
    choices: { uses: [], figures: [], dateOrders: [], eaches: [] },
  });

  it('is judged at once where its columns are known, which can be said anew', async () => {
    const user = userEvent.setup();
    serve({
      [COLUMNS]: view(true),
      [IMPORT]: REPORT,
      'POST /api/measurements/import/rows': [],
      'PUT /api/measurements/import/columns': {},
    });
    show(<ImportPanel close={() => undefined} />);
    choose();
    await user.click(await screen.findByRole('button', { name: 'Which column is which' }));
    expect(await screen.findByText(/Check which column is which/)).toBeDefined();
    await user.click(screen.getByRole('button', { name: 'Check the rows' }));
    expect(await screen.findByRole('button', { name: 'Import 4 measurements' })).toBeDefined();
    expect(bodies('PUT /api/measurements/import/columns')).toEqual([view(true).reading]);
    expect(queries(IMPORT)).toHaveLength(2);
  });

  it('that is not known is asked about first, and what is wrong with the answer is said', async () => {
    const user = userEvent.setup();
    serve({
      [COLUMNS]: view(false),
      'POST /api/measurements/import/rows': [],
      'PUT /api/measurements/import/columns': new Refused(400, {
        detail: 'zone is “moon”; allowed is an offset',
      }),
    });
    show(<ImportPanel close={() => undefined} />);
    choose();
    await user.click(await screen.findByRole('button', { name: 'Check the rows' }));
    expect((await screen.findByRole('alert')).textContent).toBe(
      'mine.csv: zone is “moon”; allowed is an offset',
    );
    expect(queries(IMPORT)).toHaveLength(0);
  });
});
