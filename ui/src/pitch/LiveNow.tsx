import { Link } from 'react-router';
import type { Schemas } from '../data/client';
import { type Live, useLive, useRouter } from '../data/live';
import { useStanding } from '../data/names';
import { Part } from '../parts/Sheet';
import { capital, fixed } from '../format/numbers';
import { LogLive } from './LogLive';
import { StripRow } from './StripRow';

const OLD_MS = 3_000;
const ROLE: Record<string, string> = {
  primary: 'Primary cell',
  secondary: 'Secondary cell',
  nr: 'NR cell',
};

/** What the router says now, once a second; without a router, how to have it said. */
export function LiveNow() {
  const router = useRouter().data;
  const live = useLive(router?.kind != null);
  const { data: line } = useStanding();
  if (!router) {
    return null;
  }
  if (router.kind === null) {
    return (
      <Part title="Live">
        <p className="small">
          No router is connected. <Link to="/measure">Connect it once</Link>, and its reading appears here
          once a second.
        </p>
      </Part>
    );
  }
  return (
    <Part
      title="Live"
      small={live ? about(live) : 'asking the router'}
      actions={
        <>
          {live && <LogLive reading={live.reading} />}
          <Link to="/walk">Walk with the antenna</Link>
          <Link to="/aim">Aim</Link>
        </>
      }
    >
      {live && <Said live={live} />}
      {line && !(line.campsite && line.setup) && live && live.reading.cells.length > 0 && (
        <p className="small">To log it, choose your campsite and setup in the line above.</p>
      )}
    </Part>
  );
}

function about({ reading, nrSharePct }: Live) {
  return [
    reading.carrier,
    reading.mode,
    nrSharePct === null ? null : `NR in ${fixed(nrSharePct, 0)} % of the last minute`,
    reading.ageMs > OLD_MS && reading.takenAt !== null ? `${fixed(reading.ageMs / 1_000, 0)} s old` : null,
  ]
    .filter(Boolean)
    .join(' · ');
}

function Said({ live }: { live: Live }) {
  const { reading, strips } = live;
  return (
    <>
      {reading.problem !== null && (
        <p className={strips.length === 0 ? 'hollow attention' : 'attention'} role="status">
          {capital(reading.problem)}. {strips.length === 0 && <Link to="/measure">Check the connection</Link>}
        </p>
      )}
      {strips.length === 0 && reading.problem === null && (
        <p className="hollow">{reading.mode === 'none' ? 'No service.' : 'No cell yet.'}</p>
      )}
      {strips.map(({ cell, strips: own }) => (
        <div key={`${cell.role}${cell.band ?? ''}${cell.arfcn ?? ''}`} className="live-cell">
          <p className="small">{cellSaid(cell)}</p>
          {own.map((strip) => (
            <StripRow key={strip.label} strip={strip} />
          ))}
        </div>
      ))}
      {strips.length > 0 && <p className="small">Solid: now. Bar: the last five minutes.</p>}
    </>
  );
}

const cellSaid = (cell: Schemas['CellView']) =>
  [
    ROLE[cell.role],
    [cell.rat, cell.band].filter(Boolean).join(' '),
    cell.arfcn === null ? null : `channel ${cell.arfcn}`,
    cell.bandwidthMhz === null ? null : `${cell.bandwidthMhz} MHz`,
    cell.pci === null ? null : `PCI ${cell.pci}`,
    cell.cellId === null ? null : `cell ${cell.cellId}`,
  ]
    .filter(Boolean)
    .join(' · ');
