import { useTrialResults, useTrials } from '../data/trials';
import { Pair, samePairs } from './SamePair';

/** The trials of these two setups beside one another, where there are several. */
export function Earlier(props: { baseline: number; candidate: number }) {
  const trials = useTrials().data ?? [];
  const results = useTrialResults().data ?? [];
  const rows = trials.map((row) => ({
    ...row,
    waiting: null,
    result: results.find((r) => r.campsiteId === row.trial.campsiteId && r.trial === row.trial.name),
  }));
  const wanted = [props.baseline, props.candidate].sort().join();
  const told = samePairs(rows).find(
    ([first]) => [first?.line.baseline.id, first?.line.candidate.id].sort().join() === wanted,
  );
  return told ? <Pair told={told} /> : null;
}
