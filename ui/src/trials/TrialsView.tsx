import { useSearchParams } from 'react-router';
import { ResultSheet } from './ResultSheet';
import { TrialList } from './TrialList';
import './trials.css';

/** The trials there are, or the result of the one in the address. */
export function TrialsView() {
  const [query] = useSearchParams();
  const trial = query.get('trial');
  const campsite = query.get('campsite');
  const stay = query.get('stay');
  const baseline = query.get('baseline') ?? undefined;
  if (trial && campsite) {
    return <ResultSheet key={`${campsite}/${trial}`} of={{ kind: 'trial', trial, campsite, baseline }} />;
  }
  if (stay) {
    const candidate = query.get('candidate') ?? undefined;
    return (
      <ResultSheet key={`stay ${stay}`} of={{ kind: 'stay', stay: Number(stay), baseline, candidate }} />
    );
  }
  return <TrialList />;
}
