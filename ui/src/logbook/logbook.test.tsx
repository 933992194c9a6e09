// @vitest-environment jsdom
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import { asked, NEVER, Refused, serve } from '../testing/server';
import { show } from '../testing/show';
import { FIGURES, measurement, NAMES, STAYS } from '../testing/world';
import { LogbookView } from './LogbookView';

const rows = () => screen.getAllByRole('row').slice(1);

describe('the stays', () => {
  it('wait without a number, and say what to do first when there are none', async () => {
    serve({ ...NAMES, 'GET /api/stays': NEVER });
    const page = show(<LogbookView />, '/logbook');
    expect(screen.getByText('Reading the log…')).toBeDefined();
    expect(page.container.querySelector('main')?.textContent).not.toMatch(/0 stays/);
    page.unmount();
    serve({ ...NAMES, 'GET /api/stays': [] });
    show(<LogbookView />, '/logbook');
    expect(await screen.findByText(/No stay yet. Say on the line above/)).toBeDefined();
  });

  it('say why they cannot be shown', async () => {
    serve({ ...NAMES, 'GET /api/stays': new Refused(503, { detail: 'Syntoma is busy.' }) });
    show(<LogbookView />, '/logbook');
    expect((await screen.findByRole('alert')).textContent).toContain('Syntoma is busy.');
  });

  it('are found by campsite and open their measurements', async () => {
    const user = userEvent.setup();
    serve({
      ...NAMES,
      'GET /api/stays': STAYS,
      'GET /api/figures': FIGURES,
      'GET /api/measurements': [measurement({ campsite: 'Quarry Lake', upMbps: 4.1 })],
    });
    show(<LogbookView />, '/logbook');
    expect(await screen.findByText('2 stays')).toBeDefined();
    await user.type(screen.getByPlaceholderText('find a campsite or setup /'), 'quarry');
    expect(rows()).toHaveLength(1);
    await user.click(screen.getByText('Quarry Lake'));
    expect(await screen.findByText(/1 measurement/)).toBeDefined();
    expect(asked.find((a) => a.call === 'GET /api/measurements')?.query).toContain('stay=6');
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
      'DELETE /api/measurements/2': {},
      'POST /api/measurements/2/restore': {},
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
  });

  it('are deleted, and put back', async () => {
    const user = userEvent.setup();
    served();
    show(<LogbookView />, '/logbook?stay=7');
    await screen.findByText(/2 measurements/);
    await user.click(within(rows()[0] as HTMLElement).getByRole('button', { name: 'Delete' }));
    await user.click(await screen.findByRole('button', { name: 'Undo' }));
    await waitFor(() => expect(asked.map((a) => a.call)).toContain('POST /api/measurements/2/restore'));
  });
});
