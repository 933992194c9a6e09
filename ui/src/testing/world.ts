import type { Schemas } from '../data/client';

/** A few things of the made-up world, as the server gives them. */
export const DOME: Schemas['SetupName'] = { id: 1, name: 'Roof dome', pennant: 0, retired: false };
export const PANEL: Schemas['SetupName'] = { id: 2, name: 'Mast panel', pennant: 1, retired: false };

export const STANDING: Schemas['StandingLine'] = {
  now: '2026-09-05T21:12:00+02:00',
  stay: 7,
  campsite: 'Lighthouse Meadow',
  since: '2026-09-01T14:20:00+02:00',
  setup: PANEL,
  carrier: 'Tarnwave',
  elsewhere: null,
};

export const NAMES = {
  'GET /api/setups': [DOME, PANEL],
  'GET /api/carriers': [{ id: 1, name: 'Tarnwave' }],
  'GET /api/campsites': [{ id: 1, name: 'Lighthouse Meadow', lat: null, lon: null }],
  'GET /api/standing': STANDING,
};

export const STAYS: Schemas['Visit'][] = [
  {
    id: 7,
    campsiteId: 1,
    campsite: 'Lighthouse Meadow',
    arrivedAt: '2026-09-01T14:20:00+02:00',
    leftAt: null,
    measurements: 40,
    failed: 2,
    setups: ['Roof dome', 'Mast panel'],
    stated: true,
    version: 0,
  },
  {
    id: 6,
    campsiteId: 2,
    campsite: 'Quarry Lake',
    arrivedAt: '2026-08-25T10:00:00+02:00',
    leftAt: '2026-08-28T09:00:00+02:00',
    measurements: 12,
    failed: 0,
    setups: ['Roof dome'],
    stated: false,
    version: 0,
  },
];

const figure = (
  field: string,
  column: string,
  label: string,
  unit: string,
  kind: string,
  choices: string[] = [],
): Schemas['FigureView'] =>
  ({
    field,
    column,
    label,
    unit,
    kind,
    choices,
    metric: kind === 'rate' ? field : null,
  }) as Schemas['FigureView'];

export const FIGURES = [
  figure('upMbps', 'up_mbps', 'Upload', 'Mb/s', 'rate'),
  figure('downMbps', 'down_mbps', 'Download', 'Mb/s', 'rate'),
  figure('rsrpDbm', 'rsrp_dbm', 'RSRP', 'dBm', 'radio'),
  figure('outcome', 'outcome', 'Outcome', '', 'choice', ['ok', 'no_service', 'failed', 'timed_out']),
  figure('rat', 'rat', 'Carried by', '', 'choice', ['LTE', 'NR-SA', 'WIFI']),
];

export const measurement = (part: Partial<Schemas['LoggedMeasurement']>): Schemas['LoggedMeasurement'] =>
  ({
    id: 1,
    takenAt: '2026-09-05T20:00:00+02:00',
    campsite: 'Lighthouse Meadow',
    stay: 7,
    setup: 'Roof dome',
    carrier: 'Tarnwave',
    band: 'B20',
    rat: 'LTE',
    upMbps: null,
    downMbps: null,
    rsrpDbm: null,
    outcome: 'ok',
    trial: null,
    round: null,
    note: null,
    version: 0,
    ...part,
  }) as Schemas['LoggedMeasurement'];

export const gear = (part: Partial<Schemas['GearItem']>): Schemas['GearItem'] => ({
  id: 1,
  kind: 'device',
  name: 'Curlew',
  state: 'owned',
  price: 420,
  sheet: {},
  setups: [],
  version: 0,
  ...part,
});

export const FORMS: Schemas['GearFormsView'] = {
  states: ['owned', 'considered', 'retired'],
  forms: [
    { kind: 'device', fields: [] },
    { kind: 'antenna', fields: [] },
  ],
};
