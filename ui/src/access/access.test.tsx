// @vitest-environment jsdom
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { expect, test } from 'vitest';
import { asked, bodies, Refused, serve } from '../testing/server';
import { show } from '../testing/show';
import { Certificate } from './Certificate';
import { DevicesView } from './DevicesView';
import { GuestView } from './GuestView';
import { LogIn } from './LogIn';
import { PairView } from './PairView';

const NETWORK = {
  served: false,
  phraseSet: false,
  here: true,
  addresses: [],
  certificate: null,
  networks: [],
};
const CERTIFICATE = {
  owners: false,
  fingerprint: 'AA:BB',
  authority: 'CC:DD',
  until: '2027-12-27T07:27:54Z',
};
const SERVED = {
  ...NETWORK,
  served: true,
  phraseSet: true,
  addresses: ['https://192.168.8.10:8787'],
  certificate: CERTIFICATE,
};
const DEVICE = {
  id: 'a',
  device: 'Phone',
  source: '192.168.8.21',
  page: null,
  from: '2026-11-26T07:00:00Z',
  seen: '2026-11-26T08:00:00Z',
  until: '2027-02-24T08:00:00Z',
  thisOne: false,
};

test('without a pass phrase it comes first, and says what is wrong with one', async () => {
  const user = userEvent.setup();
  const refused = {
    detail: 'x',
    errors: [{ field: 'phrase', message: 'the phrase has 5 characters; allowed are 10 to 200' }],
  };
  serve({ 'GET /api/network': NETWORK, 'PUT /api/phrase': () => new Refused(400, refused) });
  show(<DevicesView />);
  expect(await screen.findByText(/Set a pass phrase to use it from the phone/)).toBeDefined();
  expect(
    screen.getByRole<HTMLButtonElement>('button', { name: 'Open to the vehicle’s network' }).disabled,
  ).toBe(true);
  await user.type(screen.getByLabelText('Pass phrase'), 'short');
  await user.click(screen.getByRole('button', { name: 'Save' }));
  expect(await screen.findByText(/5 characters; allowed are 10 to 200/)).toBeDefined();
});

test('the network is served and a code is shown with the fingerprint beside it', async () => {
  const user = userEvent.setup();
  const pairing = {
    code: 'ABCDE-FGHJK',
    url: 'https://192.168.8.10:8787/pair#ABCDE-FGHJK',
    expiresAt: new Date(Date.now() + 299_000).toISOString(),
    qr: ['101', '010', '111'],
  };
  serve({ 'GET /api/network': SERVED, 'GET /api/devices': [DEVICE], 'POST /api/pairing': pairing });
  show(<DevicesView />);
  await user.click(await screen.findByRole('button', { name: 'Show a code for the phone' }));
  expect(await screen.findByText('ABCDE-FGHJK')).toBeDefined();
  expect(screen.getByText(/4:5\d/)).toBeDefined();
  expect(screen.getAllByText('AA:BB').length).toBe(2);
  expect(screen.getByRole('img', { name: /QR code/ })).toBeDefined();
});

test('a device is logged out from the list', async () => {
  const user = userEvent.setup();
  const guest = { ...DEVICE, id: 'b', device: 'Helper', page: '/trials?stay=1' };
  serve({
    'GET /api/network': SERVED,
    'GET /api/devices': [DEVICE, guest],
    'DELETE /api/devices/b': {},
  });
  show(<DevicesView />);
  expect(await screen.findByRole('button', { name: 'Log out' })).toBeDefined();
  await user.click(screen.getByRole('button', { name: 'Revoke the link' }));
  await waitFor(() => expect(asked.some((a) => a.call === 'DELETE /api/devices/b')).toBe(true));
});

test('from another device neither the phrase nor the network is set', async () => {
  serve({ 'GET /api/network': { ...SERVED, here: false }, 'GET /api/devices': [DEVICE] });
  show(<DevicesView />);
  expect(await screen.findByText(/are set on the machine that runs Syntoma/)).toBeDefined();
  expect(screen.queryByRole('button', { name: 'Close to other devices' })).toBeNull();
});

