import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import type { Schemas } from '../data/client';
import type { RunSheet } from '../data/design';
import { keys } from '../data/keys';
import { isOver, type Run, useRun, useRuns, useStartRun } from '../data/measure';
import { useChangeStanding } from '../data/names';
import { useStored } from '../data/useStored';

/** What is done at the visit that comes next, on this device. */
export type Doing =
  | { is: 'changing' }
  | { is: 'settling'; leftS: number }
  | { is: 'measuring'; run: Run }
  | { is: 'stopped'; why: string | null };

const TICK_MS = 250;

/** That a visit stands since a moment, and how many runs of it this device has begun. */
interface Up {
  visit: number;
  at: number;
  begun: number;
}

/**
 * Leads through the visit that comes next: change, settle, measure as often as is wanted. What was made is what was logged; this
 * device only remembers since when it settles, and which runs it has begun.
 */
export function useVisit(sheet: RunSheet) {
  const place = sheet.next ?? -1;
  const visit: Schemas['VisitView'] | undefined = sheet.visits[place];
  const contender = visit && sheet.contenders[visit.contender];
  const made = sheet.made[place] ?? 0;
  const [up, setUp, forget] = useStored<Up | null>(`sheet.${sheet.campsite}.${sheet.trial}`, null);
  const client = useQueryClient();
  const standing = useChangeStanding();
  const start = useStartRun();
  const now = useNow(up !== null);
  const latest = useRuns().data?.[0];
  const isOurs = latest?.trial === sheet.trial && latest.campsite === sheet.campsite;
  const run = useRun(isOurs ? latest.id : null).data;
  const over = run !== undefined && isOver(run);
  const goesOn = run !== undefined && !over;
  const runId = run?.id;
  useEffect(() => {
    if (over) {
      void client.invalidateQueries({ queryKey: keys.trials });
    }
  }, [over, runId, client]);
  useEffect(() => {
    if (up !== null && up.visit !== place) {
      forget();
    }
  }, [up, place, forget]);
  const isUp = up?.visit === place;
  const dueAt = isUp ? up.at + (visit?.settleS ?? 0) * 1_000 : Infinity;
  const due = isUp && !goesOn && now >= dueAt && up.begun <= made;
  const measure = () => {
    if (visit && contender) {
      setUp({ visit: place, at: up?.at ?? 0, begun: made + 1 });
      start.mutate({
        setup: contender.setup.name,
        carrier: contender.carrier ?? '',
        campsite: sheet.campsite,
        trial: sheet.trial,
        round: visit.round,
        kind: sheet.kind,
      } as Schemas['RunRequest']);
    }
  };
  useEffect(() => {
    if (due) {
      measure();
    }
    // eslint-disable-next-line react-hooks/exhaustive-deps -- one run each time it is due
  }, [due]);
  return {
    visit,
    contender,
    made,
    doing: doing(),
    // another device may have begun the run first
    error: goesOn ? null : (start.error ?? standing.error),
    /** The measurement of the last run of this trial; null where there is none, or it goes on. */
    last: over ? run.measurementId : null,
    /** It stands: says so in the standing line, and lets it settle. */
    stands: () => {
      if (contender) {
        standing.mutate({
          campsite: sheet.campsite,
          setup: contender.setup.name,
          carrier: contender.carrier,
        } as Schemas['StandingRequest']);
        setUp({ visit: place, at: Date.now(), begun: made });
      }
    },
    /** Does not wait any longer, or tries once more. */
    measure,
    back: forget,
  };

  function doing(): Doing {
    if (goesOn) {
      return { is: 'measuring', run };
    }
    if (!isUp) {
      return { is: 'changing' };
    }
    const isLost = over && run.measurementId === null && run.round === visit?.round;
    if (up.begun > made && (isLost || start.isError)) {
      return { is: 'stopped', why: run?.endedBecause ?? run?.state ?? null };
    }
    return { is: 'settling', leftS: Math.max(0, Math.ceil((dueAt - now) / 1_000)) };
  }
}

function useNow(ticks: boolean) {
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    if (!ticks) {
      return;
    }
    const timer = setInterval(() => setNow(Date.now()), TICK_MS);
    return () => clearInterval(timer);
  }, [ticks]);
  return now;
}
