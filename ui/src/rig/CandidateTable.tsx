import type { ReactNode } from 'react';
import type { Schemas } from '../data/client';
import { useMoney } from '../data/useMoney';
import { Part } from '../parts/Sheet';
import { useNarrow } from '../parts/useNarrow';
import { effect, fixed } from '../format/numbers';
import { Buy } from './Fit';

type Candidate = Schemas['CandidateView'];

/** Candidates as columns in their order, what matters as rows; on a narrow sheet one after the other. */
export function CandidateTable({ view, carrier }: { view: Schemas['CandidatesView']; carrier: string }) {
  const narrow = useNarrow();
  return (
    <Part
      title="Side by side"
      small={`on ${carrier} · gains are predicted, compared with the device’s own antenna inside`}
    >
      {narrow ? <OneByOne view={view} /> : <Columns view={view} />}
    </Part>
  );
}

interface Row {
  name: string;
  cell: (c: Candidate) => ReactNode;
}

function rows(first: Candidate | undefined, { money, priced }: ReturnType<typeof useMoney>): Row[] {
  const row = (name: string, cell: (c: Candidate) => ReactNode): Row => ({ name, cell });
  const musts = [...new Set(first?.essentials.map((m) => m.what))];
  return [
    row('Why this rank', (c) => c.reason),
    ...musts.map((must) => row(must, (c) => <Met met={c.essentials.find((m) => m.what === must)?.met} />)),
    row('Bands that work', (c) => `${c.bandsWorking} of ${c.bands}`),
    row('Streams', (c) => c.streams ?? 'unknown'),
    ...(first?.gains ?? []).map((gain, i) => row(`Gain on ${gain.band}`, (c) => <Gain gain={c.gains[i]} />)),
    row('Gain, mean of all bands', (c) => (
      <b>{c.meanGainDb === null ? 'unknown' : `about ${effect(c.meanGainDb, 'dB')}`}</b>
    )),
    row('To buy', (c) =>
      c.toBuy.length === 0 ? 'nothing' : c.toBuy.map((b) => <Buy key={b.what} buy={b} />),
    ),
    row('Total price', (c) => <b>{priced(c.price)}</b>),
    row('Price per dB', (c) => (c.pricePerDb === null ? '–' : money(c.pricePerDb, 1))),
    row('Price per stream', (c) => (c.pricePerStream === null ? '–' : money(c.pricePerStream, 0))),
    row('Energy a day', (c) => (c.whPerDay === null ? 'unknown' : `${fixed(c.whPerDay, 0)} Wh`)),
    row('Aiming', (c) => c.aiming ?? 'none: it hears all round'),
    row('Points with these weights', (c) => fixed(c.score, 1)),
  ];
}

function Head({ candidate: c, view }: { candidate: Candidate; view: Schemas['CandidatesView'] }) {
  return (
    <>
      <span className="rank">{c.place}</span> <b>{c.name}</b>
      {view.cheapest === c.name && <div className="gain">cheapest that meets the need</div>}
      {view.strongest === c.name && <div className="gain">strongest</div>}
    </>
  );
}

function Columns({ view }: { view: Schemas['CandidatesView'] }) {
  const money = useMoney();
  const { candidates } = view;
  return (
    <div className="table-scroll">
      <table className="plain candidates">
        <thead>
          <tr>
            <th />
            {candidates.map((c) => (
              <th key={c.id}>
                <Head candidate={c} view={view} />
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows(candidates[0], money).map(({ name, cell }) => (
            <tr key={name}>
              <td>{name}</td>
              {candidates.map((c) => (
                <td key={c.id}>{cell(c)}</td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

function OneByOne({ view }: { view: Schemas['CandidatesView'] }) {
  const money = useMoney();
  return view.candidates.map((c) => (
    <section className="candidate" key={c.id}>
      <h3>
        <Head candidate={c} view={view} />
      </h3>
      {rows(c, money).map(({ name, cell }) => (
        <div className="line" key={name}>
          <span className="small">{name}</span>
          <div>{cell(c)}</div>
        </div>
      ))}
    </section>
  ));
}

function Met({ met = 'unknown' }: { met: string | undefined }) {
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
