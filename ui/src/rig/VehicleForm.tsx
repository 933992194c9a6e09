import { AutoComplete, Button, Select } from 'antd';
import type { Schemas } from '../data/client';
import { useCarriers } from '../data/names';
import { type Change, useChangeVehicle } from '../data/rig';
import { useStored } from '../data/useStored';
import { anyWrong, typedOrNone } from '../format/typed';
import { Field, FieldFrame } from '../parts/Field';
import { useKeep } from '../parts/useClash';

type Vehicle = Schemas['VehicleView'];

/** What is changed of the vehicle, with the version that the change began from. */
function changed(vehicle: Vehicle): Change<Schemas['VehicleRequest']> {
  const { version, bodies: _bodies, allFeatures: _all, ...body } = vehicle;
  return { body, version };
}

/** Vehicle, carrier, budget and what cannot be done without. */
export function VehicleForm({ vehicle, regions }: { vehicle: Vehicle; regions: Schemas['RegionView'][] }) {
  const fresh = {
    draft: vehicle,
    numbers: {
      heightM: String(vehicle.heightM),
      limitM: String(vehicle.limitM ?? ''),
      batteryAh: String(vehicle.batteryAh),
      batteryV: String(vehicle.batteryV),
      hoursADay: String(vehicle.hoursADay),
      budget: String(vehicle.budget ?? ''),
      uploadGb: String(vehicle.uploadGb ?? ''),
    },
  };
  const [kept, keep, forget] = useStored<typeof fresh | null>('rig.vehicle', null);
  const { draft, numbers } = kept ?? fresh;
  const setDraft = (next: Vehicle) => keep({ draft: next, numbers });
  const setNumbers = (next: typeof numbers) => keep({ draft, numbers: next });
  const carriers = useCarriers().data ?? [];
  const change = useChangeVehicle();
  const put = useKeep(change);
  const bad = anyWrong(numbers);
  const field = (key: keyof typeof numbers, label: string, unit?: string) => (
    <Field
      name={key}
      label={label}
      unit={unit}
      value={numbers[key]}
      onChange={(v) => setNumbers({ ...numbers, [key]: v })}
      problem={Number.isNaN(typedOrNone(numbers[key])) ? 'a number alone' : undefined}
    />
  );
  const ofCarrier = regions.filter((r) => r.carrier === draft.carrier).map((r) => r.region);
  return (
    <>
      <div className="form-grid">
        <FieldFrame id="vehicle-carrier" label="Carrier">
          <AutoComplete
            id="vehicle-carrier"
            value={draft.carrier ?? ''}
            options={carriers.map((c) => ({ value: c.name }))}
            onChange={(carrier: string) => setDraft({ ...draft, carrier, region: null })}
          />
        </FieldFrame>
        <FieldFrame id="vehicle-region" label="Region">
          <Select
            id="vehicle-region"
            allowClear
            placeholder="all that are entered"
            value={draft.region ?? undefined}
            options={ofCarrier.map((value) => ({ value }))}
            onChange={(region: string | undefined) => setDraft({ ...draft, region: region ?? null })}
          />
        </FieldFrame>
        {field('budget', 'Budget', draft.currency ?? undefined)}
        <Field
          name="currency"
          label="Prices are in"
          placeholder="€"
          value={draft.currency ?? ''}
          onChange={(currency) => setDraft({ ...draft, currency })}
        />
        {field('uploadGb', 'Usual upload', 'GB')}
        <FieldFrame id="vehicle-features" label="Must-haves" className="span2">
          <Select
            id="vehicle-features"
            mode="multiple"
            value={draft.features}
            options={vehicle.allFeatures.map((value) => ({ value }))}
            onChange={(features) => setDraft({ ...draft, features })}
          />
        </FieldFrame>
        <FieldFrame id="vehicle-body" label="Vehicle body">
          <Select
            id="vehicle-body"
            value={draft.body}
            options={vehicle.bodies.map((value) => ({ value }))}
            onChange={(body) => setDraft({ ...draft, body })}
          />
        </FieldFrame>
        {field('heightM', 'Vehicle height', 'm')}
        {field('limitM', 'Height limit when driving', 'm')}
        {field('batteryAh', 'Battery', 'Ah')}
        {field('batteryV', 'Voltage', 'V')}
        {field('hoursADay', 'Equipment is on', 'h a day')}
      </div>
      <Button
        type="primary"
        disabled={bad}
        loading={change.isPending}
        onClick={() =>
          put(
            changed({
              ...draft,
              heightM: typedOrNone(numbers.heightM) ?? 0,
              limitM: typedOrNone(numbers.limitM),
              batteryAh: typedOrNone(numbers.batteryAh) ?? 0,
              batteryV: typedOrNone(numbers.batteryV) ?? 0,
              hoursADay: typedOrNone(numbers.hoursADay) ?? 0,
              budget: typedOrNone(numbers.budget),
              uploadGb: typedOrNone(numbers.uploadGb),
            }),
            forget,
          )
        }
      >
        Save
      </Button>
      {kept && (
        <Button type="link" onClick={forget}>
          Discard changes
        </Button>
      )}
    </>
  );
}
