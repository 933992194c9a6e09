import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import type { Schemas } from '../data/client';
import { type RunSheet, useEnter, useSheetCheck } from '../data/design';
import { keys } from '../data/keys';
import { isOver, type Run, useRun, useRuns, useStartRun } from '../data/measure';
import { useChangeStanding } from '../data/names';
import { useStored } from '../data/useStored';

/** What is done at the visit that comes next. */
export type Doing =
  | { is: 'changing' }
  | { is: 'settling'; leftS: number; says: string[] }
  | { is: 'asking'; says: string[] }
  | { is: 'waiting-for-another' }
  | { is: 'unanswered' }
  | { is: 'ready' }
  | { is: 'measuring'; run: Run }
  | { is: 'stopped'; why: string | null };

const TICK_MS = 250;

/** Longer than that after it is due, the device that said that it stands is taken to be gone. */
const ANOTHER_MS = 4_000;

/** A run that was logged is on the sheet long before; after that it was deleted, or came to nothing. */
const COUNTED_MS = 10_000;

/** The visit that this device said stands, and how many runs of it this device has begun. */
interface Mine {
  visit: number;
  begun: number;
}

/**
 * Leads through the visit that comes next: change, settle, measure as often as is wanted. What was made is what was logged, and
 * since when something stands is known to the server: a reload, a second device or a power cut change nothing. The device that
 * said that it stands begins the runs.
 */
export function useVisit(sheet: RunSheet) {
  const place = sheet.next ?? -1;
  const visit: Schemas['VisitView'] | undefined = sheet.visits[place];
  const contender = visit && sheet.contenders[visit.contender];
  const made = sheet.made[place] ?? 0;
  const [stored, setMine] = useStored<Mine | null>(`sheet.${sheet.campsite}.${sheet.trial}`, null);
  const mine = stored?.visit === place ? stored : null;
  const [confirmed, setConfirmed] = useState<number | null>(null);
  const client = useQueryClient();
  const standing = useChangeStanding();
  const start = useStartRun();
  const enter = useEnter(sheet);
  const [ahead, setAhead] = useState(0);
  useEffect(() => {
    // eslint-disable-next-line react-hooks/set-state-in-effect -- the device's clock may be off; what counts is the server's
    setAhead(Date.parse(sheet.now) - Date.now());
  }, [sheet.now]);
  const isUp = sheet.stoodAt !== null;
  const here = useNow(isUp);
  const now = here + ahead;
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
  const check = useSheetCheck(sheet, isUp && !goesOn);
  const says = confirmed === place ? [] : (check.data?.says ?? []);
  const dueAt = sheet.stoodAt !== null ? Date.parse(sheet.stoodAt) + (visit?.settleS ?? 0) * 1_000 : Infinity;
  const isChecked = check.data !== undefined || check.isError;
  const due =
    mine !== null &&
    isUp &&
    !goesOn &&
    now >= dueAt &&
    isChecked &&
    says.length === 0 &&
    mine.begun <= made &&
    sheet.pausedAt === null;
  const measure = () => {
    if (visit && contender) {
      setMine({ visit: place, begun: made + 1 });
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
  // this device began more runs than the sheet has, and none goes on: one of them was deleted, or is not counted yet
  const lacks = mine !== null && isUp && mine.begun > made && !goesOn && !start.isPending;
  const [lacksSince, setLacksSince] = useState<number | null>(null);
  useEffect(() => {
    // eslint-disable-next-line react-hooks/set-state-in-effect -- a moment in time, not something derived
    setLacksSince(lacks ? Date.now() : null);
  }, [lacks, made]);
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
    enter,
    // another device may have begun the run first
    error: goesOn ? null : (start.error ?? standing.error ?? enter.error),
    /** It stands: says so in the standing line and to every device, and lets it settle. */
    stands: () => {
      if (contender) {
        standing.mutate({
          campsite: sheet.campsite,
          setup: contender.setup.name,
          carrier: contender.carrier,
        } as Schemas['StandingRequest']);
        setMine({ visit: place, begun: made });
        enter.mutate({ kind: 'stands', visit: place, measurement: null, text: null });
      }
    },
    /** It is as it is to be, whatever the router says. */
    confirm: () => setConfirmed(place),
    /** Does not wait any longer, tries once more, or goes on in place of another device. */
    measure,
    back: () => {
      setMine(null);
      enter.mutate({ kind: 'back', visit: place, measurement: null, text: null });
    },
  };

  function doing(): Doing {
    if (goesOn) {
      return { is: 'measuring', run };
    }
    if (!isUp) {
      return { is: 'changing' };
    }
    const isLost = over && run.measurementId === null && run.round === visit?.round;
    if (mine !== null && mine.begun > made && (isLost || start.isError)) {
      return { is: 'stopped', why: run?.endedBecause ?? run?.state ?? null };
    }
    if (now >= dueAt && says.length > 0) {
      return { is: 'asking', says };
    }
    if (start.isPending && start.failureCount > 0) {
      return { is: 'unanswered' };
    }
    if (mine === null && now >= dueAt + ANOTHER_MS) {
      return { is: 'waiting-for-another' };
    }
    if (lacksSince !== null && here >= lacksSince + COUNTED_MS) {
      return { is: 'ready' };
    }
    return { is: 'settling', leftS: Math.max(0, Math.ceil((dueAt - now) / 1_000)), says };
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
