import { App, Button, Modal, Segmented, Select } from 'antd';
import { useState } from 'react';
import { ChoiceRequired, Clash, Refusal, type Schemas } from '../data/client';
import { useGear, useGearForms, useKeepGear } from '../data/rig';
import { useMoney } from '../data/useMoney';
import { Field, FieldFrame } from '../parts/Field';
import { useClash } from '../parts/useClash';
import { type Sheet, SheetInput } from './SheetInput';
import { SheetPaste } from './SheetPaste';
import { useFailed } from '../parts/useFailed';

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

/** The data sheet of a piece of gear: a short form first, the rest on request. */
export function GearEditor(props: {
  draft: GearDraft;
  change: (draft: GearDraft) => void;
  close: () => void;
}) {
  const { currency } = useMoney();
  const { draft, close } = props;
  const forms = useGearForms().data;
  const [all, setAll] = useState(draft.id !== null);
  const [pasting, setPasting] = useState(false);
  const [problems, setProblems] = useState<Schemas['FieldProblem'][]>([]);
  const { modal } = App.useApp();
  const failed = useFailed();
  const clash = useClash();
  const change = useKeepGear();
  const save = (version: number, as?: string) => {
    const { id, version: _seen, ...body } = draft;
    change.mutate(
      { id, body, version, ...(as === undefined ? {} : { as }) },
      { onSuccess: close, onError: (refused) => refusedWith(refused, version) },
    );
  };
  const refusedWith = (refused: Error, version: number) => {
    if (refused instanceof ChoiceRequired) {
      ask(modal, refused, (as) => save(version, as));
      return;
    }
    setAll(true);
    setProblems(refused instanceof Refusal ? refused.errors : []);
    if (refused.message.length < 160 || refused instanceof Clash) {
      clash(refused, (stands) => save(stands));
    } else {
      failed('Some fields need another look.');
    }
  };
  const fields = forms?.forms.find((f) => f.kind === draft.kind)?.fields ?? [];
  const shown = fields.filter((f) => all || f.quick);
  const problem = (path: string) => problems.find((p) => p.field === path)?.message;
  const set = (part: Partial<GearDraft>) => {
    setProblems([]);
    props.change({ ...draft, ...part });
  };
  const take = ({ name, price, ...sheet }: Record<string, unknown>) => {
    set({
      ...(typeof name === 'string' && { name }),
      ...(typeof price === 'number' && { price: String(price) }),
      sheet: { ...draft.sheet, ...sheet },
    });
    setPasting(false);
    setAll(true);
  };
  return (
    <Modal
      open
      width={860}
      style={{ top: 24 }}
      title={draft.id === null ? 'Add gear' : draft.name}
      onCancel={close}
      footer={
        <div className="buttons">
          {!pasting && <Button onClick={() => setPasting(true)}>Paste a data sheet</Button>}
          {!all && <Button onClick={() => setAll(true)}>Show the whole data sheet</Button>}
          <Button onClick={close}>Cancel</Button>
          <Button type="primary" loading={change.isPending} onClick={() => save(draft.version)}>
            Save
          </Button>
        </div>
      }
    >
      <form
        onSubmit={(e) => {
          e.preventDefault();
          save(draft.version);
        }}
      >
        {draft.id === null && (
          <div className="chart-scroll">
            <Segmented
              value={draft.kind}
              options={(forms?.forms ?? []).map((f) => f.kind)}
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
              options={(forms?.states ?? []).map((value) => ({ value }))}
              onChange={(state) => set({ state })}
            />
          </FieldFrame>
          <Field
            name="price"
            label="Price"
            unit={currency ?? undefined}
            value={draft.price}
            onChange={(price) => set({ price })}
            problem={problem('price')}
          />
          {draft.id === null && <Pattern draft={draft} set={set} />}
          {pasting && <SheetPaste kind={draft.kind} take={take} />}
          {shown.map((f) => (
            <SheetInput
              key={f.key}
              field={f.key === 'pricePerMonth' ? { ...f, unit: currency ?? '' } : f}
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

/** Begins a new sheet as that of something on the shelf. */
function Pattern({ draft, set }: { draft: GearDraft; set: (part: Partial<GearDraft>) => void }) {
  const like = (useGear().data ?? []).filter((g) => g.kind === draft.kind);
  if (like.length === 0) {
    return null;
  }
  return (
    <FieldFrame id="gear-pattern" label="Start from" className="span4">
      <Select
        id="gear-pattern"
        placeholder="an empty sheet, or a copy of other gear"
        showSearch={{ optionFilterProp: 'label' }}
        options={like.map((g) => ({ value: g.id, label: g.name }))}
        onChange={(id: number) => set({ sheet: like.find((g) => g.id === id)?.sheet ?? {} })}
      />
    </FieldFrame>
  );
}

/** Asks how a changed sheet is meant; each answer says what it does. */
function ask(
  modal: ReturnType<typeof App.useApp>['modal'],
  asked: ChoiceRequired,
  answer: (as: string) => void,
) {
  const dialog = modal.info({
    title: asked.message,
    icon: null,
    width: 560,
    okText: 'Cancel',
    okType: 'default',
    content: asked.choices.map((choice) => (
      <div className="note" key={choice.as}>
        <p>{choice.says}</p>
        <Button
          onClick={() => {
            dialog.destroy();
            answer(choice.as);
          }}
        >
          {choice.label}
        </Button>
      </div>
    )),
  });
}
