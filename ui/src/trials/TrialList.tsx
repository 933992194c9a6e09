import { Button, Select } from 'antd';
import type { ReactNode } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import type { Schemas } from '../data/client';
import { useRunSheets } from '../data/design';
import { stateOf } from '../data/state';
import { useTrialResults, useTrials } from '../data/trials';
import { SetupLabel } from '../draw/Pennant';
import { clock, span } from '../format/time';
import { type Column, FindableList } from '../parts/FindableList';
import { OfferDemo } from '../parts/OfferDemo';
import { Loaded } from '../parts/Loaded';
import { Part, Sheet } from '../parts/Sheet';
import { SamePair } from './SamePair';
import { TwoAtAStay } from './TwoAtAStay';

type Result = Schemas['TrialResult'];

/** A trial, and what it came to as soon as that is calculated. */
export interface Row {
  trial: Schemas['TrialSpan'];
  plannedRounds: number | null;
  designed: boolean;
  result: Result | undefined;
  /** What stands for the result until it is there. */
  waiting: ReactNode;
}

export const trialAddress = (trial: Schemas['TrialSpan']) =>
  `/trials?${new URLSearchParams({ campsite: trial.campsite, trial: trial.name })}`;

/** Trials that are designed and not made yet. */
function OpenSheets() {
  const sheets = useRunSheets().data ?? [];
  return sheets.length === 0 ? null : (
    <Part title="Planned">
      {sheets.map((s) => (
        <div className="note" key={`${s.campsite} ${s.trial}`}>
          <Link to={`/trials?${new URLSearchParams({ campsite: s.campsite, sheet: s.trial })}`}>
            {s.trial}
          </Link>
          , {s.campsite}: {s.made} of {s.visits} visits made
        </div>
      ))}
    </Part>
  );
}

/** All trials with what each came to, and the choice of any two setups at a stay. */
export function TrialList() {
  const trials = useTrials();
  const results = useTrialResults();
  const navigate = useNavigate();
  const [query, setQuery] = useSearchParams();
  const setup = query.get('setup') ?? undefined;
  const at = query.get('at') ?? undefined;
  const filter = (key: string, value: string | undefined) => {
    const next = new URLSearchParams(query);
    if (value === undefined) {
      next.delete(key);
    } else {
      next.set(key, value);
    }
    setQuery(next, { replace: true });
  };
  const waiting = <span className="quiet">{results.isError ? 'could not be calculated' : '…'}</span>;
  const rowsOf = (list: Schemas['TrialRow'][]): Row[] =>
    list.map((row) => ({
      ...row,
      waiting,
      result: results.data?.find((r) => r.campsiteId === row.trial.campsiteId && r.trial === row.trial.name),
    }));
  return (
    <Sheet
      title="Trials"
      headline="Pick a trial to read its verdict, or any two setups at a stay."
      findings={<OpenSheets />}
      margin={<TwoAtAStay />}
    >
      <div className="buttons">
        <Button type="primary" onClick={() => void navigate('/trials?plan')}>
          Plan a trial{' '}
          <kbd aria-hidden="true" className="wide-only">
            T
          </kbd>
        </Button>
      </div>
      <Loaded state={stateOf(trials)}>
        {(list) => {
          const all = rowsOf(list);
          const names = [...new Set(all.flatMap((r) => r.result?.setups.map((s) => s.name) ?? []))].sort();
          const sites = [...new Set(all.map((r) => r.trial.campsite))].sort();
          const rows = all.filter(
            (r) =>
              (at === undefined || r.trial.campsite === at) &&
              (setup === undefined || r.result?.setups.some((s) => s.name === setup)),
          );
          return (
            <>
              <FindableList
                title="Trials"
                noun="trial"
                rows={rows}
                rowKey={(r) => `${r.trial.campsiteId} ${r.trial.name}`}
                text={(r) => `${r.trial.name} ${r.trial.campsite} ${r.result?.sentence ?? ''}`}
                find="find by name or campsite"
                empty={
                  setup !== undefined && results.isPending ? (
                    '…'
                  ) : all.length > 0 ? (
                    'No trial has this setup and campsite.'
                  ) : (
                    <NoTrial />
                  )
                }
                export={EXPORT}
                pageSize={20}
                columns={COLUMNS}
                over={
                  <div className="buttons">
                    <Filter
                      label="Setup"
                      all="every setup"
                      names={names}
                      value={setup}
                      set={(v) => filter('setup', v)}
                    />
                    <Filter
                      label="Campsite"
                      all="every campsite"
                      names={sites}
                      value={at}
                      set={(v) => filter('at', v)}
                    />
                  </div>
                }
              />
              <SamePair rows={rows} />
            </>
          );
        }}
      </Loaded>
    </Sheet>
  );
}

