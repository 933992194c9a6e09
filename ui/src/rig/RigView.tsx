import { useSearchParams } from 'react-router';
import './rig.css';
import { Candidates } from './Candidates';
import { GearShelf } from './GearShelf';
import { Needs } from './Needs';
import { SetupList } from './SetupList';
import { SetupSheet } from './SetupSheet';

/** From what is needed to a setup that provably fits; the address says which part. */
export function RigView() {
  const [query] = useSearchParams();
  const setup = query.get('setup');
  if (setup) {
    const revision = query.get('revision');
    return (
      <SetupSheet
        key={`${setup}/${revision}`}
        id={Number(setup)}
        revision={revision === null ? null : Number(revision)}
      />
    );
  }
  switch (query.get('part')) {
    case 'need':
      return <Needs />;
    case 'shelf':
      return <GearShelf />;
    case 'candidates':
      return <Candidates />;
    default:
      return <SetupList />;
  }
}
