import { useMutation, useQueryClient } from '@tanstack/react-query';
import { AutoComplete, Button, Checkbox, Select } from 'antd';
import { useState } from 'react';
import { api, type Schemas, unwrap } from '../api/client';
import { useCarriers, useWishes } from '../app/queries';
import { Part, Sheet, Waiting } from '../app/Sheet';
import { fixed, plain, short } from '../format/numbers';
import { Field, FieldFrame } from '../forms/Field';
import { useClash } from '../forms/useClash';
import { useStored } from '../forms/useStored';
import { Regions } from './Regions';
import { RigParts } from './RigParts';

type Need = Schemas['NeedView'];
type Rig = Schemas['RigView'];

/** Sends a change of the wishes and shows everything that follows. */
export function useWish<T>(send: (change: Wish<T>) => Promise<Schemas['WishView']>) {
  const client = useQueryClient();
  const clash = useClash();
  const wish = useMutation({
    mutationFn: send,
    onSuccess: (view) => {
      client.setQueryData(['wishes'], view);
      void client.invalidateQueries({ queryKey: ['rig'] });
    },
    onError: (refused, change) => clash(refused, (version) => wish.mutate({ ...change, version })),
  });
  return wish;
}

/** A change, and the version that it began from where the thing has one. */
interface Wish<T> {
  body: T;
  version?: number;
}

/** A thing with its version as a change of it. */
function changed<T extends { version: number }>({ version, ...body }: T): Wish<Omit<T, 'version'>> {
  return { body, version };
}

/** What the connection is for, on which networks, in which vehicle; and what that means. */
export function Needs() {
  const wishes = useWishes();
  const { data } = wishes;
  if (!data) {
    return (
      <Sheet over={<RigParts here="need" />} headline="Need">
        <Waiting error={wishes.error} retry={() => void wishes.refetch()} />
      </Sheet>
    );
  }
  return (
    <Sheet
      over={<RigParts here="need" />}
      headline={data.requirement.sentence}
      margin={<Meaning requirement={data.requirement} />}
    >
      <Part title="What is it for?" small="several at once; needs of the same hours add up">
        <div className="table-scroll">
          <table className="plain needs">
            <thead>
              <tr>
                <th>Need</th>
                <th className="num">Down</th>
                <th className="num">Up</th>
                <th className="num">Under load</th>
                <th className="num">Loss</th>
                <th>When</th>
                <th />
              </tr>
            </thead>
            <tbody>
              {data.needs.map((need) => (
                <NeedRow key={need.name} need={need} partsOfDay={data.partsOfDay} />
              ))}
            </tbody>
          </table>
        </div>
      </Part>
      <Wishes key={JSON.stringify(data.rig)} rig={data.rig} view={data} />
      <Regions regions={data.regions} />
    </Sheet>
  );
}

function Meaning({ requirement: r }: { requirement: Schemas['RequirementView'] }) {
  return (
    <>
      <Part title="What it means">
        <div className="note">
          {r.downMbps === null ? 'No download asked for' : `${short(r.downMbps)} Mb/s down`},{' '}
          {r.upMbps === null ? 'no upload asked for' : `${short(r.upMbps)} Mb/s up`}.
        </div>
        {r.loadedMs !== null && (
          <div className="note">At most {plain(r.loadedMs)} ms while the line is busy.</div>
        )}
        {r.lossPct !== null && <div className="note">At most {plain(r.lossPct)} % lost.</div>}
        <div className="note">About {fixed(r.gbAMonth, 0)} GB a month.</div>
        {r.uploadTime && <div className="note">Your usual upload: {r.uploadTime}.</div>}
      </Part>
      <Part title="By part of the day">
        {r.parts.map((p) => (
          <div className="note" key={p.part}>
            <b>{p.part}</b>: {p.downMbps === null ? '–' : short(p.downMbps)} Mb/s down,{' '}
            {p.upMbps === null ? '–' : short(p.upMbps)} Mb/s up
            <div className="small">{p.needs.join(', ')}</div>
          </div>
        ))}
        {r.parts.length === 0 && <div className="note">Tick what the connection is for.</div>}
      </Part>
      <Part title="Beside it">
        <div className="note">
          Never rely on cellular as the only way to call for help: far out, carry a second means.
        </div>
      </Part>
    </>
  );
}

