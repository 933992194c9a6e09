import { Button } from 'antd';
import { useState } from 'react';
import { pageOf, planOf } from '../data/browserRun';
import { type Run, useCancelRun } from '../data/measure';
import { Part } from '../parts/Sheet';
import { useTheme } from '../theme/useTheme';

/** A run that waits for the browser which makes it. */
export function BrowserRun({ run }: { run: Run }) {
  const { name } = useTheme();
  const cancel = useCancelRun();
  const [late, setLate] = useState(false);
  const open = async () => {
    const plan = await planOf(run.id);
    if (plan === null) {
      setLate(true);
    } else {
      location.assign(pageOf(plan, run.id, name));
    }
  };
  const sim = run.ownSim ? 'on its own SIM' : 'through the vehicle’s Wi-Fi';
  return (
    <Part title="A run by a browser" small={`${run.kind} · ${run.setup} on ${run.carrier} · ${sim}`}>
      <p>
        {late
          ? 'It has waited for more than an hour, and is not begun any more; call it off, and begin another.'
          : 'A page of the speed server’s makes it and brings what it took, now or later.'}
      </p>
      <div className="buttons">
        {!late && (
          <Button type="primary" size="large" onClick={() => void open()}>
            Open that page on this device
          </Button>
        )}
        <Button size="large" loading={cancel.isPending} onClick={() => cancel.mutate(run.id)}>
          Call it off
        </Button>
      </div>
    </Part>
  );
}
