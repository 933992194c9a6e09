import { AutoComplete, Button, Select } from 'antd';
import type { Fitout, Assessment, RoofPlan } from '../data/fitout';
import { fixed } from '../format/numbers';
import { drawnLength, useUnits } from '../format/units';
import { FieldFrame } from '../parts/Field';
import { Part } from '../parts/Sheet';
import { Num } from './Num';

type Antenna = NonNullable<RoofPlan['antenna']>;

/** What an antenna is taken to measure until it is said. */
const FIRST: Antenna = {
  name: 'Antenna',
  lengthM: 0.2,
  widthM: 0.2,
  heightM: 0.1,
  clearanceM: null,
  groundPlaneM: null,
  plateM: null,
  fixing: null,
  holeMm: null,
  x: null,
  y: null,
};

/** The antenna that is to be placed: from the shelf, or by its measures. */
export function AntennaForm(props: {
  plan: RoofPlan;
  fitout: Fitout;
  change: (next: RoofPlan, step: string) => void;
}) {
  const { plan, fitout, change } = props;
  const antenna = plan.antenna;
  const put = (part: Partial<Antenna>, step: string) =>
    change({ ...plan, antenna: { ...(antenna ?? FIRST), ...part } }, step);
  /** What the sheet says comes with the name; what it does not say stays as it is. */
  const pick = (name: string) => {
    const sheet = fitout.antennas.find((a) => a.name === name);
    if (!sheet) {
      put({ name }, 'antenna name');
      return;
    }
    const cable = plan.cable ?? null;
    change(
      {
        ...plan,
        antenna: {
          ...(antenna ?? FIRST),
          name,
          heightM: sheet.heightM ?? antenna?.heightM ?? FIRST.heightM,
          groundPlaneM: sheet.groundPlaneM,
          holeMm: sheet.holeMm ?? null,
          ...(sheet.magnetic ? { fixing: 'magnet' } : {}),
        },
        cable: {
          cableClass: sheet.cableClass ?? cable?.cableClass ?? null,
          leadM: sheet.leadM ?? cable?.leadM ?? null,
          slackM: cable?.slackM ?? null,
          dripLoopM: cable?.dripLoopM ?? null,
          dropM: cable?.dropM ?? null,
          bends: cable?.bends ?? [],
          entryX: cable?.entryX ?? null,
          entryY: cable?.entryY ?? null,
          deviceX: cable?.deviceX ?? 1,
          deviceY: cable?.deviceY ?? 0.3,
        },
        leads:
          sheet.leads > 0
            ? {
                plugMm: 9,
                stemMm: null,
                ductMm: null,
                ...plan.leads,
                count: sheet.leads,
                cableMm: sheet.cableMm ?? plan.leads?.cableMm ?? 5,
              }
            : plan.leads,
      },
      'antenna',
    );
  };
  const num = (key: keyof Antenna, label: string, unit: string, usual?: number, required = false) => (
    <Num
      name={`antenna-${key}`}
      label={label}
      unit={unit}
      required={required}
      usual={usual}
      value={(antenna?.[key] as number | null) ?? null}
      onChange={(value) => put({ [key]: value } as Partial<Antenna>, `antenna ${key}`)}
    />
  );
  return (
    <Part id="antenna" title="The antenna" small="from your gear, or enter its size">
      <div className="form-grid">
        <FieldFrame id="antenna-name" label="Antenna">
          <AutoComplete
            id="antenna-name"
            value={antenna?.name ?? ''}
            placeholder="choose, or name one"
            options={fitout.antennas.map((a) => ({ value: a.name }))}
            onChange={pick}
          />
        </FieldFrame>
        {antenna && (
          <>
            <FieldFrame id="antenna-fixing" label="Fixed by">
              <Select
                id="antenna-fixing"
                value={antenna.fixing ?? fitout.fixings[0]?.key}
                options={fitout.fixings.map((f) => ({ value: f.key, label: f.label }))}
                onChange={(fixing: string) => put({ fixing }, 'fixing')}
              />
            </FieldFrame>
            {num('lengthM', 'Foot, length', 'm', undefined, true)}
            {num('widthM', 'Foot, width', 'm', undefined, true)}
            {num('heightM', 'Height', 'm', undefined, true)}
            {num('clearanceM', 'Clearance to other gear', 'm', fitout.usual.clearanceM)}
            {num('groundPlaneM', 'Ground plane, side', 'm', 0)}
            {num('plateM', 'Steel plate beneath, side', 'm', 0)}
            {num('holeMm', 'Hole beneath', 'mm', fitout.usual.holeMm)}
            {num('x', 'Position from the front', 'm')}
            {num('y', 'Position from the left', 'm')}
            <div className="beside-field">
              <Button
                aria-label="Remove the antenna"
                onClick={() => change({ ...plan, antenna: null }, 'antenna off')}
              >
                Remove
              </Button>
            </div>
          </>
        )}
      </div>
    </Part>
  );
}

/** The best places with what each costs; one tap puts the antenna there. */
export function Places(props: {
  plan: RoofPlan;
  assessment: Assessment;
  change: (next: RoofPlan, step: string) => void;
}) {
  const { plan, assessment, change } = props;
  const { system } = useUnits();
  const at = (m: number) => drawnLength(m, system);
  if (!plan.antenna || assessment.best.length === 0) {
    return null;
  }
  return (
    <Part title="The best places" small="estimated">
      {assessment.best.map((p, i) => (
        <div className="note place" key={`${p.x} ${p.y}`}>
          <div>
            <b>{i + 1}</b> {at(p.x)} from the front, {at(p.y)} from the left
          </div>
          <div className="small">{p.why}</div>
          {p.objection && <div className="small loss">{p.objection}</div>}
          <Button
            size="small"
            onClick={() =>
              plan.antenna && change({ ...plan, antenna: { ...plan.antenna, x: p.x, y: p.y } }, `place ${i}`)
            }
          >
            Place it here
            <span className="aloud">
              : {at(p.x)} from the front, {at(p.y)} from the left
            </span>
          </Button>
        </div>
      ))}
      {assessment.here && assessment.worse !== null && (
        <div className="note">
          <b>Where it is now</b>{' '}
          {assessment.worse === 'as good' ? 'is as good as the best.' : `costs: ${assessment.worse}.`} About{' '}
          {fixed(assessment.here.lossDb, 1)} dB in the cable.
        </div>
      )}
    </Part>
  );
}