function NeedRow({ need, partsOfDay }: { need: Need; partsOfDay: string[] }) {
  const [editing, setEditing] = useState(false);
  const put = useWish(({ body, version }: Wish<Schemas['NeedRequest']>) =>
    unwrap(api.PUT('/api/rig/wishes/need', { params: { query: { version } }, body })),
  );
  if (editing) {
    return (
      <NeedEditor
        need={need}
        partsOfDay={partsOfDay}
        put={(n, done) => put.mutate(changed(n), { onSuccess: done })}
        close={() => setEditing(false)}
      />
    );
  }
  return (
    <tr>
      <td>
        <Checkbox
          checked={need.chosen}
          onChange={(e) => put.mutate(changed({ ...need, chosen: e.target.checked }))}
        >
          {need.name}
        </Checkbox>
      </td>
      <td className="num">{need.downMbps === null ? '–' : `${short(need.downMbps)} Mb/s`}</td>
      <td className="num">{need.upMbps === null ? '–' : `${short(need.upMbps)} Mb/s`}</td>
      <td className="num">{need.loadedMs === null ? '–' : `${plain(need.loadedMs)} ms`}</td>
      <td className="num">{need.lossPct === null ? '–' : `${plain(need.lossPct)} %`}</td>
      <td>
        {need.partOfDay}, {plain(need.hoursADay)} h a day
      </td>
      <td className="num">
        <Button type="link" size="small" onClick={() => setEditing(true)}>
          Change
        </Button>
      </td>
    </tr>
  );
}

const number = (text: string) => (text.trim() === '' ? null : Number(text.replace(',', '.')));

function NeedEditor(props: {
  need: Need;
  partsOfDay: string[];
  put: (need: Need, done: () => void) => void;
  close: () => void;
}) {
  const { need, partsOfDay, put, close } = props;
  const fresh = {
    downMbps: String(need.downMbps ?? ''),
    upMbps: String(need.upMbps ?? ''),
    loadedMs: String(need.loadedMs ?? ''),
    lossPct: String(need.lossPct ?? ''),
    hoursADay: String(need.hoursADay),
    when: need.partOfDay,
    from: need.version,
  };
  const [kept, setText, forget] = useStored<typeof fresh | null>(`rig.need.${need.name}`, null);
  const { when, from, ...text } = kept ?? fresh;
  const leave = () => {
    forget();
    close();
  };
  const field = (key: keyof typeof text, label: string, unit: string) => (
    <Field
      name={key}
      label={label}
      unit={unit}
      value={text[key]}
      onChange={(v) => setText({ ...text, when, from, [key]: v })}
    />
  );
  const bad = Object.values(text).some((t) => Number.isNaN(number(t)));
  return (
    <tr>
      <td colSpan={7}>
        <div className="form-grid">
          <b className="span4">{need.name}</b>
          {field('downMbps', 'Down', 'Mb/s')}
          {field('upMbps', 'Up', 'Mb/s')}
          {field('loadedMs', 'Latency under load', 'ms')}
          {field('lossPct', 'Loss', '%')}
          <FieldFrame id="need-when" label="When">
            <Select
              id="need-when"
              value={when}
              options={partsOfDay.map((value) => ({ value }))}
              onChange={(v) => setText({ ...text, from, when: v })}
            />
          </FieldFrame>
          {field('hoursADay', 'Hours a day', 'h')}
        </div>
        {bad && (
          <p className="small loss">Write numbers alone, or leave a field empty where it does not matter.</p>
        )}
        <div className="buttons">
          <Button
            type="primary"
            disabled={bad}
            onClick={() =>
              put(
                {
                  ...need,
                  downMbps: number(text.downMbps),
                  upMbps: number(text.upMbps),
                  loadedMs: number(text.loadedMs),
                  lossPct: number(text.lossPct),
                  hoursADay: number(text.hoursADay) ?? 0,
                  partOfDay: when,
                  version: from,
                },
                leave,
              )
            }
          >
            Keep
          </Button>
          <Button onClick={leave}>Leave it</Button>
        </div>
      </td>
    </tr>
  );
}

