import { Button, Select } from 'antd';
import { Link } from 'react-router';
import { type Fitout, type Assessment, type RoofPlan, useExtend } from '../data/fitout';
import { fixed } from '../format/numbers';
import { drawnLength, length, millimetres, useUnits } from '../format/units';
import { FieldFrame } from '../parts/Field';
import { Failed } from '../parts/Loaded';
import { Part } from '../parts/Sheet';
import { firstCable, taken } from './drawn';
import { Num } from './Num';

type Cable = NonNullable<RoofPlan['cable']>;
type Leads = NonNullable<RoofPlan['leads']>;

const MM_PER_M = 1_000;

/** The way of the leads: how long they have to be, and what that loses. */
export function RunForm(props: {
  plan: RoofPlan;
  fitout: Fitout;
  assessment: Assessment | undefined;
  id: number;
  /** Whether what is drawn is kept: what goes on from it goes on from what is kept. */
  saved: boolean;
  change: (next: RoofPlan, step: string) => void;
}) {
  const { plan, fitout, assessment, change } = props;
  const { system } = useUnits();
  const cable = plan.cable ?? firstCable(assessment);
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
  const run = assessment?.run;
  return (
    <Part id="leads" title="The leads" small="along the vehicle and across it, with slack and a drip loop">
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
            value={cable.cableClass ?? fitout.usual.cableClass}
            options={fitout.cableClasses.map((value) => ({ value }))}
            onChange={(cableClass: string) => put({ cableClass }, 'class')}
          />
        </FieldFrame>
        {num('leadM', 'Length of each lead', fitout.usual.leadM)}
        {num('slackM', 'Slack', fitout.usual.slackM)}
        {num('dripLoopM', 'Drip loop', fitout.usual.dripLoopM)}
        {num('dropM', 'Down to the router', fitout.usual.dropM)}
        {num('deviceX', 'Router, from the front', undefined, true)}
        {num('deviceY', 'Router, from the left', undefined, true)}
        {cable.entryX !== null && (
          <>
            {num('entryX', 'Entry, from the front')}
            {num('entryY', 'Entry, from the left')}
          </>
        )}
        {cable.bends.map((bend, i) => (
          <BendOf
            key={i}
            at={i}
            bend={bend}
            put={(part) =>
              put(
                { bends: cable.bends.map((b, k) => (k === i ? { ...b, ...part } : b)) },
                `bend ${i} ${Object.keys(part).join()}`,
              )
            }
            remove={() => put({ bends: cable.bends.filter((_, k) => k !== i) }, `bend ${i} off`)}
          />
        ))}
      </div>
      <div className="buttons">
        <Button
          onClick={() => {
            const last = cable.bends.at(-1) ?? { x: cable.deviceX - 0.4, y: cable.deviceY };
            put({ bends: [...cable.bends, { x: last.x, y: last.y + 0.2 }] }, `bend ${cable.bends.length}`);
          }}
        >
          Add a bend
        </Button>
        {cable.entryX === null && (
          <Button onClick={() => put({ entryX: cable.deviceX, entryY: cable.deviceY }, 'entry')}>
            Use another entry
          </Button>
        )}
      </div>
      {assessment && plan.cable && <WaysIn plan={plan} cable={cable} assessment={assessment} put={put} />}
      {run && run.extensionM > 0 && (
        <IntoSetup plan={plan} fitout={fitout} id={props.id} saved={props.saved} />
      )}
    </Part>
  );
}

/** A corner that the leads go round inside. */
function BendOf(props: {
  at: number;
  bend: { x: number; y: number };
  put: (part: { x: number } | { y: number }) => void;
  remove: () => void;
}) {
  const { at, bend } = props;
  return (
    <>
      <Num
        name={`bend-${at}-x`}
        label={`Bend ${at + 1}, from the front`}
        unit="m"
        required
        value={bend.x}
        onChange={(x) => props.put({ x: x ?? 0 })}
      />
      <Num
        name={`bend-${at}-y`}
        label={`Bend ${at + 1}, from the left`}
        unit="m"
        required
        value={bend.y}
        onChange={(y) => props.put({ y: y ?? 0 })}
      />
      <div className="beside-field">
        <Button onClick={props.remove}>Remove the bend</Button>
      </div>
    </>
  );
}

