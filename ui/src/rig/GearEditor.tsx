import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { App, Button, Input, Modal, Segmented, Select } from 'antd';
import { useState } from 'react';
import { api, Clash, Refusal, type Schemas, unwrap } from '../api/client';
import { Field, FieldFrame } from '../forms/Field';
import { useClash } from '../forms/useClash';

type SheetField = Schemas['SheetField'];
type Sheet = Record<string, unknown>;

/** Gear as it is typed. */
export interface GearDraft {
  id: number | null;
  kind: string;
  name: string;
  state: string;
  price: string;
  sheet: Sheet;
  /** The version that the draft began from. */
  version: number;
}

const STATES = ['owned', 'considered', 'retired'].map((value) => ({ value }));
const YESNO = [
  { value: 'yes', label: 'yes' },
  { value: 'no', label: 'no' },
];

/** The data sheet of a piece of gear: a short form first, the rest on request. */
export function GearEditor(props: {
  draft: GearDraft;
  change: (draft: GearDraft) => void;
  close: () => void;
}) {
  const { draft, change, close } = props;
  const forms = useQuery({
    queryKey: ['gear', 'forms'],
    queryFn: () => unwrap(api.GET('/api/gear/forms')),
    staleTime: Infinity,
  });
  const [all, setAll] = useState(draft.id !== null);
  const [problems, setProblems] = useState<Schemas['FieldProblem'][]>([]);
  const client = useQueryClient();
  const { message } = App.useApp();
  const clash = useClash();
  const save = useMutation({
    mutationFn: (version: number) => {
      const body = {
        kind: draft.kind,
        name: draft.name,
        state: draft.state,
        price: draft.price,
        sheet: draft.sheet,
      };
      return draft.id === null
        ? unwrap(api.POST('/api/gear', { body }))
        : unwrap(api.PUT('/api/gear/{id}', { params: { path: { id: draft.id }, query: { version } }, body }));
    },
    onSuccess: () => {
      void client.invalidateQueries();
      close();
    },
    onError: (refused) => {
      setAll(true);
      setProblems(refused instanceof Refusal ? refused.errors : []);
      if (refused.message.length < 160 || refused instanceof Clash) {
        clash(refused, (version) => save.mutate(version));
      } else {
        void message.error('Some fields need another look.');
      }
    },
  });
  const fields = forms.data?.find((f) => f.kind === draft.kind)?.fields ?? [];
  const shown = fields.filter((f) => all || f.quick);
  const problem = (path: string) => problems.find((p) => p.field === path)?.message;
  const set = (part: Partial<GearDraft>) => {
    setProblems([]);
    change({ ...draft, ...part });
  };
  return (
    <Modal
      open
      width={860}
      style={{ top: 24 }}
      title={draft.id === null ? 'Put on the shelf' : draft.name}
      onCancel={close}
      footer={
        <div className="buttons">
          {!all && <Button onClick={() => setAll(true)}>The whole data sheet</Button>}
          <Button onClick={close}>Leave it</Button>
          <Button type="primary" loading={save.isPending} onClick={() => save.mutate(draft.version)}>
            Keep
          </Button>
        </div>
      }
    >
      <form
        onSubmit={(e) => {
          e.preventDefault();
          save.mutate(draft.version);
        }}
      >
        {draft.id === null && (
          <div className="chart-scroll">
            <Segmented
              value={draft.kind}
              options={(forms.data ?? []).map((f) => f.kind)}
              onChange={(kind) => set({ kind, sheet: {} })}
            />
          </div>
        )}
        <div className="form-grid">
          <Field
            name="name"
            label="Name"
            value={draft.name}
            onChange={(name) => set({ name })}
            problem={problem('name')}
            className="span2"
            autoFocus
          />
          <FieldFrame id="gear-state" label="State">
            <Select
              id="gear-state"
              value={draft.state}
              options={STATES}
              onChange={(state) => set({ state })}
            />
          </FieldFrame>
          <Field
            name="price"
            label="Price"
            value={draft.price}
            onChange={(price) => set({ price })}
            problem={problem('price')}
          />
          {shown.map((f) => (
            <SheetInput
              key={f.key}
              field={f}
              value={draft.sheet[f.key]}
              path={`sheet.${f.key}`}
              problem={problem}
              set={(value) => set({ sheet: { ...draft.sheet, [f.key]: value } })}
            />
          ))}
        </div>
        {problem('sheet') && (
          <p className="loss" role="alert">
            {problem('sheet')}
          </p>
        )}
        <input type="submit" hidden />
      </form>
    </Modal>
  );
}

const asText = (value: unknown): string =>
  Array.isArray(value)
    ? value.join(' ')
    : typeof value === 'string' || typeof value === 'number' || typeof value === 'boolean'
      ? String(value)
      : '';

function SheetInput(props: {
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
      <div className="small">{field.label}</div>
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
                  <Input
                    aria-label={label}
                    placeholder={c.label}
                    suffix={c.unit || undefined}
                    value={asText(row[c.key])}
                    status={problem(at) ? 'error' : ''}
                    onChange={(e) => change(i, c.key, e.target.value)}
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
