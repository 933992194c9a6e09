import { useSearchParams } from 'react-router';
import { PlanView } from './PlanView';
import { ResultSheet } from './ResultSheet';
import { RunSheetView } from './RunSheetView';
import { TrialList } from './TrialList';
import './trials.css';

/** The trials there are; or the plan, the run sheet or the result in the address. */
export function TrialsView() {
  const [query] = useSearchParams();
  const trial = query.get('trial');
  const campsite = query.get('campsite');
  const stay = query.get('stay');
  const sheet = query.get('sheet');
  const baseline = query.get('baseline') ?? undefined;
  if (query.has('plan')) {
    return <PlanView />;
  }
  if (sheet && campsite) {
    return <RunSheetView key={`${campsite}/${sheet}`} campsite={campsite} trial={sheet} />;
  }
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
