// @vitest-environment jsdom
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import { asked, bodies, NEVER, Refused, serve } from '../testing/server';
import { show } from '../testing/show';
import { FIGURES, LOGBOOK, measurement, NAMES, STAYS } from '../testing/world';
import { LogbookView } from './LogbookView';

const rows = () => screen.getAllByRole('row').slice(1);

describe('the stays', () => {
  it('wait without a number, and say what to do first when there are none', async () => {
    serve({ ...NAMES, 'GET /api/logbook': NEVER });
    const page = show(<LogbookView />, '/logbook');
    expect(screen.getByText('Loading…')).toBeDefined();
    expect(page.container.querySelector('main')?.textContent).not.toMatch(/0 stays/);
    page.unmount();
    serve({ ...NAMES, 'GET /api/logbook': { ...LOGBOOK, stays: [], all: 0 } });
    show(<LogbookView />, '/logbook');
    expect(await screen.findByText(/No stay yet. Say on the line above/)).toBeDefined();
  });

  it('say why they cannot be shown', async () => {
    serve({ ...NAMES, 'GET /api/logbook': new Refused(503, { detail: 'Syntoma is busy.' }) });
    show(<LogbookView />, '/logbook');
    expect((await screen.findByRole('alert')).textContent).toContain('Syntoma is busy.');
  });

  it('show the columns that this log holds, and are looked for by the server', async () => {
    const user = userEvent.setup();
    serve({ ...NAMES, 'GET /api/logbook': LOGBOOK });
    show(<LogbookView />, '/logbook?strength=fair&strength=none');
    expect(await screen.findByText('Quarry Lake')).toBeDefined();
    expect(rows()).toHaveLength(2);
    expect(screen.getByText('RSRP')).toBeDefined();
    expect(screen.queryByText('Need met')).toBeNull();
    expect(screen.getByText('note')).toBeDefined();
    expect(asked.at(0)?.query).toContain('strength=fair&strength=none');
    await user.type(screen.getByPlaceholderText(/campsite, carrier/), 'quarry');
    await waitFor(() => expect(asked.at(-1)?.query).toContain('text=quarry'));
    await user.click(screen.getByText('Clear all filters'));
    await waitFor(() => expect(asked.at(-1)?.query).not.toContain('strength'));
  });

  it('stand in a calendar, with the filters kept from one look to the next', async () => {
    serve({ ...NAMES, 'GET /api/logbook': LOGBOOK });
    show(<LogbookView />, '/logbook?part=calendar&setup=Roof+dome');
    expect(await screen.findByText('August 2026')).toBeDefined();
    // the 25th to the 28th, and an open stay until today
    expect(screen.getAllByTitle(/Quarry Lake, 2026-08/)).toHaveLength(4);
    await waitFor(() => expect(screen.getAllByTitle(/Lighthouse Meadow, 2026-09-0[1-5]/)).toHaveLength(5));
    expect(screen.getByRole('link', { name: 'Map' }).getAttribute('href')).toBe(
      '/logbook?setup=Roof+dome&part=map',
    );
  });
});