function Filter(props: {
  label: string;
  all: string;
  names: string[];
  value: string | undefined;
  set: (value: string | undefined) => void;
}) {
  return (
    <Select<string>
      size="small"
      aria-label={props.label}
      allowClear
      showSearch
      placeholder={props.all}
      value={props.value}
      onChange={props.set}
      popupMatchSelectWidth={false}
      style={{ minWidth: 170 }}
      options={props.names.map((name) => ({ value: name, label: name }))}
    />
  );
}

/** One that was not begun has its run sheet to go to, where it was designed, and no result. */
function TrialLink({ row: { trial, designed } }: { row: Row }) {
  if (trial.rounds > 0) {
    return <Link to={trialAddress(trial)}>{trial.name}</Link>;
  }
  return designed ? (
    <Link to={`/trials?${new URLSearchParams({ campsite: trial.campsite, sheet: trial.name })}`}>
      {trial.name}
    </Link>
  ) : (
    <b>{trial.name}</b>
  );
}

const COLUMNS: Column<Row>[] = [
  {
    label: 'Trial',
    className: 'of-trial',
    render: (_, r) => (
      <>
        <TrialLink row={r} />
        <div className="small">
          {r.trial.campsite}, {r.trial.rounds === 0 && 'planned '}
          {span(r.trial.from, r.trial.to)}, {clock(r.trial.from)}
        </div>
        <div className="small">
          {r.plannedRounds === null
            ? `${r.trial.rounds} rounds`
            : `${r.trial.rounds} of ${r.plannedRounds} rounds`}
        </div>
      </>
    ),
    sorter: (a, b) => Date.parse(a.trial.from) - Date.parse(b.trial.from),
  },
  {
    label: 'Result',
    className: 'of-result',
    render: (_, r) =>
      r.trial.rounds === 0 ? (
        <span className="quiet">No measurement yet.</span>
      ) : r.result === undefined ? (
        r.waiting
      ) : (
        <>
          <div className="setups">
            {r.result.setups.map((s) => (
              <SetupLabel key={s.id} setup={s} />
            ))}
          </div>
          {r.result.sentence}
        </>
      ),
  },
  {
    label: 'Runs that met the need',
    className: 'of-need',
    render: (_, r) => {
      const met = r.result?.met.filter((m) => m.runs > 0) ?? [];
      return met.length === 0
        ? null
        : met.map((m) => (
            <div key={m.setup.id} className={m.met === m.runs ? undefined : 'loss'}>
              {m.setup.name} {m.met} of {m.runs}
            </div>
          ));
    },
  },
];

const EXPORT = {
  file: 'trials.csv',
  columns: ['trial', 'campsite', 'from', 'to', 'rounds', 'planned', 'setups', 'result'],
  row: ({ trial, plannedRounds, result }: Row) => [
    trial.name,
    trial.campsite,
    trial.from,
    trial.to,
    trial.rounds,
    plannedRounds,
    result?.setups.map((s) => s.name).join(', '),
    result?.sentence,
  ],
};

function NoTrial() {
  return (
    <>
      <p>No trial yet. Measure two setups in turn, three rounds or more, and give the runs a trial name.</p>
      <OfferDemo />
    </>
  );
}
