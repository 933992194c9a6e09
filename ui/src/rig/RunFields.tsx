import { InputNumber, Select } from 'antd';
import type { Schemas } from '../data/client';
import { shownUnit, useUnits } from '../format/units';
import { FieldFrame } from '../parts/Field';
import { One, type Options, Several } from './Choosers';

type Run = Schemas['ChainPlan']['runs'][number];

/** The labels of an antenna's leads, as its sheet has them. */
export function leadsOf(antenna: Schemas['GearItem'] | undefined): string[] {
  const rows = antenna?.sheet.leads;
  return Array.isArray(rows)
    ? rows.map((row: { label?: unknown }) => (typeof row.label === 'string' ? row.label : ''))
    : [];
}

/** An antenna: where and how high it is, on what, and what lengthens its leads. */
export function RunFields(props: {
  number: number;
  run: Run;
  antennas: Options;
  cables: Options;
  mounts: Options;
  leads: string[];
  places: string[] | undefined;
  set: (part: Partial<Run>) => void;
  remove: () => void;
}) {
  const { number, run, set } = props;
  const metres = shownUnit('m', useUnits().system);
  const at = number + 1;
  return (
    <div className="span4 run">
      <One
        label={`Antenna ${at}`}
        value={run.antenna}
        options={props.antennas}
        set={(antenna) => (antenna === undefined ? props.remove() : set({ antenna, leadCables: {} }))}
      />
      <FieldFrame id={`run-place-${number}`} label="Placement">
        <Select
          id={`run-place-${number}`}
          value={run.placement}
          options={(props.places ?? []).map((value) => ({ value }))}
          onChange={(placement) => set({ placement, mastM: placement === 'mast' ? run.mastM || 3 : 0 })}
        />
      </FieldFrame>
      <FieldFrame id={`run-mast-${number}`} label={`Above the roof, ${metres.unit}`}>
        <InputNumber
          id={`run-mast-${number}`}
          min={0}
          max={metres.shown(15)}
          step={0.5}
          value={metres.shown(run.mastM)}
          onChange={(mast) => set({ mastM: metres.metric(mast ?? 0) })}
        />
      </FieldFrame>
      <One
        label="Mounted on"
        id={`mount-${number}`}
        value={run.mount}
        options={props.mounts}
        set={(mount) => set({ mount: mount ?? null })}
      />
      <Several
        label="Extension cables"
        id={`cables-${number}`}
        value={run.cables}
        options={props.cables}
        set={(cables) => set({ cables })}
      />
      <FieldFrame id={`run-plate-${number}`} label="Steel plate beneath, cm²">
        <InputNumber
          id={`run-plate-${number}`}
          min={1}
          max={20_000}
          placeholder="none"
          value={run.plateCm2}
          onChange={(plateCm2) => set({ plateCm2 })}
        />
      </FieldFrame>
      {props.leads.length > 0 && (
        <details className="numbers span4" open={Object.keys(run.leadCables).length > 0}>
          <summary>A lead with an extension of its own</summary>
          <p className="small">
            An extension of the antenna goes on each of its cellular leads. Wi-Fi and GNSS leads have only
            what you enter here.
          </p>
          <div className="form-grid">
            {props.leads.map((lead) => (
              <Several
                key={lead}
                label={`Lead ${lead} of ${at}`}
                value={run.leadCables[lead] ?? []}
                options={props.cables}
                set={(cables) => set({ leadCables: changed(run.leadCables, lead, cables) })}
              />
            ))}
          </div>
        </details>
      )}
    </div>
  );
}

function changed(all: Run['leadCables'], lead: string, cables: number[]): Run['leadCables'] {
  const { [lead]: _before, ...others } = all;
  return cables.length === 0 ? others : { ...others, [lead]: cables };
}
