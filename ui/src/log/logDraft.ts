import type { Schemas } from '../data/client';

/** What is typed into the log dialog; everything is text until the server reads it. */
export type Draft = Schemas['MeasurementRequest'] & {
  [field in 'campsite' | 'setup' | 'carrier' | 'rat' | 'band' | 'server' | 'outcome']: string;
} & { clock: string; date: string; offset: string };

export const EMPTY: Draft = {
  campsite: '',
  setup: '',
  carrier: '',
  rat: 'LTE',
  band: '',
  server: '',
  outcome: 'ok',
  date: '',
  clock: '',
  offset: '',
};

/** A fresh draft for where the vehicle stands. */
export function draftFor(line: Schemas['StandingLine'] | undefined, last: Partial<Draft>): Draft {
  return {
    ...EMPTY,
    campsite: line?.campsite ?? '',
    setup: line?.setup?.name ?? '',
    carrier: line?.carrier ?? '',
    rat: last.rat ?? 'LTE',
    server: last.server ?? '',
    offset: line ? offsetOf(line.since ?? line.now) : '',
  };
}

/** The request of a draft; without a time typed, the measurement was taken now. */
export function requestOf(draft: Draft, now: string): Schemas['MeasurementRequest'] {
  const { date, clock, offset, ...rest } = draft;
  const typed = date || clock;
  return { ...rest, takenAt: typed ? `${date}T${clock}:00${offset}` : inOffset(now, offset) };
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

function offsetOf(iso: string) {
  return /([+-]\d{2}:\d{2})$/.exec(iso)?.[1] ?? '+00:00';
}
