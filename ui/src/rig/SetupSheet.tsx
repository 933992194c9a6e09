import { Button } from 'antd';
import { useState } from 'react';
import { Link } from 'react-router';
import type { Schemas } from '../data/client';
import { useSetup, useSetupCheck } from '../data/rig';
import { stateOf } from '../data/state';
import { useStored } from '../data/useStored';
import { SetupLabel } from '../draw/Pennant';
import { count } from '../format/numbers';
import { dateClock } from '../format/time';
import { Failed, Loaded } from '../parts/Loaded';
import { Sheet } from '../parts/Sheet';
import { Building } from './Building';
import { CableRun, type WhatIf } from './CableRun';
import { Chain } from './Chain';
import { CoverageMatrix, type Network } from './CoverageMatrix';
import { Fit } from './Fit';
import { MeasuredGain } from './MeasuredGain';
import { Power } from './Power';
import { RigParts } from './RigParts';
import { SetupActions } from './SetupActions';
import { Staircases } from './Staircases';
import { WiringTable } from './WiringTable';

type View = Schemas['SetupView'];

/** A chain that is being changed, and the version that the change began from. */
interface ChainDraft {
  plan: Schemas['ChainPlan'];
  from: number;
}

/** One setup: its chain, whether it fits, which bands get through, its staircase, its wiring and its power. */
export function SetupSheet({ id, revision }: { id: number; revision: number | null }) {
  const [kept, keep, forget] = useStored<ChainDraft | null>(`rig.chain.${id}`, null);
  const draft = revision === null ? (kept?.plan ?? null) : null;
  const [whatIf, setWhatIf] = useState<WhatIf>({});
  const [building, setBuilding] = useState(false);
  const [on, setOn] = useState<Network | null>(null);
  const stored = useSetup(id, revision);
  const plan = draft ?? stored.data?.plan;
  const trying = draft !== null || on !== null || Object.keys(whatIf).length > 0;
  const tried = useSetupCheck(trying && plan ? { plan, whatIf, ...on } : null);
  const view = trying ? (tried.data ?? stored.data) : stored.data;
  if (!view || !stored.data || !plan) {
    return (
      <Sheet title="Setup" over={<RigParts here="setups" />} headline="Setup">
        <Loaded state={stateOf(stored)}>{() => null}</Loaded>
      </Sheet>
    );
  }
  const bare = stored.data.revision === 0 && draft === null;
  return (
    <Sheet
      title={stored.data.setup ? `${stored.data.setup.name}, setup` : 'Setup'}
      over={
        <>
          <RigParts here="setups" />
          <Over view={stored.data} changed={draft !== null} />
        </>
      }
      headline={view.headline}
      findings={<Fit view={view} />}
      margin={
        <>
          <CableRun view={view} whatIf={whatIf} change={setWhatIf} />
          {stored.data.setup && <SetupActions setup={stored.data.setup} view={stored.data} />}
        </>
      }
    >
      {tried.error && <Failed error={tried.error} />}
      <Chain plan={plan}>
        {!building && !bare && revision === null && (
          <Button onClick={() => setBuilding(true)}>Edit parts</Button>
        )}
      </Chain>
      {revision === null && (building || bare || draft !== null) && (
        <Building
          id={id}
          view={stored.data}
          plan={plan}
          shown={view}
          from={kept?.from ?? stored.data.version}
          keep={(next) => keep({ plan: next, from: kept?.from ?? stored.data.version })}
          done={() => {
            forget();
            setBuilding(false);
          }}
          changed={draft !== null}
        />
      )}
      {view.staircases.length > 0 && plan.device !== null && <Staircases view={view} />}
      {stored.data.setup && plan.device !== null && view.staircases.length > 0 && revision === null && (
        <MeasuredGain setup={stored.data.setup.name} />
      )}
      {plan.device !== null && <CoverageMatrix coverage={view.coverage} network={view} change={setOn} />}
      {view.wiring.length + view.leadsOver.length > 0 && <WiringTable view={view} />}
      {view.power.length > 0 && <Power power={view.power} battery={view.system} />}
    </Sheet>
  );
}

function Over({ view, changed }: { view: View; changed: boolean }) {
  return (
    <>
      {view.setup && <SetupLabel setup={view.setup} />}
      {view.setup?.retired && ', retired'}
      {view.revision > 0 && `, revision ${view.revision}`} · {count(view.measured, 'measurement')}
      <Revisions view={view} />
      {changed && <span className="attention"> · changed, not saved yet</span>}
      {view.summary && ` · ${view.summary}`}
    </>
  );
}

/** The other revisions, each as it was measured with. */
function Revisions({ view }: { view: View }) {
  const others = view.revisions.filter((r) => r.revision !== view.revision);
  const latest = view.revisions.at(-1)?.revision;
  return others.map((r) => (
    <span key={r.revision}>
      {' · '}
      <Link
        to={`/gear?setup=${view.setup?.id}${r.revision === latest ? '' : `&revision=${r.revision}`}`}
        title={r.since === null ? 'the first one' : `since ${dateClock(r.since)}`}
      >
        revision {r.revision}
      </Link>
    </span>
  ));
}
