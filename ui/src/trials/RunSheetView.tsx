import { Button } from 'antd';
import { Link } from 'react-router';
import type { Schemas } from '../data/client';
import { type RunSheet, useFollowedSheet } from '../data/design';
import { useRemove } from '../data/log';
import { useStanding } from '../data/names';
import { stateOf } from '../data/state';
import { useResult } from '../data/trials';
import { fixed } from '../format/numbers';
import { Failed, Loaded } from '../parts/Loaded';
import { Notes, Part, Sheet } from '../parts/Sheet';
import { useKeptAwake } from '../parts/useAwake';
import { useKey } from '../parts/useKey';
import { useUndoable } from '../parts/useUndo';
import { clock } from '../format/time';
import { Aside } from './Aside';
import { Course } from './Course';
import { Doubts } from './Doubts';
import { FailedRun } from './FailedRun';
import { FromTo, Steps } from './Steps';
import { StepNow } from './StepNow';
import { trialAddress } from './TrialList';
import { type Doing, useVisit } from './useVisit';
import { WhenMade } from './WhenMade';

/** How a run that did not work is named. */
const FAILURES: Record<string, string> = {
  failed: ' failed',
  no_service: ' no service',
  timed_out: ' timed out',
};

/** Rounds under which nothing is said of a verdict. */
const FEWEST_ROUNDS = 3;

/** A trial as hands make it: one next step at a time, readable at arm's length. */
export function RunSheetView({ campsite, trial }: { campsite: string; trial: string }) {
  const sheet = useFollowedSheet(campsite, trial);
  if (sheet.data) {
    return <OfSheet sheet={sheet.data} />;
  }
  return (
    <Sheet title={trial} over={<Link to="/trials">Trials</Link>} headline="Run sheet">
      <Loaded state={stateOf(sheet)}>{() => null}</Loaded>
    </Sheet>
  );
}

function OfSheet({ sheet }: { sheet: RunSheet }) {
  const leading = useVisit(sheet);
  const { visit, doing, error, stands, enter } = leading;
  const paused = sheet.pausedAt !== null && visit !== undefined;
  useKeptAwake(visit !== undefined);
  useKey('Enter', () => {
    if (doing.is === 'changing' && !paused) {
      stands();
    }
  });
  const verdictAt = trialAddress({ campsite: sheet.campsite, name: sheet.trial } as Schemas['TrialSpan']);
  return (
    <Sheet
      title={sheet.trial}
      over={
        <>
          <Link to="/trials">Trials</Link> · {sheet.trial}, {sheet.campsite}
          {visit &&
            ` · about ${fixed(sheet.minutesLeft, 0)} min and ${fixed(sheet.gbLeft, sheet.gbLeft < 1 ? 2 : 1)} GB to go`}
        </>
      }
      headline={headline(sheet, doing)}
      findings={roundsMade(sheet) >= FEWEST_ROUNDS ? <SoFar sheet={sheet} at={verdictAt} /> : undefined}
    >
      <Steps sheet={sheet} />
      {sheet.next !== null && <FromTo sheet={sheet} place={sheet.next} />}
      <Doubts sheet={sheet} enter={enter} />
      <div className="step" aria-live="polite">
        {paused ? (
          <Button
            type="primary"
            size="large"
            onClick={() => enter.mutate({ kind: 'resume', visit: null, measurement: null, text: null })}
          >
            Continue
          </Button>
        ) : visit ? (
          <StepNow sheet={sheet} leading={leading} visit={visit} />
        ) : (
          <Link className="ant-btn ant-btn-primary ant-btn-lg" to={verdictAt}>
            Read the verdict
          </Link>
        )}
        {error && <Failed error={error} />}
        {!paused && CALM.includes(doing.is) && (
          <div className="buttons beside">
            {visit && <ByHand sheet={sheet} visit={visit} />}
            {sheet.last && <UndoLast key={sheet.last.measurement} last={sheet.last} />}
          </div>
        )}
      </div>
      <Aside sheet={sheet} enter={enter} />
      <Part title="All steps" small="minutes = your work before each measurement">
        <WhenMade sessions={sheet.sessions} />
        {sheet.sessions.length > 0 && (
          <p>
            <a
              href={`/api/trials/calendar?${new URLSearchParams({ campsite: sheet.campsite, trial: sheet.trial })}`}
              download="trial.ics"
            >
              Put these times into your calendar
            </a>
          </p>
        )}
        <Course {...sheet} />
      </Part>
    </Sheet>
  );
}

