import { useState } from 'react';
import { drawnLength, drawnUnit, typedDrawn, useUnits } from '../format/units';
import { Field } from '../parts/Field';

/** A number of a plan; lengths in m are shown and typed in the units that are wanted. What is no number stays as it is typed. */
export function Num(props: {
  name: string;
  label: string;
  value: number | null;
  onChange: (value: number | null) => void;
  unit?: string;
  /** What it is where nothing is typed. */
  usual?: number;
  /** Must be there: an empty field is not taken. */
  required?: boolean;
  hint?: string;
}) {
  const { system } = useUnits();
  const [typed, setTyped] = useState<string | null>(null);
  const isLength = props.unit === 'm';
  const shown = (value: number) => String(isLength ? drawnLength(value, system) : value);
  const text = typed ?? (props.value === null ? '' : shown(props.value));
  const number = (t: string) => Number(t.trim().replace(',', '.'));
  const wrong = text.trim() === '' ? props.required === true : !Number.isFinite(number(text));
  return (
    <Field
      name={props.name}
      label={props.label}
      numeric
      value={text}
      unit={isLength ? drawnUnit(system) : props.unit}
      placeholder={props.usual === undefined ? undefined : shown(props.usual)}
      problem={typed !== null && wrong ? 'a number alone' : undefined}
      hint={props.hint}
      onChange={(t) => {
        setTyped(t);
        if (t.trim() === '') {
          if (!props.required) {
            props.onChange(null);
          }
        } else if (Number.isFinite(number(t))) {
          props.onChange(isLength ? typedDrawn(number(t), system) : number(t));
        }
      }}
    />
  );
}
