import { Button } from 'antd';
import type { Assessment, Fitout, RoofPlan } from '../data/fitout';
import { fixed } from '../format/numbers';
import { useUnits, windSpeed } from '../format/units';
import { Part } from '../parts/Sheet';
import { Num } from './Num';

type Mast = NonNullable<RoofPlan['mast']>;

const FIRST: Mast = {
  areaM2: 0.1,
  leverM: 1.5,
  clampNm: null,
  raisedM: null,
  laidM: null,
  weightKg: null,
  holdsKg: null,
};

/** What the wind does at the clamp of a mast. */
export function WindForm(props: {
  plan: RoofPlan;
  fitout: Fitout;
  assessment: Assessment | undefined;
  change: (next: RoofPlan, step: string) => void;
}) {
  const { plan, fitout, assessment, change } = props;
  const { system } = useUnits();
  const mast = plan.mast;
  const wind = assessment?.wind;
  if (!mast) {
    return (
      <Part id="mast" title="A mast" small="what the wind does at its clamp">
        <div className="buttons">
          <Button onClick={() => change({ ...plan, mast: FIRST }, 'mast')}>Add a mast</Button>
        </div>
      </Part>
    );
  }
  const num = (key: keyof Mast, label: string, unit: string, usual?: number | null) => (
    <Num
      name={`mast-${key}`}
      label={label}
      unit={unit}
      required={usual === undefined}
      usual={usual ?? undefined}
      value={mast[key]}
      onChange={(value) => change({ ...plan, mast: { ...mast, [key]: value } }, `mast ${key}`)}
    />
  );
  return (
    <Part id="mast" title="The mast in the wind" small="an estimate; the maker’s own figure takes precedence">
      {wind && (
        <>
          <p className="action">
            Take it down above {windSpeed(wind.takeDownAboveKmh, system)}, gusts counted.
          </p>
          <table className="plain">
            <thead>
              <tr>
                <th>Wind</th>
                <th className="num">Force</th>
                <th className="num">Moment at the clamp</th>
              </tr>
            </thead>
            <tbody>
              {wind.at.map((w) => (
                <tr key={w.kmh} className={w.momentNm > wind.clampNm ? 'loss' : ''}>
                  <td>{windSpeed(w.kmh, system)}</td>
                  <td className="num">{fixed(w.forceN, 0)} N</td>
                  <td className="num">
                    {fixed(w.momentNm, 0)} of {fixed(wind.clampNm, 0)} N·m
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </>
      )}
      <div className="form-grid">
        {num('areaM2', 'Area of the antenna', 'm²')}
        {num('leverM', 'Clamp to its middle', 'm')}
        {num('clampNm', 'The clamp holds', 'N·m', fitout.usual.clampNm)}
        {num('raisedM', 'Raised: its top above the ground', 'm', null)}
        {num('laidM', 'Lowered: its height above the roof', 'm', null)}
        {num('weightKg', 'Weight, antenna included', 'kg', null)}
        {num('holdsKg', 'Clamp or ladder can carry', 'kg', null)}
        <div className="beside-field">
          <Button aria-label="Remove the mast" onClick={() => change({ ...plan, mast: null }, 'mast off')}>
            Remove
          </Button>
        </div>
      </div>
      <p className="small">Never drive with it up; lay it down before a thunderstorm.</p>
    </Part>
  );
}
