// @vitest-environment jsdom
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { expect, test, vi } from 'vitest';
import { bodies, Refused, serve } from '../testing/server';
import { show } from '../testing/show';
import { FIGURES, NAMES } from '../testing/world';
import { PasteDialog } from './PasteDialog';

const READ = {
  typed: { carrier: 'Tarnwave', band: 'B20', upMbps: '7.2' },
  figures: [
    { field: 'band', label: 'band', value: 'B20', unit: '', line: 2 },
    { field: 'upMbps', label: 'upload', value: '7.2', unit: 'Mb/s', line: 4 },
  ],
  asked: [
    {
      field: 'rsrpDbm',
      label: 'RSRP',
      unit: 'dBm',
      message: 'RSRP is 97 without a minus sign',
      line: 3,
      choices: ['-97'],
    },
  ],
  remarks: [{ code: 'bars-only', message: 'bars are a picture', line: 5 }],
  others: ['neighbour: Band B3'],
  lines: [
    { number: 2, text: 'Band: B20', taken: true, doubtful: false },
    { number: 3, text: 'RSRP: 97 dBm', taken: false, doubtful: true },
    { number: 4, text: 'Upload 0.9 MB/s', taken: true, doubtful: false },
  ],
};
const SERVED = {
  ...NAMES,
  'GET /api/figures': FIGURES,
  'POST /api/measurements/check': {
    problems: [],
    grades: [],
    rates: [],
    band: null,
    candidates: [],
    downlinkMhz: null,
    uplinkMhz: null,
    remarks: [],
  },
  'POST /api/measurements/paste': READ,
  'POST /api/measurements': { id: 9, beside: [] },
};
const dialog = (close: () => void, edit: () => void = () => undefined) => (
  <PasteDialog pasted="Band: B20" close={close} edit={edit} />
);

test('what was pasted is logged on Enter, without what is doubtful', async () => {
  const user = userEvent.setup();
  const close = vi.fn();
  serve(SERVED);
  show(dialog(close));
  const log = await screen.findByRole('button', { name: /^Log it/ });
  await waitFor(() => expect(document.activeElement).toBe(log));
  expect(screen.getByText('RSRP: 97 dBm').closest('li')?.className).toBe('doubtful');
  await user.keyboard('{Enter}');
  await waitFor(() => expect(close).toHaveBeenCalled());
  const [logged] = bodies('POST /api/measurements') as [Record<string, string>];
  expect(logged).toMatchObject({ setup: 'Mast panel', carrier: 'Tarnwave', band: 'B20', upMbps: '7.2' });
  expect(logged.rsrpDbm).toBeUndefined();
  expect(bodies('POST /api/measurements/paste')[0]).toBe('Band: B20');
});

test('a doubt that is settled is logged too', async () => {
  const user = userEvent.setup();
  serve(SERVED);
  show(dialog(() => undefined));
  await user.click(await screen.findByLabelText('RSRP −97 dBm'));
  await user.click(screen.getByRole('button', { name: /^Log it/ }));
  await waitFor(() => expect(bodies('POST /api/measurements')).toMatchObject([{ rsrpDbm: '-97' }]));
});

test('figures are handed to the form, and a text of nothing cannot be logged', async () => {
  const user = userEvent.setup();
  const edit = vi.fn();
  serve(SERVED);
  const { unmount } = show(dialog(() => undefined, edit));
  await user.click(await screen.findByRole('button', { name: 'Change figures' }));
  expect(edit).toHaveBeenCalled();
  expect(localStorage.getItem('syntoma.log.draft')).toContain('"7.2"');
  unmount();
  serve({
    ...SERVED,
    'POST /api/measurements/paste': { ...READ, typed: {}, figures: [], asked: [], lines: [] },
  });
  show(dialog(() => undefined));
  expect((await screen.findByRole('button', { name: /^Log it/ })).hasAttribute('disabled')).toBe(true);
});

test('what the server refuses is said, and the text stays', async () => {
  serve({ ...SERVED, 'POST /api/measurements/paste': new Refused(413, { detail: 'the body has 10 MB' }) });
  show(dialog(() => undefined));
  expect(await screen.findByText('the body has 10 MB')).toBeDefined();
  expect(screen.getByRole<HTMLTextAreaElement>('textbox').value).toBe('Band: B20');
});
