import type { Schemas } from '../data/client';
import { weekdayClock } from '../format/time';

/** When the rounds of a trial are made that is spread over times of day. */
export function WhenMade({ sessions }: { sessions: Schemas['TimeOfDay'][] }) {
  return (
    sessions.length > 0 && (
      <p>{sessions.map((s) => `Rounds ${s.fromRound} to ${s.toRound}: ${weekdayClock(s.at)}`).join(' · ')}</p>
    )
  );
}
