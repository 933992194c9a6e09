import type { Schemas } from '../data/client';
import { stateOf } from '../data/state';
import { useTrials } from '../data/trials';
import { clock, span } from '../format/time';
import { type Column, FindableList } from '../parts/FindableList';
import { Link } from 'react-router';
import { Loaded } from '../parts/Loaded';
import { Sheet } from '../parts/Sheet';
import { TwoAtAStay } from './TwoAtAStay';

type Row = Schemas['TrialRow'];

const address = (row: Row) =>
  `/trials?${new URLSearchParams({ campsite: row.trial.campsite, trial: row.trial.name })}`;

/** All trials, and the choice of any two setups at a stay. */
export function TrialList() {
  const trials = useTrials();
  return (
    <Sheet headline="Pick a trial to read its verdict, or any two setups at a stay." margin={<TwoAtAStay />}>
      <Loaded state={stateOf(trials)}>
        {(rows) => (
          <FindableList
            title="Trials"
            noun="trial"
            rows={rows}
            rowKey={(r) => `${r.trial.campsiteId} ${r.trial.name}`}
            text={(r) => `${r.trial.name} ${r.trial.campsite}`}
            find="find by name or campsite"
            empty="No trial yet. Measure two setups in turn, three rounds or more, and give the runs a trial name."
            export={EXPORT}
            pageSize={20}
            columns={COLUMNS}
          />
        )}
      </Loaded>
    </Sheet>
  );
}

const COLUMNS: Column<Row>[] = [
  {
    label: 'Trial',
    render: (_, r) => <Link to={address(r)}>{r.trial.name}</Link>,
    sorter: (a, b) => a.trial.name.localeCompare(b.trial.name),
  },
  {
    label: 'Campsite',
    render: (_, r) => r.trial.campsite,
    sorter: (a, b) => a.trial.campsite.localeCompare(b.trial.campsite),
  },
  {
    label: 'When',
    render: (_, r) => `${span(r.trial.from, r.trial.to)}, ${clock(r.trial.from)}`,
    sorter: (a, b) => Date.parse(a.trial.from) - Date.parse(b.trial.from),
  },
  {
    label: 'Rounds',
    align: 'right',
    render: (_, r) => (r.plannedRounds === null ? r.trial.rounds : `${r.trial.rounds} of ${r.plannedRounds}`),
    sorter: (a, b) => a.trial.rounds - b.trial.rounds,
  },
  {
    label: 'Setups',
    align: 'right',
    render: (_, r) => r.trial.setups,
    sorter: (a, b) => a.trial.setups - b.trial.setups,
  },
];

const EXPORT = {
  file: 'trials.csv',
  columns: ['trial', 'campsite', 'from', 'to', 'rounds', 'planned', 'setups'],
  row: ({ trial, plannedRounds }: Row) => [
    trial.name,
    trial.campsite,
    trial.from,
    trial.to,
    trial.rounds,
    plannedRounds,
    trial.setups,
  ],
};
