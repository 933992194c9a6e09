import type { Schemas } from './client';

/**
 * Under which key each answer of the server is kept. What begins with `rig` follows from gear, setups, needs, the vehicle and
 * carriers' bands, and is asked for again together.
 */
export const keys = {
  standing: ['standing'],
  campsites: ['campsites'],
  setups: ['setups'],
  carriers: ['carriers'],
  figures: ['figures'],
  pitch: ['pitch'],
  stays: ['stays'],
  measurements: (stay: number) => ['measurements', stay],
  measurement: (id: number) => ['measurement', id],
  demo: ['demo'],
  revision: ['revision'],
  session: ['session'],
  network: ['network'],
  devices: ['devices'],
  changes: ['changes'],
  close: (kind: string, name: string) => ['close', kind, name],
  mergePreview: (kind: string, from: number, into: number) => ['merge-preview', kind, from, into],
  found: (text: string) => ['found', text],
  nextStep: (campsite: string, trial: string) => ['next-step', campsite, trial],
  formCheck: (text: string) => ['form-check', text],
  tableRows: (request: Schemas['RowsRequest']) => ['table-rows', request],
  trials: ['trials'],
  trialResults: ['trials', 'results'],
  result: (of: unknown) => ['result', of],
  rig: ['rig'],
  gear: ['rig', 'gear'],
  gearForms: ['gear-forms'],
  needs: ['rig', 'needs'],
  vehicle: ['rig', 'vehicle'],
  regions: ['rig', 'regions'],
  setupFits: ['rig', 'setup-fits'],
  setup: (id: number, revision: number | null) => ['rig', 'setup', id, revision],
  gains: (setup: string, against: string | undefined) => ['rig', 'gains', setup, against],
  setupCheck: (request: Schemas['CheckRequest']) => ['rig', 'setup-check', request],
  chainChoices: ['chain-choices'],
  candidates: (request: Schemas['CandidatesRequest']) => ['rig', 'candidates', request],
} as const;
