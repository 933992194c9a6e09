import { Link } from 'react-router';

const PARTS = [
  ['need', 'Need'],
  ['shelf', 'Gear list'],
  ['setups', 'Setups'],
  ['candidates', 'Candidates'],
] as const;

/** The parts of the view in the order of the work. */
export function RigParts({ here }: { here: (typeof PARTS)[number][0] }) {
  return (
    <nav className="rig-parts" aria-label="Parts of the rig">
      {PARTS.map(([part, name]) => (
        <Link key={part} to={`/gear?part=${part}`} aria-current={part === here ? 'page' : undefined}>
          {name}
        </Link>
      ))}
    </nav>
  );
}
