import { useState } from 'react';
import { convertedText, shownUnit, useUnits } from '../format/units';

/**
 * A field whose value is metric, shown and typed in the units that are wanted. What is being typed stays as it is typed as long as it
 * means the value that is there. A field of several columns has a unit for each, with a space between.
 */
export function useShownUnit(field: {
  value: string;
  unit?: string | undefined;
  onChange: (metric: string) => void;
  drawn?: boolean | undefined;
}) {
  const { system } = useUnits();
  const [typed, setTyped] = useState<{ text: string; metric: string; unit: string } | null>(null);
  const units = (field.unit ?? '').split(' ').map((unit) => shownUnit(unit, system, field.drawn));
  const unit = units.map((u) => u.unit).join(', ');
  const isMetric = units.every((u, i) => u.unit === (field.unit ?? '').split(' ')[i]);
  const shown = (metric: string) => (isMetric ? metric : convertedText(metric, units, 'shown'));
  const isStill = typed !== null && typed.metric === field.value && typed.unit === unit;
  return {
    unit: unit === '' ? undefined : unit,
    text: isStill ? typed.text : shown(field.value),
    shown,
    change: (text: string) => {
      const metric = isMetric ? text : convertedText(text, units, 'metric');
      setTyped({ text, metric, unit });
      field.onChange(metric);
    },
  };
}
