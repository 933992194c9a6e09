import { type ReactNode, useMemo } from 'react';
import { useStored } from '../data/useStored';
import { type System, UnitsContext } from '../format/units';

/** Keeps the choice of units in this browser. */
export function UnitsProvider({ children }: { children: ReactNode }) {
  const [system, setSystem] = useStored<System>('units', 'metric');
  const value = useMemo(
    () => ({ system, toggle: () => setSystem(system === 'metric' ? 'imperial' : 'metric') }),
    [system, setSystem],
  );
  return <UnitsContext value={value}>{children}</UnitsContext>;
}
