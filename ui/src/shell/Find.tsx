import { Input, Modal } from 'antd';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import type { Schemas } from '../data/client';
import { useFound } from '../data/log';
import { dayMonth, span } from '../format/time';
import { useSettled } from '../parts/useSettled';

type Hit = Schemas['Hit'];

const SETTLED_MS = 150;

const KINDS: [string, string][] = [
  ['stay', 'Stays'],
  ['measurements', 'Measurements'],
  ['setup', 'Setups'],
  ['trial', 'Trials'],
  ['carrier', 'Carriers'],
];

/** Where what was found stands. */
function address(hit: Hit, text: string) {
  switch (hit.kind) {
    case 'setup':
      return `/gear?part=setups&setup=${hit.id}`;
    case 'trial':
      return `/trials?${new URLSearchParams({ campsite: hit.campsite ?? '', trial: hit.name })}`;
    case 'carrier':
      return `/logbook?part=names&kind=carrier`;
    case 'measurements':
      return `/logbook?${new URLSearchParams({ stay: String(hit.stay), find: text })}`;
    default:
      return `/logbook?stay=${hit.stay}`;
  }
}

/** One search over everything, from anywhere. */
export function Find({ close }: { close: () => void }) {
  const [text, setText] = useState('');
  const [at, setAt] = useState(0);
  const settled = useSettled(text.trim(), SETTLED_MS);
  const found = useFound(settled);
  const navigate = useNavigate();
  const hits =
    settled === '' ? [] : KINDS.flatMap(([kind]) => (found.data?.hits ?? []).filter((h) => h.kind === kind));
  const chosen = Math.min(at, Math.max(0, hits.length - 1));
  const go = (hit: Hit | undefined) => {
    if (hit) {
      close();
      void navigate(address(hit, settled));
    }
  };
  return (
    <Modal open onCancel={close} footer={null} title="Find" width={620} style={{ top: 40 }} className="find">
      <Input
        autoFocus
        aria-label="Find in everything"
        placeholder="a campsite, setup, trial, note, band, cell or date"
        value={text}
        onChange={(e) => {
          setText(e.target.value);
          setAt(0);
        }}
        onKeyDown={(e) => {
          if (e.key === 'ArrowDown' || e.key === 'ArrowUp') {
            e.preventDefault();
            setAt(Math.max(0, Math.min(hits.length - 1, chosen + (e.key === 'ArrowDown' ? 1 : -1))));
          } else if (e.key === 'Enter') {
            go(hits[chosen]);
          }
        }}
      />
      {found.error && <p className="loss">{found.error.message}</p>}
      {settled !== '' && found.data && hits.length === 0 && (
        <p className="quiet">Nothing has “{settled}” in it: no name, note, band, cell or date.</p>
      )}
      {KINDS.map(([kind, title]) => {
        const own = hits.filter((h) => h.kind === kind);
        return own.length === 0 ? null : (
          <section key={kind}>
            <h3>{title}</h3>
            <ul>
              {own.map((hit) => (
                <li key={`${hit.name} ${hit.stay} ${hit.campsite}`} aria-current={hit === hits[chosen]}>
                  <Link to={address(hit, settled)} onClick={close}>
                    {hit.name}
                  </Link>{' '}
                  <span className="small">
                    {hit.visit && span(hit.visit.arrivedAt, hit.visit.leftAt)}
                    {hit.visit && hit.says ? ' · ' : ''}
                    {hit.says}
                  </span>
                </li>
              ))}
            </ul>
          </section>
        );
      })}
      {settled !== '' && found.data?.since && (
        <p className="quiet">
          Notes from before {dayMonth(found.data.since)} {found.data.since.slice(0, 4)} were not searched.
        </p>
      )}
      {settled === '' && (
        <p className="quiet">
          Words, numbers of bands and cells, and dates such as 14 Aug. Arrows choose, Enter opens.
        </p>
      )}
    </Modal>
  );
}
