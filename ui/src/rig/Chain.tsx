import type { ReactNode } from 'react';
import type { Schemas } from '../data/client';
import { useGear } from '../data/rig';
import { ChainDrawing, type ChainPart } from '../draw/ChainDrawing';
import { useWidth } from '../draw/useWidth';
import { length, type System, useUnits } from '../format/units';
import { Part } from '../parts/Sheet';

/** The chain as a drawing, from the air to the device. */
export function Chain({ plan, children }: { plan: Schemas['ChainPlan']; children: ReactNode }) {
  const gear = useGear().data ?? [];
  const { system } = useUnits();
  const [ref, width] = useWidth<HTMLDivElement>(760);
  return (
    <Part title="The chain" small="from the air to the device" actions={children}>
      <div ref={ref} className="chart-scroll" role="group" aria-label="The chain, drawn" tabIndex={0}>
        <ChainDrawing parts={parts(plan, gear, system)} width={width} />
      </div>
    </Part>
  );
}

function parts(plan: Schemas['ChainPlan'], gear: Schemas['GearItem'][], system: System): ChainPart[] {
  const name = (id: number) => gear.find((g) => g.id === id)?.name ?? '…';
  const runs = plan.runs.flatMap((run) => [
    {
      kind: 'antenna',
      name: name(run.antenna),
      says:
        run.mastM > 0
          ? `${run.placement}, ${length(run.mastM, system)} up`
          : `on the ${run.placement}`
              .replace('on the inside', 'inside')
              .replace('on the window', 'at a window'),
    },
    ...run.cables.map((cable) => ({ kind: 'cable', name: name(cable), says: 'on every lead' })),
  ]);
  const boosters =
    plan.booster === null ? [] : [{ kind: 'booster', name: name(plan.booster), says: 're-radiates inside' }];
  const adapters = plan.adapters.map((id) => ({ kind: 'adapter', name: name(id), says: '' }));
  const device =
    plan.device === null
      ? { kind: 'device', name: 'not chosen', says: 'router, hotspot, phone', missing: true }
      : {
          kind: 'device',
          name: name(plan.device),
          says: plan.sims.length > 0 ? plan.sims.map(name).join(', ') : 'no card said',
        };
  return [...runs, ...adapters, ...boosters, device];
}