/** The next thing to do, in words. */
function headline(sheet: RunSheet, doing: Doing) {
  const visit = sheet.next === null ? undefined : sheet.visits[sheet.next];
  if (!visit) {
    return 'All rounds are made.';
  }
  if (sheet.pausedAt !== null) {
    return `Paused since ${clock(sheet.pausedAt)}.`;
  }
  const name = sheet.contenders[visit.contender]?.setup.name ?? '';
  if (doing.is === 'settling') {
    return `${name} settles: touch nothing.`;
  }
  if (doing.is === 'asking') {
    return `Is this ${name}?`;
  }
  if (doing.is === 'measuring' || doing.is === 'waiting-for-another' || doing.is === 'unanswered') {
    const run = (sheet.made[sheet.next ?? 0] ?? 0) + 1;
    return `Measuring ${name}${sheet.runs > 1 ? `, run ${run} of ${sheet.runs}` : ''}: touch nothing.`;
  }
  if (doing.is === 'stopped' || doing.is === 'ready') {
    return `Measure ${name} once more.`;
  }
  switch (visit.moves.length) {
    case 0:
      return `${name} is already up: change nothing.`;
    case 1:
      return visit.moves[0]?.says;
    default:
      return `Set up ${name}.`;
  }
}

/** What can be done by hand or undone, at moments when nothing is measured. */
const CALM: Doing['is'][] = ['changing', 'stopped', 'ready'];

/** How many rounds every contender has. */
const roundsMade = (sheet: RunSheet) =>
  Math.min(
    ...sheet.contenders.map(
      (_, i) =>
        sheet.visits.filter((v, at) => v.contender === i && (sheet.made[at] ?? 0) >= sheet.runs).length,
    ),
  );

/** A run that failed is logged by hand, with the moment of now. */
function ByHand({ sheet, visit }: { sheet: RunSheet; visit: Schemas['VisitView'] }) {
  const line = useStanding().data;
  const contender = sheet.contenders[visit.contender];
  return line && contender ? (
    <FailedRun
      figures={{
        takenAt: line.now,
        campsite: sheet.campsite,
        setup: contender.setup.name,
        carrier: contender.carrier ?? '',
        trial: sheet.trial,
        round: String(visit.round),
      }}
    />
  ) : null;
}

/** Deletes what was entered last, and names it; that can be undone in turn. */
function UndoLast({ last }: { last: Schemas['LastEntryView'] }) {
  const remove = useRemove();
  const undoable = useUndoable();
  const named = `${last.setup}${FAILURES[last.outcome] ?? ''}, ${clock(last.takenAt)}`;
  return remove.isSuccess ? null : (
    <>
      <Button
        size="large"
        loading={remove.isPending}
        onClick={() =>
          // this button is gone by the time it is done; what failed is beneath
          void remove.mutateAsync(last.measurement).then(
            (done) => undoable(`Deleted: ${named}.`, done.change ?? null),
            () => undefined,
          )
        }
      >
        Undo: {named}
      </Button>
      {remove.error && <Failed error={remove.error} />}
    </>
  );
}

/** What can be said so far, at its honest level. */
function SoFar({ sheet, at }: { sheet: RunSheet; at: string }) {
  const result = useResult({
    kind: 'trial',
    trial: sheet.trial,
    campsite: sheet.campsite,
    baseline: undefined,
  });
  const first = result.data?.contrasts[0];
  return first ? (
    <Part title="So far">
      <Notes notes={[first.headline, ...(sheet.goingOn === null ? [] : [sheet.goingOn])]} more="More" />
      <Link to={at}>All of it</Link>
    </Part>
  ) : null;
}
