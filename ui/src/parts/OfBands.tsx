import type { Schemas } from '../data/client';
import { effect } from '../format/numbers';
import { Part } from './Sheet';

/** RSRP by band as it was measured in this trial, beside what the sheets predict. */
export function OfBands({ contrast }: { contrast: Schemas['Contrast'] }) {
  return contrast.bands.length === 0 ? null : (
    <Part title="By band" small="RSRP, the level of the signal: measured here beside what the sheets predict">
      {contrast.bands.map((band) => (
        <p key={band.band}>
          <b>{band.band}</b>: <span className="num">{effect(band.estimateDb, 'dB')}</span>
          {band.lowDb !== null && (
            <span className="small">
              {' '}
              ({effect(band.lowDb, 'dB')} to {effect(band.highDb, 'dB')})
            </span>
          )}
          {band.predictedDb !== null && (
            <>
              ; predicted about{' '}
              <span className="num">
                {effect(band.predictedDb, 'dB')} ± {band.halfWidthDb.toFixed(1)}
              </span>
            </>
          )}
          : <span className={band.fallsShort ? 'loss' : undefined}>{band.sentence}</span>.
        </p>
      ))}
      {contrast.causes !== '' && <p>{contrast.causes}</p>}
    </Part>
  );
}
