import { Button, InputNumber, Modal, Select, Switch } from 'antd';
import { useState } from 'react';
import type { Schemas } from '../data/client';
import { shownUnit, useUnits } from '../format/units';
import { useAfterTheDrive, useCorrectState, useRigState } from '../data/rigState';
import './whereabouts.css';
import { useFailed } from '../parts/useFailed';

type State = Schemas['StateView'];

const NOWHERE = '';
const HIGHEST_M = 15;

/** After a drive of which nobody has said what was taken down: asks about the mast. */
export function AfterTheDrive() {
  const asked = useRigState().data?.asked;
  const answer = useAfterTheDrive();
  const failed = useFailed();
  if (!asked) {
    return null;
  }
  const say = (down: boolean) => () => answer.mutate(down, { onError: (refused) => failed(refused.message) });
  return (
    <div className="heed" role="group" aria-label="Is the mast down?">
      <b>{asked.says}</b>{' '}
      <span className="buttons">
        <Button loading={answer.isPending} onClick={say(true)}>
          Yes, it is down
        </Button>
        <Button onClick={say(false)}>No, it is still up</Button>
      </span>
    </div>
  );
}

/** Opens what is where, to be looked at and corrected. */
export function WhatIsWhere() {
  const [open, setOpen] = useState(false);
  const state = useRigState().data;
  return !state || (state.antennas.length === 0 && state.sims.length === 0) ? null : (
    <>
      <Button type="link" size="small" onClick={() => setOpen(true)}>
        What is where
      </Button>
      {open && <Correction state={state} close={() => setOpen(false)} />}
    </>
  );
}

function Correction(props: { state: State; close: () => void }) {
  const metres = shownUnit('m', useUnits().system);
  const { close } = props;
  // what is corrected is what was looked at, also when it is read again meanwhile
  const [state] = useState(props.state);
  const [draft, setDraft] = useState(state);
  const correct = useCorrectState();
  const failed = useFailed();
  const save = () =>
    correct.mutate(
      {
        // what nobody touched stays as it is, unknown where it was unknown
        antennas: draft.antennas.filter((a, i) => a !== state.antennas[i]),
        sims: draft.sims
          .filter((s, i) => s !== state.sims[i])
          .map(({ name, device, active }) => ({ name, device, active })),
        devices: draft.devices.filter((d, i) => d !== state.devices[i]),
        boosterOn: draft.boosterOn,
      },
      {
        onSuccess: close,
        onError: (refused) => failed(refused.message),
      },
    );
  const antenna = (at: number, part: Partial<State['antennas'][number]>) =>
    setDraft({ ...draft, antennas: draft.antennas.map((a, i) => (i === at ? { ...a, ...part } : a)) });
  // a device uses one SIM at a time
  const sim = (at: number, part: Partial<State['sims'][number]>) =>
    setDraft({
      ...draft,
      sims: draft.sims.map((s, i) =>
        i === at
          ? { ...s, ...part }
          : part.active && s.active && s.device === draft.sims[at]?.device
            ? { ...s, active: false }
            : s,
      ),
    });
  return (
    <Modal
      open
      onCancel={close}
      title="What is where now"
      okText="Save"
      onOk={save}
      confirmLoading={correct.isPending}
      className="whereabouts"
    >
      <p className="small">
        Advice and run sheets start from this. It follows what you use, take down and measure.
        {state.inUse && ` In use: ${state.inUse}.`}
      </p>
      {draft.antennas.map((a, i) => (
        <div className="thing" key={a.name}>
          <span className="name">{a.name}</span>
          <Select
            aria-label={`What the leads of ${a.name} are on`}
            value={a.at ?? NOWHERE}
            onChange={(at) => antenna(i, { at: at === NOWHERE ? null : at })}
            options={[
              { value: NOWHERE, label: 'not plugged in' },
              ...draft.leadsGoTo.map((name) => ({ value: name, label: `on ${name}` })),
            ]}
          />
          <InputNumber
            aria-label={`Height of ${a.name} above the roof in ${metres.unit}`}
            value={metres.shown(a.raisedM)}
            min={0}
            max={metres.shown(HIGHEST_M)}
            step={0.5}
            suffix={`${metres.unit} up`}
            onChange={(raised) => antenna(i, { raisedM: metres.metric(raised ?? 0) })}
          />
        </div>
      ))}
      {draft.sims.map((s, i) => (
        <div className="thing" key={s.name}>
          <span className="name">{s.name}</span>
          <Select
            aria-label={`The device that ${s.name} is in`}
            value={s.device ?? NOWHERE}
            onChange={(device) => sim(i, { device: device === NOWHERE ? null : device })}
            options={[
              { value: NOWHERE, label: 'not said, or in no device' },
              ...draft.devices.map(({ name }) => ({ value: name, label: `in ${name}` })),
            ]}
          />
          <label className="small">
            <Switch
              size="small"
              aria-label={`${s.name} is in use`}
              checked={s.active}
              disabled={s.device === null}
              onChange={(active) => sim(i, { active })}
            />{' '}
            in use
          </label>
        </div>
      ))}
      {draft.boosters.map((name) => (
        <div className="thing" key={name}>
          <span className="name">{name}</span>
          <label className="small">
            <Switch
              size="small"
              aria-label={`${name} is on`}
              checked={draft.boosterOn === name}
              onChange={(on) => setDraft({ ...draft, boosterOn: on ? name : null })}
            />{' '}
            on
          </label>
        </div>
      ))}
      {draft.devices
        .filter((d) => d.bands !== 'automatic')
        .map((d) => (
          <div className="thing" key={d.name}>
            <span className="name">{d.name}</span>
            <span>held to {d.bands}</span>
            <Button
              size="small"
              onClick={() =>
                setDraft({
                  ...draft,
                  devices: draft.devices.map((other) =>
                    other.name === d.name ? { ...other, bands: 'automatic' } : other,
                  ),
                })
              }
            >
              Release
            </Button>
          </div>
        ))}
    </Modal>
  );
}
