import { Select } from 'antd';
import { Link } from 'react-router';
import { useRunSheets } from '../data/design';
import { type JobSheet, type JobTask, useFitout, useJobStep, useRoofPlan } from '../data/fitout';
import { useResult, useTrials } from '../data/trials';
import { Failed } from '../parts/Loaded';
import { OfBands } from '../parts/OfBands';
import { Part } from '../parts/Sheet';

type Filed = NonNullable<JobTask['filed']>;

const TEMPLATES: Record<string, string> = { 'roof-test': 'roof_test', prove: 'before_after' };

/** The trial of a task: planned from its template with one tap, or one that is planned already. */
export function FileTrial({ plan, task }: { plan: number; task: JobTask }) {
  const step = useJobStep(plan);
  const planned = usePlanned();
  const setup = useSetupOf(plan);
  if (task.filed) {
    const { campsite, name } = task.filed;
    return (
      <p>
        Its trial: <Link to={sheetOf(task.filed)}>{name}</Link>, {campsite}.{' '}
        <button
          type="button"
          className="link"
          onClick={() => step.mutate({ task: task.key, kind: 'no-trial', text: null, campsite: null })}
        >
          Not this one
        </button>
      </p>
    );
  }
  return (
    <>
      <div className="buttons">
        <Link
          className="ant-btn ant-btn-default ant-btn-lg"
          to={`/trials?plan&${new URLSearchParams({
            template: TEMPLATES[task.trial ?? ''] ?? '',
            file: `${plan}.${task.key}`,
            ...(setup === undefined ? {} : { with: setup }),
          })}`}
        >
          {task.trial === 'roof-test' ? 'Plan the roof test' : 'Plan the trial: before and after'}
        </Link>
        {planned.length > 0 && (
          <Select
            aria-label="Or a trial that is planned already"
            placeholder="or one that is planned already"
            value={null}
            popupMatchSelectWidth={false}
            options={planned.map((t) => ({
              value: `${t.campsite}\n${t.name}`,
              label: `${t.name}, ${t.campsite}`,
            }))}
            onChange={(chosen: string | null) => {
              const [campsite, text] = (chosen ?? '').split('\n');
              if (campsite && text) {
                step.mutate({ task: task.key, kind: 'trial', text, campsite });
              }
            }}
          />
        )}
      </div>
      {step.error && <Failed error={step.error} />}
    </>
  );
}

/** A setup that has the antenna of a plan; none where it is not on the shelf, or in no setup. */
function useSetupOf(plan: number): string | undefined {
  const antenna = useRoofPlan(plan).data?.plan.antenna?.name;
  return useFitout().data?.antennas.find((a) => a.name === antenna)?.setups[0];
}

/** All planned trials, those that are not made yet first. */
function usePlanned() {
  const sheets = useRunSheets().data ?? [];
  const trials = useTrials().data ?? [];
  const open = sheets.map((s) => ({ campsite: s.campsite, name: s.trial }));
  const made = trials
    .filter((t) => t.plannedRounds !== null)
    .map(({ trial }) => ({ campsite: trial.campsite, name: trial.name }));
  return [...open, ...made.filter((m) => !open.some((o) => o.name === m.name && o.campsite === m.campsite))];
}

const sheetOf = (filed: Filed) =>
  `/trials?${new URLSearchParams({ campsite: filed.campsite, sheet: filed.name })}`;
const resultOf = (filed: Filed) =>
  `/trials?${new URLSearchParams({ campsite: filed.campsite, trial: filed.name })}`;

/** What the trials of a build came to, with what was predicted beside what was measured. */
export function BeforeAndAfter({ sheet }: { sheet: JobSheet }) {
  const filed = sheet.tasks.filter((t) => t.filed !== null);
  return filed.length === 0 ? null : (
    <Part title="Before and after" small="what its trials came to">
      {filed.map((task) => task.filed && <Came key={task.key} task={task} filed={task.filed} />)}
    </Part>
  );
}

function Came({ task, filed }: { task: JobTask; filed: Filed }) {
  const result = useResult({
    kind: 'trial',
    campsite: filed.campsite,
    trial: filed.name,
    baseline: undefined,
  });
  const contrast = result.data?.contrasts[0];
  return (
    <div className="came">
      <div className="small">
        {task.name} · {filed.name}, {filed.campsite}
      </div>
      {contrast ? (
        <>
          <p className="action">
            {contrast.headline} {contrast.action}
          </p>
          <OfBands contrast={contrast} />
          <Link to={resultOf(filed)}>Full verdict</Link>
        </>
      ) : (
        !result.isLoading && (
          <p>
            Nothing is measured of it so far. <Link to={sheetOf(filed)}>Run sheet</Link>
          </p>
        )
      )}
    </div>
  );
}
