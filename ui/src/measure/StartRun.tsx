import { Button, Segmented } from 'antd';
import { useNavigate } from 'react-router';
import type { Schemas } from '../data/client';
import { useRunKinds, useStartRun } from '../data/measure';
import { useStored } from '../data/useStored';
import { Field, FieldFrame } from '../parts/Field';
import { Failed } from '../parts/Loaded';
import { Part } from '../parts/Sheet';

/** Begins a run of what the standing line says is up. */
export function StartRun({ line, again }: { line: Schemas['StandingLine']; again: boolean }) {
  const kinds = useRunKinds().data ?? [];
  const [kind, setKind] = useStored('measure.kind', 'light');
  const [budget, setBudget] = useStored('measure.budget', '');
  const start = useStartRun();
  const navigate = useNavigate();
  const missing = [
    line.campsite === null && 'where you stand',
    line.setup === null && 'which setup is up',
    line.carrier === null && 'on which carrier',
  ].filter(Boolean);
  if (missing.length > 0) {
    return <p>Say {missing.join(', ')} first, in the line above.</p>;
  }
  const begin = () =>
    start.mutate(
      {
        setup: line.setup?.name ?? '',
        carrier: line.carrier ?? '',
        kind,
        ...(budget.trim() === '' ? {} : { budgetMb: Number(budget.replace(',', '.')) }),
      } as Schemas['RunRequest'],
      { onSuccess: (run) => void navigate(`/measure?run=${run.id}`, { replace: again }) },
    );
  return (
    <Part
      title={again ? 'Measure again' : 'What kind of run'}
      small={`${line.setup?.name ?? ''} on ${line.carrier ?? ''} at ${line.campsite ?? ''}`}
    >
      <form
        className="start-run"
        onSubmit={(event) => {
          event.preventDefault();
          begin();
        }}
      >
        <FieldFrame id="field-kind" label="Kind" hint={kinds.find((k) => k.kind === kind)?.says}>
          <Segmented
            id="field-kind"
            block
            options={kinds.map((k) => ({ value: k.kind, label: k.kind }))}
            value={kind}
            onChange={setKind}
          />
        </FieldFrame>
        <Field
          name="budgetMb"
          label="At most"
          unit="MB"
          numeric
          value={budget}
          onChange={setBudget}
          placeholder="no limit"
          hint="Both ways together; the run ends before it takes more."
        />
        <div className="buttons">
          <Button type="primary" size="large" htmlType="submit" loading={start.isPending}>
            Measure now
          </Button>
        </div>
        {start.error && <Failed error={start.error} />}
      </form>
    </Part>
  );
}
