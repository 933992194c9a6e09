import { Button, Input, Select } from 'antd';
import type { Schemas } from '../data/client';
import { Field, FieldFrame } from '../parts/Field';
import { UnitInput } from '../parts/UnitInput';

type SheetField = Schemas['SheetField'];

/** What is known of a piece of gear, by the fields of its form. */
export type Sheet = Record<string, unknown>;

const YESNO = [
  { value: 'yes', label: 'yes' },
  { value: 'no', label: 'no' },
];

/** How a few words make rows. */
const QUICK: Record<string, string> = {
  ports: 'in a few words: 4 × SMA-female, 1 × SMA-female GNSS',
  leads: 'in a few words: 2 × SMA-male, 3 m RG-58',
  ranges: 'in a few words: 698–960 MHz 3 dBi, 1710–2700 MHz 4 dBi',
  uplink: 'in a few words: 832–862 MHz, 880–915 MHz',
  downlink: 'in a few words: 791–821 MHz, 925–960 MHz',
};

const asText = (value: unknown): string =>
  Array.isArray(value)
    ? value.join(' ')
    : typeof value === 'string' || typeof value === 'number' || typeof value === 'boolean'
      ? String(value)
      : '';

/** One field of a data sheet. */
export function SheetInput(props: {
  field: SheetField;
  value: unknown;
  path: string;
  problem: (path: string) => string | undefined;
  set: (value: unknown) => void;
}) {
  const { field, value, path, problem, set } = props;
  const id = `field-${path}`;
  if (field.type === 'rows') {
    return <Rows {...props} />;
  }
  if (field.type === 'choice' || field.type === 'yesno' || field.type === 'many') {
    const yesno = value === true ? 'yes' : value === false ? 'no' : value;
    return (
      <FieldFrame
        id={id}
        label={field.label}
        problem={problem(path)}
        className={field.type === 'many' ? 'span2' : undefined}
      >
        <Select
          id={id}
          allowClear
          {...(field.type === 'many' ? { mode: 'multiple' as const } : {})}
          placeholder="not stated"
          value={yesno ?? undefined}
          options={field.type === 'yesno' ? YESNO : field.choices.map((choice) => ({ value: choice }))}
          onChange={set}
        />
      </FieldFrame>
    );
  }
  return (
    <Field
      name={path}
      label={field.label}
      unit={field.unit}
      value={asText(value)}
      onChange={set}
      problem={problem(path)}
      placeholder="not stated"
      type={field.type === 'date' ? 'date' : 'text'}
      className={field.type === 'bands' ? 'span2' : undefined}
      hint={field.type === 'bands' ? 'B3 B20 n78 …' : undefined}
    />
  );
}

function Rows(props: {
  field: SheetField;
  value: unknown;
  path: string;
  problem: (path: string) => string | undefined;
  set: (value: unknown) => void;
}) {
  const { field, value, path, problem, set } = props;
  const rows = Array.isArray(value) ? (value as Sheet[]) : [];
  const change = (i: number, key: string, v: unknown) =>
    set(rows.map((row, j) => (i === j ? { ...row, [key]: v } : row)));
  return (
    <div className="span4 sheet-rows">
      <label className="small" htmlFor={`field-${path}`}>
        {field.label}
      </label>
      {rows.length === 0 && (
        <Input
          id={`field-${path}`}
          placeholder={QUICK[field.key] ?? 'not stated'}
          value={asText(value)}
          status={problem(path) ? 'error' : ''}
          onChange={(e) => set(e.target.value)}
        />
      )}
      {rows.length === 0 && problem(path) && (
        <div className="hint bad small loss" role="alert">
          {problem(path)}
        </div>
      )}
      {rows.length > 0 && (
        <div className="sheet-row sheet-head small" aria-hidden="true">
          {field.columns.map((c) => (
            <span key={c.key}>{c.label}</span>
          ))}
          <span />
        </div>
      )}
      {rows.map((row, i) => (
        <div className="sheet-row" key={i}>
          {field.columns.map((c) => {
            const at = `${path}[${i}].${c.key}`;
            const label = `${field.label} ${i + 1}: ${c.label}`;
            return (
              <div key={c.key}>
                {c.type === 'choice' || c.type === 'yesno' ? (
                  <Select
                    aria-label={label}
                    allowClear
                    placeholder={c.label}
                    value={
                      (row[c.key] === true ? 'yes' : row[c.key] === false ? 'no' : row[c.key]) ?? undefined
                    }
                    options={
                      c.type === 'yesno'
                        ? YESNO.map((o) => ({ ...o, label: `${c.label}: ${o.label}` }))
                        : c.choices.map((choice) => ({ value: choice }))
                    }
                    onChange={(v: unknown) => change(i, c.key, v)}
                  />
                ) : (
                  <UnitInput
                    label={label}
                    placeholder={c.label}
                    unit={c.unit}
                    value={asText(row[c.key])}
                    bad={problem(at) !== undefined}
                    onChange={(text) => change(i, c.key, text)}
                  />
                )}
                {problem(at) && (
                  <div className="hint bad small loss" role="alert">
                    {problem(at)}
                  </div>
                )}
              </div>
            );
          })}
          <Button size="small" type="link" onClick={() => set(rows.filter((_, j) => j !== i))}>
            Remove
          </Button>
        </div>
      ))}
      <Button
        size="small"
        onClick={() =>
          set([
            ...rows,
            { ...rows.at(-1), ...(rows.at(-1) && 'label' in (rows.at(-1) ?? {}) ? { label: '' } : {}) },
          ])
        }
      >
        Add a row
      </Button>
    </div>
  );
}
