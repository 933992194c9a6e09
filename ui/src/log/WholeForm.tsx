import { Button } from 'antd';
import { useState } from 'react';
import { Field } from '../parts/Field';
import { NameField } from '../parts/NameField';
import { type Form, NumberField, OtherFields, OutcomeField } from './Figures';
import { valueOf } from './logDraft';
import { Remarks } from './LogDialog';

/** All fields of a measurement that is there already; the figures that it has come first. */
export function WholeForm({ form, own, save }: { form: Form; own: string[]; save: () => void }) {
  const { draft, set, check } = form;
  const [more, setMore] = useState(false);
  const others = form.figures.filter((f) => f.unit !== '' && !own.includes(f.field));
  return (
    <form
      onSubmit={(e) => {
        e.preventDefault();
        save();
      }}
    >
      <div className="form-grid">
        {(['setup', 'carrier', 'campsite'] as const).map((kind) => (
          <NameField
            key={kind}
            kind={kind}
            value={draft[kind]}
            onChange={(name) => set({ [kind]: name })}
            problem={check.problem(kind)}
          />
        ))}
        <OutcomeField form={form} />
        {own.map((name) => (
          <NumberField key={name} form={form} name={name} />
        ))}
        {more && others.map(({ field }) => <NumberField key={field} form={form} name={field} />)}
        {!more && (
          <div className="span4">
            <Button type="link" onClick={() => setMore(true)}>
              Other figures
            </Button>
          </div>
        )}
        <OtherFields form={form} note={false} />
        <div className="span4">
          <Field
            name="note"
            label="Note"
            value={valueOf(draft, 'note')}
            onChange={(note) => set({ note })}
            problem={check.problem('note')}
          />
        </div>
      </div>
      <Remarks form={form} shown />
      <input type="submit" hidden />
    </form>
  );
}
