import type { FindingsAsked } from '../data/findings';

/** What can be looked at of a finding. */
export const SEE = [
  ['setups', 'At the same places'],
  ['plain', 'Averages'],
  ['strength', 'By strength'],
  ['time', 'Over time'],
  ['cost', 'Cost'],
] as const;

export type See = (typeof SEE)[number][0];

/** Filters of which several may stand in the address. */
export const LISTS = ['stay', 'campsite', 'setup', 'carrier', 'band', 'when'] as const;
const SINGLE = ['metric', 'baseline', 'of', 'from', 'to', 'area'] as const;

/** What the address asks of the trip. */
export function askedOf(query: URLSearchParams): FindingsAsked {
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
  return asked as FindingsAsked;
}

export function seeOf(query: URLSearchParams): See {
  const see = query.get('see');
  return SEE.find(([key]) => key === see)?.[0] ?? 'setups';
}

/** The same address with parts of it changed; a part without a value goes. */
export function withParts(query: URLSearchParams, change: Record<string, string | string[] | undefined>) {
  const next = new URLSearchParams(query);
  for (const [name, value] of Object.entries(change)) {
    next.delete(name);
    for (const one of value === undefined ? [] : [value].flat()) {
      if (one !== '') {
        next.append(name, one);
      }
    }
  }
  return next;
}
