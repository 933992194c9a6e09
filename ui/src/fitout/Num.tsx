import { useState } from 'react';
import { DRAWN_UNITS, drawnLength, useUnits } from '../format/units';
import { typedNumber } from '../format/typed';
import { Field } from '../parts/Field';

/** A number of a plan; lengths and temperatures are shown and typed in the units that are wanted. What is no number stays as it is typed. */
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
  const other = system === 'imperial' ? DRAWN_UNITS[props.unit ?? ''] : undefined;
  const isLength = props.unit === 'm';
  const shown = (value: number) =>
    String(other ? other.shown(value) : isLength ? drawnLength(value, system) : value);
  const text = typed ?? (props.value === null ? '' : shown(props.value));
  const wrong = text.trim() === '' ? props.required === true : !Number.isFinite(typedNumber(text));
  return (
    <Field
      name={props.name}
      label={props.label}
      numeric
      value={text}
      unit={other?.unit ?? props.unit}
      placeholder={props.usual === undefined ? undefined : shown(props.usual)}
      problem={typed !== null && wrong ? 'a number alone' : undefined}
      hint={props.hint}
      onChange={(t) => {
        setTyped(t);
        if (t.trim() === '') {
          if (!props.required) {
            props.onChange(null);
          }
        } else if (Number.isFinite(typedNumber(t))) {
          props.onChange(other ? other.typed(typedNumber(t)) : typedNumber(t));
        }
      }}
    />
  );
}
