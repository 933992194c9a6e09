import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Button } from 'antd';
import { useState } from 'react';
import { api, type Schemas, unwrap } from '../api/client';
import { useGear } from '../app/queries';
import { Part, Sheet, Waiting } from '../app/Sheet';
import { ChainDrawing, type ChainPart } from '../draw/ChainDrawing';
import { SetupLabel } from '../draw/Pennant';
import { useWidth } from '../draw/useWidth';
import { count, fixed } from '../format/numbers';
import { length, type System, useUnits } from '../format/units';
import { useClash } from '../forms/useClash';
import { useStored } from '../forms/useStored';
import { CableRun, type WhatIf } from './CableRun';
import { ChainBuilder } from './ChainBuilder';
import { CoverageMatrix, type Network } from './CoverageMatrix';
import { Power } from './Power';
import { RigParts } from './RigParts';
import { Staircases } from './Staircases';
import { WiringTable } from './WiringTable';

type View = Schemas['SetupView'];

/** A chain that is being changed, and the version that the change began from. */
interface ChainDraft {
  plan: Schemas['ChainPlan'];
  from: number;
}

/** One setup: its chain, whether it fits, which bands get through, its staircase, its wiring and its power. */
export function SetupSheet({ id }: { id: number }) {
  const [kept, keep, forget] = useStored<ChainDraft | null>(`rig.chain.${id}`, null);
  const draft = kept?.plan ?? null;
  const [whatIf, setWhatIf] = useState<WhatIf>({});
  const [building, setBuilding] = useState(false);
  const [on, setOn] = useState<Network | null>(null);
  const stored = useQuery({
    queryKey: ['rig', 'setup', id],
    queryFn: () => unwrap(api.GET('/api/rig/setups/{id}', { params: { path: { id } } })),
  });
  const plan = draft ?? stored.data?.plan;
  const trying = draft !== null || on !== null || Object.keys(whatIf).length > 0;
  const tried = useQuery({
    queryKey: ['rig', 'check', plan, whatIf, on],
    queryFn: () => unwrap(api.POST('/api/rig/check', { body: { ...(plan ? { plan } : {}), whatIf, ...on } })),
    enabled: trying && plan !== undefined,
    placeholderData: keepPreviousData,
    retry: false,
  });
  const view = trying ? (tried.data ?? stored.data) : stored.data;
  if (!view || !stored.data || !plan) {
    return (
      <Sheet over={<RigParts here="setups" />} headline="Setup">
        <Waiting error={stored.error} retry={() => void stored.refetch()} />
      </Sheet>
    );
  }
  const bare = stored.data.revision === 0 && draft === null;
  return (
    <Sheet
      over={
        <>
          <RigParts here="setups" />
          <Over view={stored.data} changed={draft !== null} />
        </>
      }
      headline={view.headline}
      margin={
        <>
          <Fit findings={view.findings} />
          <CableRun view={view} whatIf={whatIf} change={setWhatIf} />
        </>
      }
    >
      {tried.error && (
        <div className="notice" role="alert">
          {tried.error.message}
        </div>
      )}
      <Chain plan={plan}>
        {!building && !bare && <Button onClick={() => setBuilding(true)}>Change the chain</Button>}
      </Chain>
      {(building || bare || draft !== null) && (
        <Building
          id={id}
          view={stored.data}
          plan={plan}
          ports={view.ports}
          wiring={view.wiring}
          from={kept?.from ?? stored.data.version}
          keep={(next) => keep({ plan: next, from: kept?.from ?? stored.data.version })}
          done={() => {
            forget();
            setBuilding(false);
          }}
          changed={draft !== null}
        />
      )}
      {view.staircases.length > 0 && plan.device !== null && <Staircases staircases={view.staircases} />}
      {plan.device !== null && <CoverageMatrix coverage={view.coverage} network={view} change={setOn} />}
      {view.wiring.length + view.leadsOver.length > 0 && <WiringTable view={view} />}
      {view.power.length > 0 && <Power power={view.power} />}
    </Sheet>
  );
}

function Over({ view, changed }: { view: View; changed: boolean }) {
  return (
    <>
      {view.setup && <SetupLabel setup={view.setup} />}
      {view.revision > 0 && `, revision ${view.revision}`} · {count(view.measured, 'measurement')}
      {changed && <span className="attention"> · changed, not kept yet</span>}
      {view.summary && ` · ${view.summary}`}
    </>
  );
}

