import type { LogbookAsked } from '../data/logbook';

/** Filters of which several may stand in the address. */
export const LISTS = ['setup', 'carrier', 'band', 'strength', 'when'] as const;
const SINGLE = ['need', 'from', 'to', 'area'] as const;
export const ALL = [...LISTS, ...SINGLE, 'find'] as const;

/** What the address asks of the logbook. */
export function askedOf(query: URLSearchParams): LogbookAsked {
  const asked: Record<string, string | string[]> = {};
  for (const name of SINGLE) {
    const value = query.get(name);
    if (value) {
      asked[name] = value;
    }
  }
  for (const name of LISTS) {
    const values = query.getAll(name);
    if (values.length > 0) {
      asked[name] = values;
    }
  }
  const text = query.get('find')?.trim();
  if (text) {
    asked['text'] = text;
  }
  return asked as LogbookAsked;
}
