import { Select, Segmented, Slider } from 'antd';
import { useMemo } from 'react';
import type { Schemas } from '../data/client';
import { useCandidates, useGear, useSetupFits, useVehicle } from '../data/rig';
import { Failed } from '../parts/Loaded';
import { Part, Sheet } from '../parts/Sheet';
import { fixed } from '../format/numbers';
import { FieldFrame } from '../parts/Field';
import { useStored } from '../data/useStored';
import { CandidateTable } from './CandidateTable';
import { RigParts } from './RigParts';

type What = 'setups' | 'device' | 'antenna';
type Weights = Schemas['WeightsView'];

const SIDES = [
  ['gain', 'Predicted gain'],
  ['bands', 'Bands that work'],
  ['streams', 'Streams'],
  ['price', 'Price'],
  ['energy', 'Energy'],
] as const;

/** Two to six devices, antennas or setups side by side. */
export function Candidates() {
  const [what, setWhat] = useStored<What>('rig.candidates.what', 'device');
  const [chosen, setChosen] = useStored<Record<What, number[] | null>>('rig.candidates.ids', {
    setups: null,
    device: null,
    antenna: null,
  });
  const [base, setBase] = useStored<number | null>('rig.candidates.base', null);
  const [wanted, setWanted] = useStored<Weights | null>('rig.candidates.weights', null);
  const gear = useGear().data;
  const setups = useSetupFits().data;
  const carrier = useVehicle().data?.carrier;
  const options = useMemo(
    () =>
      what === 'setups'
        ? (setups ?? []).filter((s) => s.complete).map((s) => ({ value: s.setup.id, label: s.setup.name }))
        : (gear ?? [])
            .filter((g) => g.kind === what && g.state !== 'retired')
            .map((g) => ({ value: g.id, label: `${g.name} (${g.state})` })),
    [what, gear, setups],
  );
  const ids = (chosen[what] ?? options.slice(0, 4).map((o) => o.value)).filter((id) =>
    options.some((o) => o.value === id),
  );
  const on = base ?? setups?.find((s) => s.complete)?.setup.id ?? null;
  const enough = ids.length >= 2 && ids.length <= 6;
  const compared = useCandidates({ what, ids, weights: wanted, base: what === 'setups' ? null : on }, enough);
  const view = enough ? compared.data : undefined;
  const weights = wanted ?? view?.weights;
  return (
    <Sheet
      over={<RigParts here="candidates" />}
      headline={
        view?.sentence ??
        (enough || (what === 'setups' ? !setups : !gear)
          ? 'Candidates'
          : 'Choose two to six, and they stand side by side on what matters for your need.')
      }
      margin={
        <>
          {view && (
            <Part title="Both schools">
              <div className="note">
                Cheapest that meets the need: <b>{view.cheapest ?? 'none is known to'}</b>
              </div>
              <div className="note">
                Strongest: <b>{view.strongest ?? 'unknown'}</b>
              </div>
              <div className="note">{view.nextUnits}</div>
            </Part>
          )}
          <Part title="What counts how much" small="0 to 10">
            {weights &&
              SIDES.map(([side, label]) => (
                <div key={side}>
                  <span className="small">
                    {label}: {fixed(weights[side], 0)}
                  </span>
                  <Slider
                    min={0}
                    max={10}
                    value={weights[side]}
                    tooltip={{ open: false }}
                    ariaLabelForHandle={`Weight of ${side}`}
                    onChange={(v) => setWanted({ ...weights, [side]: v })}
                  />
                </div>
              ))}
            {view && <div className="note">{view.flip}</div>}
          </Part>
        </>
      }
    >
      <div className="form-grid">
        <FieldFrame id="compare-what" label="Compare" className="span2">
          <Segmented
            id="compare-what"
            value={what}
            options={[
              { value: 'device', label: 'devices' },
              { value: 'antenna', label: 'antennas' },
              { value: 'setups', label: 'setups' },
            ]}
            onChange={setWhat}
          />
        </FieldFrame>
        {what !== 'setups' && (
          <FieldFrame id="compare-base" label="In the setup" className="span2">
            <Select
              id="compare-base"
              value={on ?? undefined}
              options={(setups ?? [])
                .filter((s) => s.complete)
                .map((s) => ({ value: s.setup.id, label: s.setup.name }))}
              onChange={setBase}
            />
          </FieldFrame>
        )}
        <FieldFrame id="compare-ids" label="Which" className="span4">
          <Select
            id="compare-ids"
            mode="multiple"
            maxCount={6}
            value={ids}
            options={options}
            showSearch={{ optionFilterProp: 'label' }}
            onChange={(list: number[]) => setChosen({ ...chosen, [what]: list })}
          />
        </FieldFrame>
      </div>
      {compared.error && <Failed error={compared.error} />}
      {!view && enough && !compared.error && <p className="quiet">Reckoning…</p>}
      {view && <CandidateTable view={view} carrier={carrier ?? 'no carrier'} />}
    </Sheet>
  );
}
