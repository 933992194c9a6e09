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
          ? 'It has waited for more than an hour and will not start any more. Cancel it and start another.'
          : 'A page from the speed server runs it and brings back the result, now or later.'}
      </p>
      <div className="buttons">
        {!late && (
          <Button type="primary" size="large" onClick={() => void open()}>
            Open that page on this device
          </Button>
        )}
        <Button size="large" loading={cancel.isPending} onClick={() => cancel.mutate(run.id)}>
          Cancel
        </Button>
      </div>
    </Part>
  );
}
