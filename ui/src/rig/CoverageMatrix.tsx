import { Select } from 'antd';
import type { Schemas } from '../data/client';
import { useRegions } from '../data/rig';
import { Part } from '../parts/Sheet';
import { CoverageMark } from '../draw/CoverageMark';
import { fixed } from '../format/numbers';

/** A carrier, in one of its regions or in all. */
export interface Network {
  carrier: string;
  region: string | null;
}

const name = (n: Network) => (n.region ? `${n.carrier}, ${n.region}` : n.carrier);

/** Which of the carrier's bands get through which link, uplink and downlink apart. */
export function CoverageMatrix(props: {
  coverage: Schemas['CoverageView'];
  network: Network;
  change: (network: Network) => void;
}) {
  const { coverage, network, change } = props;
  const { carrier, region } = network;
  const regions = useRegions().data ?? [];
  return (
    <Part
      title="Which bands get through"
      small="upper corner: downlink · lower corner: uplink · dashed: not stated"
      actions={
        <Select
          size="small"
          aria-label="Carrier and region"
          popupMatchSelectWidth={false}
          placeholder="carrier"
          value={carrier ? name({ carrier, region }) : undefined}
          options={regions.map((r) => ({ value: name(r) }))}
          onChange={(value) => {
            const found = regions.find((r) => name(r) === value);
            if (found) {
              change({ carrier: found.carrier, region: found.region });
            }
          }}
        />
      }
    >
      <p className="sentence-line">{coverage.sentence}</p>
      {coverage.bands.length > 0 && (
        <div className="table-scroll">
          <table className="plain rows">
            <thead>
              <tr>
                <th>Band</th>
                {coverage.links.map((link) => (
                  <th key={link}>{link}</th>
                ))}
                <th className="num">Streams</th>
                <th>So, on {carrier}</th>
              </tr>
            </thead>
            <tbody>
              {coverage.bands.map((b) => (
                <tr key={b.band}>
                  <td>
                    <b>{b.band}</b> <span className="small">{fixed(b.mhz, 0)} MHz</span>
                  </td>
                  {b.links.map((l) => (
                    <td key={l.link} data-label={l.link}>
                      <CoverageMark downlink={l.downlink} uplink={l.uplink} />
                    </td>
                  ))}
                  <td className="num" data-label="Streams">
                    {b.streams ?? 'unknown'}
                  </td>
                  <td
                    data-label={`So, on ${carrier}`}
                    className={b.result === 'works' ? undefined : b.result === 'unknown' ? 'quiet' : 'loss'}
                  >
                    {b.sentence}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
    </Part>
  );
}
