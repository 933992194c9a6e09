import { useQueryClient } from '@tanstack/react-query';
import { type ReactNode, useMemo } from 'react';
import { UNITS } from '../data/client';
import { useStored } from '../data/useStored';
import { type System, UnitsContext } from '../format/units';

/** Keeps the choice of units in this browser. Sentences come from the server, so they are asked for again in the other ones. */
export function UnitsProvider({ children }: { children: ReactNode }) {
  const queries = useQueryClient();
  const [system, setSystem] = useStored<System>(UNITS, 'metric');
  const value = useMemo(
    () => ({
      system,
      toggle: () => {
        setSystem(system === 'metric' ? 'imperial' : 'metric');
        void queries.invalidateQueries();
      },
    }),
    [system, setSystem, queries],
  );
  return <UnitsContext value={value}>{children}</UnitsContext>;
}
