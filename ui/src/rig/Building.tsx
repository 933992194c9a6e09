import { Button } from 'antd';
import type { Schemas } from '../data/client';
import { checkChain, useKeepChain } from '../data/rig';
import { count } from '../format/numbers';
import { useKeep } from '../parts/useClash';
import { Part } from '../parts/Sheet';
import { ChainBuilder } from './ChainBuilder';
import { useFailed } from '../parts/useFailed';

type View = Schemas['SetupView'];

/** Puts a chain together: `view` is the setup as it is kept, `shown` what is computed of the draft. */
export function Building(props: {
  id: number;
  view: View;
  plan: Schemas['ChainPlan'];
  shown: View;
  from: number;
  keep: (plan: Schemas['ChainPlan']) => void;
  done: () => void;
  changed: boolean;
}) {
  const { id, view, shown, plan, from, keep, done, changed } = props;
  const failed = useFailed();
  const change = useKeepChain(id);
  const save = useKeep(change);
  const plug = (lead: string, port: string | null) =>
    void checkChain({ plan, plug: { lead, port } })
      .then((checked) => keep(checked.plan))
      .catch((refused: Error) => failed(refused.message));
  const frozen = view.revision > 0 && view.measured > 0;
  return (
    <Part
      title="Build"
      small={
        frozen
          ? `${count(view.measured, 'measurement')} keep revision ${view.revision}; keeping a change makes revision ${view.revision + 1}`
          : 'choose the parts; the fit is checked as you go'
      }
    >
      <ChainBuilder plan={plan} view={shown} change={keep} plug={plug} />
      <div className="buttons">
        <Button
          type="primary"
          disabled={!changed}
          loading={change.isPending}
          onClick={() => save({ body: plan, version: from }, done)}
        >
          {frozen ? `Save as revision ${view.revision + 1}` : 'Save'}
        </Button>
        <Button onClick={done}>{changed ? 'Discard changes' : 'Close'}</Button>
      </div>
    </Part>
  );
}
