import { Button, Select } from 'antd';
import { useState } from 'react';
import { Link } from 'react-router';
import { Refusal } from '../data/client';
import { type Fitout, useBeginPlan, useRemovePlan, useRestorePlan } from '../data/fitout';
import { Field } from '../parts/Field';
import { useUndo } from '../parts/useUndo';

/** Picks a plan, begins another beside it, and takes one away. */
export function PlanChooser(props: { fitout: Fitout; chosen: number; choose: (id: number | null) => void }) {
  const { fitout, chosen, choose } = props;
  const [naming, setNaming] = useState(false);
  const remove = useRemovePlan();
  const restore = useRestorePlan();
  const undoable = useUndo();
  const name = fitout.plans.find((p) => p.id === chosen)?.name ?? '';
  return (
    <>
      <div className="plan-chooser">
        <Select
          aria-label="Plan"
          value={chosen}
          options={fitout.plans.map((p) => ({ value: p.id, label: p.name }))}
          onChange={choose}
          popupMatchSelectWidth={false}
        />
        <Button onClick={() => setNaming(!naming)}>Duplicate</Button>
        {fitout.plans.length > 1 && <Link to="/build?side">Side by side</Link>}
        <Button
          type="link"
          onClick={() =>
            remove.mutate(chosen, {
              onSuccess: () => {
                choose(null);
                undoable(`Deleted “${name}”.`, () => restore.mutateAsync(chosen).then(() => choose(chosen)));
              },
            })
          }
        >
          Delete
        </Button>
      </div>
      {naming && (
        <BeginPlan
          copyOf={chosen}
          label="Name of the variant"
          done={(id) => {
            setNaming(false);
            choose(id);
          }}
        />
      )}
    </>
  );
}

/** Begins a plan under a name. */
export function BeginPlan(props: { copyOf: number | null; label: string; done: (id: number) => void }) {
  const [name, setName] = useState('');
  const begin = useBeginPlan();
  return (
    <form
      className="begin-plan"
      onSubmit={(e) => {
        e.preventDefault();
        begin.mutate(
          { name: name.trim(), copyOf: props.copyOf },
          { onSuccess: (view) => props.done(view.id) },
        );
      }}
    >
      <Field
        name="plan-name"
        label={props.label}
        value={name}
        onChange={setName}
        placeholder="Dome in the middle"
        autoFocus
        problem={begin.error instanceof Refusal ? begin.error.message : undefined}
      />
      <Button type="primary" htmlType="submit" loading={begin.isPending}>
        Add
      </Button>
    </form>
  );
}
