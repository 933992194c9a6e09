import type { Schemas } from '../data/client';
import { Part } from '../parts/Sheet';
import { fixed, short } from '../format/numbers';
import { length, useUnits, wire } from '../format/units';

/** What the chain takes from the battery, and the fuse and the wire it wants. */
export function Power({ power }: { power: Schemas['PowerView'][] }) {
  const { system } = useUnits();
  return (
    <Part title="Power" small="per day as long as it runs; wire there and back at 60 °C, at most 3 % drop">
      <div className="table-scroll">
        <table className="plain">
          <thead>
            <tr>
              <th>Part</th>
              <th className="num">Draw</th>
              <th className="num">12 V direct</th>
              <th className="num">Through an inverter</th>
              <th className="num">Of the battery</th>
              <th>Input</th>
              <th>Fuse, wire</th>
            </tr>
          </thead>
          <tbody>
            {power.map((p) => (
              <tr key={p.part}>
                <td className="name">{p.part}</td>
                <td className="num">{p.drawW === null ? 'not stated' : `${short(p.drawW)} W`}</td>
                <td className="num">
                  {p.mainsOnly ? 'mains only' : p.whPerDay === null ? '–' : `${fixed(p.whPerDay, 0)} Wh`}
                </td>
                <td className="num">
                  {p.whPerDayThroughInverter === null ? '–' : `${fixed(p.whPerDayThroughInverter, 0)} Wh`}
                </td>
                <td className="num">
                  {p.batteryShare === null ? '–' : `${fixed(100 * p.batteryShare, 0)} % a day`}
                </td>
                <td className={p.takesVehicleRange || p.lowV === null ? undefined : 'attention'}>
                  {p.lowV === null || p.highV === null
                    ? 'not stated'
                    : `${short(p.lowV)} to ${short(p.highV)} V`}
                </td>
                <td>
                  {p.fuseA === null || p.wireMm2 === null || p.wireAwg === null
                    ? '–'
                    : `${short(p.fuseA)} A, ${wire(p.wireMm2, p.wireAwg, system)}; ${fixed(p.dropV, 2)} V lost over ${length(p.wireM, system)}`}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <p className="small">
        A vehicle’s 12 V side runs from 11.0 to 14.8 V. Isolate the battery first, fuse at the battery end,
        wire sized to the fuse; mains and inverters are for a licensed electrician.
      </p>
    </Part>
  );
}
