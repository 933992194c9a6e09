import type { Schemas } from '../data/client';

/** What is typed into the log dialog; everything is text until the server reads it. */
export type Draft = Schemas['MeasurementRequest'] & {
  [
    field in 'campsite' | 'setup' | 'carrier' | 'rat' | 'band' | 'server' | 'outcome' | 'trial' | 'round'
  ]: string;
} & { clock: string; date: string; offset: string };

/** What carries on from one run to the next. */
export interface Last {
  rat?: string;
  server?: string;
  trial?: string;
  campsite?: string;
  at?: string;
}

export const EMPTY: Draft = {
  campsite: '',
  setup: '',
  carrier: '',
  rat: 'LTE',
  band: '',
  server: '',
  outcome: 'ok',
  trial: '',
  round: '',
  date: '',
  clock: '',
  offset: '',
};

/** How long a trial goes on without a run; after that the next run belongs to none. */
const TRIAL_GOES_ON_MS = 6 * 3_600_000;

/** A fresh draft for where the vehicle stands. */
export function draftFor(line: Schemas['StandingLine'], last: Last): Draft {
  const goesOn =
    last.campsite === line.campsite &&
    last.at !== undefined &&
    Date.parse(line.now) - Date.parse(last.at) < TRIAL_GOES_ON_MS;
  return {
    ...EMPTY,
    campsite: line.campsite ?? '',
    setup: line.setup?.name ?? '',
    carrier: line.carrier ?? '',
    rat: last.rat ?? 'LTE',
    server: last.server ?? '',
    trial: goesOn ? (last.trial ?? '') : '',
    offset: offsetOf(line.since ?? line.now),
  };
}

/** The draft of a trial's next run. */
export function inTrial(draft: Draft, step: Schemas['NextMeasurement'] | undefined): Draft {
  if (draft.trial === '' || !step) {
    return draft;
  }
  return { ...draft, round: String(step.round), setup: step.setup ?? draft.setup };
}

/** A draft of a measurement that is corrected. */
export function draftOf(typed: Record<string, string>): Draft {
  const { takenAt = '', ...rest } = typed;
  const [, date = '', clock = '', offset = ''] =
    /^(\d{4}-\d{2}-\d{2})T([\d:.]+)(Z|[+-][\d:]+)$/.exec(takenAt) ?? [];
  return { ...EMPTY, rat: '', ...rest, date, clock, offset: offset === 'Z' ? '+00:00' : offset };
}

/** The request of a draft; without a time typed, the measurement was taken now. */
export function requestOf(draft: Draft, now: string): Schemas['MeasurementRequest'] {
  const { date, clock, offset, ...rest } = draft;
  const typed = date || clock;
  const seconds = /^\d{2}:\d{2}$/.test(clock) ? ':00' : '';
  return { ...rest, takenAt: typed ? `${date}T${clock}${seconds}${offset}` : inOffset(now, offset) };
}

/** The same moment, written with another offset. */
export function inOffset(iso: string, offset: string): string {
  const match = /^([+-])(\d{2}):(\d{2})$/.exec(offset);
  if (!match) {
    return iso.replace(/\.\d+/, '');
  }
  const minutes = (match[1] === '-' ? -1 : 1) * (Number(match[2]) * 60 + Number(match[3]));
  return new Date(Date.parse(iso) + minutes * 60_000).toISOString().slice(0, 19) + offset;
}

/** A moment so much later, written with the same offset. */
export const laterBy = (iso: string, ms: number) =>
  inOffset(new Date(Date.parse(iso) + Math.max(0, ms)).toISOString(), offsetOf(iso));

function offsetOf(iso: string) {
  return /([+-]\d{2}:\d{2})$/.exec(iso)?.[1] ?? '+00:00';
}

/** What most people note, before it is known what this one does. */
const USUAL = ['rsrpDbm', 'sinrDb', 'downMbps', 'upMbps', 'idleMs'];

/** Whatever was typed last, nobody should have to look for these. */
const ALWAYS = ['rsrpDbm', 'downMbps', 'upMbps', 'idleMs'];

/**
 * The figures to ask for first: those logged last with the setup, in that order, the usual ones, and those that are typed already.
 */
export function fewOf(usual: Record<string, string[]>, draft: Draft, numbers: string[]): string[] {
  const known = usual[draft.setup] ?? Object.values(usual).at(-1) ?? USUAL;
  const typed = numbers.filter((name) => valueOf(draft, name) !== '');
  return [...new Set([...[...known, ...ALWAYS].filter((name) => numbers.includes(name)), ...typed])];
}

export const valueOf = (draft: Draft, name: string) => draft[name as keyof Draft] ?? '';

/** The figures of a draft in the order in which they were typed. */
export const typedOrder = (draft: Draft, numbers: string[]) =>
  Object.keys(draft).filter((name) => numbers.includes(name) && valueOf(draft, name) !== '');
