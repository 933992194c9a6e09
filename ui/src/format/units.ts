import { createContext, use } from 'react';
import { fixed } from './numbers';

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

const trimmed = (value: number) => fixed(value, 2).replace(/\.?0+$/, '');

export function useUnits() {
  return use(UnitsContext);
}
