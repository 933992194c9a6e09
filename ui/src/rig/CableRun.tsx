import { Button, Segmented, Slider } from 'antd';
import type { Schemas } from '../data/client';
import { useChainChoices } from '../data/rig';
import { useMoney } from '../data/useMoney';
import { Part } from '../parts/Sheet';
import { fixed } from '../format/numbers';
import { length, useUnits } from '../format/units';

/** What is tried on the first antenna's run. */
export interface WhatIf {
  cableClass?: string;
  cableM?: number;
  mastM?: number;
}

/** Sliders for cable and mast; the server answers, nothing is stored. */
export function CableRun(props: {
  view: Schemas['SetupView'];
  whatIf: WhatIf;
  change: (whatIf: WhatIf) => void;
}) {
  const { view, whatIf, change } = props;
  const { system } = useUnits();
  const classes = useChainChoices().data?.cableClasses ?? [];
  const run = view.plan.runs[0];
  if (!run) {
    return null;
  }
  const cableM = whatIf.cableM ?? view.cableM;
  const mastM = whatIf.mastM ?? run.mastM;
  const best = view.cables.find((c) => c.best);
  return (
    <Part title="Try another cable" small="the page follows; nothing is saved">
      <label className="small" htmlFor="try-cable">
        Cable beyond the lead: {length(cableM, system)}
      </label>
      <Slider
        id="try-cable"
        min={0}
        max={15}
        step={0.5}
        value={cableM}
        tooltip={{ open: false }}
        ariaLabelForHandle="Cable length"
        onChange={(v) => change({ ...whatIf, cableM: v })}
      />
      <Segmented
        size="small"
        vertical
        aria-label="Class of cable"
        value={whatIf.cableClass ?? ''}
        options={classes.map((value) => ({ value, label: <Choice name={value} cables={view.cables} /> }))}
        onChange={(cableClass) => change({ ...whatIf, cableClass, cableM })}
      />
      <label className="small" htmlFor="try-mast">
        Mast above the roof: {length(mastM, system)}
      </label>
      <Slider
        id="try-mast"
        min={0}
        max={8}
        step={0.5}
        value={mastM}
        tooltip={{ open: false }}
        ariaLabelForHandle="Mast height"
        onChange={(v) => change({ ...whatIf, mastM: v })}
      />
      {best && (
        <p className="small">
          Best for the money at this length: <b>{best.cableClass}</b>, the cheapest within 1 dB of the least
          loss at the highest band.
        </p>
      )}
      {Object.keys(whatIf).length > 0 && (
        <Button size="small" onClick={() => change({})}>
          Back to the setup
        </Button>
      )}
    </Part>
  );
}

function Choice({ name, cables }: { name: string; cables: Schemas['CableView'][] }) {
  const { money } = useMoney();
  const cable = cables.find((c) => c.cableClass === name);
  return (
    <span className="cable-choice">
      <span>{name}</span>
      {cable && (
        <span>
          −{fixed(cable.lossDb, 1)} dB, about {money(cable.price, 0)}
        </span>
      )}
    </span>
  );
}