/** The ways in that there are, those that need no hole first; one tap takes one. */
function WaysIn(props: {
  plan: RoofPlan;
  cable: Cable;
  assessment: Assessment;
  put: (part: Partial<Cable>, step: string) => void;
}) {
  const { plan, cable, assessment, put } = props;
  const here = taken(plan, assessment);
  if (assessment.ways.length < 2 && cable.entryX === null) {
    return (
      <p className="small">
        You already have an inlet, a prep plate or a duct? Add it to the roof as an existing cable entry, and
        it is offered here: it needs no hole.
      </p>
    );
  }
  return (
    <>
      {assessment.ways.map((way) => {
        const isTaken = way === here;
        return (
          <div className="note way" key={way.inlet ?? ''}>
            <div>
              {way.says} About {fixed(way.lossDb, 1)} dB in the cable.
            </div>
            <Button
              size="small"
              disabled={isTaken}
              onClick={() =>
                put(
                  way.inlet === null ? { entryX: null, entryY: null } : { entryX: way.x, entryY: way.y },
                  `way ${way.inlet}`,
                )
              }
            >
              {isTaken ? 'The cables enter here' : 'Use this entry'}
            </Button>
          </div>
        );
      })}
    </>
  );
}

/** The extension goes into a setup that has the antenna, so that its staircase loses what the cable will. */
function IntoSetup(props: { plan: RoofPlan; fitout: Fitout; id: number; saved: boolean }) {
  const { plan, fitout } = props;
  const extend = useExtend(props.id);
  const setups = fitout.antennas.find((a) => a.name === plan.antenna?.name)?.setups ?? [];
  if (setups.length === 0) {
    return null;
  }
  return (
    <>
      <div className="buttons">
        {setups.map((name) => (
          <Button
            key={name}
            disabled={!props.saved}
            loading={extend.isPending}
            onClick={() => extend.mutate(name)}
          >
            Add the extension to {name}
          </Button>
        ))}
      </div>
      {extend.data && (
        <p role="status">
          {extend.data.name} now has {extend.data.cable}, still to buy:{' '}
          <Link to={`/gear?setup=${extend.data.setup}`}>what its staircase loses</Link>.
        </p>
      )}
      {extend.error && <Failed error={extend.error} />}
    </>
  );
}

/** The hole for the leads, and where to measure for it on both sides. */
export function HoleForm(props: {
  plan: RoofPlan;
  assessment: Assessment | undefined;
  change: (next: RoofPlan, step: string) => void;
}) {
  const { plan, assessment, change } = props;
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
  const hole = assessment?.hole;
  const passage = assessment?.passage;
  const inlet = assessment && taken(plan, assessment)?.inlet;
  const wallM = (assessment?.wallMm ?? 0) / MM_PER_M;
  const put = (part: { x: number } | { y: number }, axis: string) =>
    plan.antenna &&
    hole &&
    change(
      { ...plan, antenna: { ...plan.antenna, x: hole.fromFrontM, y: hole.fromLeftM, ...part } },
      `hole ${axis}`,
    );
  const at = (m: number) => drawnLength(m, system);
  return (
    <Part id="hole" title="The hole" small="by how plugs and cables lie beside each other in it">
      {inlet != null && (
        <p>
          <b>No new hole: the leads go in by {inlet}.</b>
        </p>
      )}
      {passage && inlet == null && (
        <p>
          <b>
            A hole of {millimetres(passage.holeMm, system)}
            {passage.sawMm === null ? '' : `: a saw of ${millimetres(passage.sawMm, system, 0)}`}.
          </b>{' '}
          {!passage.passes && <span className="loss">{passage.notes[0]} </span>}
          {passage.notes.slice(passage.passes ? 0 : 1).join(' ')}
        </p>
      )}
      <div className="form-grid">
        {num('count', 'Leads', '', true)}
        {num('cableMm', 'Cable, across', 'mm', true)}
        {num('plugMm', 'Plug, across', 'mm', true)}
        {num('stemMm', 'The antenna’s threaded stud', 'mm')}
        {num('ductMm', 'Duct inside', 'mm')}
        {hole && plan.antenna && (
          <>
            <Num
              name="hole-inside-front"
              label="Inside, from the front wall"
              unit="m"
              required
              value={hole.insideFromFrontM}
              onChange={(m) => put({ x: (m ?? 0) + wallM }, 'x')}
            />
            <Num
              name="hole-inside-left"
              label="Inside, from the left wall"
              unit="m"
              required
              value={hole.insideFromLeftM}
              onChange={(m) => put({ y: (m ?? 0) + wallM }, 'y')}
            />
          </>
        )}
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
