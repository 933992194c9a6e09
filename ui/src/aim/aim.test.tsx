// @vitest-environment jsdom
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { beforeEach, expect, test, vi } from 'vitest';
import { Events } from '../testing/events';
import { bodies, Refused, serve } from '../testing/server';
import { show } from '../testing/show';
import { NAMES } from '../testing/world';
import { AimView } from './AimView';

const MAST = {
  id: 4,
  name: 'The hill',
  carrier: 'Tarnwave',
  cellId: null,
  lat: 57.6,
  lon: 20.5,
  estimated: false,
  longM: null,
  shortM: null,
  longDeg: null,
  trueDeg: 41.2,
  magneticDeg: 34.2,
  km: 6.04,
  far: false,
};
const AIM = {
  campsite: 'Lighthouse Meadow',
  located: true,
  declinationDeg: 7,
  masts: [MAST],
  farKm: 60,
  caution: 'Clear of overhead lines.',
  sweeps: [
    {
      id: 2,
      campsite: 'Amber Spit',
      setup: 'Mast panel',
      carrier: 'Tarnwave',
      beganAt: '2026-08-24T11:10:00+02:00',
      points: 12,
      sentence: 'Best at 40° (± 6°).',
    },
  ],
  crossings: [
    {
      key: 'Tarnwave/7',
      carrier: 'Tarnwave',
      cellId: '7',
      places: ['Amber Spit', 'Lighthouse Meadow'],
      lat: 57.61234,
      lon: 20.5,
      longM: 1_840,
      shortM: 420,
      longDeg: 38,
      offDeg: 1.2,
      problem: null,
    },
  ],
  pointings: ['Amber Spit: On the mark Mast panel is 6 dB ahead of Roof dome.'],
};
const POINT = {
  id: 9,
  headingDeg: 0,
  magneticDeg: 353,
  rsrpDbm: -92.4,
  band: 'B20',
  cellId: '7',
  counts: true,
};
const SWEEP = {
  id: 2,
  campsite: 'Amber Spit',
  setup: 'Mast panel',
  carrier: 'Tarnwave',
  beganAt: '2026-08-24T11:10:00+02:00',
  points: [POINT],
  nextDeg: 30 as number | null,
  nextMagneticDeg: 23 as number | null,
  result: null as object | null,
};

beforeEach(() => {
  localStorage.clear();
  vi.stubGlobal('EventSource', Events);
});

test('towers stand with their bearings, and where bearings cross is kept', async () => {
  const user = userEvent.setup();
  serve({
    ...NAMES,
    'GET /api/aim': AIM,
    'POST /api/aim/crossings': {
      ...AIM,
      masts: [MAST, { ...MAST, id: 5, name: 'About here', estimated: true }],
    },
    'PUT /api/aim/declination': AIM,
  });
  show(<AimView />, '/aim');
  expect(await screen.findByText('41° true, 34° by the compass, 6.0 km')).toBeTruthy();
  expect(screen.getByText(AIM.pointings[0] ?? '')).toBeTruthy();
  expect(screen.getByText(/within 1\.8 km by 0\.4 km/)).toBeTruthy();
  await user.click(screen.getByRole('button', { name: 'Save as a tower' }));
  expect(await screen.findByText('about here')).toBeTruthy();
  expect(bodies('POST /api/aim/crossings')).toEqual([{ key: 'Tarnwave/7' }]);
  await user.clear(screen.getByLabelText('Declination here'));
  await user.type(screen.getByLabelText('Declination here'), '-3,5');
  await user.click(screen.getByRole('button', { name: 'Save' }));
  await waitFor(() => expect(bodies('PUT /api/aim/declination')).toEqual([{ declinationDeg: -3.5 }]));
});

test('a sweep says where to turn, takes a level that is typed, and a wrong one is said at its field', async () => {
  const user = userEvent.setup();
  serve({
    ...NAMES,
    'GET /api/aim': AIM,
    'GET /api/aim/sweeps/2': SWEEP,
    'POST /api/aim/sweeps/2/points': (body) =>
      (body as { rsrpDbm: number }).rsrpDbm > -44
        ? new Refused(400, { detail: 'no', errors: [{ field: 'rsrpDbm', message: 'RSRP is -20 dBm' }] })
        : {
            ...SWEEP,
            nextDeg: null,
            points: [POINT, { ...POINT, id: 10, headingDeg: 30, counts: false }],
            result: {
              sentence: 'Best at 40° (± 6°).',
              meanDb: -99,
              rangeDb: 20,
              curve: Array.from({ length: 72 }, () => -95),
              fit: {
                bestDeg: 40,
                bestMagneticDeg: 33,
                surenessDeg: 6,
                topDb: -90,
                widthDeg: 60,
                backDb: 22,
                toleranceDeg: 17,
                lossDb: 1.3,
                scatterDb: 1,
              },
            },
          },
  });
  show(<AimView />, '/aim?sweep=2');
  await screen.findByRole('heading', { name: 'Turn to 30°, 23° by the compass.' });
  expect(screen.getByText(/5 to go/)).toBeTruthy();
  await user.type(screen.getByLabelText('Level, typed'), '-20');
  await user.click(screen.getByRole('button', { name: /Use the typed level/ }));
  await screen.findByText('RSRP is -20 dBm');
  await user.clear(screen.getByLabelText('Level, typed'));
  await user.type(screen.getByLabelText('Level, typed'), '-94');
  await user.click(screen.getByRole('button', { name: /Use the typed level/ }));
  await screen.findByRole('heading', { name: 'Fix it at 40°, 33° by the compass.' });
  expect(screen.getByText('loses 1.3 dB')).toBeTruthy();
  expect(screen.getByText('another band, not counted')).toBeTruthy();
  expect(screen.getByRole('img', { name: 'Best at 40° (± 6°).' })).toBeTruthy();
  expect(bodies('POST /api/aim/sweeps/2/points').at(-1)).toMatchObject({ headingDeg: 30, rsrpDbm: -94 });
});
