import { App, Button, Checkbox, Radio } from 'antd';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { useArrival, useArrive } from '../data/arrival';
import { Refusal } from '../data/client';
import { useStanding } from '../data/names';
import { useStored } from '../data/useStored';
import { fixed } from '../format/numbers';
import { distance, useUnits } from '../format/units';
import { enterMovesOn } from '../parts/enterMovesOn';
import { Field, FieldFrame } from '../parts/Field';
import { NameField } from '../parts/NameField';
import { Part, Sheet } from '../parts/Sheet';
import { useNarrow } from '../parts/useNarrow';
import { useSettled } from '../parts/useSettled';
import { LastTime } from './LastTime';
import { Phones, type ShownLevels } from './Phones';
import './arrive.css';
import { useFailed } from '../parts/useFailed';

interface Draft {
  campsite: string;
  coordinates: string;
  surroundings: string[];
  phones: Record<string, ShownLevels>;
  mastDown: boolean | null;
}

const EMPTY: Draft = { campsite: '', coordinates: '', surroundings: [], phones: {}, mastDown: null };
const SETTLED_MS = 250;

/** Arriving: where, what it is like, what a phone shows outside and inside; and what held here last time. */
export function ArriveView() {
  const { data: line } = useStanding();
  const { system } = useUnits();
  const [draft, keep, forget] = useStored<Draft>('arrive', EMPTY);
  const [again, setAgain] = useState(false);
  const [problems, setProblems] = useState<Record<string, string>>({});
  const arrive = useArrive();
  const navigate = useNavigate();
  const { message } = App.useApp();
  const failed = useFailed();
  const narrow = useNarrow();
  const look = useArrival(
    useSettled(draft.campsite, SETTLED_MS),
    useSettled(draft.coordinates, SETTLED_MS),
  ).data;
  const set = (part: Partial<Draft>) => {
    setProblems({});
    keep({ ...draft, ...part });
  };
  const last = look?.last ? <LastTime last={look.last} campsite={draft.campsite} /> : undefined;
  const standsHere = draft.campsite !== '' && draft.campsite === line?.campsite;
  const asksMast = look?.askMast !== null && look?.askMast !== undefined && (!standsHere || again);
  const save = () =>
    arrive.mutate(
      {
        campsite: draft.campsite,
        coordinates: draft.coordinates || null,
        surroundings: draft.surroundings,
        phones: Object.entries(draft.phones).map(([carrier, shown]) => ({ carrier, ...shown })),
        again: standsHere && again,
        mastDown: asksMast ? draft.mastDown : null,
      },
      {
        onSuccess: () => {
          forget();
          void message.success(`Standing at ${draft.campsite}.`);
          void navigate('/tonight');
        },
        onError: (refused) => {
          setProblems(
            refused instanceof Refusal
              ? Object.fromEntries(refused.errors.map((e) => [e.field, e.message]))
              : {},
          );
          failed(refused.message.length < 140 ? refused.message : 'Some fields need another look.');
        },
      },
    );
  return (
    <Sheet
      title="Arrive"
      over={<Link to="/tonight">Tonight</Link>}
      headline="Where have you arrived?"
      margin={!narrow && last}
    >
      <form
        className="arrive"
        onKeyDown={enterMovesOn}
        onSubmit={(e) => {
          e.preventDefault();
          save();
        }}
      >
        <div className="form-grid">
          <div className="span2">
            <NameField
              kind="campsite"
              value={draft.campsite}
              onChange={(campsite) => set({ campsite })}
              problem={problems.campsite}
            />
          </div>
          <Field
            name="coordinates"
            label="Coordinates, if you like"
            className="span2"
            value={draft.coordinates}
            onChange={(coordinates) => set({ coordinates })}
            problem={problems.coordinates ?? look?.problem ?? undefined}
            placeholder="59.3293, 18.0686 or a link to a map"
            hint={
              look && look.lat !== null && look.lon !== null ? (
                `read as ${fixed(look.lat, 4)}, ${fixed(look.lon, 4)}`
              ) : (
                <FromDevice take={(coordinates) => set({ coordinates })} />
              )
            }
          />
        </div>
        {look && look.near.length > 0 && (
          <div className="near">
            Nearby:{' '}
            {look.near.map((n) => (
              <Button key={n.campsite} size="small" onClick={() => set({ campsite: n.campsite })}>
                {n.campsite}, {distance(n.km, system, n.km < 1 ? 2 : 1)}
              </Button>
            ))}
          </div>
        )}
        {narrow && last}
        {asksMast && (
          <div className="heed" role="group" aria-label="Is the mast down?">
            <b>{look?.askMast}</b>
            <Radio.Group
              value={draft.mastDown}
              onChange={(e) => set({ mastDown: e.target.value as boolean })}
              options={[
                { value: true, label: 'Yes, it is down' },
                { value: false, label: 'No, it is still up' },
              ]}
            />
          </div>
        )}
        <FieldFrame id="field-surroundings" label="What is it like?">
          <Checkbox.Group
            className="surroundings"
            value={draft.surroundings}
            onChange={(surroundings) => set({ surroundings })}
            options={look?.surroundings ?? []}
          />
        </FieldFrame>
        <Part title="What your phone shows" small="the level in dBm, or “no service”">
          <Phones
            carriers={look?.carriers ?? []}
            shown={draft.phones}
            set={(phones) => set({ phones })}
            problems={problems}
          />
        </Part>
        {standsHere && (
          <Checkbox checked={again} onChange={(e) => setAgain(e.target.checked)}>
            I left and came back: start a new stay
          </Checkbox>
        )}
        <div className="buttons">
          <Button
            type="primary"
            htmlType="submit"
            disabled={draft.campsite.trim() === ''}
            loading={arrive.isPending}
          >
            {standsHere && !again ? 'Save' : 'Arrive'}
          </Button>
          <Button onClick={forget}>Clear</Button>
        </div>
      </form>
    </Sheet>
  );
}

/** The location that this device reports. */
function FromDevice({ take }: { take: (coordinates: string) => void }) {
  const [problem, setProblem] = useState('');
  if (!('geolocation' in navigator)) {
    return null;
  }
  const ask = () =>
    navigator.geolocation.getCurrentPosition(
      (at) => take(`${at.coords.latitude.toFixed(5)}, ${at.coords.longitude.toFixed(5)}`),
      () => setProblem('This device does not say where it is.'),
      { timeout: 10_000, maximumAge: 60_000 },
    );
  return (
    <>
      <button type="button" className="bold-part" onClick={ask}>
        Use this device’s location
      </button>{' '}
      {problem}
    </>
  );
}
