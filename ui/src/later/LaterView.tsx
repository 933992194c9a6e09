import { Link, useLocation } from 'react-router';
import { Sheet } from '../parts/Sheet';

const NAMES: Record<string, string> = {
  '/findings': 'Findings',
  '/bench': 'Bench',
};

const WORDS: Record<string, string> = {
  '/findings': 'Here the whole trip will say which setup and which carrier to trust, and where.',
  '/bench': 'Here the calculators will stand, each usable alone; the practice pitch is here already.',
};

/** A view that is not built yet. */
export function LaterView() {
  const { pathname } = useLocation();
  return (
    <Sheet
      title={NAMES[pathname] ?? 'No such page'}
      headline={WORDS[pathname] ?? 'There is no page at this address.'}
    >
      {pathname === '/bench' && (
        <p>
          <Link to="/practice">Practice pitch</Link>: judge trials whose truth is known, in two minutes each.
        </p>
      )}
      {!(pathname in WORDS) && (
        <p>
          Perhaps it was moved or mistyped: <code>{pathname}</code>. Go on at <Link to="/pitch">Pitch</Link>,
          or in the <Link to="/logbook">Logbook</Link>.
        </p>
      )}
    </Sheet>
  );
}
