import type { Schemas } from '../data/client';
import { useNeeds, useRegions, useVehicle } from '../data/rig';
import { stateOf } from '../data/state';
import { fixed, plain, short } from '../format/numbers';
import { Loaded } from '../parts/Loaded';
import { Part, Sheet } from '../parts/Sheet';
import { NeedRow } from './NeedRow';
import { Regions } from './Regions';
import { RigParts } from './RigParts';
import { VehicleForm } from './VehicleForm';

/** What the connection is for, on which networks, in which vehicle; and what that means. */
export function Needs() {
  const needs = useNeeds();
  const vehicle = useVehicle();
  const regions = useRegions();
  const { data } = needs;
  return (
    <Sheet
      title="Need"
      over={<RigParts here="need" />}
      headline={data?.requirement.sentence ?? 'Need'}
      margin={data && <Meaning requirement={data.requirement} />}
    >
      <Part title="What is it for?" small="choose several; needs at the same time add up">
        <Loaded state={stateOf(needs)}>
          {(view) => (
            <div className="table-scroll">
              <table className="plain rows">
                <thead>
                  <tr>
                    <th>Need</th>
                    <th className="num">Down</th>
                    <th className="num">Up</th>
                    <th className="num">Under load</th>
                    <th className="num">Loss</th>
                    <th>When</th>
                    <th />
                  </tr>
                </thead>
                <tbody>
                  {view.needs.map((need) => (
                    <NeedRow key={need.name} need={need} partsOfDay={view.partsOfDay} />
                  ))}
                </tbody>
              </table>
            </div>
          )}
        </Loaded>
      </Part>
      <Part title="Your carriers, your vehicle, your budget">
        <Loaded state={stateOf(vehicle)}>
          {(view) => <VehicleForm key={view.version} vehicle={view} regions={regions.data ?? []} />}
        </Loaded>
      </Part>
      <Part
        title="Your carriers’ bands by region"
        small="made up in the demo; look yours up on the carrier’s site"
      >
        <Loaded state={stateOf(regions)}>{(list) => <Regions regions={list} />}</Loaded>
      </Part>
    </Sheet>
  );
}

function Meaning({ requirement: r }: { requirement: Schemas['RequirementView'] }) {
  return (
    <>
      <Part title="What it means">
        <div className="note">
          {r.downMbps === null ? 'No download asked for' : `${short(r.downMbps)} Mb/s down`},{' '}
          {r.upMbps === null ? 'no upload asked for' : `${short(r.upMbps)} Mb/s up`}.
        </div>
        {r.loadedMs !== null && (
          <div className="note">At most {plain(r.loadedMs)} ms while the line is busy.</div>
        )}
        {r.lossPct !== null && <div className="note">At most {plain(r.lossPct)} % lost.</div>}
        <div className="note">About {fixed(r.gbAMonth, 0)} GB a month.</div>
        {r.uploadTime && <div className="note">Your usual upload: {r.uploadTime}.</div>}
      </Part>
      <Part title="By part of the day">
        {r.parts.map((p) => (
          <div className="note" key={p.part}>
            <b>{p.part}</b>:{' '}
            {[
              p.downMbps === null ? null : `${short(p.downMbps)} Mb/s down`,
              p.upMbps === null ? null : `${short(p.upMbps)} Mb/s up`,
            ]
              .filter(Boolean)
              .join(', ')}
            <div className="small">{p.needs.join(', ')}</div>
          </div>
        ))}
        {r.parts.length === 0 && <div className="note">Tick what the connection is for.</div>}
      </Part>
      <Part title="Also">
        <div className="note">
          Never rely on cellular alone to call for help: far out, carry another way to call.
        </div>
      </Part>
    </>
  );
}
