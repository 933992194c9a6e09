import type { Schemas } from '../data/client';
import type { DesignRequest } from '../data/design';
import { typedOrNone } from '../format/typed';

/** A setup on a carrier, with what is changed about it, as the address has it. */
export interface Contender {
  setup: string;
  carrier: string;
  /** What is changed: nothing where it is empty. */
  kind: string;
  value: string;
}

/** What is asked of a trial, as it is typed; it stands in the address. What is empty is as usual, which the server knows. */
export interface PlanInput {
  contenders: Contender[];
  difference: string;
  kind: string;
  minutes: string;
  gb: string;
  saving: string;
  order: string;
  seed: string;
  /** Times of day such as 08:00, with commas between. */
  spread: string;
  /** The task of a build that it is filed with: the plan, a dot, its key. */
  file: string;
}

const FIELDS = ['difference', 'kind', 'minutes', 'gb', 'saving', 'order', 'seed', 'spread', 'file'] as const;

/** A setup as it is, on a carrier. */
export const asItIs = (setup: string, carrier: string): Contender => ({
  setup,
  carrier,
  kind: '',
  value: '',
});

/** A contender as the server tells it. */
export const contenderOf = (c: Schemas['ContenderRequest']): Contender => ({
  setup: c.setup ?? '',
  carrier: c.carrier ?? '',
  kind: c.change?.kind ?? '',
  value: c.change?.value ?? '',
});

/** A change in the address: its kind, a colon, its value; nothing for a setup as it is. */
const changeText = (c: Contender) => (c.kind === '' ? '' : `${c.kind}:${c.value}`);

function changeIn(text: string | undefined) {
  const at = (text ?? '').indexOf(':');
  return at < 0 || text === undefined
    ? { kind: '', value: '' }
    : { kind: text.slice(0, at), value: text.slice(at + 1) };
}

/** What the address asks for. */
export function askedIn(query: URLSearchParams): PlanInput {
  const [setups, carriers, changes] = [
    query.getAll('setup'),
    query.getAll('carrier'),
    query.getAll('change'),
  ];
  return {
    ...(Object.fromEntries(FIELDS.map((f) => [f, query.get(f) ?? ''])) as Omit<PlanInput, 'contenders'>),
    contenders: setups.map((setup, i) => ({ setup, carrier: carriers[i] ?? '', ...changeIn(changes[i]) })),
  };
}

/** The address that asks for it. */
export function addressOf(asked: PlanInput): URLSearchParams {
  const query = new URLSearchParams({ plan: '' });
  const changed = asked.contenders.some((c) => c.kind !== '');
  for (const contender of asked.contenders) {
    query.append('setup', contender.setup);
    query.append('carrier', contender.carrier);
    if (changed) {
      query.append('change', changeText(contender));
    }
  }
  for (const field of FIELDS) {
    if (asked[field] !== '') {
      query.set(field, asked[field]);
    }
  }
  return query;
}

/** The planner, filled in with some contenders. */
export const planOf = (contenders: Schemas['ContenderRequest'][]) =>
  `/trials?${addressOf({ ...askedIn(new URLSearchParams()), contenders: contenders.map(contenderOf) })}`;

/** As the server is asked; null while there are not two to compare, a change has no value yet, or a number is none. */
export function requestOf(asked: PlanInput): DesignRequest | null {
  const numbers = [asked.difference, asked.minutes, asked.gb].map(typedOrNone);
  const whole =
    asked.contenders.length >= 2 &&
    asked.contenders.every((c) => c.setup !== '' && (c.kind === '' || c.value.trim() !== ''));
  if (!whole || numbers.some((n) => n !== null && !Number.isFinite(n))) {
    return null;
  }
  const [difference, minutes, gb] = numbers as (number | null)[];
  return {
    contenders: asked.contenders.map((c) => ({
      setup: c.setup,
      carrier: c.carrier || null,
      change: c.kind === '' ? null : { kind: c.kind, value: c.value.trim() },
    })),
    difference: difference ?? null,
    kind: asked.kind || null,
    minutes: minutes ?? null,
    gb: gb ?? null,
    saving: asked.saving || null,
    order: asked.order || null,
    seed: typedOrNone(asked.seed),
    spread: asked.spread.split(/[ ,;]+/).filter((time) => time !== ''),
  };
}
