import type { DesignRequest } from '../data/design';

/** A setup on a carrier, as the address has it. */
export interface Contender {
  setup: string;
  carrier: string;
}

/** What is asked of a trial, as it is typed; it stands in the address. */
export interface Asked {
  contenders: Contender[];
  difference: string;
  kind: string;
  minutes: string;
  gb: string;
  saving: string;
  order: string;
  seed: string;
}

const USUAL = { difference: '1.5', kind: 'light', minutes: '', gb: '', saving: 'time', order: 'turning' };

const FIELDS = ['difference', 'kind', 'minutes', 'gb', 'saving', 'order', 'seed'] as const;

/** What the address asks for. */
export function askedIn(query: URLSearchParams): Asked {
  const [setups, carriers] = [query.getAll('setup'), query.getAll('carrier')];
  return {
    ...USUAL,
    ...(Object.fromEntries(FIELDS.map((f) => [f, query.get(f) ?? (f === 'seed' ? '' : USUAL[f])])) as Omit<
      Asked,
      'contenders'
    >),
    contenders: setups.map((setup, i) => ({ setup, carrier: carriers[i] ?? '' })),
  };
}

/** The address that asks for it. */
export function addressOf(asked: Asked): URLSearchParams {
  const query = new URLSearchParams({ plan: '' });
  for (const { setup, carrier } of asked.contenders) {
    query.append('setup', setup);
    query.append('carrier', carrier);
  }
  for (const field of FIELDS) {
    if (asked[field] !== '' && (field === 'seed' || asked[field] !== USUAL[field])) {
      query.set(field, asked[field]);
    }
  }
  return query;
}

const number = (text: string) => (text.trim() === '' ? null : Number(text.trim().replace(',', '.')));

/** As the server is asked; null while there are not two to compare, or a number is none. */
export function requestOf(asked: Asked): DesignRequest | null {
  const numbers = [asked.difference, asked.minutes, asked.gb].map(number);
  const whole = asked.contenders.length >= 2 && asked.contenders.every((c) => c.setup !== '');
  if (!whole || numbers.some((n) => n !== null && !Number.isFinite(n))) {
    return null;
  }
  const [difference, minutes, gb] = numbers as (number | null)[];
  return {
    contenders: asked.contenders.map((c) => ({ setup: c.setup, carrier: c.carrier || null })),
    difference: difference ?? null,
    kind: asked.kind,
    minutes: minutes ?? null,
    gb: gb ?? null,
    saving: asked.saving,
    order: asked.order,
    seed: number(asked.seed),
  };
}
