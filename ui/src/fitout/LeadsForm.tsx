import { Select } from 'antd';
import type { Fitout, Reckoned, RoofPlan } from '../data/fitout';
import { fixed } from '../format/numbers';
import { drawnLength, drawnUnit, length, useUnits } from '../format/units';
import { FieldFrame } from '../parts/Field';
import { Part } from '../parts/Sheet';
import { Num } from './Num';

type Cable = NonNullable<RoofPlan['cable']>;
type Leads = NonNullable<RoofPlan['leads']>;

/** The way of the leads: how long they have to be, and what that loses. */
export function RunForm(props: {
  plan: RoofPlan;
  fitout: Fitout;
  reckoned: Reckoned | undefined;
  change: (next: RoofPlan, step: string) => void;
}) {
  const { plan, fitout, reckoned, change } = props;
  const { system } = useUnits();
  const first: Cable = {
    cableClass: null,
    leadM: null,
    slackM: null,
    dripLoopM: null,
    dropM: null,
    entryX: null,
    entryY: null,
    deviceX: (reckoned?.lengthM ?? 4) / 2,
    deviceY: (reckoned?.widthM ?? 1.6) / 2,
  };
  const cable = plan.cable ?? first;
  const put = (part: Partial<Cable>, step: string) =>
    change({ ...plan, cable: { ...cable, ...part } }, `cable ${step}`);
  const num = (key: keyof Cable, label: string, usual?: number, required = false) => (
    <Num
      name={`cable-${key}`}
      label={label}
      unit="m"
      required={required}
      usual={usual}
      value={(cable[key] as number | null) ?? null}
      onChange={(value) => put({ [key]: value } as Partial<Cable>, key)}
    />
  );
  const run = reckoned?.run;
  return (
    <Part title="The leads" small="along the vehicle and across it, with slack and a drip loop">
      {run && (
        <p className={run.extensionM > 0 ? 'loss' : ''}>
          They have to reach <b>{length(run.wantedM, system)}</b> and are {length(run.leadM, system)}:{' '}
          {run.extensionM > 0 ? (
            <b>an extension of {length(run.extensionM, system)} for each.</b>
          ) : (
            `${length(run.leadM - run.wantedM, system)} to spare.`
          )}{' '}
          About {run.bands.map((b) => `${fixed(b.lossDb, 1)} dB on ${b.band}`).join(', ')}.
        </p>
      )}
      <div className="form-grid">
        <FieldFrame id="cable-class" label="Cable">
          <Select
            id="cable-class"
            value={cable.cableClass ?? '195-class'}
            options={fitout.cableClasses.map((value) => ({ value }))}
            onChange={(cableClass: string) => put({ cableClass }, 'class')}
          />
        </FieldFrame>
        {num('leadM', 'Length of each lead', 3)}
        {num('slackM', 'Slack', 0.3)}
        {num('dripLoopM', 'Drip loop', 0.2)}
        {num('dropM', 'Down to the router', 1)}
        {num('deviceX', 'Router, from the front', undefined, true)}
        {num('deviceY', 'Router, from the left', undefined, true)}
        <FieldFrame id="cable-entry" label="They go in">
          <Select
            id="cable-entry"
            value={cable.entryX === null ? 'beneath' : 'elsewhere'}
            options={[
              { value: 'beneath', label: 'beneath the antenna' },
              { value: 'elsewhere', label: 'elsewhere: a gland, an inlet, a duct' },
            ]}
            onChange={(where: string) =>
              put(
                where === 'beneath'
                  ? { entryX: null, entryY: null }
                  : { entryX: cable.deviceX, entryY: cable.deviceY },
                'entry',
              )
            }
          />
        </FieldFrame>
        {cable.entryX !== null && (
          <>
            {num('entryX', 'Way in, from the front')}
            {num('entryY', 'Way in, from the left')}
          </>
        )}
      </div>
    </Part>
  );
}

/** The hole for the leads, and where to measure for it on both sides. */
export function HoleForm(props: {
  plan: RoofPlan;
  reckoned: Reckoned | undefined;
  change: (next: RoofPlan, step: string) => void;
}) {
  const { plan, reckoned, change } = props;
  const { system } = useUnits();
  const leads: Leads = plan.leads ?? { count: 4, cableMm: 5, plugMm: 9, stemMm: null, ductMm: null };
  const num = (key: keyof Leads, label: string, unit: string, required = false) => (
    <Num
      name={`leads-${key}`}
      label={label}
      unit={unit}
      required={required}
      value={leads[key]}
      onChange={(value) => change({ ...plan, leads: { ...leads, [key]: value } }, `leads ${key}`)}
    />
  );
  const hole = reckoned?.hole;
  const passage = reckoned?.passage;
  const at = (m: number) => `${drawnLength(m, system)} ${drawnUnit(system)}`;
  return (
    <Part title="The hole" small="by how plugs and cables lie beside each other in it">
      {passage && (
        <p>
          <b>
            A hole of {fixed(passage.holeMm, 1)} mm
            {passage.sawMm === null ? '' : `: a saw of ${fixed(passage.sawMm, 0)} mm`}.
          </b>{' '}
          {passage.notes.join(' ')}
        </p>
      )}
      <div className="form-grid">
        {num('count', 'Leads', '', true)}
        {num('cableMm', 'Cable, across', 'mm', true)}
        {num('plugMm', 'Plug, across', 'mm', true)}
        {num('stemMm', 'The antenna’s own stem', 'mm')}
        {num('ductMm', 'Duct inside', 'mm')}
      </div>
      {hole && (
        <table className="plain rows hole">
          <caption>Measure twice: the check across must come out before anything is drilled</caption>
          <thead>
            <tr>
              <th></th>
              <th className="num">from the front</th>
              <th className="num">from the left</th>
              <th className="num">check: from the right</th>
              <th className="num">check: from the rear</th>
            </tr>
          </thead>
          <tbody>
            <tr>
              <td>outside</td>
              <td className="num" data-label="from the front">
                {at(hole.fromFrontM)}
              </td>
              <td className="num" data-label="from the left">
                {at(hole.fromLeftM)}
              </td>
              <td className="num" data-label="check: from the right">
                {at(hole.fromRightM)}
              </td>
              <td className="num" data-label="check: from the rear">
                {at(hole.fromRearM)}
              </td>
            </tr>
            <tr>
              <td>inside</td>
              <td className="num" data-label="from the front">
                {at(hole.insideFromFrontM)}
              </td>
              <td className="num" data-label="from the left">
                {at(hole.insideFromLeftM)}
              </td>
              <td data-label=""></td>
              <td data-label=""></td>
            </tr>
          </tbody>
        </table>
      )}
    </Part>
  );
}
