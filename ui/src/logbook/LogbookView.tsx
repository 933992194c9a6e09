import { Button } from 'antd';
import { lazy, Suspense } from 'react';
import { Link, NavLink, useSearchParams } from 'react-router';
import { useStays } from '../data/log';
import { useLedger, useLogbook } from '../data/logbook';
import { stateOf } from '../data/state';
import { useWaiting } from '../data/useQueue';
import { span } from '../format/time';
import { Loaded } from '../parts/Loaded';
import { OfferDemo } from '../parts/OfferDemo';
import { Part, Sheet } from '../parts/Sheet';
import { useLog } from '../parts/useLog';
import { Calendar } from './Calendar';
import { Changes } from './Changes';
import { Filters } from './Filters';
import { askedOf } from './asked';
import { InAndOut } from './InAndOut';
import { Ledger } from './Ledger';
import { ImportPanel } from './ImportPanel';
import { Measurements } from './Measurements';
import { Names } from './Names';
import { StayPage } from './StayPage';
import { StayVerdicts } from './StayVerdicts';
import { Stays } from './Stays';
import { Waiting } from './Waiting';

/** Stays and their measurements, what was changed, the names of things, import and export. */
export function LogbookView() {
  const [query, setQuery] = useSearchParams();
  const stay = query.get('stay');
  const part = query.get('part');
  if (query.has('import')) {
    return <ImportPanel close={() => setQuery({})} />;
  }
  if (stay) {
    return <StaySheet stay={Number(stay)} />;
  }
  if (part === 'changes') {
    return (
      <Sheet
        title="Changes"
        over={<Parts part={part} />}
        headline="Everything that was changed in the log. You can undo each line."
      >
        <Changes />
      </Sheet>
    );
  }
  if (part === 'waiting') {
    return (
      <Sheet
        title="Waiting"
        over={<Parts part={part} />}
        headline="What was logged on this device and is not in the log yet, or needs a look."
      >
        <Waiting />
      </Sheet>
    );
  }
  if (part === 'names') {
    return (
      <Sheet
        title="Names"
        over={<Parts part={part} />}
        headline="The same thing under two names? Rename one, or merge them."
      >
        <Names />
      </Sheet>
    );
  }
  if (part === 'ledger') {
    return <LedgerSheet />;
  }
  return <Book part={part} />;
}

const LazyMap = lazy(async () => ({ default: (await import('./StayMap')).StayMap }));

/** The stays that fit the filters: as a list, on the map or in the calendar. */
function Book({ part }: { part: string | null }) {
  const [query] = useSearchParams();
  const book = useLogbook(askedOf(query));
  const isEmpty = book.data?.all === 0;
  return (
    <Sheet
      title={part === 'map' ? 'Map' : part === 'calendar' ? 'Calendar' : 'Logbook'}
      over={<Parts part={part} />}
      headline={book.data && !isEmpty ? book.data.says : 'Every stay, and what was measured there.'}
      margin={<Margin />}
    >
      {isEmpty ? (
        <NoStay />
      ) : (
        <Loaded state={stateOf(book)}>
          {(view) => (
            <>
              <Filters view={view} />
              {part === 'map' ? (
                <Suspense fallback={<p className="quiet">Loading the map…</p>}>
                  <LazyMap view={view} />
                </Suspense>
              ) : part === 'calendar' ? (
                <Calendar stays={view.stays} />
              ) : (
                <Stays view={view} />
              )}
            </>
          )}
        </Loaded>
      )}
    </Sheet>
  );
}

function LedgerSheet() {
  const says = useLedger().data?.says;
  return (
    <Sheet
      title="SIM ledger"
      over={<Parts part="ledger" />}
      headline={says ?? 'What your SIMs allow, and what was used'}
    >
      <Ledger />
    </Sheet>
  );
}

function NoStay() {
  return (
    <>
      <p>
        No stay yet. Say on the line above where you stand, or{' '}
        <Link to="/logbook?import=1">import a file</Link>.
      </p>
      <OfferDemo />
    </>
  );
}

/** One stay: what was measured, and what can be put right of it. */
function StaySheet({ stay }: { stay: number }) {
  const visit = useStays().data?.find((v) => v.id === stay);
  const name = visit ? `${visit.campsite}, ${span(visit.arrivedAt, visit.leftAt)}` : 'A stay';
  return (
    <Sheet title={name} over={<Link to="/logbook">All stays</Link>} headline={name}>
      <div className="stay-head">
        <StayVerdicts stay={stay} visit={visit} />
        <StayPage stay={stay} key={stay} />
      </div>
      <Measurements stay={stay} visit={visit} />
    </Sheet>
  );
}

const PARTS = [
  ['', 'Stays'],
  ['map', 'Map'],
  ['calendar', 'Calendar'],
  ['ledger', 'SIM ledger'],
  ['changes', 'Changes'],
  ['names', 'Names'],
] as const;

/** The looks at stays, which share their filters. */
const BOOK: readonly string[] = ['', 'map', 'calendar'];

/** Shown while something waits to be sent. */
const WAITING = ['waiting', 'Waiting'] as const;

function Parts({ part }: { part: string | null }) {
  const [query] = useSearchParams();
  /** Filters stay from one look at the stays to the next. */
  const address = (key: string) => {
    const next = new URLSearchParams(BOOK.includes(key) && BOOK.includes(part ?? '') ? query : undefined);
    next.delete('part');
    if (key !== '') {
      next.set('part', key);
    }
    return `/logbook${next.size > 0 ? `?${next}` : ''}`;
  };
  const waiting = useWaiting().length;
  const parts = waiting > 0 || part === 'waiting' ? [...PARTS, WAITING] : PARTS;
  return (
    <nav className="parts" aria-label="Parts of the logbook">
      {parts.map(([key, label]) => (
        <NavLink
          key={key}
          to={address(key)}
          aria-current={(part ?? '') === key ? 'page' : undefined}
          className={(part ?? '') === key ? 'here' : ''}
        >
          {label}
        </NavLink>
      ))}
    </nav>
  );
}

function Margin() {
  const log = useLog();
  return (
    <>
      <Part title="Log">
        <div className="buttons">
          <Button type="primary" onClick={log.open}>
            Log a reading <kbd aria-hidden="true">R</kbd>
          </Button>
        </div>
      </Part>
      <InAndOut />
    </>
  );
}