test('a phrase that is wrong is said beside its field, and a code can be typed instead', async () => {
  const user = userEvent.setup();
  serve({ 'POST /api/session': () => new Refused(401, { detail: 'the pass phrase is wrong' }) });
  show(<LogIn />);
  await user.type(screen.getByLabelText('Pass phrase'), 'a wrong phrase');
  await user.click(screen.getByRole('button', { name: 'Log in' }));
  expect(await screen.findByText('the pass phrase is wrong')).toBeDefined();
  await user.click(screen.getByRole('button', { name: 'I have a pairing code' }));
  expect(screen.queryByText('the pass phrase is wrong')).toBeNull();
  await user.type(screen.getByLabelText('Pairing code'), 'abcde fghjk');
  await user.click(screen.getByRole('button', { name: 'Log in' }));
  await waitFor(() =>
    expect(bodies('POST /api/session')).toMatchObject([
      { phrase: 'a wrong phrase' },
      { code: 'abcde fghjk' },
    ]),
  );
});

test('a code lets in at once and does not stay in the address', async () => {
  window.history.replaceState(null, '', '/pair#ABCDE-FGHJK');
  serve({ 'POST /api/session': {}, 'GET /api/network': SERVED });
  show(<PairView />);
  expect(await screen.findByText('This phone is paired.')).toBeDefined();
  expect(window.location.href).not.toContain('ABCDE');
  expect(bodies('POST /api/session')).toMatchObject([{ code: 'ABCDE-FGHJK' }]);
});

test('a guest whose link has ended is told so', async () => {
  window.history.replaceState(null, '', '/guest#some-word');
  serve({ 'POST /api/session': () => new Refused(401, { detail: 'the link has ended' }) });
  show(<GuestView />);
  expect(await screen.findByText(/the link has ended/)).toBeDefined();
  expect(window.location.href).not.toContain('some-word');
});

test('of the owner’s certificate no authority is offered', () => {
  const page = show(<Certificate certificate={{ ...CERTIFICATE, owners: true, authority: null }} />);
  expect(page.container.textContent).toContain('your own certificate');
  expect(page.container.querySelector('a')).toBeNull();
});

test('a new network asks by name, and nobody on it is served before that is answered', async () => {
  const user = userEvent.setup();
  const home = {
    id: 'h',
    name: 'Heron’s own',
    interfaceName: 'wlan0',
    prefix: '192.168.8.0/24',
    addresses: ['192.168.8.10'],
    up: true,
    served: true,
  };
  const tethered = {
    ...home,
    id: 'u',
    name: 'usb0, 192.168.42.0/24',
    prefix: '192.168.42.0/24',
    interfaceName: 'usb0',
    served: null,
  };
  const view = { ...SERVED, networks: [home, tethered] };
  serve({
    'GET /api/network': view,
    'GET /api/devices': [DEVICE],
    'PUT /api/networks/u': { ...view, networks: [home, { ...tethered, served: true }] },
    'PUT /api/networks/h': view,
  });
  show(<DevicesView />);
  expect(await screen.findByText(/Is this network yours/)).toBeDefined();
  await user.click(screen.getByRole('button', { name: 'Allow' }));
  await waitFor(() => expect(bodies('PUT /api/networks/u')).toEqual([{ served: true, name: null }]));
  await user.click(screen.getAllByRole('button', { name: 'Rename' })[0] as HTMLElement);
  await user.clear(screen.getByLabelText('Name of the network'));
  await user.type(screen.getByLabelText('Name of the network'), 'Van');
  await user.click(screen.getByRole('button', { name: 'Save' }));
  await waitFor(() => expect(bodies('PUT /api/networks/h')).toEqual([{ served: true, name: 'Van' }]));
});
