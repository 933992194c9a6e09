import { App, Button, Modal, Segmented, Select } from 'antd';
import { type ReactNode, useState } from 'react';
import { Refusal, type Schemas } from '../data/client';
import { type Figure, useFigures, useFormCheck, useLogChanges } from '../data/log';
import { useStanding } from '../data/names';
import { plain, short } from '../format/numbers';
import { Field, FieldFrame } from '../parts/Field';
import { type Draft, draftFor, requestOf } from './logDraft';
import { NameField } from '../parts/NameField';
import { useUndo } from '../parts/useUndo';
import { useSettled } from './useSettled';
import './log.css';
import { useStored } from '../data/useStored';

type Name = keyof Schemas['MeasurementRequest'];

/** So long a form stands still before the server is asked what it says. */
const SETTLED_MS = 180;

/** Logs one measurement: a reading, a speed run, or a run that failed. */
export function LogDialog({ close }: { close: () => void }) {
  const { data: line } = useStanding();
  const { data: figures } = useFigures();
  return line && figures ? <LogForm line={line} figures={figures} close={close} /> : null;
}

function LogForm(props: { line: Schemas['StandingLine']; figures: Figure[]; close: () => void }) {
  const { line, figures, close } = props;
  const [last, setLast] = useStored<Partial<Draft>>('log.last', {});
  const [kept, keep, forget] = useStored<Draft | null>('log.draft', null);
  const [fresh] = useState(() => draftFor(line, last));
  const [all, setAll] = useState(false);
  const [refused, setRefused] = useState<Schemas['FieldProblem'][]>([]);
  const draft = kept ?? fresh;
  const request = requestOf(draft, line.now);
  const check = useFormCheck(useSettled(JSON.stringify(request), SETTLED_MS));
  const { store, remove } = useLogChanges();
  const { message } = App.useApp();
  const undoable = useUndo();

  const set = (part: Partial<Draft>) => {
    setRefused([]);
    keep({ ...draft, ...part });
  };
  const save = () =>
    store.mutate(request, {
      onSuccess: ({ id }) => {
        setLast({ rat: draft.rat, server: draft.server });
        forget();
        undoable('Logged.', () => remove.mutateAsync(id));
        close();
      },
      onError: (error) => {
        setAll(true);
        setRefused(error instanceof Refusal ? error.errors : []);
        void message.error(error.message.length < 140 ? error.message : 'Some fields need another look.');
      },
    });
  const problems = refused.length > 0 ? refused : (check?.problems ?? []);
  const problem = (name: Name) =>
    all || (draft[name] ?? '') !== '' ? problems.find((p) => p.field === name)?.message : undefined;
  const rate = (name: string) => check?.rates.find((r) => r.field === name);
  const field = (name: string, label: string, unit?: string, hint?: ReactNode) => (
    <Field
      key={name}
      name={name}
      label={label}
      unit={unit}
      value={draft[name as Name] ?? ''}
      onChange={(value) => set({ [name]: value })}
      problem={problem(name as Name)}
      hint={hint}
    />
  );
  // what setups are compared on comes before what only helps to read it
  const numbers = (...kinds: string[]) =>
    figures
      .filter((f) => kinds.includes(f.kind))
      .sort((a, b) => Number(a.metric === null) - Number(b.metric === null));
  const choices = (name: Name) =>
    figures
      .find((f) => f.field === name)
      ?.choices.map((value) => ({ value, label: value.replace('_', ' ') }));
  const shownFields = new Set<string>(Object.keys(draft));
  const others = all ? problems.filter((p) => !shownFields.has(p.field) || p.field === 'takenAt') : [];

  return (
    <Modal
      open
      onCancel={close}
      title="Log a reading"
      width={860}
      style={{ top: 24 }}
      okText="Log it"
      onOk={save}
      confirmLoading={store.isPending}
      footer={(_, { OkBtn }) => (
        <div className="buttons">
          <Button onClick={forget}>Clear</Button>
          <Button onClick={close}>Later, keep the draft</Button>
          <OkBtn />
        </div>
      )}
    >
      <form
        onSubmit={(e) => {
          e.preventDefault();
          save();
        }}
      >
        <div className="form-grid">
          <NameField
            kind="setup"
            value={draft.setup}
            onChange={(setup) => set({ setup })}
            problem={problem('setup')}
          />
          <NameField
            kind="carrier"
            value={draft.carrier}
            onChange={(carrier) => set({ carrier })}
            problem={problem('carrier')}
          />
          <NameField
            kind="campsite"
            value={draft.campsite}
            onChange={(campsite) => set({ campsite })}
            problem={problem('campsite')}
          />
          <FieldFrame
            id="field-outcome"
            label="How did it end?"
            problem={all ? problem('outcome') : undefined}
          >
            <Select
              id="field-outcome"
              value={draft.outcome}
              options={choices('outcome')}
              onChange={(outcome) => set({ outcome })}
            />
          </FieldFrame>
          {numbers('radio').map((f) => field(f.field, f.label, f.unit, grade(check, f.field)))}
          {numbers('rate').map((f) => field(f.field, f.label, undefined, <RateHint rate={rate(f.field)} />))}
          {numbers('latency', 'jitter', 'share').map((f) => field(f.field, f.label, f.unit))}
          {field('server', 'Test server')}
          <FieldFrame id="field-rat" label="Carried by" problem={problem('rat')}>
            <Select
              id="field-rat"
              value={draft.rat}
              options={choices('rat')}
              onChange={(rat) => set({ rat })}
            />
          </FieldFrame>
          {field('band', 'Band', undefined, 'B20, n78 …')}
          {field(
            'arfcn',
            'Channel number',
            undefined,
            <ChannelHint check={check} draft={draft} choose={(band) => set({ band })} />,
          )}
          {field('cellId', 'Cell')}
          {field('trial', 'Trial', undefined, 'if it belongs to one')}
          {field('round', 'Round')}
          <FieldFrame
            id="field-date"
            label="Taken"
            problem={all || draft.date ? problems.find((p) => p.field === 'takenAt')?.message : undefined}
            hint={draft.date || draft.clock ? undefined : 'empty: now'}
            className="span2"
          >
            <div className="taken">
              <input
                id="field-date"
                type="date"
                className="ant-input ant-input-outlined"
                value={draft.date}
                onChange={(e) => set({ date: e.target.value })}
              />
              <input
                type="time"
                aria-label="Time taken"
                className="ant-input ant-input-outlined"
                value={draft.clock}
                onChange={(e) => set({ clock: e.target.value })}
              />
              <input
                aria-label="Offset from UTC"
                className="ant-input ant-input-outlined"
                value={draft.offset}
                onChange={(e) => set({ offset: e.target.value })}
              />
            </div>
          </FieldFrame>
          <div className="span4">{field('note', 'Note')}</div>
        </div>
        {check?.remarks.map((remark) => (
          <p className="small attention" key={remark}>
            {remark}
          </p>
        ))}
        {others.map((p) => (
          <p className="small loss" role="alert" key={p.field + p.message}>
            {p.message}
          </p>
        ))}
        <input type="submit" hidden />
      </form>
    </Modal>
  );
}

