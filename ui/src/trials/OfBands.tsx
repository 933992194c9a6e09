import type { Schemas } from '../data/client';
import { effect } from '../format/numbers';
import { Part } from '../parts/Sheet';

/** RSRP by band as it was measured in this trial, beside what the sheets predict. */
export function OfBands({ contrast }: { contrast: Schemas['Contrast'] }) {
  return contrast.bands.length === 0 ? null : (
    <Part title="By band" small="RSRP, the level of the signal: measured here beside what the sheets predict">
      <table className="plain">
        <thead>
          <tr>
            <th>Band</th>
            <th className="num">measured</th>
            <th className="num">predicted</th>
            <th />
          </tr>
        </thead>
        <tbody>
          {contrast.bands.map((band) => (
            <tr key={band.band}>
              <td>{band.band}</td>
              <td className="num">
                {effect(band.estimateDb, 'dB')}
                {band.lowDb !== null && (
                  <span className="small">
                    {' '}
                    ({effect(band.lowDb, 'dB')} to {effect(band.highDb, 'dB')})
                  </span>
                )}
              </td>
              <td className="num">
                {band.predictedDb === null
                  ? '–'
                  : `about ${effect(band.predictedDb, 'dB')} ± ${band.halfWidthDb.toFixed(1)}`}
              </td>
              <td className={band.fallsShort ? 'loss' : 'small'}>{band.sentence}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {contrast.causes !== '' && <p>{contrast.causes}</p>}
    </Part>
  );
}
