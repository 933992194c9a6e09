import type { Schemas } from '../data/client';
import { Part } from '../parts/Sheet';
import { fixed, short } from '../format/numbers';
import { length, temperature, useUnits, wire } from '../format/units';

/** What the chain takes from the battery, and the fuse and the wire it wants. */
export function Power({ power, battery }: { power: Schemas['PowerView'][]; battery: string }) {
  const { system } = useUnits();
  return (
    <Part
      title="Power"
      small={`per day as long as it runs; wire there and back at ${temperature(60, system)}, at most 3 % drop`}
    >
      <div className="table-scroll">
        <table className="plain rows">
          <thead>
            <tr>
              <th>Part</th>
              <th>Fed</th>
              <th className="num">Draw, at most</th>
              <th className="num">From {battery}</th>
              <th className="num">Through an inverter</th>
              <th className="num">Of the battery</th>
              <th>Fuse, wire</th>
            </tr>
          </thead>
          <tbody>
            {power.map((p) => (
              <tr key={p.part}>
                <td className="name">{p.part}</td>
                <td data-label="Fed">{p.supply}</td>
                <td className="num" data-label="Draw, at most">
                  {p.drawW === null ? 'not stated' : `${short(p.drawW)} W`}
                  {p.peakW !== null && `, ${short(p.peakW)} W`}
                </td>
                <td className="num" data-label={`From ${battery}`}>
                  {p.mainsOnly ? 'mains only' : p.whPerDay === null ? '–' : `${fixed(p.whPerDay, 0)} Wh`}
                </td>
                <td className="num" data-label="Through an inverter">
                  {p.whPerDayThroughInverter === null ? '–' : `${fixed(p.whPerDayThroughInverter, 0)} Wh`}
                </td>
                <td className="num" data-label="Of the battery">
                  {p.batteryShare === null ? '–' : `${fixed(100 * p.batteryShare, 0)} % a day`}
                </td>
                <td data-label="Fuse, wire">
                  {p.mainsOnly
                    ? 'that of the inverter'
                    : p.fuseA === null || p.wireMm2 === null || p.wireAwg === null
                      ? '–'
                      : `${p.fromPeak ? '' : 'at least '}${short(p.fuseA)} A, ${wire(p.wireMm2, p.wireAwg, system)}; ${fixed(p.dropV, 2)} V lost over ${length(p.wireM, system)}`}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <p className="small">
        Fuse and wire are for the most it draws, from a nearly empty battery of {battery}
        {power.some((p) => !p.fromPeak && p.fuseA !== null) &&
          '; “at least” where its sheet states the usual draw alone'}
        . Isolate the battery first, fuse at the battery end, wire sized to the fuse; mains and inverters are
        for a licensed electrician.
      </p>
    </Part>
  );
}
