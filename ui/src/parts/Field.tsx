import { Input } from 'antd';
import type { ReactNode } from 'react';
import { useShownUnit } from './useShownUnit';
import './field.css';

/** One field with its unit, what it means, or what is wrong with it. */
export function Field(props: {
  name: string;
  label: string;
  value: string;
  onChange: (value: string) => void;
  /** Of the value, which is metric; where other units are wanted, it is shown and typed in those. */
  unit?: string | undefined;
  /** A length on a drawing, which somebody who uses feet reads in inches. */
  drawn?: boolean;
  problem?: string | undefined;
  hint?: ReactNode;
  className?: string | undefined;
  placeholder?: string;
  type?: string;
  /** A number: a phone shows its keys for digits. */
  numeric?: boolean;
  /** Stands in the place of the unit: what a key for digits cannot write. */
  suffix?: ReactNode;
  autoFocus?: boolean;
}) {
  const { name, label, problem, hint } = props;
  const shown = useShownUnit(props);
  const id = `field-${name}`;
  return (
    <FieldFrame id={id} label={label} problem={problem} hint={hint} className={props.className}>
      <Input
        id={id}
        name={name}
        value={shown.text}
        type={props.type ?? 'text'}
        inputMode={props.numeric ? 'decimal' : undefined}
        placeholder={props.placeholder === undefined ? undefined : shown.shown(props.placeholder)}
        autoFocus={props.autoFocus}
        autoComplete="off"
        suffix={props.suffix ?? shown.unit}
        status={problem ? 'error' : undefined}
        aria-invalid={problem ? true : undefined}
        aria-describedby={`${id}-hint`}
        onChange={(e) => shown.change(e.target.value)}
      />
    </FieldFrame>
  );
}

/** Label, control, and the line beneath it. */
export function FieldFrame(props: {
  id: string;
  label: string;
  problem?: string | undefined;
  hint?: ReactNode;
  className?: string | undefined;
  children: ReactNode;
}) {
  const { id, label, problem, hint } = props;
  return (
    <div className={`field ${props.className ?? ''}`}>
      <label htmlFor={id}>{label}</label>
      {props.children}
      <div className={problem ? 'hint bad' : 'hint'} id={`${id}-hint`} role={problem ? 'alert' : undefined}>
        {problem ?? hint}
      </div>
    </div>
  );
}