function Fit({ findings }: { findings: View['findings'] }) {
  return (
    <Part title="Fit" small={count(findings.length, 'finding')}>
      {findings.map((f) => (
        <div className="note" key={f.code + f.where + f.says}>
          <b className={TONE[f.severity]}>{f.severity[0]?.toUpperCase() + f.severity.slice(1)}.</b>{' '}
          {!f.says.includes(f.where) && f.where !== 'chain' && <span className="small">{f.where}: </span>}
          {f.says}
          {f.fix && (
            <>
              {' '}
              <span className="fix">
                {f.fix}
                {f.price !== null && ` About ${fixed(f.price, 0)}.`}
              </span>
            </>
          )}
        </div>
      ))}
      {findings.length === 0 && <div className="note">Nothing stands in the way.</div>}
    </Part>
  );
}

const TONE: Record<string, string> = { blocker: 'loss', caution: 'attention' };

function Chain({ plan, children }: { plan: Schemas['ChainPlan']; children: React.ReactNode }) {
  const gear = useGear().data ?? [];
  const { system } = useUnits();
  const [ref, width] = useWidth<HTMLDivElement>(760);
  return (
    <Part title="The chain" small="from the air to the device" actions={children}>
      <div ref={ref} className="chart-scroll">
        <ChainDrawing parts={parts(plan, gear, system)} width={width} />
      </div>
    </Part>
  );
}

function parts(plan: Schemas['ChainPlan'], gear: Schemas['GearItem'][], system: System): ChainPart[] {
  const name = (id: number) => gear.find((g) => g.id === id)?.name ?? '…';
  const runs = plan.runs.flatMap((run) => [
    {
      kind: 'antenna',
      name: name(run.antenna),
      says:
        run.mastM > 0
          ? `${run.placement}, ${length(run.mastM, system)} up`
          : `on the ${run.placement}`
              .replace('on the inside', 'inside')
              .replace('on the window', 'at a window'),
    },
    ...run.cables.map((cable) => ({ kind: 'cable', name: name(cable), says: 'on every lead' })),
  ]);
  const boosters =
    plan.booster === null ? [] : [{ kind: 'booster', name: name(plan.booster), says: 're-radiates inside' }];
  const adapters = plan.adapters.map((id) => ({ kind: 'adapter', name: name(id), says: '' }));
  const device =
    plan.device === null
      ? { kind: 'device', name: 'not chosen', says: 'router, hotspot, phone', missing: true }
      : {
          kind: 'device',
          name: name(plan.device),
          says: plan.sims.length > 0 ? plan.sims.map(name).join(', ') : 'no card said',
        };
  return [...runs, ...adapters, ...boosters, device];
}

function Building(props: {
  id: number;
  view: View;
  plan: Schemas['ChainPlan'];
  ports: View['ports'];
  wiring: View['wiring'];
  from: number;
  keep: (plan: Schemas['ChainPlan']) => void;
  done: () => void;
  changed: boolean;
}) {
  const { id, view, plan, from, keep, done, changed } = props;
  const client = useQueryClient();
  const clash = useClash();
  const save = useMutation({
    mutationFn: (version: number) =>
      unwrap(api.PUT('/api/rig/setups/{id}', { params: { path: { id }, query: { version } }, body: plan })),
    onSuccess: (saved) => {
      client.setQueryData(['rig', 'setup', id], saved);
      void client.invalidateQueries();
      done();
    },
    onError: (refused) => clash(refused, (version) => save.mutate(version)),
  });
  const frozen = view.revision > 0 && view.measured > 0;
  return (
    <Part
      title="Put it together"
      small={
        frozen
          ? `${count(view.measured, 'measurement')} keep revision ${view.revision}; keeping a change makes revision ${view.revision + 1}`
          : 'choose the parts; the fit is checked as you go'
      }
    >
      <ChainBuilder plan={plan} ports={props.ports} wiring={props.wiring} change={keep} />
      <div className="buttons">
        <Button type="primary" disabled={!changed} loading={save.isPending} onClick={() => save.mutate(from)}>
          {frozen ? `Keep as revision ${view.revision + 1}` : 'Keep'}
        </Button>
        <Button onClick={done}>{changed ? 'Drop the change' : 'Close'}</Button>
      </div>
    </Part>
  );
}
