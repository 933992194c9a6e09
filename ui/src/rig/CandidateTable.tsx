import type { ReactNode } from 'react';
import type { Schemas } from '../data/client';
import { Part } from '../parts/Sheet';
import { effect, fixed } from '../format/numbers';

type Candidate = Schemas['CandidateView'];

/** Candidates as columns, what matters as rows. */
export function CandidateTable({ view, carrier }: { view: Schemas['CandidatesView']; carrier: string }) {
  const { candidates } = view;
  const bands = candidates[0]?.gains.map((g) => g.band) ?? [];
  const essentials = candidates[0]?.essentials.map((m) => m.what) ?? [];
  const row = (name: ReactNode, cell: (c: Candidate) => ReactNode, key?: string) => (
    <tr key={key}>
      <td>{name}</td>
      {candidates.map((c) => (
        <td key={c.id}>{cell(c)}</td>
      ))}
    </tr>
  );
  return (
    <Part
      title="Side by side"
      small={`on ${carrier} · gains are predicted, against the device’s own antenna inside`}
    >
      <div className="table-scroll">
        <table className="plain candidates">
          <thead>
            <tr>
              <th />
              {candidates.map((c) => (
                <th key={c.id}>
                  <span className="rank">{c.rank}</span> <b>{c.name}</b>
                  {view.cheapest === c.name && <div className="gain">cheapest that meets the need</div>}
                  {view.strongest === c.name && <div className="gain">strongest</div>}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {essentials.map((must, i) =>
              row(must, (c) => <Met met={c.essentials[i]?.met ?? 'unknown'} />, must),
            )}
            {row('Bands that work both ways', (c) => `${c.bandsWorking} of ${c.bands}`)}
            {row('Streams', (c) => c.streams)}
            {bands.map((band, i) =>
              row(`Gain on ${band}`, (c) => <Gain gain={c.gains[i]} />, `gain ${band}`),
            )}
            {row('Gain, mean of bands that work', (c) => (
              <b>{c.meanGainDb === null ? 'unknown' : `about ${effect(c.meanGainDb, 'dB')}`}</b>
            ))}
            {row('To buy', (c) =>
              c.toBuy.length === 0
                ? 'nothing'
                : c.toBuy.map((b) => (
                    <div key={b.what}>
                      {b.what}{' '}
                      <span className="small">{b.price === null ? 'price unknown' : fixed(b.price, 0)}</span>
                    </div>
                  )),
            )}
            {row('Price of that', (c) => (
              <b>{c.price === null ? 'unknown' : fixed(c.price, 0)}</b>
            ))}
            {row('Price per dB', (c) => (c.pricePerDb === null ? '–' : fixed(c.pricePerDb, 1)))}
            {row('Price per stream', (c) => (c.pricePerStream === null ? '–' : fixed(c.pricePerStream, 0)))}
            {row('Energy a day', (c) => (c.whPerDay === null ? 'unknown' : `${fixed(c.whPerDay, 0)} Wh`))}
            {row('Score with these weights', (c) => `${fixed(100 * c.score, 0)} of 100`)}
          </tbody>
        </table>
      </div>
    </Part>
  );
}

function Met({ met }: { met: string }) {
  return <span className={met === 'yes' ? 'gain' : met === 'no' ? 'loss' : 'quiet'}>{met}</span>;
}

function Gain({ gain }: { gain: Schemas['GainView'] | undefined }) {
  if (!gain) {
    return '–';
  }
  if (gain.deltaDb === null) {
    return <span className="quiet">{gain.result === 'works' ? 'unknown' : gain.result}</span>;
  }
  return (
    <>
      {effect(gain.deltaDb, 'dB')}{' '}
      {gain.halfWidthDb > 0 && <span className="small">± {fixed(gain.halfWidthDb, 0)}</span>}
    </>
  );
}
