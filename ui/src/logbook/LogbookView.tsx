import { Button } from 'antd';
import { Link, NavLink, useSearchParams } from 'react-router';
import { useStays } from '../data/log';
import { useWaiting } from '../data/useQueue';
import { span } from '../format/time';
import { Part, Sheet } from '../parts/Sheet';
import { useLog } from '../parts/useLog';
import { Changes } from './Changes';
import { ImportPanel } from './ImportPanel';
import { Measurements } from './Measurements';
import { Names } from './Names';
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
        headline="What was changed of the log; each can be undone."
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
        headline="A name twice splits what belongs together: rename it, or merge it into the other."
      >
        <Names />
      </Sheet>
    );
  }
  return (
    <Sheet
      title="Logbook"
      over={<Parts part={part} />}
      headline="Every stay, and what was measured there."
      margin={<Margin />}
    >
      <Stays />
    </Sheet>
  );
}

/** One stay: what was measured, and what can be put right of it. */
function StaySheet({ stay }: { stay: number }) {
  const visit = useStays().data?.find((v) => v.id === stay);
  const name = visit ? `${visit.campsite}, ${span(visit.arrivedAt, visit.leftAt)}` : 'A stay';
  return (
    <Sheet title={name} over={<Link to="/logbook">All stays</Link>} headline={name}>
      <Measurements stay={stay} visit={visit} />
    </Sheet>
  );
}

const PARTS = [
  ['', 'Stays'],
  ['changes', 'Changes'],
  ['names', 'Names'],
] as const;

/** Stands there while something waits. */
const WAITING = ['waiting', 'Waiting'] as const;

function Parts({ part }: { part: string | null }) {
  const waiting = useWaiting().length;
  const parts = waiting > 0 || part === 'waiting' ? [...PARTS, WAITING] : PARTS;
  return (
    <nav className="parts" aria-label="Parts of the logbook">
      {parts.map(([key, label]) => (
        <NavLink
          key={key}
          to={key === '' ? '/logbook' : `/logbook?part=${key}`}
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
            Log a reading <kbd>R</kbd>
          </Button>
        </div>
      </Part>
      <Part title="In and out">
        <p>
          <Link to="/logbook?import=1">Import a file</Link>
        </p>
        <p>
          <a href="/api/measurements.csv" download="measurements.csv">
            Export all as CSV
          </a>
        </p>
        <p className="small">
          Your own spreadsheet as it is, or an export: importing your own export changes nothing, and the same
          file twice adds nothing.
        </p>
      </Part>
    </>
  );
}
