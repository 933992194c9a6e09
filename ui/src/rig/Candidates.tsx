import { Select, Segmented, Slider } from 'antd';
import { useSearchParams } from 'react-router';
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

/** What is compared; it stands in the address, and the last one is kept for the next time. */
interface Comparison {
  what: What;
  ids: number[] | null;
  base: number | null;
  weights: Weights | null;
}

function read(query: URLSearchParams, kept: Comparison): Comparison {
  const what = query.get('what');
  if (what === null) {
    return kept;
  }
  const numbers = (name: string) => query.get(name)?.split('-').map(Number) ?? null;
  const [gain = 0, bands = 0, streams = 0, price = 0, energy = 0] = numbers('weights') ?? [];
  return {
    what: what as What,
    ids: numbers('ids'),
    base: numbers('base')?.[0] ?? null,
    weights: query.has('weights') ? { gain, bands, streams, price, energy } : null,
  };
}

function written({ what, ids, base, weights: w }: Comparison): Record<string, string> {
  return {
    part: 'candidates',
    what,
    ...(ids && { ids: ids.join('-') }),
    ...(base !== null && { base: String(base) }),
    ...(w && { weights: [w.gain, w.bands, w.streams, w.price, w.energy].join('-') }),
  };
}

/** Two to six devices, antennas or setups side by side. */
export function Candidates() {
  const [query, setQuery] = useSearchParams();
  const [kept, keep] = useStored<Comparison>('rig.candidates', {
    what: 'device',
    ids: null,
    base: null,
    weights: null,
  });
  const chosen = read(query, kept);
  const { what } = chosen;
  const set = (part: Partial<Comparison>) => {
    const next = { ...chosen, ...part };
    keep(next);
    setQuery(written(next), { replace: true });
  };
  const gear = useGear().data;
  const setups = useSetupFits().data;
  const carrier = useVehicle().data?.carrier;
  const options =
    what === 'setups'
      ? (setups ?? [])
          .filter((s) => s.complete && !s.setup.retired)
          .map((s) => ({ value: s.setup.id, label: s.setup.name }))
      : (gear ?? [])
          .filter((g) => g.kind === what && g.state !== 'retired')
          .map((g) => ({ value: g.id, label: `${g.name} (${g.state})` }));
  const ids = (chosen.ids ?? options.slice(0, 4).map((o) => o.value)).filter((id) =>
    options.some((o) => o.value === id),
  );
  const on = chosen.base ?? setups?.find((s) => s.complete)?.setup.id ?? null;
  const enough = ids.length >= 2 && ids.length <= 6;
  const compared = useCandidates(
    { what, ids, weights: chosen.weights, base: what === 'setups' ? null : on },
    enough,
  );
  const view = enough ? compared.data : undefined;
  const weights = chosen.weights ?? view?.weights;
  return (
    <Sheet
      title="Candidates"
      over={<RigParts here="candidates" />}
      headline={
        view?.sentence ??
        (enough || (what === 'setups' ? !setups : !gear)
          ? 'Candidates'
          : 'Choose two to six to compare them on what matters for your need.')
      }
      margin={
        <>
          {view && (
            <Part title="Two ways to choose">
              <div className="note">
                Cheapest that meets the need: <b>{view.cheapest ?? 'none is known to'}</b>
              </div>
              <div className="note">
                Strongest: <b>{view.strongest ?? 'unknown'}</b>
              </div>
              <div className="note">{view.nextUnits}</div>
            </Part>
          )}
          <Part title="How important is each point?" small="0 to 10">
            {weights &&
              view?.sides.map(({ key, label }) => {
                const side = key as keyof Weights;
                return (
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
                      onChange={(v) => set({ weights: { ...weights, [side]: v } })}
                    />
                  </div>
                );
              })}
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
            onChange={(next: What) => set({ what: next, ids: null })}
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
              onChange={(base) => set({ base })}
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
            onChange={(list: number[]) => set({ ids: list })}
          />
        </FieldFrame>
      </div>
      {compared.error && <Failed error={compared.error} />}
      {!view && enough && !compared.error && <p className="quiet">Calculating…</p>}
      {view && <CandidateTable view={view} carrier={carrier ?? 'no carrier'} />}
    </Sheet>
  );
}
