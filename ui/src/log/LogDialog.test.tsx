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
  grades: [{ field: 'rsrpDbm', grade: 'thin' }],
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
  expect(((await screen.findByLabelText('Campsite')) as HTMLInputElement).value).toBe('Lighthouse Meadow');
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
  serve({ ...SERVED, 'POST /api/measurements': { id: 9 }, 'DELETE /api/measurements/9': {} });
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
  expect(close).not.toHaveBeenCalled();
  expect(localStorage.getItem('syntoma.log.draft')).toContain('"4"');
});
