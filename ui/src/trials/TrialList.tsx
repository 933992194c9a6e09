import { useQuery } from '@tanstack/react-query';
import { Button, Input, Select, Table } from 'antd';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { api, type Schemas, unwrap } from '../api/client';
import { useSetups } from '../app/queries';
import { Part, Sheet, Waiting } from '../app/Sheet';
import { SetupLabel } from '../draw/Pennant';
import { count } from '../format/numbers';
import { clock, span } from '../format/time';

type Row = Schemas['TrialRow'];

const address = (row: Row) =>
  `/trials?${new URLSearchParams({ campsite: row.trial.campsite, trial: row.trial.name })}`;

/** All trials, and the choice of any two setups at a stay. */
export function TrialList() {
  const trials = useQuery({ queryKey: ['trials'], queryFn: () => unwrap(api.GET('/api/trials')) });
  const [text, setText] = useState('');
  const wanted = text.trim().toLowerCase();
  const rows = trials.data?.filter((r) =>
    `${r.trial.name} ${r.trial.campsite}`.toLowerCase().includes(wanted),
  );
  return (
    <Sheet headline="Pick a trial to read its verdict, or any two setups at a stay." margin={<TwoAtAStay />}>
      {!rows && <Waiting error={trials.error} retry={() => void trials.refetch()} />}
      {rows && (
        <Part
          title="Trials"
          small={count(rows.length, 'trial')}
          actions={
            <Input
              size="small"
              data-find
              allowClear
              placeholder="find by name or campsite  /"
              value={text}
              onChange={(e) => setText(e.target.value)}
            />
          }
        >
          <div className="table-scroll">
            <Table<Row>
              size="small"
              rowKey={(r) => `${r.trial.campsiteId} ${r.trial.name}`}
              dataSource={rows}
              pagination={rows.length > 20 ? { pageSize: 20 } : false}
              locale={{
                emptyText:
                  'No trial yet. Measure two setups in turn, three rounds or more, and give the runs a trial name.',
              }}
              columns={[
                {
                  title: 'Trial',
                  render: (_, r) => <Link to={address(r)}>{r.trial.name}</Link>,
                  sorter: (a, b) => a.trial.name.localeCompare(b.trial.name),
                },
                {
                  title: 'Campsite',
                  render: (_, r) => r.trial.campsite,
                  sorter: (a, b) => a.trial.campsite.localeCompare(b.trial.campsite),
                },
                {
                  title: 'When',
                  render: (_, r) => `${span(r.trial.from, r.trial.to)}, ${clock(r.trial.from)}`,
                  sorter: (a, b) => Date.parse(a.trial.from) - Date.parse(b.trial.from),
                },
                {
                  title: 'Rounds',
                  align: 'right',
                  render: (_, r) =>
                    r.plannedRounds === null ? r.trial.rounds : `${r.trial.rounds} of ${r.plannedRounds}`,
                  sorter: (a, b) => a.trial.rounds - b.trial.rounds,
                },
                {
                  title: 'Setups',
                  align: 'right',
                  render: (_, r) => r.trial.setups,
                  sorter: (a, b) => a.trial.setups - b.trial.setups,
                },
              ]}
            />
          </div>
        </Part>
      )}
    </Sheet>
  );
}

/** Chooses a stay and two of the setups measured there. */
function TwoAtAStay() {
  const stays = useQuery({ queryKey: ['stays'], queryFn: () => unwrap(api.GET('/api/stays')) });
  const setups = useSetups();
  const navigate = useNavigate();
  const [stay, setStay] = useState<number>();
  const [baseline, setBaseline] = useState<string>();
  const [candidate, setCandidate] = useState<string>();
  const several = stays.data?.filter((v) => v.setups.length >= 2) ?? [];
  const here = several.find((v) => v.id === stay)?.setups ?? [];
  const options = (setups.data ?? [])
    .filter((s) => here.includes(s.name))
    .map((s) => ({ value: s.name, label: <SetupLabel setup={s} /> }));
  const choose = (id: number) => {
    const names = several.find((v) => v.id === id)?.setups ?? [];
    setStay(id);
    setBaseline(names[0]);
    setCandidate(names[1]);
  };
  const open = () =>
    void navigate(
      `/trials?${new URLSearchParams({ stay: String(stay), baseline: baseline ?? '', candidate: candidate ?? '' })}`,
    );
  return (
    <Part title="Two setups at a stay">
      <div className="chooser">
        <p className="small">
          Runs of the same SIM within an hour of each other are taken as a round. Planned or not, the
          arithmetic is the same.
        </p>
        <Select
          aria-label="Stay"
          placeholder="stay with two setups or more"
          value={stay}
          onChange={choose}
          options={several.map((v) => ({
            value: v.id,
            label: `${v.campsite}, ${span(v.arrivedAt, v.leftAt)}`,
          }))}
        />
        <Select
          aria-label="Baseline"
          placeholder="baseline"
          value={baseline}
          onChange={setBaseline}
          options={options}
        />
        <Select
          aria-label="Candidate"
          placeholder="candidate"
          value={candidate}
          onChange={setCandidate}
          options={options}
        />
        <Button
          type="primary"
          disabled={!stay || !baseline || !candidate || baseline === candidate}
          onClick={open}
        >
          Compare
        </Button>
      </div>
    </Part>
  );
}
