import { Button } from 'antd';
import { useState } from 'react';
import type { Schemas } from '../data/client';
import { NameField } from '../parts/NameField';
import type { Form } from './Figures';

type Kind = 'setup' | 'carrier' | 'campsite';

const MISSING: Record<Kind, string> = {
  setup: 'which setup?',
  carrier: 'which carrier?',
  campsite: 'where?',
};

/** With what, on what and where it was measured, as a sentence whose parts can be changed; and the trial it belongs to. */
export function Place({ form, step }: { form: Form; step: Schemas['NextMeasurement'] | undefined }) {
  const { draft, set, check } = form;
  const [open, setOpen] = useState<Kind[]>([]);
  const asked = (['setup', 'campsite'] as const).filter((kind) => draft[kind] === '');
  const [missing] = useState<Kind[]>(asked);
  const wrong = (['setup', 'carrier', 'campsite'] as const).filter(
    (kind) => check.all && check.problem(kind),
  );
  const shown = [...new Set([...missing, ...open, ...wrong])];
  const part = (kind: Kind) => (
    <button type="button" className="bold-part" onClick={() => setOpen([...open, kind])}>
      {draft[kind] || MISSING[kind]}
    </button>
  );
  return (
    <>
      <p className="place">
        {part('setup')} on {part('carrier')} at {part('campsite')}
        {draft.trial !== '' && (
          <>
            <br />
            Trial <b>{draft.trial}</b>, round <b>{draft.round || '–'}</b>
            {step?.setup ? ': the next setup of the round' : ''}{' '}
            <Button
              size="small"
              type="link"
              onClick={() => set({ round: String(Number(draft.round || 0) + 1) })}
            >
              Next round
            </Button>
            <Button size="small" type="link" onClick={() => set({ trial: '', round: '' })}>
              No trial
            </Button>
          </>
        )}
      </p>
      {shown.length > 0 && (
        <div className="form-grid">
          {shown.map((kind) => (
            <div className="span2" key={kind}>
              <NameField
                kind={kind}
                value={draft[kind]}
                onChange={(name) => set({ [kind]: name })}
                problem={check.problem(kind)}
              />
            </div>
          ))}
        </div>
      )}
    </>
  );
}
