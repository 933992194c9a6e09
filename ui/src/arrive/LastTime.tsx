import type { Schemas } from '../data/client';
import { SetupLabel } from '../draw/Pennant';
import { count, short } from '../format/numbers';
import { dateClock } from '../format/time';
import { Part } from '../parts/Sheet';

/** What held at a campsite that one comes back to. */
export function LastTime({ last, campsite }: { last: Schemas['LastView']; campsite: string }) {
  return (
    <Part
      title={`Last time at ${campsite}`}
      small={`${count(last.stays, 'stay')}, until ${dateClock(last.until)}`}
    >
      {last.surroundings && <div className="note">{last.surroundings}</div>}
      {last.did.length === 0 && <div className="note">Nothing was measured there.</div>}
      {last.did.map((did) => (
        <div className="note" key={`${did.setup.id} ${did.carrier ?? ''}`}>
          <SetupLabel setup={did.setup} /> {did.carrier && `on ${did.carrier}`}
          <div className="small">
            {did.up === null && did.down === null
              ? 'no run worked'
              : `${short(did.up)} Mb/s up, ${short(did.down)} Mb/s down, the median`}{' '}
            of {count(did.runs, 'measurement')}
            {did.failed > 0 && <span className="loss">, {did.failed} failed</span>}
          </div>
        </div>
      ))}
    </Part>
  );
}
