import { App, Button, Modal, Segmented, Select } from 'antd';
import { useState } from 'react';
import { Asked, Clash, Refusal, type Schemas } from '../data/client';
import { useGearForms, useKeepGear } from '../data/rig';
import { Field, FieldFrame } from '../parts/Field';
import { useClash } from '../parts/useClash';
import { type Sheet, SheetInput } from './SheetInput';

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
  const { draft, close } = props;
  const forms = useGearForms().data;
  const [all, setAll] = useState(draft.id !== null);
  const [problems, setProblems] = useState<Schemas['FieldProblem'][]>([]);
  const { message, modal } = App.useApp();
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
    if (refused instanceof Asked) {
      ask(modal, refused, (as) => save(version, as));
      return;
    }
    setAll(true);
    setProblems(refused instanceof Refusal ? refused.errors : []);
    if (refused.message.length < 160 || refused instanceof Clash) {
      clash(refused, (stands) => save(stands));
    } else {
      void message.error('Some fields need another look.');
    }
  };
  const fields = forms?.forms.find((f) => f.kind === draft.kind)?.fields ?? [];
  const shown = fields.filter((f) => all || f.quick);
  const problem = (path: string) => problems.find((p) => p.field === path)?.message;
  const set = (part: Partial<GearDraft>) => {
    setProblems([]);
    props.change({ ...draft, ...part });
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
          <Button type="primary" loading={change.isPending} onClick={() => save(draft.version)}>
            Keep
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

/** Asks how a changed sheet is meant; each answer says what it does. */
function ask(modal: ReturnType<typeof App.useApp>['modal'], asked: Asked, answer: (as: string) => void) {
  const dialog = modal.info({
    title: asked.message,
    icon: null,
    width: 560,
    okText: 'Leave it',
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
