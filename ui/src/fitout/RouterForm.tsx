import { Button, Checkbox, Select } from 'antd';
import type { Fitout, Assessment, RoofPlan } from '../data/fitout';
import { fixed } from '../format/numbers';
import { length, useUnits, wire } from '../format/units';
import { Field, FieldFrame } from '../parts/Field';
import { Part } from '../parts/Sheet';
import { firstCable } from './drawn';
import { Num } from './Num';

type Router = NonNullable<RoofPlan['router']>;
type Reach = Router['reach'][number];
type Power = NonNullable<RoofPlan['power']>;

interface Props {
  plan: RoofPlan;
  fitout: Fitout;
  assessment: Assessment | undefined;
  change: (next: RoofPlan, step: string) => void;
}

/** Where a bunk and an awning usually are. */
const firstReach = (lengthM: number, widthM: number): Reach[] => [
  { name: 'Bunk', x: lengthM - 0.5, y: widthM / 2, outside: false, walls: 1 },
  { name: 'Under the awning', x: lengthM / 2, y: widthM + 1.2, outside: true, walls: 0 },
];

/** The place of the router: its Wi-Fi where it is wanted, its heat, its SIM. */
export function RouterForm({ plan, assessment, change }: Props) {
  const { system } = useUnits();
  const { router } = plan;
  const judged = assessment?.router;
  if (!router) {
    return (
      <Part id="router" title="The router’s place" small="its Wi-Fi, its heat, its SIM">
        <div className="buttons">
          <Button
            onClick={() =>
              change(
                {
                  ...plan,
                  cable: plan.cable ?? firstCable(assessment),
                  router: {
                    closed: false,
                    sunny: false,
                    simInReach: true,
                    ratedC: null,
                    reach: firstReach(assessment?.lengthM ?? 4, assessment?.widthM ?? 1.6),
                  },
                },
                'router',
              )
            }
          >
            Check its place
          </Button>
        </div>
      </Part>
    );
  }
  const put = (part: Partial<Router>, step: string) =>
    change({ ...plan, router: { ...router, ...part } }, `router ${step}`);
  const reach = (i: number, part: Partial<Reach>, step: string) =>
    put({ reach: router.reach.map((r, k) => (k === i ? { ...r, ...part } : r)) }, `reach ${i} ${step}`);
  const tick = (key: 'closed' | 'sunny' | 'simInReach', label: string) => (
    <Checkbox checked={router[key] === true} onChange={(e) => put({ [key]: e.target.checked }, key)}>
      {label}
    </Checkbox>
  );
  return (
    <Part id="router" title="The router’s place" small="estimated">
      {judged?.notes.map((note) => (
        <p key={note}>{note}</p>
      ))}
      {judged && judged.reach.length > 0 && (
        <table className="plain rows">
          <thead>
            <tr>
              <th>Its Wi-Fi reaches</th>
              <th className="num">away</th>
              <th className="num">2.4 GHz</th>
              <th className="num">5 GHz</th>
              <th>enough for</th>
            </tr>
          </thead>
          <tbody>
            {judged.reach.map((r, i) => (
              <tr key={i}>
                <td>{r.name}</td>
                <td className="num" data-label="away">
                  {length(Math.round(r.awayM * 10) / 10, system)}
                </td>
                <td className="num" data-label="2.4 GHz">
                  about {fixed(r.lowDbm, 0)} dBm
                </td>
                <td className="num" data-label="5 GHz">
                  about {fixed(r.highDbm, 0)} dBm
                </td>
                <td data-label="enough for">{r.good}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <div className="ticks">
        {tick('closed', 'In a closed cupboard')}
        {tick('sunny', 'Against an outer wall in the sun')}
        {tick('simInReach', 'Its SIM can be reached there')}
      </div>
      <div className="form-grid">
        <Num
          name="router-rated"
          label="Its maker allows up to"
          unit="°C"
          value={router.ratedC}
          onChange={(ratedC) => put({ ratedC }, 'rated')}
        />
      </div>
      {router.reach.map((r, i) => (
        <div className="form-grid reach-form" key={i}>
          <Field
            name={`reach-${i}`}
            label="Wi-Fi wanted at"
            value={r.name}
            onChange={(name) => reach(i, { name }, 'name')}
          />
          <Num
            name={`reach-${i}-walls`}
            label="Walls of furniture between"
            value={r.walls}
            usual={0}
            onChange={(walls) => reach(i, { walls: walls === null ? null : Math.round(walls) }, 'walls')}
          />
          <div className="beside-field">
            <Checkbox
              checked={r.outside === true}
              onChange={(e) => reach(i, { outside: e.target.checked }, 'outside')}
            >
              Outside
            </Checkbox>
          </div>
          <div className="beside-field">
            <Button
              aria-label={`Remove ${r.name}`}
              onClick={() => put({ reach: router.reach.filter((_, k) => k !== i) }, `reach ${i} off`)}
            >
              Remove
            </Button>
          </div>
        </div>
      ))}
      <div className="buttons">
        <Button
          onClick={() =>
            put(
              {
                reach: [
                  ...router.reach,
                  { name: `Place ${router.reach.length + 1}`, x: 1, y: 0.8, outside: false, walls: 0 },
                ],
              },
              `reach ${router.reach.length}`,
            )
          }
        >
          Another place
        </Button>
        <Button type="link" onClick={() => change({ ...plan, router: null }, 'router off')}>
          Stop checking it
        </Button>
      </div>
    </Part>
  );
}

/** What feeds the router: how, over which wire, behind which fuse. */
export function PowerForm({ plan, fitout, assessment, change }: Props) {
  const { system } = useUnits();
  const { power } = plan;
  const fed = assessment?.fed;
  const first: Power = {
    device: fitout.devices[0]?.name ?? null,
    peakW: null,
    sourceX: (assessment?.lengthM ?? 4) * 0.8,
    sourceY: (assessment?.widthM ?? 1.6) * 0.85,
    wayM: null,
    wireMm2: null,
  };
  if (!power) {
    return (
      <Part id="supply" title="Its supply" small="wire, fuse, what is lost on the way">
        <div className="buttons">
          <Button
            onClick={() =>
              change({ ...plan, cable: plan.cable ?? firstCable(assessment), power: first }, 'power')
            }
          >
            Add the battery
          </Button>
        </div>
      </Part>
    );
  }
  const put = (part: Partial<Power>, step: string) =>
    change({ ...plan, power: { ...power, ...part } }, `power ${step}`);
  const sheet = fitout.devices.find((d) => d.name === power.device);
  return (
    <Part id="supply" title="Its supply" small="from the battery to the router, there and back">
      {fed && (
        <p className="action">
          {fed.supply}.{' '}
          {fed.wireMm2 === null || fed.awg === null || fed.amps === null ? (
            fed.amps === null ? (
              'Its power draw is unknown. Enter it here to get wire and fuse.'
            ) : (
              `No wire carries ${fixed(fed.amps, 1)} A that far. Shorten the run, or use a higher voltage.`
            )
          ) : (
            <>
              {wire(fed.wireMm2, fed.awg, system)} over {length(fed.wayM, system)}, fused at{' '}
              {fed.fuseA === null ? '–' : fixed(fed.fuseA, 0)} A at the battery: {fixed(fed.amps, 1)} A at
              most, {fed.dropV === null ? '–' : fixed(fed.dropV, 2)} V voltage drop.
            </>
          )}
        </p>
      )}
      {fed?.notes.map((note) => (
        <p key={note}>{note}</p>
      ))}
      <div className="form-grid">
        <FieldFrame id="power-device" label="What it powers">
          <Select
            id="power-device"
            value={power.device}
            options={fitout.devices.map((d) => ({ value: d.name }))}
            onChange={(device: string) => put({ device, peakW: null }, 'device')}
          />
        </FieldFrame>
        <Num
          name="power-peak"
          label="Maximum draw"
          unit="W"
          usual={sheet?.mostW ?? undefined}
          value={power.peakW}
          onChange={(peakW) => put({ peakW }, 'peak')}
        />
        <Num
          name="power-way"
          label="Wire, one way"
          unit="m"
          usual={fed?.wayM}
          value={power.wayM}
          onChange={(wayM) => put({ wayM }, 'way')}
        />
        <FieldFrame id="power-wire" label="Existing wire">
          <Select
            id="power-wire"
            allowClear
            value={power.wireMm2}
            placeholder="none yet"
            options={fitout.wires.map((w) => ({ value: w.mm2, label: wire(w.mm2, w.awg, system) }))}
            onChange={(wireMm2: number | undefined) => put({ wireMm2: wireMm2 ?? null }, 'wire')}
          />
        </FieldFrame>
        <Num
          name="power-x"
          label="Battery, from the front"
          unit="m"
          required
          value={power.sourceX}
          onChange={(sourceX) => put({ sourceX: sourceX ?? 0 }, 'x')}
        />
        <Num
          name="power-y"
          label="Battery, from the left"
          unit="m"
          required
          value={power.sourceY}
          onChange={(sourceY) => put({ sourceY: sourceY ?? 0 }, 'y')}
        />
        <div className="beside-field">
          <Button
            aria-label="Remove the battery"
            onClick={() => change({ ...plan, power: null }, 'power off')}
          >
            Remove
          </Button>
        </div>
      </div>
      <p className="small">
        Isolate the battery first. A switch you can reach belongs behind the fuse, so that the router is off
        when the engine starts or nobody is there.
      </p>
    </Part>
  );
}
