import { Button } from 'antd';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { type Aim, useAim, useBeginSweep, useForgetMast, useKeepCrossing } from '../data/aim';
import { stateOf } from '../data/state';
import { fixed } from '../format/numbers';
import { dateClock } from '../format/time';
import { distance, useUnits } from '../format/units';
import { Failed, Loaded } from '../parts/Loaded';
import { Part, Sheet } from '../parts/Sheet';
import { Declination } from './Declination';
import { MastForm } from './MastForm';
import { SweepSheet } from './SweepSheet';
import './aim.css';

const M_PER_KM = 1_000;

/** Aiming a directional antenna: where towers are, a sweep over headings, where bearings cross. */
export function AimView() {
  const [query] = useSearchParams();
  const sweep = query.get('sweep');
  const aim = useAim();
  if (sweep !== null) {
    return <SweepSheet id={Number(sweep)} aim={aim.data} />;
  }
  return aim.data ? (
    <Overview aim={aim.data} />
  ) : (
    <Sheet title="Aim" headline="Aim an antenna">
      <Loaded state={stateOf(aim)}>{() => null}</Loaded>
    </Sheet>
  );
}

function Overview({ aim }: { aim: Aim }) {
  const begin = useBeginSweep();
  const navigate = useNavigate();
  return (
    <Sheet
      title="Aim"
      over={<Link to="/tonight">Tonight</Link>}
      headline="Turn the antenna all the way round once to find its best direction."
      margin={<Declination aim={aim} />}
    >
      <p>
        Read a level every 30°: twelve readings, about five minutes. An omnidirectional antenna does not need
        it.
      </p>
      <p className="caution">{aim.caution}</p>
      <div className="buttons">
        <Button
          type="primary"
          size="large"
          loading={begin.isPending}
          onClick={() =>
            begin.mutate(undefined, { onSuccess: (sweep) => void navigate(`/aim?sweep=${sweep.id}`) })
          }
        >
          Start a sweep
        </Button>
      </div>
      {begin.error && <Failed error={begin.error} />}
      <Sweeps aim={aim} />
      <Crossings aim={aim} />
      <Masts aim={aim} />
    </Sheet>
  );
}

function Sweeps({ aim }: { aim: Aim }) {
  return aim.sweeps.length === 0 ? null : (
    <Part title="Sweeps">
      {aim.pointings.map((said) => (
        <p key={said}>
          <b>{said}</b>
        </p>
      ))}
      {aim.sweeps.map((s) => (
        <div className="note" key={s.id}>
          <Link to={`/aim?sweep=${s.id}`}>
            {s.setup ?? 'No setup'} on {s.carrier ?? 'no carrier'}, {s.campsite ?? 'nowhere'}
          </Link>{' '}
          <span className="small">
            {dateClock(s.beganAt)} · {s.points} headings
          </span>
          {s.sentence !== null && <div>{s.sentence}</div>}
        </div>
      ))}
    </Part>
  );
}

function Crossings({ aim }: { aim: Aim }) {
  const { system } = useUnits();
  const keep = useKeepCrossing();
  return aim.crossings.length === 0 ? null : (
    <Part title="Where bearings cross" small="the tower of one cell, swept from several places">
      {aim.crossings.map((c) => (
        <div className="note" key={c.key}>
          {c.lat !== null && c.lon !== null && c.longM !== null && c.shortM !== null ? (
            <>
              The tower of {c.carrier}
              {c.cellId ? `, cell ${c.cellId},` : ''} is at about {fixed(c.lat, 4)}°, {fixed(c.lon, 4)}°:
              within {distance(c.longM / M_PER_KM, system)} by {distance(c.shortM / M_PER_KM, system)} (95 %),
              the longer towards {fixed(c.longDeg, 0)}°. From {c.places.join(' and ')}.{' '}
              <Button loading={keep.isPending} onClick={() => keep.mutate(c.key)}>
                Save as a tower
              </Button>
            </>
          ) : (
            <>
              {c.carrier}, from {c.places.join(' and ')}: {c.problem}.
            </>
          )}
        </div>
      ))}
      {keep.error && <Failed error={keep.error} />}
    </Part>
  );
}

function Masts({ aim }: { aim: Aim }) {
  const { system } = useUnits();
  const near = aim.masts.filter((m) => !m.far);
  const far = aim.masts.filter((m) => m.far);
  return (
    <Part title="Towers" small={aim.located ? `bearings from ${aim.campsite}` : undefined}>
      {!aim.located && (
        <p>
          {aim.campsite === null
            ? 'Choose your campsite in the line above to get bearings from here.'
            : `${aim.campsite} has no coordinates yet. Enter them on Arrive.`}
        </p>
      )}
      {near.map((m) => (
        <Tower key={m.id} tower={m} />
      ))}
      {far.length > 0 && (
        <details className="numbers">
          <summary>
            Farther than {distance(aim.farKm, system, 0)} ({far.length})
          </summary>
          {far.map((m) => (
            <Tower key={m.id} tower={m} />
          ))}
        </details>
      )}
      <MastForm />
    </Part>
  );
}

function Tower({ tower: m }: { tower: Aim['masts'][number] }) {
  const { system } = useUnits();
  const forget = useForgetMast();
  return (
    <div className="note mast">
      <span>
        <b>{m.name}</b>
        {m.carrier && `, ${m.carrier}`} {m.estimated && <span className="small">about here</span>}
      </span>
      <span className="num">
        {m.trueDeg === null || m.km === null
          ? ''
          : `${fixed(m.trueDeg, 0)}° true, ${fixed(m.magneticDeg, 0)}° by the compass, ${distance(m.km, system)}`}
      </span>
      <Button type="text" aria-label={`Delete ${m.name}`} onClick={() => forget.mutate(m.id)}>
        Delete
      </Button>
    </div>
  );
}
