import { Button, InputNumber, Select } from 'antd';
import type { Schemas } from '../data/client';
import { useChainChoices, useGear } from '../data/rig';
import { FieldFrame } from '../parts/Field';
import { One, Several } from './Choosers';
import { leadsOf, RunFields } from './RunFields';

type Plan = Schemas['ChainPlan'];
type Run = Plan['runs'][number];

const options = (values: string[] | undefined) => (values ?? []).map((value) => ({ value }));

/** Puts a chain together from the gear on the shelf. */
export function ChainBuilder(props: {
  plan: Plan;
  view: Schemas['SetupView'];
  change: (plan: Plan) => void;
  plug: (lead: string, port: string | null) => void;
}) {
  const { plan, view, change, plug } = props;
  const choices = useChainChoices().data;
  const gear = useGear().data ?? [];
  const inUse = new Set([
    plan.device,
    plan.booster,
    ...plan.adapters,
    ...plan.sims,
    ...plan.runs.flatMap((r) => [r.antenna, r.mount, ...r.cables, ...Object.values(r.leadCables).flat()]),
  ]);
  const of = (kind: string) =>
    gear
      .filter((g) => g.kind === kind && (g.state !== 'retired' || inUse.has(g.id)))
      .map((g) => ({ value: g.id, label: g.state === 'owned' ? g.name : `${g.name} (${g.state})` }));
  const set = (part: Partial<Plan>) => change({ ...plan, wiring: {}, ...part });
  const setRun = (i: number, part: Partial<Run>) =>
    set({ runs: plan.runs.map((run, j) => (i === j ? { ...run, ...part } : run)) });
  const antennas = of('antenna');
  const free = antennas.filter((a) => !plan.runs.some((r) => r.antenna === a.value));
  return (
    <>
      <div className="form-grid">
        <One
          label="Device"
          value={plan.device}
          options={of('device')}
          set={(device) => set({ device: device ?? null })}
        />
        <FieldFrame id="chain-place" label="Where it is">
          <Select
            id="chain-place"
            value={plan.devicePlacement}
            options={options(choices?.places)}
            onChange={(v) => set({ devicePlacement: v })}
          />
        </FieldFrame>
        <Several label="SIMs" value={plan.sims} options={of('SIM')} set={(sims) => set({ sims })} />
        <One
          label="Booster"
          value={plan.booster}
          options={of('booster')}
          set={(booster) => set({ booster: booster ?? null })}
        />
        {plan.runs.map((run, i) => (
          <RunFields
            key={run.antenna}
            number={i}
            run={run}
            antennas={antennas.filter((a) => a.value === run.antenna || free.includes(a))}
            cables={of('cable')}
            mounts={of('mount')}
            leads={leadsOf(gear.find((g) => g.id === run.antenna))}
            places={choices?.places}
            set={(part) => setRun(i, part)}
            remove={() => set({ runs: plan.runs.filter((_, j) => j !== i) })}
          />
        ))}
        <Several
          label="Adapters"
          value={[...new Set(plan.adapters)]}
          options={of('adapter')}
          set={(kinds) =>
            set({
              adapters: kinds.flatMap((id) => {
                const pieces = plan.adapters.filter((other) => other === id);
                return pieces.length > 0 ? pieces : [id];
              }),
            })
          }
        />
        {[...new Set(plan.adapters)].map((id) => (
          <FieldFrame
            key={id}
            id={`adapter-${id}`}
            label={`Pieces of ${gear.find((g) => g.id === id)?.name ?? '…'}`}
          >
            <InputNumber
              id={`adapter-${id}`}
              min={1}
              max={16}
              value={plan.adapters.filter((other) => other === id).length}
              onChange={(pieces) =>
                set({
                  adapters: [
                    ...plan.adapters.filter((other) => other !== id),
                    ...Array<number>(pieces ?? 1).fill(id),
                  ],
                })
              }
            />
          </FieldFrame>
        ))}
        <FieldFrame id="chain-mode" label="Mode">
          <Select
            id="chain-mode"
            value={plan.mode}
            options={options(choices?.modes)}
            onChange={(mode) => set({ mode })}
          />
        </FieldFrame>
        <FieldFrame id="chain-bands" label="Locked bands">
          <Select
            id="chain-bands"
            mode="tags"
            value={plan.lockedBands}
            tokenSeparators={[',', ' ']}
            open={false}
            onChange={(lockedBands: string[]) => set({ lockedBands })}
          />
        </FieldFrame>
        <FieldFrame id="chain-source" label="Source">
          <Select
            id="chain-source"
            value={plan.source}
            options={options(choices?.sources)}
            onChange={(source) => set({ source })}
          />
        </FieldFrame>
      </div>
      {free[0] && (
        <Button
          size="small"
          onClick={() =>
            set({
              runs: [
                ...plan.runs,
                {
                  antenna: free[0]?.value ?? 0,
                  cables: [],
                  leadCables: {},
                  mount: null,
                  placement: choices?.places[0] ?? '',
                  mastM: 0,
                  plateCm2: null,
                },
              ],
            })
          }
        >
          Add an antenna
        </Button>
      )}
      {plan.runs.length > 0 && view.ports.length > 0 && <Plugs view={view} plug={plug} />}
    </>
  );
}

/** Says how the leads are plugged; the server knows what becomes of the lead that had the port. */
function Plugs(props: { view: Schemas['SetupView']; plug: (lead: string, port: string | null) => void }) {
  const { view, plug } = props;
  const stated = Object.keys(view.plan.wiring).length > 0;
  const leads = [
    ...view.wiring.map((w) => ({ key: w.key, label: w.lead, says: `${w.use}, ${w.ends}`, port: w.port })),
    ...view.leadsOver.map((l) => ({ ...l, says: 'hangs loose', port: '' })),
  ];
  return (
    <details className="numbers" open={stated}>
      <summary>How the leads are plugged</summary>
      <p className="small">Proposed until you set it, lead by lead.</p>
      {leads.map((lead) => (
        <div className="plug" key={lead.key}>
          <span>
            {lead.label} <span className="small">{lead.says}</span>
          </span>
          <Select
            size="small"
            aria-label={`Port of ${lead.label}`}
            value={lead.port}
            options={[
              ...view.ports.map((p) => ({ value: p.label, label: `${p.label} · ${p.use}, ${p.connector}` })),
              { value: '', label: 'hangs loose' },
            ]}
            onChange={(port) => plug(lead.key, port === '' ? null : port)}
          />
        </div>
      ))}
    </details>
  );
}
