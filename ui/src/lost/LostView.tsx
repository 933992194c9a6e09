import { Link, useLocation } from 'react-router';
import { Sheet } from '../parts/Sheet';

/** An address that is none. */
export function LostView() {
  const { pathname } = useLocation();
  return (
    <Sheet title="No such page" headline="There is no page at this address.">
      <p>
        Perhaps it was moved or mistyped: <code>{pathname}</code>. Go on at <Link to="/tonight">Tonight</Link>
        , or in the <Link to="/logbook">Logbook</Link>.
      </p>
    </Sheet>
  );
}