describe('the measurements of a stay', () => {
  const SOME = [
    measurement({ id: 1, upMbps: 4.1, trial: 'Evening', round: 1 }),
    measurement({ id: 2, setup: 'Mast panel', outcome: 'no_service', takenAt: '2026-09-05T20:05:00+02:00' }),
  ];
  const served = () =>
    serve({
      ...NAMES,
      'GET /api/figures': FIGURES,
      'GET /api/measurements': SOME,
      'GET /api/stays': STAYS,
      'GET /api/trials/results': [
        { trial: 'Evening', campsiteId: 1, sentence: 'Mast panel’s upload is double.' },
        { trial: 'Evening', campsiteId: 2, sentence: 'They are alike.' },
      ],
    });

  it('have a column for each number that one of them has, with its unit', async () => {
    served();
    show(<LogbookView />, '/logbook?stay=7');
    await screen.findByText(/2 measurements/);
    const heads = screen.getAllByRole('columnheader').map((h) => h.textContent);
    expect(heads).toContain('Upload Mb/s');
    expect(heads.join()).not.toContain('Download');
    expect(within(rows()[0] as HTMLElement).getByText('no service')).toBeDefined();
    expect(screen.getByText('Evening').getAttribute('href')).toContain('trial=Evening');
    expect(await screen.findByText(/upload is double/)).toBeDefined();
    expect(screen.queryByText(/alike/)).toBeNull();
  });

  it('are filtered by the address, and opened to be corrected', async () => {
    served();
    show(<LogbookView />, '/logbook?stay=7&outcome=no_service');
    expect(await screen.findByText(/1 of 2 measurements/)).toBeDefined();
    expect(within(rows()[0] as HTMLElement).getByRole('button', { name: /^Correct/ })).toBeDefined();
  });

  it('are moved to another stay, which can be undone', async () => {
    const user = userEvent.setup();
    serve({
      ...NAMES,
      'GET /api/figures': FIGURES,
      'GET /api/stays': STAYS,
      'GET /api/measurements': SOME,
      'POST /api/measurements/move': { moved: 1, change: 8 },
      'POST /api/changes/8/undo': {},
    });
    show(<LogbookView />, '/logbook?stay=7');
    await user.click(within((await screen.findAllByRole('row'))[1] as HTMLElement).getByRole('checkbox'));
    await user.click(screen.getByRole('button', { name: 'Move 1 to another stay' }));
    await user.click(screen.getByLabelText('They were measured during'));
    await user.click(await screen.findByTitle(/Quarry Lake/));
    await user.click(screen.getByRole('button', { name: 'Move' }));
    await user.click(await screen.findByRole('button', { name: 'Undo' }));
    await waitFor(() => expect(asked.map((a) => a.call)).toContain('POST /api/changes/8/undo'));
    expect(bodies('POST /api/measurements/move')).toEqual([{ measurements: [2], stay: 6 }]);
  });
});

describe('what is put right', () => {
  it('is a name, with what merging moves before it is done', async () => {
    const user = userEvent.setup();
    const merged = {
      from: 'Pinebend',
      into: 'Pine Bend',
      measurements: 3,
      same: 1,
      stays: 0,
      renamed: { Mast: 'Mast (Pinebend)' },
      change: null,
    };
    const place = (id: number, name: string) => ({ id, name, lat: null, lon: null });
    serve({
      ...NAMES,
      'GET /api/stays': STAYS,
      'GET /api/campsites': [place(1, 'Pine Bend'), place(2, 'Pinebend')],
      'POST /api/names/campsite/2/merge/preview': merged,
      'POST /api/names/campsite/2/merge': { ...merged, change: 5 },
    });
    show(<LogbookView />, '/logbook?part=names');
    const row = (await screen.findByText('Pinebend')).closest('tr') as HTMLElement;
    await user.click(within(row).getByRole('button', { name: /^Merge into another/ }));
    await user.click(screen.getByLabelText(/becomes part of/));
    await user.click(await screen.findByTitle('Pine Bend'));
    expect(await screen.findByText(/becomes Mast \(Pinebend\)/)).toBeDefined();
    await user.click(screen.getByRole('button', { name: 'Merge into Pine Bend' }));
    expect(await screen.findByRole('button', { name: 'Undo' })).toBeDefined();
    expect(bodies('POST /api/names/campsite/2/merge')).toEqual([{ into: 1 }]);
  });

  it('is listed, and undone later', async () => {
    const user = userEvent.setup();
    const entry = { id: 4, kind: 'merged', at: '2026-09-05T20:00:00+02:00', sentence: 'Merged a into b' };
    serve({
      'GET /api/changes': [
        { ...entry, undoneAt: null },
        { ...entry, id: 3, sentence: 'Deleted c', undoneAt: '2026-09-05T21:00:00+02:00' },
      ],
      'POST /api/changes/4/undo': {},
    });
    show(<LogbookView />, '/logbook?part=changes');
    expect(await screen.findByText(/undone 5 Sep 2026/)).toBeDefined();
    await user.click(screen.getByRole('button', { name: /^Undo.*Merged a into b/ }));
    await waitFor(() => expect(asked.map((a) => a.call)).toContain('POST /api/changes/4/undo'));
  });
});
