import { Select } from 'antd';
import { FieldFrame } from '../parts/Field';

/** Gear to choose from. */
export type Options = { value: number; label: string }[];

/** One piece of gear, or none. */
export function One(props: {
  label: string;
  /** Where the same label stands more than once. */
  id?: string;
  value: number | null;
  options: Options;
  set: (v: number | undefined) => void;
}) {
  const id = `chain-${props.id ?? props.label}`;
  return (
    <FieldFrame id={id} label={props.label}>
      <Select
        id={id}
        allowClear
        showSearch={{ optionFilterProp: 'label' }}
        placeholder="none"
        value={props.value ?? undefined}
        options={props.options}
        onChange={props.set}
      />
    </FieldFrame>
  );
}

/** Any number of pieces of gear. */
export function Several(props: {
  label: string;
  id?: string;
  value: number[];
  options: Options;
  set: (v: number[]) => void;
}) {
  const id = `chain-${props.id ?? props.label}`;
  return (
    <FieldFrame id={id} label={props.label}>
      <Select
        id={id}
        mode="multiple"
        placeholder="none"
        value={props.value}
        options={props.options}
        showSearch={{ optionFilterProp: 'label' }}
        onChange={props.set}
      />
    </FieldFrame>
  );
}
