import { Link } from 'react-router';
import type { Schemas } from '../data/client';
import { useMeasurements } from '../data/log';
import { useTrialResults } from '../data/trials';
import { Part } from '../parts/Sheet';

type Row = Schemas['LoggedMeasurement'];

/** What the trials of a stay came to, and what else can be asked of it. */
export function StayVerdicts({ stay, visit }: { stay: number; visit: Schemas['Visit'] | undefined }) {
  const rows = useMeasurements(stay).data;
  if (!rows || rows.length === 0 || !visit) {
    return null;
  }
  return (
    <Part title="What it showed">
      <Trials rows={rows} visit={visit} />
      <WhyHere rows={rows} stay={stay} />
    </Part>
  );
}

const distinct = (names: (string | null)[]) => [...new Set(names.filter((name) => name !== null))];

function Trials({ rows, visit }: { rows: Row[]; visit: Schemas['Visit'] }) {
  const results = useTrialResults();
  const trials = distinct(rows.map((m) => m.trial));
  const [baseline, candidate] = distinct(rows.map((m) => m.setup));
  if (trials.length > 0) {
    return trials.map((trial) => {
      const result = results.data?.find((r) => r.trial === trial && r.campsiteId === visit.campsiteId);
      return (
        <p key={trial} className="note">
          <Link to={`/trials?${new URLSearchParams({ campsite: visit.campsite, trial })}`}>{trial}</Link>:{' '}
          {result?.sentence ?? (
            <span className="quiet">{results.isError ? 'could not be calculated' : '…'}</span>
          )}
        </p>
      );
    });
  }
  return baseline !== undefined && candidate !== undefined ? (
    <p className="note">
      No trial was held here.{' '}
      <Link to={`/trials?${new URLSearchParams({ stay: String(visit.id), baseline, candidate })}`}>
        {candidate} and {baseline} here
      </Link>
    </p>
  ) : (
    <p className="note">One setup was measured here, so nothing is compared.</p>
  );
}

/** Asks of each setup and carrier why it was slow here. */
function WhyHere({ rows, stay }: { rows: Row[]; stay: number }) {
  const pairs = [
    ...new Map(rows.flatMap((m) => (m.carrier === null ? [] : [[`${m.setup} on ${m.carrier}`, m] as const]))),
  ];
  if (pairs.length === 0) {
    return null;
  }
  return (
    <details className="numbers">
      <summary>Why was it slow?</summary>
      <ul>
        {pairs.map(([said, m]) => (
          <li key={said}>
            <Link
              to={`/why?${new URLSearchParams({ stay: String(stay), setup: m.setup, carrier: m.carrier ?? '' })}`}
            >
              {said}
            </Link>
          </li>
        ))}
      </ul>
    </details>
  );
}
