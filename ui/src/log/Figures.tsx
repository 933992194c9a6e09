import { Segmented, Select } from 'antd';
import type { ReactNode } from 'react';
import type { Schemas } from '../data/client';
import type { Figure } from '../data/log';
import { plain, short } from '../format/numbers';
import { Field, FieldFrame } from '../parts/Field';
import { type Draft, valueOf } from './logDraft';
import type { DraftCheck } from './useDraftCheck';

/** What the fields of a measurement need. */
export interface Form {
  draft: Draft;
  set: (part: Partial<Draft>) => void;
  figures: Figure[];
  check: DraftCheck;
}

/** Figures whose sign says nothing that the key for digits could not write. */
const SIGNED = ['rsrqDb', 'sinrDb'];

/** One number of a measurement. */
export function NumberField({ form, name }: { form: Form; name: string }) {
  const { draft, set, check } = form;
  const figure = form.figures.find((f) => f.field === name);
  if (!figure) {
    return null;
  }
  const value = valueOf(draft, name);
  const change = (next: string) => set({ [name]: next });
  const rate = figure.kind === 'rate';
  return (
    <Field
      name={name}
      label={figure.label}
      unit={figure.unit}
      value={value}
      numeric
      onChange={change}
      problem={check.problem(name)}
      suffix={
        rate ? (
          <RateUnit value={value} change={change} />
        ) : SIGNED.includes(name) ? (
          <Sign value={value} change={change} unit={figure.unit} />
        ) : undefined
      }
      hint={
        rate ? (
          <RateHint rate={check.check?.rates.find((r) => r.field === name)} />
        ) : (
          <Grade check={check.check} field={name} />
        )
      }
    />
  );
}

/** Takes the sign that a phone's keys for digits lack. */
function Sign({ value, change, unit }: { value: string; change: (next: string) => void; unit: string }) {
  return (
    <>
      <button
        type="button"
        className="in-field"
        aria-label="± change the sign"
        tabIndex={-1}
        onClick={() => change(/^[-−]/.test(value) ? value.slice(1) : `-${value}`)}
      >
        ±
      </button>{' '}
      {unit}
    </>
  );
}

const BYTES = / ?MB\/s$/;

/** Says that a rate is in megabytes. */
function RateUnit({ value, change }: { value: string; change: (next: string) => void }) {
  const bytes = BYTES.test(value);
  return (
    <button
      type="button"
      className="in-field"
      tabIndex={-1}
      aria-label={bytes ? '= bytes, change to megabits' : 'Mb/s, change to megabytes'}
      onClick={() => change(bytes ? value.replace(BYTES, '') : `${value} MB/s`)}
    >
      {bytes ? '= bytes' : 'Mb/s'}
    </button>
  );
}

function Grade({ check, field }: { check: Schemas['Check'] | undefined; field: string }) {
  const found = check?.grades.find((g) => g.field === field);
  return found ? <b>{found.grade}</b> : null;
}

function RateHint({ rate }: { rate: Schemas['RateOf'] | undefined }) {
  if (!rate?.unitStated) {
    return null;
  }
  return rate.bytes ? `read as megabytes: ${short(rate.mbps)} Mb/s` : `read as ${short(rate.mbps)} Mb/s`;
}

/** How it ended. */
export function OutcomeField({ form }: { form: Form }) {
  const { draft, set, figures, check } = form;
  const words: Record<string, string> = { ok: 'worked' };
  return (
    <FieldFrame
      id="field-outcome"
      label="How did it end?"
      problem={check.all ? check.problem('outcome') : undefined}
      className="span4"
    >
      <Segmented
        id="field-outcome"
        block
        value={draft.outcome}
        onChange={(outcome) => set({ outcome })}
        options={
          figures
            .find((f) => f.field === 'outcome')
            ?.choices.map((value) => ({ value, label: words[value] ?? value.replace('_', ' ') })) ?? []
        }
      />
    </FieldFrame>
  );
}

/** What there is beside the numbers: what carried it, and what it belongs to. */
export function OtherFields({ form, note }: { form: Form; note: boolean }) {
  const { draft, set, figures, check } = form;
  const text = (name: keyof Draft & string, label: string, hint?: ReactNode, numeric = false) => (
    <Field
      name={name}
      label={label}
      numeric={numeric}
      value={valueOf(draft, name)}
      onChange={(value) => set({ [name]: value })}
      problem={check.problem(name)}
      hint={hint}
    />
  );
  return (
    <>
      {text('server', 'Test server')}
      <FieldFrame id="field-rat" label="Technology" problem={check.problem('rat')}>
        <Select
          id="field-rat"
          value={draft.rat || undefined}
          allowClear
          options={
            figures.find((f) => f.field === 'rat')?.choices.map((value) => ({ value, label: value })) ?? []
          }
          onChange={(rat: string | undefined) => set({ rat: rat ?? '' })}
        />
      </FieldFrame>
      {text('band', 'Band', 'B20, n78 …')}
      {text(
        'arfcn',
        'Channel number',
        <ChannelHint check={check.check} draft={draft} choose={(band) => set({ band })} />,
        true,
      )}
      {text('cellId', 'Cell')}
      {text('trial', 'Trial', 'if it belongs to one')}
      {text('round', 'Round', undefined, true)}
      <TakenField form={form} />
      {note && <div className="span4">{text('note', 'Note')}</div>}
    </>
  );
}

function TakenField({ form }: { form: Form }) {
  const { draft, set, check } = form;
  return (
    <FieldFrame
      id="field-date"
      label="Taken"
      problem={
        check.all || draft.date ? check.problems.find((p) => p.field === 'takenAt')?.message : undefined
      }
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
          step={draft.clock.length > 5 ? 'any' : 60}
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
  );
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
        aria-label="Use this band"
      />{' '}
      {where}
    </>
  );
}