function grade(check: Schemas['Check'] | undefined, field: string) {
  const found = check?.grades.find((g) => g.field === field);
  return found && <b>{found.grade}</b>;
}

function RateHint({ rate }: { rate: Schemas['RateOf'] | undefined }) {
  if (!rate) {
    return 'Mb/s, or write MB/s';
  }
  if (rate.bytes) {
    return `read as megabytes: ${short(rate.mbps)} Mb/s`;
  }
  return rate.unitStated ? `read as ${short(rate.mbps)} Mb/s` : 'read as Mb/s; write MB/s for megabytes';
}

/** What the channel number says, and the bands to choose from where it does not settle the band. */
function ChannelHint(props: {
  check: Schemas['Check'] | undefined;
  draft: Draft;
  choose: (band: string) => void;
}) {
  const { check, draft, choose } = props;
  if (!check || check.downlinkMhz === null) {
    return 'turned into its band';
  }
  const up = check.uplinkMhz === null ? '' : `, ${plain(check.uplinkMhz)} up`;
  const where = `${plain(check.downlinkMhz)} MHz down${up}`;
  if (check.band !== null || draft.band !== '' || check.candidates.length === 0) {
    return (
      <>
        {check.band !== null && <b>{check.band}</b>} {where}
      </>
    );
  }
  return (
    <>
      in more than one band:{' '}
      <Segmented
        size="small"
        options={check.candidates}
        value=""
        onChange={choose}
        aria-label="Take the band"
      />{' '}
      {where}
    </>
  );
}
