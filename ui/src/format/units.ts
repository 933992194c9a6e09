import { createContext, use } from 'react';
import { fixed } from './numbers';
import { typedNumber } from './typed';

export type System = 'metric' | 'imperial';

/** Which units figures are shown and typed in; what is stored and sent stays metric. Sentences come in them from the server. */
export const UnitsContext = createContext<{ system: System; toggle: () => void }>({
  system: 'metric',
  toggle: () => undefined,
});

export function useUnits() {
  return use(UnitsContext);
}

/** How a figure in a metric unit is shown and typed by somebody who uses another. */
export interface ShownUnit {
  unit: string;
  shown: (metric: number) => number;
  metric: (shown: number) => number;
}

const M_PER_FT = 0.3048;
const M_PER_IN = 0.0254;
const IN_PER_FT = 12;
const MM_PER_IN = 25.4;
const CM2_PER_IN2 = 6.4516;
const M2_PER_FT2 = 0.09290304;
const KM_PER_MI = 1.609344;
const KG_PER_LB = 0.45359237;

const round = (value: number, places: number) => Math.round(value * 10 ** places) / 10 ** places;

/** By a factor; `places` are shown, and what is typed is stored to `kept` places of the metric unit. */
const times = (unit: string, factor: number, places: number, kept: number): ShownUnit => ({
  unit,
  shown: (metric) => round(metric / factor, places),
  metric: (shown) => round(shown * factor, kept),
});

/** The imperial units, by the metric ones; a length on a drawing is in inches. */
const IMPERIAL: Record<string, ShownUnit> = {
  m: times('ft', M_PER_FT, 2, 4),
  'm on a drawing': times('in', M_PER_IN, 1, 5),
  mm: times('in', MM_PER_IN, 3, 2),
  'm²': times('ft²', M2_PER_FT2, 2, 4),
  'cm²': times('in²', CM2_PER_IN2, 1, 2),
  km: times('mi', KM_PER_MI, 2, 4),
  kg: times('lb', KG_PER_LB, 1, 3),
  '°C': {
    unit: '°F',
    shown: (celsius) => round((celsius * 9) / 5 + 32, 1),
    metric: (fahrenheit) => round(((fahrenheit - 32) * 5) / 9, 2),
  },
};

/** How a unit is shown; one that is the same for everyone as it is. */
export function shownUnit(unit: string, system: System, drawn = false): ShownUnit {
  const other = system === 'imperial' ? IMPERIAL[drawn && unit === 'm' ? 'm on a drawing' : unit] : undefined;
  return other ?? { unit, shown: (value) => value, metric: (value) => value };
}

/**
 * What is typed, from metric units to the shown ones or back: one number, or lines of as many numbers as there are units. What is no
 * number stays as it is, for the server to refuse.
 */
export function convertedText(text: string, units: ShownUnit[], way: 'shown' | 'metric') {
  const one = (word: string, unit: ShownUnit | undefined) => {
    const value = typedNumber(word);
    return Number.isFinite(value) && unit ? String(unit[way](value)) : word;
  };
  return units.length === 1
    ? one(text, units[0])
    : text
        .split('\n')
        .map((line) =>
          line.split(/([\s;]+)/).map((word, i) => (i % 2 === 0 ? one(word, units[i / 2]) : word)),
        )
        .map((words) => words.join(''))
        .join('\n');
}

/** A length in m as text: 4.5 m, or 14.8 ft. */
export function length(metres: number, system: System) {
  return system === 'metric' ? `${trimmed(metres)} m` : `${fixed(metres / M_PER_FT, 1)} ft`;
}

/** A height over ground in m as text: 2.86 m, or 9 ft 5 in. */
export function height(metres: number, system: System) {
  const inches = Math.round(metres / M_PER_IN);
  return system === 'metric'
    ? `${trimmed(metres)} m`
    : `${Math.floor(inches / IN_PER_FT)} ft ${inches % IN_PER_FT} in`;
}

/** A distance in km as text, with so many places: 12.4 km, or 7.7 mi. */
export function distance(km: number, system: System, places = 1) {
  return system === 'metric' ? `${fixed(km, places)} km` : `${fixed(km / KM_PER_MI, places)} mi`;
}

/** A speed of the wind as text: 60 km/h, or 37 mph. */
export function windSpeed(kmh: number, system: System) {
  return system === 'metric' ? `${kmh} km/h` : `${fixed(kmh / KM_PER_MI, 0)} mph`;
}

/** A wire as text: 1.5 mm², or AWG 16. */
export function wire(mm2: number, awg: number, system: System) {
  return system === 'metric' ? `${trimmed(mm2)} mm²` : `AWG ${awg}`;
}

/** A diameter in mm as text, or in inches to the hundredth. */
export const millimetres = (mm: number, system: System, places = 1) =>
  system === 'metric' ? `${fixed(mm, places)} mm` : `${fixed(mm / MM_PER_IN, 2)} in`;

/** A length of a drawing as text, in metres to the millimetre, or in inches to the tenth. */
export const drawnLength = (metres: number, system: System) =>
  system === 'metric' ? `${round(metres, 3)} m` : `${round(metres / M_PER_IN, 1)} in`;

/** A temperature in °C as text: 60 °C, or 140 °F. */
export const temperature = (celsius: number, system: System) => {
  const by = shownUnit('°C', system);
  return `${fixed(by.shown(celsius), 0)} ${by.unit}`;
};

const trimmed = (value: number) => fixed(value, 2).replace(/\.?0+$/, '');
