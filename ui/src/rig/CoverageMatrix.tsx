import type { Schemas } from '../api/client';
import { Part } from '../app/Sheet';
import { CoverageMark } from '../draw/CoverageMark';
import { fixed } from '../format/numbers';

/** Which of the carrier's bands get through which link, uplink and downlink apart. */
export function CoverageMatrix(props: {
  coverage: Schemas['CoverageView'];
  carrier: string;
  region: string | null;
}) {
  const { coverage, carrier, region } = props;
  return (
    <Part
      title="Which bands get through"
      small="upper corner: downlink · lower corner: uplink · dashed: not stated"
    >
      <p className="sentence-line">{coverage.sentence}</p>
      {coverage.bands.length > 0 && (
        <div className="table-scroll">
          <table className="plain">
            <thead>
              <tr>
                <th>Band</th>
                {coverage.links.map((link) => (
                  <th key={link}>{link}</th>
                ))}
                <th>
                  So, on {carrier}
                  {region && `, ${region}`}
                </th>
              </tr>
            </thead>
            <tbody>
              {coverage.bands.map((b) => (
                <tr key={b.band}>
                  <td>
                    <b>{b.band}</b> <span className="small">{fixed(b.mhz, 0)} MHz</span>
                  </td>
                  {b.links.map((l) => (
                    <td key={l.link}>
                      <CoverageMark downlink={l.downlink} uplink={l.uplink} />
                    </td>
                  ))}
                  <td
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
