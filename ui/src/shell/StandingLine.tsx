import { App, Button, Popover } from 'antd';
import { lazy, type ReactNode, Suspense, useState } from 'react';
import { Link } from 'react-router';
import type { Schemas } from '../data/client';
import { SetupLabel } from '../draw/Pennant';
import { useDemo, usePutDemoAway } from '../data/demo';
import { usePlanUse } from '../data/measure';
import { useStored } from '../data/useStored';
import { amount, plain } from '../format/numbers';
import { clock, dateClock, weekdayClock } from '../format/time';
import { useUnits } from '../format/units';
import { useTheme } from '../theme/useTheme';
import { useCampsites, useCarriers, useChangeStanding, useSetups, useStanding } from '../data/names';
import { useNeeds } from '../data/rig';
import type { Part } from './Chooser';
import { useFailed } from '../parts/useFailed';

const Chooser = lazy(async () => ({ default: (await import('./Chooser')).Chooser }));

/** Stands where a name will stand. */
const ON_ITS_WAY = '…';

/** Where the vehicle stands and what is in use, as one sentence whose bold parts change it. */
export function StandingLine({ find }: { find: () => void }) {
  const { data: line } = useStanding();
  const { name, toggle } = useTheme();
  const campsites = useCampsites();
  const setups = useSetups();
  const carriers = useCarriers();
  const units = useUnits();
  const needs = useNeeds().data?.needs.filter((n) => n.chosen);
  const needed = needs ? needs.map((n) => n.name).join(' and ') || 'not said yet' : ON_ITS_WAY;
  /** On a phone what is rarely changed is folded away. */
  const [more, setMore] = useState(false);
  return (
    <header className="standing">
      <div className="sentence">
        <span className="wide-only">Standing at </span>
        <Choice part="campsite" title="Where do you stand?" names={campsites.data} value={line?.campsite}>
          {line ? (line.campsite ?? 'no campsite yet') : ON_ITS_WAY}
        </Choice>
        {line?.since && <span className="wide-only"> since {weekdayClock(line.since)}</span>}
        <span className="dot"> · </span>
        <span className="wide-only">using </span>
        <Choice
          part="setup"
          title="Which setup is in use?"
          names={setups.data?.filter((s) => !s.retired)}
          value={line?.setup?.name}
        >
          {line?.setup ? <SetupLabel setup={line.setup} /> : line ? 'no setup yet' : ON_ITS_WAY}
        </Choice>
        <span className="wide-only"> on </span>
        <span className="narrow-only"> · </span>
        <Choice part="carrier" title="Which carrier is in use?" names={carriers.data} value={line?.carrier}>
          {line ? (line.carrier ?? 'no carrier yet') : ON_ITS_WAY}
        </Choice>
        <span className="wide-only">
          <span className="dot"> · </span>need{' '}
          <Link className="bold-part" to="/gear?part=need">
            {needed}
          </Link>
        </span>
        <Left carrier={line?.carrier} />
        {line && (
          <>
            <span className="dot"> · </span>
            {line.over && 'that stay is over: '}
            <Link to="/arrive">{line.over ? 'where are you now?' : 'Arrived?'}</Link>
            {line.campsite !== null && !line.over && (
              <>
                <span className="dot"> · </span>
                <Link to="/leave">Leave</Link>
              </>
            )}
          </>
        )}
        <Button
          type="link"
          size="small"
          className="narrow-only"
          aria-expanded={more}
          onClick={() => setMore(!more)}
        >
          {more ? 'Less' : 'More'}
        </Button>
        {line?.elsewhere && <Elsewhere last={line.elsewhere} standing={line.campsite !== null} />}
      </div>
      <div className={more ? 'standing-end' : 'standing-end closed'}>
        <Link className="end-link narrow-only" to="/gear?part=need">
          Need: {needed}
        </Link>
        {line && <span className="wide-only">{clock(line.now)} · </span>}
        <Button type="link" size="small" onClick={find}>
          Find <kbd aria-hidden="true">/</kbd>
        </Button>
        <PutDemoAway />
        <Link to="/devices" className="end-link">
          Devices
        </Link>
        <Button type="link" size="small" onClick={units.toggle}>
          Units: {units.system}
        </Button>
        <Button type="link" size="small" onClick={toggle}>
          Light: {name === 'paper' ? 'day' : 'lamp'}
        </Button>
      </div>
    </header>
  );
}

/** What is left of the plan of the carrier in use; no more than that, or about, as its own counter was read. */
function Left({ carrier }: { carrier: string | null | undefined }) {
  const use = usePlanUse(carrier).data;
  if (!use || use.leftGb === null || use.allowanceGb === null) {
    return null;
  }
  return (
    <>
      <span className="dot"> · </span>
      <Link className="bold-part" to="/logbook?part=ledger" title={use.sentence}>
        {use.counterAt === null ? 'at most ' : use.isAbout && 'about '}
        {amount(use.leftGb)} of {plain(use.allowanceGb)} GB
      </Link>{' '}
      left
    </>
  );
}

/** Says that this is the demo, and puts it away. */
function PutDemoAway() {
  const demo = useDemo();
  const away = usePutDemoAway();
  const { modal } = App.useApp();
  const failed = useFailed();
  if (!demo?.shown) {
    return null;
  }
  return (
    <Button
      type="link"
      size="small"
      loading={away.isPending}
      onClick={() =>
        modal.confirm({
          title: 'Remove the demo?',
          icon: null,
          content:
            'Log and gear will be empty, ready for your own. What you added to the demo is removed too, so export it first.',
          okText: 'Remove',
          cancelText: 'Cancel',
          onOk: () => away.mutate(undefined, { onError: (refused) => failed(refused.message) }),
        })
      }
    >
      Demo
    </Button>
  );
}

/** Asks whether the vehicle stands where something was measured last. */
function Elsewhere({ last, standing }: { last: Schemas['Elsewhere']; standing: boolean }) {
  const [answered, setAnswered] = useStored('standing.asked', '');
  const change = useChangeStanding();
  const failed = useFailed();
  if (answered === last.at) {
    return null;
  }
  return (
    <div className="elsewhere">
      You last measured at <b>{last.campsite}</b>, {dateClock(last.at)}: are you{' '}
      {standing ? 'there now' : 'still there'}?{' '}
      <Button
        size="small"
        loading={change.isPending}
        onClick={() =>
          change.mutate({ campsite: last.campsite }, { onError: (refused) => failed(refused.message) })
        }
      >
        Yes
      </Button>{' '}
      <Button size="small" type="link" onClick={() => setAnswered(last.at)}>
        No
      </Button>
    </div>
  );
}

function Choice(props: {
  part: Part;
  title: string;
  names: { name: string }[] | undefined;
  value: string | null | undefined;
  children: ReactNode;
}) {
  const [open, setOpen] = useState(false);
  return (
    <Popover
      open={open}
      onOpenChange={setOpen}
      trigger="click"
      placement="bottomLeft"
      title={props.title}
      destroyOnHidden
      content={
        <Suspense>
          <Chooser
            part={props.part}
            names={props.names?.map((n) => n.name) ?? []}
            value={props.value ?? ''}
            done={() => setOpen(false)}
          />
        </Suspense>
      }
    >
      <button
        type="button"
        className="bold-part"
        aria-label={`${props.part}: ${props.value ?? 'not chosen'}`}
      >
        {props.children}
      </button>
    </Popover>
  );
}
