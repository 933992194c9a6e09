import { App, AutoComplete, Button, Popover } from 'antd';
import { type ReactNode, useState } from 'react';
import { Link } from 'react-router';
import type { Schemas } from '../data/client';
import { SetupLabel } from '../draw/Pennant';
import { useDemo, usePutDemoAway } from '../data/demo';
import { useStored } from '../data/useStored';
import { clock, dateClock, weekdayClock } from '../format/time';
import { useUnits } from '../format/units';
import { useTheme } from '../theme/useTheme';
import { useCampsites, useCarriers, useChangeStanding, useSetups, useStanding } from '../data/names';
import { useClose } from '../data/mending';
import { useNeeds } from '../data/rig';
import { IsNew } from '../parts/NameField';
import { useSettled } from '../parts/useSettled';

type Part = keyof Schemas['StandingRequest'];

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
  return (
    <header className="standing">
      <div className="sentence">
        Standing at{' '}
        <Choice part="campsite" title="Where do you stand?" names={campsites.data} value={line?.campsite}>
          {line ? (line.campsite ?? 'no campsite yet') : ON_ITS_WAY}
        </Choice>
        {line?.since && <span className="wide-only"> since {weekdayClock(line.since)}</span>}
        <span className="dot"> · </span>using{' '}
        <Choice
          part="setup"
          title="Which setup is in use?"
          names={setups.data?.filter((s) => !s.retired)}
          value={line?.setup?.name}
        >
          {line?.setup ? <SetupLabel setup={line.setup} /> : line ? 'no setup yet' : ON_ITS_WAY}
        </Choice>{' '}
        on{' '}
        <Choice part="carrier" title="Which carrier is in use?" names={carriers.data} value={line?.carrier}>
          {line ? (line.carrier ?? 'no carrier yet') : ON_ITS_WAY}
        </Choice>
        <span className="dot"> · </span>need{' '}
        <Link className="bold-part" to="/rig?part=need">
          {needs ? needs.map((n) => n.name).join(' and ') || 'not said yet' : ON_ITS_WAY}
        </Link>
        {line?.elsewhere && <Elsewhere last={line.elsewhere} standing={line.campsite !== null} />}
      </div>
      <div className="standing-end">
        {line && <span className="wide-only">{clock(line.now)} · </span>}
        <Button type="link" size="small" onClick={find}>
          Find <kbd>/</kbd>
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

/** Says that this is the demo, and puts it away. */
function PutDemoAway() {
  const demo = useDemo();
  const away = usePutDemoAway();
  const { modal, message } = App.useApp();
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
          title: 'Put the demo away?',
          icon: null,
          content:
            'The log and the rig are empty then, ready for your own. What you added to the demo goes with it; export it first if you want to keep it.',
          okText: 'Put it away',
          cancelText: 'Leave it',
          onOk: () => away.mutate(undefined, { onError: (refused) => void message.error(refused.message) }),
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
  const { message } = App.useApp();
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
          change.mutate(
            { campsite: last.campsite },
            { onError: (refused) => void message.error(refused.message) },
          )
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
        <Chooser
          part={props.part}
          names={props.names?.map((n) => n.name) ?? []}
          value={props.value ?? ''}
          done={() => setOpen(false)}
        />
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

function Chooser(props: { part: Part; names: string[]; value: string; done: () => void }) {
  const [text, setText] = useState(props.value);
  const close = useClose(props.part, useSettled(props.names.includes(text.trim()) ? '' : text.trim(), 250));
  const change = useChangeStanding();
  const { message } = App.useApp();
  const save = () =>
    change.mutate(
      { [props.part]: text },
      { onSuccess: props.done, onError: (refused) => void message.error(refused.message) },
    );
  return (
    <div className="chooser">
      <AutoComplete
        autoFocus
        defaultOpen={props.names.length > 0}
        value={text}
        onChange={setText}
        options={props.names.map((value) => ({ value }))}
        showSearch={{
          filterOption: (typed, option) =>
            text === props.value || !!option?.value.toLowerCase().includes(typed.toLowerCase()),
        }}
        placeholder="choose, or type a new name"
      />
      <Button type="primary" disabled={!text.trim()} loading={change.isPending} onClick={save}>
        {props.names.includes(text.trim()) ? 'Use' : 'Add and use'}
      </Button>
      {!props.names.includes(text.trim()) && text.trim() !== '' && (
        <p className="quiet">
          <IsNew close={close} take={setText} />
        </p>
      )}
      {props.part === 'campsite' && (
        <p className="quiet">Another campsite ends this stay and begins one now.</p>
      )}
    </div>
  );
}
