// @vitest-environment jsdom
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { expect, test, vi } from 'vitest';
import { asked, bodies, Refused, serve } from '../testing/server';
import { show } from '../testing/show';
import { FIGURES, NAMES } from '../testing/world';
import { LogDialog } from './LogDialog';

const CHECK = {
  problems: [{ field: 'rsrpDbm', message: 'RSRP is 12; allowed is −140 to −44 dBm' }],
  grades: [{ field: 'rsrpDbm', grade: 'fair' }],
  rates: [{ field: 'upMbps', mbps: 16, unitStated: true, bytes: true }],
  band: null,
  candidates: [],
  downlinkMhz: null,
  uplinkMhz: null,
  remarks: [],
};
const SERVED = { ...NAMES, 'GET /api/figures': FIGURES, 'POST /api/measurements/check': CHECK };

test('starts where the vehicle stands, and says what the server reads in what is typed', async () => {
  const user = userEvent.setup();
  serve(SERVED);
  show(<LogDialog close={() => undefined} />);
  expect((await screen.findByText('Lighthouse Meadow')).tagName).toBe('BUTTON');
  await user.type(screen.getByLabelText('Upload'), '2 MB/s');
  expect(await screen.findByText('read as megabytes: 16 Mb/s')).toBeDefined();
  expect(screen.queryByText(/allowed is −140/)).toBeNull();
  await user.type(screen.getByLabelText('RSRP'), '12');
  expect(await screen.findByText('RSRP is 12; allowed is −140 to −44 dBm')).toBeDefined();
  expect(localStorage.getItem('syntoma.log.draft')).toContain('2 MB/s');
});

test('what is logged can be undone at once, and the draft is gone', async () => {
  const user = userEvent.setup();
  const close = vi.fn();
  serve({ ...SERVED, 'POST /api/measurements': { id: 9, beside: [] }, 'DELETE /api/measurements/9': {} });
  show(<LogDialog close={close} />);
  await user.type(await screen.findByLabelText('Upload'), '4');
  await user.click(screen.getByRole('button', { name: 'Log it' }));
  await waitFor(() => expect(close).toHaveBeenCalled());
  expect(bodies('POST /api/measurements')).toMatchObject([{ upMbps: '4', setup: 'Mast panel' }]);
  expect(localStorage.getItem('syntoma.log.draft')).toBeNull();
  await user.click(await screen.findByRole('button', { name: 'Undo' }));
  await waitFor(() => expect(asked.map((a) => a.call)).toContain('DELETE /api/measurements/9'));
});

test('a refusal keeps the dialog and the draft, and stands at its field', async () => {
  const user = userEvent.setup();
  const close = vi.fn();
  const errors = [{ field: 'setup', message: 'setup is missing' }];
  serve({ ...SERVED, 'POST /api/measurements': new Refused(400, { detail: 'setup is missing', errors }) });
  show(<LogDialog close={close} />);
  await user.type(await screen.findByLabelText('Upload'), '4');
  await user.click(screen.getByRole('button', { name: 'Log it' }));
  await waitFor(() => expect(screen.getAllByText('setup is missing').length).toBeGreaterThan(0));
  expect(screen.getByLabelText('Setup')).toBeDefined();
  expect(close).not.toHaveBeenCalled();
  expect(localStorage.getItem('syntoma.log.draft')).toContain('"4"');
});

test('asks for what was logged last with this setup, in that order, and carries the trial on', async () => {
  const user = userEvent.setup();
  localStorage.setItem(
    'syntoma.log.figures',
    JSON.stringify({ 'Roof dome': ['rsrpDbm'], 'Mast panel': ['upMbps', 'rsrpDbm'] }),
  );
  const last = { trial: 'Evening', campsite: 'Lighthouse Meadow', at: '2026-09-05T21:00:00+02:00' };
  localStorage.setItem('syntoma.log.last', JSON.stringify(last));
  serve({
    ...SERVED,
    'GET /api/trials/next': { round: 3, setup: 'Roof dome' },
    'POST /api/measurements': { id: 9, beside: [] },
  });
  show(<LogDialog close={() => undefined} />);
  expect(await screen.findByText('Evening')).toBeDefined();
  expect(await screen.findByText('Roof dome')).toBeDefined();
  const fields = screen.getAllByRole('textbox').map((f) => f.getAttribute('name'));
  expect(fields.slice(0, 2)).toEqual(['upMbps', 'rsrpDbm']);
  expect(document.activeElement?.getAttribute('name')).toBe('upMbps');
  await user.type(screen.getByLabelText('Upload'), '4{Enter}');
  await waitFor(() =>
    expect(bodies('POST /api/measurements')).toMatchObject([
      { upMbps: '4', setup: 'Roof dome', trial: 'Evening', round: '3' },
    ]),
  );
});

test('a run that failed asks only why, and can have measured something all the same', async () => {
  const user = userEvent.setup();
  serve({ ...SERVED, 'POST /api/measurements': { id: 9, beside: [] } });
  show(<LogDialog close={() => undefined} />);
  await user.click(await screen.findByText('failed'));
  expect(screen.queryByLabelText('Upload')).toBeNull();
  await user.type(screen.getByLabelText(/^Why/), 'upload stalled');
  await user.click(screen.getByRole('button', { name: /Something was measured/ }));
  await user.type(screen.getByLabelText('Download'), '21');
  await user.click(screen.getByRole('button', { name: 'Log it' }));
  await waitFor(() =>
    expect(bodies('POST /api/measurements')).toMatchObject([
      { outcome: 'failed', note: 'upload stalled', downMbps: '21' },
    ]),
  );
});
