import { App, Button } from 'antd';
import { Link } from 'react-router';
import type { Schemas } from '../data/client';
import { type Figure, useFigures, useLogChanges, useMeasurements } from '../data/log';
import { useSetups } from '../data/names';
import { both, stateOf } from '../data/state';
import { SetupLabel } from '../draw/Pennant';
import { plain } from '../format/numbers';
import { dateClock, offset, weekdayClock } from '../format/time';
import { type Column, FindableList } from '../parts/FindableList';
import { Loaded } from '../parts/Loaded';
import { useUndo } from '../parts/useUndo';

type Row = Schemas['LoggedMeasurement'];

/** The numbers that a measurement here has; others get no column. */
const shownOf = (figures: Figure[], rows: Row[]) =>
  figures.filter((f) => isNumber(f) && rows.some((m) => number(m, f) !== null));

const isNumber = (f: Figure) => f.kind !== 'text' && f.kind !== 'choice';
const number = (m: Row, f: Figure) => m[f.field as keyof Row] as number | null;
const words = (outcome: string) => outcome.replace('_', ' ');

/** The measurements of a stay. */
export function Measurements({ stay, back }: { stay: number; back: () => void }) {
  const list = useMeasurements(stay);
  const figures = useFigures();
  const state = both(stateOf(list), stateOf(figures));
  return (
    <>
      <Loaded state={state}>{([rows, known]) => <List rows={rows} figures={known} back={back} />}</Loaded>
      {state.is !== 'there' && <Button onClick={back}>All stays</Button>}
    </>
  );
}

function List({ rows, figures, back }: { rows: Row[]; figures: Figure[]; back: () => void }) {
  const setups = useSetups();
  const remove = useRemove();
  const byName = new Map(setups.data?.map((s) => [s.name, s]));
  const numbers = shownOf(figures, rows);
  const outcomes = figures.find((f) => f.field === 'outcome')?.choices ?? [];
  const first = rows.at(0);
  const columns: Column<Row>[] = [
    {
      label: 'Taken',
      sorter: (a, b) => Date.parse(a.takenAt) - Date.parse(b.takenAt),
      defaultSortOrder: 'descend',
      render: (_, m) => <span title={dateClock(m.takenAt)}>{weekdayClock(m.takenAt)}</span>,
    },
    {
      label: 'Setup',
      sorter: (a, b) => a.setup.localeCompare(b.setup),
      render: (_, m) => <SetupLabel setup={byName.get(m.setup) ?? { name: m.setup, pennant: 0 }} />,
    },
    { label: 'On', render: (_, m) => [m.carrier, m.band].filter(Boolean).join(' ') },
    ...numbers.map((f): Column<Row> => ({
      label: f.label,
      unit: f.unit,
      align: 'right',
      sorter: (a, b) => (number(a, f) ?? -1e9) - (number(b, f) ?? -1e9),
      render: (_, m) => plain(number(m, f)),
    })),
    {
      label: 'Outcome',
      filters: outcomes.map((value) => ({ value, text: words(value) })),
      onFilter: (value, m) => m.outcome === value,
      render: (_, m) => <span className={m.outcome === 'ok' ? undefined : 'loss'}>{words(m.outcome)}</span>,
    },
    { label: 'Trial', render: (_, m) => (m.trial ? `${m.trial}, ${m.round ?? '–'}` : '') },
    {
      label: '',
      render: (_, m) => (
        <Button type="link" size="small" onClick={() => remove(m.id)}>
          Delete
        </Button>
      ),
    },
  ];
  return (
    <FindableList
      title={first?.campsite ?? 'Stay'}
      noun="measurement"
      small={first && `times at UTC${offset(first.takenAt)}`}
      rows={rows}
      rowKey={(m) => m.id}
      text={(m) => `${m.setup} ${m.carrier} ${m.band} ${m.outcome} ${m.trial ?? ''} ${m.note ?? ''}`}
      find="find"
      empty="Nothing measured at this stay."
      export={{
        file: 'measurements-here.csv',
        columns: [...BEFORE, ...numbers.map((f) => f.column), ...AFTER],
        row: (m) => [
          m.takenAt,
          m.setup,
          m.carrier,
          m.band,
          ...numbers.map((f) => number(m, f)),
          m.outcome,
          m.trial,
          m.round,
          m.note,
        ],
      }}
      actions={
        <Button size="small" onClick={back}>
          All stays
        </Button>
      }
      over={first && <TrialsHere rows={rows} campsite={first.campsite} />}
      columns={columns}
    />
  );
}

const BEFORE = ['taken_at', 'setup', 'carrier', 'band'];
const AFTER = ['outcome', 'trial', 'round', 'note'];

function TrialsHere({ rows, campsite }: { rows: Row[]; campsite: string }) {
  const trials = [...new Set(rows.map((m) => m.trial).filter((t) => t !== null))];
  if (trials.length === 0) {
    return null;
  }
  return (
    <p className="small">
      Trials here:{' '}
      {trials.map((trial) => (
        <span key={trial}>
          <Link to={`/trials?${new URLSearchParams({ campsite, trial })}`}>{trial}</Link>{' '}
        </span>
      ))}
    </p>
  );
}

/** Deletes a measurement and offers to put it back. */
function useRemove() {
  const { remove, restore } = useLogChanges();
  const { message } = App.useApp();
  const undoable = useUndo();
  return (id: number) =>
    remove.mutate(id, {
      onSuccess: () => undoable('Deleted.', () => restore.mutateAsync(id)),
      onError: (refused) => void message.error(refused.message),
    });
}
