import { createContext, use } from 'react';
import { fixed } from './numbers';
import { typedNumber } from './typed';

export type System = 'metric' | 'imperial';

const M_PER_FT = 0.3048;

/** Which units lengths and wires are shown in; what is stored stays metric. */
export const UnitsContext = createContext<{ system: System; toggle: () => void }>({
  system: 'metric',
  toggle: () => undefined,
});

/** A length in m as text: 4.5 m, or 14.8 ft. */
export function length(metres: number, system: System) {
  return system === 'metric' ? `${trimmed(metres)} m` : `${fixed(metres / M_PER_FT, 1)} ft`;
}

/** A wire as text: 1.5 mm², or AWG 16. */
export function wire(mm2: number, awg: number, system: System) {
  return system === 'metric' ? `${trimmed(mm2)} mm²` : `AWG ${awg}`;
}

/** Words of a length or a temperature in a sentence, and what they are in the other system. */
const SAID: [RegExp, (value: number) => string][] = [
  [/(\d+(?:\.\d+)?)\s?mm²/g, (v) => `${fixed(v / 645.16, 4)} in²`],
  [/(\d+(?:\.\d+)?)\s?cm²/g, (v) => `${fixed(v / 6.4516, 1)} in²`],
  [/(\d+(?:\.\d+)?)\s?°C/g, (v) => `${fixed((v * 9) / 5 + 32, 0)} °F`],
  [/(\d+(?:\.\d+)?)\s?cm(?![\w²/])/g, (v) => `${fixed(v / 2.54, 1)} in`],
  [/(\d+(?:\.\d+)?)\s?mm(?![\w²/])/g, (v) => `${fixed(v / 25.4, 2)} in`],
  [/(\d+(?:\.\d+)?)\s?m(?![\w²/])/g, (v) => `${fixed(v / M_PER_FT, 1)} ft`],
];

/** Lengths of a drawing are said to the centimetre, and so in inches. */
const DRAWN: typeof SAID = [[/(\d+\.\d\d)\s?m(?![\w²/])/g, (v) => `${fixed(v / 0.0254, 1)} in`], ...SAID];

/** A sentence of a drawing in the units that are wanted. */
export const saidDrawn = (text: string, system: System) => saidBy(DRAWN, text, system);

/** A sentence with its lengths, wires and temperatures in the units that are wanted. */
export const said = (text: string, system: System) => saidBy(SAID, text, system);

function saidBy(all: typeof SAID, text: string, system: System) {
  return system === 'metric'
    ? text
    : all.reduce((t, [words, other]) => t.replace(words, (_, value: string) => other(Number(value))), text);
}

/** What of an answer is sentences; names of things are not. */
const SENTENCES = [
  'says',
  'fix',
  'headline',
  'summary',
  'what',
  'sentence',
  'why',
  'objection',
  'worse',
  'notes',
  'misfits',
  'held',
  'parts',
  'supply',
];

/** An answer with all its sentences in the units that are wanted. */
export function saidAll<T>(answer: T, system: System, say = said): T {
  if (system === 'metric' || answer === null || typeof answer !== 'object') {
    return answer;
  }
  if (Array.isArray(answer)) {
    return answer.map((item: unknown) => saidAll(item, system, say)) as T;
  }
  return Object.fromEntries(
    Object.entries(answer).map(([key, value]) => [
      key,
      SENTENCES.includes(key)
        ? saidIn(value as unknown, system, say)
        : saidAll(value as unknown, system, say),
    ]),
  ) as T;
}

/** A sentence, or a list of them; anything else is looked into. */
function saidIn(value: unknown, system: System, say: typeof said): unknown {
  if (Array.isArray(value)) {
    return value.map((item: unknown) => saidIn(item, system, say));
  }
  return typeof value === 'string' ? say(value, system) : saidAll(value, system, say);
}

/** Beside a field that is typed in m: what that is in feet; empty where the system is metric. */
export function besideMetres(text: string, system: System) {
  const metres = typedNumber(text);
  return system === 'metric' || Number.isNaN(metres) ? '' : ` = ${length(metres, system)}`;
}

/** Metres as they are typed and shown in the units that are wanted. */
export const shownLength = (metres: number, system: System) =>
  system === 'metric' ? metres : Math.round((metres / M_PER_FT) * 10) / 10;

export const typedLength = (value: number, system: System) =>
  system === 'metric' ? value : Math.round(value * M_PER_FT * 1000) / 1000;

const M_PER_IN = 0.0254;

/** Lengths of a drawing, in metres to the centimetre, or in inches to the tenth. */
export const drawnLength = (metres: number, system: System) =>
  system === 'metric' ? Math.round(metres * 1_000) / 1_000 : Math.round((metres / M_PER_IN) * 10) / 10;

export const typedDrawn = (value: number, system: System) =>
  system === 'metric' ? value : Math.round(value * M_PER_IN * 1e5) / 1e5;

const MM_PER_IN = 25.4;
const round = (value: number, places: number) => Math.round(value * 10 ** places) / 10 ** places;

/** A diameter in mm as text, or in inches to the hundredth. */
export const millimetres = (mm: number, system: System, places = 1) =>
  system === 'metric' ? `${fixed(mm, places)} mm` : `${fixed(mm / MM_PER_IN, 2)} in`;

/** How the fields of a drawing show and take what is stored in metric units. */
export const DRAWN_UNITS: Record<
  string,
  { unit: string; shown: (stored: number) => number; typed: (value: number) => number }
> = {
  m: { unit: 'in', shown: (m) => drawnLength(m, 'imperial'), typed: (v) => typedDrawn(v, 'imperial') },
  mm: { unit: 'in', shown: (mm) => round(mm / MM_PER_IN, 3), typed: (v) => round(v * MM_PER_IN, 2) },
  '°C': { unit: '°F', shown: (c) => round((c * 9) / 5 + 32, 1), typed: (v) => round(((v - 32) * 5) / 9, 2) },
};

export const drawnUnit = (system: System) => (system === 'metric' ? 'm' : 'in');

const trimmed = (value: number) => fixed(value, 2).replace(/\.?0+$/, '');

export function useUnits() {
  return use(UnitsContext);
}
