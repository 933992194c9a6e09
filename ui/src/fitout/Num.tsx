import { useState } from 'react';
import { typedNumber } from '../format/typed';
import { Field } from '../parts/Field';

/** A number of a plan, its lengths as on a drawing. What is no number stays as it is typed. */
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
  const [typed, setTyped] = useState<string | null>(null);
  const shown = (value: number) => String(props.unit === 'm' ? Math.round(value * 1_000) / 1_000 : value);
  const text = typed ?? (props.value === null ? '' : shown(props.value));
  const wrong = text.trim() === '' ? props.required === true : !Number.isFinite(typedNumber(text));
  return (
    <Field
      name={props.name}
      label={props.label}
      numeric
      drawn
      value={text}
      unit={props.unit}
      {...(props.usual === undefined ? {} : { placeholder: shown(props.usual) })}
      problem={typed !== null && wrong ? 'a number alone' : undefined}
      hint={props.hint}
      onChange={(t) => {
        setTyped(t);
        if (t.trim() === '') {
          if (!props.required) {
            props.onChange(null);
          }
        } else if (Number.isFinite(typedNumber(t))) {
          props.onChange(typedNumber(t));
        }
      }}
    />
  );
}