/** Vehicle, carrier, budget and what cannot be done without. */
function Wishes({ rig, view }: { rig: Rig; view: Schemas['WishView'] }) {
  const fresh = {
    draft: rig,
    numbers: {
      heightM: String(rig.heightM),
      batteryAh: String(rig.batteryAh),
      batteryV: String(rig.batteryV),
      hoursADay: String(rig.hoursADay),
      budget: String(rig.budget ?? ''),
      uploadGb: String(rig.uploadGb ?? ''),
    },
  };
  const [kept, keep, forget] = useStored<typeof fresh | null>('rig.wishes', null);
  const { draft, numbers } = kept ?? fresh;
  const setDraft = (next: Rig) => keep({ draft: next, numbers });
  const setNumbers = (next: typeof numbers) => keep({ draft, numbers: next });
  const carriers = useCarriers().data ?? [];
  const put = useWish(({ body, version }: Wish<Schemas['RigRequest']>) =>
    unwrap(api.PUT('/api/rig/wishes/rig', { params: { query: { version } }, body })),
  );
  const bad = Object.values(numbers).some((t) => Number.isNaN(number(t)));
  const field = (key: keyof typeof numbers, label: string, unit?: string) => (
    <Field
      name={key}
      label={label}
      unit={unit}
      value={numbers[key]}
      onChange={(v) => setNumbers({ ...numbers, [key]: v })}
      problem={Number.isNaN(number(numbers[key])) ? 'a number alone' : undefined}
    />
  );
  const regions = view.regions.filter((r) => r.carrier === draft.carrier).map((r) => r.region);
  return (
    <Part title="On which networks, in which vehicle, for how much">
      <div className="form-grid">
        <FieldFrame id="wish-carrier" label="Carrier">
          <AutoComplete
            id="wish-carrier"
            value={draft.carrier ?? ''}
            options={carriers.map((c) => ({ value: c.name }))}
            onChange={(carrier: string) => setDraft({ ...draft, carrier, region: null })}
          />
        </FieldFrame>
        <FieldFrame id="wish-region" label="Region">
          <Select
            id="wish-region"
            allowClear
            placeholder="all that are entered"
            value={draft.region ?? undefined}
            options={regions.map((value) => ({ value }))}
            onChange={(region: string | undefined) => setDraft({ ...draft, region: region ?? null })}
          />
        </FieldFrame>
        {field('budget', 'Budget')}
        {field('uploadGb', 'Usual upload', 'GB')}
        <FieldFrame id="wish-features" label="Cannot do without" className="span2">
          <Select
            id="wish-features"
            mode="multiple"
            value={draft.features}
            options={view.features.map((value) => ({ value }))}
            onChange={(features) => setDraft({ ...draft, features })}
          />
        </FieldFrame>
        <FieldFrame id="wish-body" label="Body of the vehicle">
          <Select
            id="wish-body"
            value={draft.body}
            options={view.bodies.map((value) => ({ value }))}
            onChange={(body) => setDraft({ ...draft, body })}
          />
        </FieldFrame>
        {field('heightM', 'Its height', 'm')}
        {field('batteryAh', 'Battery', 'Ah')}
        {field('batteryV', 'Its voltage', 'V')}
        {field('hoursADay', 'The chain runs', 'h a day')}
      </div>
      <Button
        type="primary"
        disabled={bad}
        loading={put.isPending}
        onClick={() =>
          put.mutate(
            changed({
              ...draft,
              heightM: number(numbers.heightM) ?? 0,
              batteryAh: number(numbers.batteryAh) ?? 0,
              batteryV: number(numbers.batteryV) ?? 0,
              hoursADay: number(numbers.hoursADay) ?? 0,
              budget: number(numbers.budget),
              uploadGb: number(numbers.uploadGb),
            }),
            { onSuccess: forget },
          )
        }
      >
        Keep
      </Button>
      {kept && (
        <Button type="link" onClick={forget}>
          Drop the change
        </Button>
      )}
    </Part>
  );
}
