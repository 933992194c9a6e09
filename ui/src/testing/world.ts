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
  over: false,
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
  figure('rat', 'rat', 'Technology', '', 'choice', ['LTE', 'NR-SA', 'WIFI']),
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

const LEADS = {
  says: 'Unplug the leads of Rowan from Curlew, then plug the leads of Alder into Curlew.',
  caution: 'Switch Curlew off first, and on again only when the antennas are plugged in.',
};
/** A trial of the two, designed. */
export const DESIGN: Schemas['DesignView'] = {
  sentence: '3 rounds with one light run at each visit: about 18 min and 0.1 GB.',
  contenders: [PANEL, DOME].map((setup) => ({
    setup,
    carrier: 'Tarnwave',
    downMbps: 20,
    upMbps: 5,
    known: true,
  })),
  rounds: 3,
  runs: 1,
  kind: 'light',
  minutes: 18,
  handsMinutes: 12,
  gb: 0.1,
  chance: 0.84,
  seen: 1.9,
  fits: true,
  enough: true,
  advice: [],
  warnings: ['Roof dome: its lead is too short.'],
  cannot: ['Whether there is a difference under ×1.9: it would probably be missed.'],
  restsOn: ['From your own 30 visits, upload varies by about 40 % between two setups from round to round.'],
  seed: 77,
  left: [{ carrier: 'Tarnwave', gb: 0.1, leftGb: 38.24 }],
  sessions: [],
  visits: [
    { round: 1, contender: 0, moves: [], minutes: 0, settleS: 0 },
    { round: 1, contender: 1, moves: [LEADS], minutes: 4, settleS: 60 },
    { round: 2, contender: 1, moves: [], minutes: 0, settleS: 0 },
    { round: 2, contender: 0, moves: [LEADS], minutes: 4, settleS: 60 },
  ],
};

/** The same stays as the logbook has them. */
export const LOGBOOK: Schemas['LogbookView'] = {
  stays: STAYS.map((s, i) => ({
    id: s.id,
    campsite: s.campsite,
    lat: null,
    lon: null,
    arrivedAt: s.arrivedAt,
    leftAt: s.leftAt,
    measurements: s.measurements,
    failed: s.failed,
    setups: s.setups.map((name, k) => ({ name, pennant: k, measurements: 6 })),
    carriers: ['Tarnwave'],
    levelDbm: i === 0 ? -105 : null,
    grade: i === 0 ? 'fair' : null,
    downMbps: null,
    upMbps: null,
    needRuns: 0,
    needMet: 0,
    trials: 0,
    noted: i === 1,
    photos: 0,
  })),
  all: 2,
  says: '2 stays at 2 campsites.',
  measurements: 52,
  need: 'Video calls',
  tiles: null,
  choices: {
    setups: ['Mast panel', 'Roof dome'],
    carriers: ['Tarnwave'],
    bands: [],
    when: ['night', 'day', 'evening'],
    strengths: ['strong', 'good', 'fair', 'weak', 'none'],
    weakBelowDbm: -105,
  },
};
