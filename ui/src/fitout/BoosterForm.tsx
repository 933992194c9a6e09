import { Button, Checkbox } from 'antd';
import type { Assessment, Fitout, RoofPlan } from '../data/fitout';
import { fixed } from '../format/numbers';
import { length, useUnits } from '../format/units';
import { Field } from '../parts/Field';
import { Part } from '../parts/Sheet';
import { Num } from './Num';

type Booster = NonNullable<RoofPlan['booster']>;

/** Beyond it nothing is calculated: nobody sits there. */
const FURTHEST_M = 10;

/** A booster’s two antennas, what of its gain is stable, and how far it reaches inside. */
export function BoosterForm(props: {
  plan: RoofPlan;
  fitout: Fitout;
  assessment: Assessment | undefined;
  change: (next: RoofPlan, step: string) => void;
}) {
  const { plan, fitout, assessment, change } = props;
  const { system } = useUnits();
  const first: Booster = {
    name: 'Booster',
    gainDb: 50,
    outputDbm: null,
    outsideX: 0.4,
    outsideY: (assessment?.widthM ?? 1.6) / 2,
    outsideUpM: 0.1,
    outsideGainDbi: 3,
    insideX: (assessment?.lengthM ?? 4) - 0.5,
    insideY: (assessment?.widthM ?? 1.6) / 2,
    insideDownM: 0.3,
    insideGainDbi: 2,
    facing: false,
    donorRsrpDbm: -100,
    donorSinrDb: null,
    targetDbm: null,
    reported: [],
    warns: null,
  };
  const booster = plan.booster;
  const boosted = assessment?.boosted;
  if (!booster) {
    return (
      <Part id="booster" title="A booster" small="two antennas that must not hear each other">
        <div className="buttons">
          <Button onClick={() => change({ ...plan, booster: first }, 'booster')}>Add a booster</Button>
        </div>
      </Part>
    );
  }
  const put = (part: Partial<Booster>, step: string) =>
    change({ ...plan, booster: { ...booster, ...part } }, `booster ${step}`);
  const num = (key: keyof Booster, label: string, unit: string, usual?: number) => (
    <Num
      name={`booster-${key}`}
      label={label}
      unit={unit}
      required={usual === undefined && key !== 'outputDbm' && key !== 'donorSinrDb'}
      usual={usual}
      value={(booster[key] as number | null) ?? null}
      onChange={(value) => put({ [key]: value } as Partial<Booster>, key)}
    />
  );
  const reported = (band: string) => booster.reported.find((r) => r.band === band)?.gainDb ?? null;
  return (
    <Part id="booster" title="The booster" small="estimated; move its antennas on the drawing">
      {boosted && <p className="action">{boosted.sentence}</p>}
      {boosted?.held.map((said) => (
        <p className="loss" key={said}>
          {said}
        </p>
      ))}
      {boosted && (
        <table className="plain rows">
          <thead>
            <tr>
              <th>Band</th>
              <th className="num">between them</th>
              <th className="num">stable gain</th>
              <th className="num">used</th>
              <th className="num">all of it from</th>
              <th className="num">{fixed(boosted.targetDbm, 0)} dBm within</th>
              <th className="num">it reports</th>
            </tr>
          </thead>
          <tbody>
            {boosted.bands.map((b) => (
              <tr key={b.band}>
                <td>{b.band}</td>
                <td className="num" data-label="between them">
                  {fixed(b.isolationDb, 0)} dB
                </td>
                <td className="num" data-label="stable gain">
                  {fixed(b.stableGainDb, 0)} dB
                </td>
                <td className="num" data-label="used">
                  {fixed(b.usableGainDb, 0)} dB
                </td>
                <td className="num" data-label="all of it from">
                  {length(Math.round(b.fullGainAtM * 10) / 10, system)}
                </td>
                <td className="num" data-label={`${fixed(boosted.targetDbm, 0)} dBm within`}>
                  {b.radiusM === 0
                    ? 'nowhere'
                    : `${length(Math.round(b.radiusM * 10) / 10, system)}${b.radiusM >= FURTHEST_M ? ' or more' : ''}`}
                </td>
                <td className="num reported" data-label="it reports">
                  <Num
                    name={`reported-${b.band}`}
                    label={`${b.band}, reported`}
                    unit="dB"
                    value={reported(b.band)}
                    onChange={(gainDb) =>
                      put(
                        {
                          reported: [
                            ...booster.reported.filter((r) => r.band !== b.band),
                            ...(gainDb === null ? [] : [{ band: b.band, gainDb }]),
                          ],
                        },
                        `reported ${b.band}`,
                      )
                    }
                  />
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <div className="buttons">
        <Checkbox
          checked={booster.facing === true}
          onChange={(e) => put({ facing: e.target.checked }, 'facing')}
        >
          The two face each other, or lie in one plane
        </Checkbox>
        <Checkbox
          checked={booster.warns === true}
          onChange={(e) => put({ warns: e.target.checked }, 'warns')}
        >
          Its warning light is on
        </Checkbox>
      </div>
      <div className="form-grid">
        <Field
          name="booster-name"
          label="Booster"
          value={booster.name}
          onChange={(name) => put({ name }, 'name')}
        />
        {num('gainDb', 'Rated gain', 'dB')}
        {num('outputDbm', 'Rated output', 'dBm')}
        {num('donorRsrpDbm', 'RSRP at the antenna outside', 'dBm')}
        {num('donorSinrDb', 'SINR there', 'dB')}
        {num('targetDbm', 'A phone should find', 'dBm', fitout.usual.targetDbm)}
        {num('outsideGainDbi', 'Outside: gain less cable', 'dBi')}
        {num('outsideUpM', 'Outside: above the roof', 'm')}
        {num('outsideX', 'Outside: from the front', 'm')}
        {num('outsideY', 'Outside: from the left', 'm')}
        {num('insideGainDbi', 'Inside: gain', 'dBi')}
        {num('insideDownM', 'Inside: beneath the roof', 'm')}
        {num('insideX', 'Inside: from the front', 'm')}
        {num('insideY', 'Inside: from the left', 'm')}
        <div className="beside-field">
          <Button
            aria-label="Remove the booster"
            onClick={() => change({ ...plan, booster: null }, 'booster off')}
          >
            Remove
          </Button>
        </div>
      </div>
      <p className="small">
        Boosters are registered, licensed or forbidden, depending on the country and the carrier: ask before
        you switch one on.
      </p>
    </Part>
  );
}
