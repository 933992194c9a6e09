import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { App, Button, Input, Table } from 'antd';
import { useState } from 'react';
import { Link } from 'react-router';
import { api, type Schemas, unwrap } from '../api/client';
import { type Figure, useFigures, useSetups } from '../app/queries';
import { Part, Waiting } from '../app/Sheet';
import { SetupLabel } from '../draw/Pennant';
import { count, plain } from '../format/numbers';
import { dateClock, offset, weekdayClock } from '../format/time';
import { downloadCsv } from './download';

type Row = Schemas['LoggedMeasurement'];
/** The columns of the table; a number that no measurement here has gets none. */
function shownOf(figures: Figure[], rows: Row[]) {
  return figures.filter((f) => isNumber(f) && rows.some((m) => number(m, f) !== null));
}

const isNumber = (f: Figure) => f.kind !== 'text' && f.kind !== 'choice';
const number = (m: Row, f: Figure) => m[f.field as keyof Row] as number | null;

/** The measurements of a stay. */
export function Measurements({ stay, back }: { stay: number; back: () => void }) {
  const list = useQuery({
    queryKey: ['measurements', stay],
    queryFn: () => unwrap(api.GET('/api/measurements', { params: { query: { stay, limit: 5000 } } })),
  });
  const setups = useSetups();
  const { data: figures } = useFigures();
  const [text, setText] = useState('');
  const remove = useRemove();
  const byName = new Map(setups.data?.map((s) => [s.name, s]));
  const wanted = text.trim().toLowerCase();
  const rows = list.data?.filter((m) =>
    `${m.setup} ${m.carrier} ${m.band} ${m.outcome} ${m.trial ?? ''} ${m.note ?? ''}`
      .toLowerCase()
      .includes(wanted),
  );
  if (!rows || !figures) {
    return <Waiting error={list.error} retry={() => void list.refetch()} />;
  }
  const numbers = shownOf(figures, list.data ?? []);
  const first = list.data?.at(0);
  const trials = [...new Set(list.data?.map((m) => m.trial).filter((t) => t !== null))];
  return (
    <Part
      title={first?.campsite ?? 'Stay'}
      small={
        first
          ? `${count(rows.length, 'measurement')} · times at UTC${offset(first.takenAt)}`
          : 'nothing measured'
      }
      actions={
        <>
          <Input
            size="small"
            data-find
            allowClear
            placeholder="find  /"
            value={text}
            onChange={(e) => setText(e.target.value)}
          />
          <a
            href="#export"
            onClick={(e) => {
              e.preventDefault();
              downloadCsv(
                'measurements-here.csv',
                header(numbers),
                rows.map((m) => exported(m, numbers)),
              );
            }}
          >
            Export this list
          </a>
          <Button size="small" onClick={back}>
            All stays
          </Button>
        </>
      }
    >
      {trials.length > 0 && first && (
        <p className="small">
          Trials here:{' '}
          {trials.map((t) => (
            <span key={t}>
              <Link to={`/trials?${new URLSearchParams({ campsite: first.campsite, trial: t })}`}>
                {t}
              </Link>{' '}
            </span>
          ))}
        </p>
      )}
      <div className="table-scroll">
        <Table<Row>
          size="small"
          rowKey="id"
          dataSource={rows}
          pagination={rows.length > 25 ? { pageSize: 25, showSizeChanger: false } : false}
          columns={[
            {
              title: 'Taken',
              sorter: (a, b) => Date.parse(a.takenAt) - Date.parse(b.takenAt),
              defaultSortOrder: 'descend',
              render: (_, m) => <span title={dateClock(m.takenAt)}>{weekdayClock(m.takenAt)}</span>,
            },
            {
              title: 'Setup',
              sorter: (a, b) => a.setup.localeCompare(b.setup),
              render: (_, m) => <SetupLabel setup={byName.get(m.setup) ?? { name: m.setup, pennant: 0 }} />,
            },
            { title: 'On', render: (_, m) => [m.carrier, m.band].filter(Boolean).join(' ') },
            ...numbers.map((f) => ({
              title: (
                <>
                  {f.label} <span className="small">{f.unit}</span>
                </>
              ),
              align: 'right' as const,
              sorter: (a: Row, b: Row) => (number(a, f) ?? -1e9) - (number(b, f) ?? -1e9),
              render: (_: unknown, m: Row) => plain(number(m, f)),
            })),
            {
              title: 'Outcome',
              filters: figures
                .find((f) => f.field === 'outcome')
                ?.choices.map((value) => ({
                  value,
                  text: value.replace('_', ' '),
                })),
              onFilter: (value, m) => m.outcome === value,
              render: (_, m) => (
                <span className={m.outcome === 'ok' ? undefined : 'loss'}>{m.outcome.replace('_', ' ')}</span>
              ),
            },
            { title: 'Trial', render: (_, m) => (m.trial ? `${m.trial}, ${m.round ?? '–'}` : '') },
            {
              title: '',
              render: (_, m) => (
                <Button type="link" size="small" onClick={() => remove(m.id)}>
                  Delete
                </Button>
              ),
            },
          ]}
        />
      </div>
    </Part>
  );
}

const header = (numbers: Figure[]) => [
  'taken_at',
  'setup',
  'carrier',
  'band',
  ...numbers.map((f) => f.column),
  'outcome',
  'trial',
  'round',
  'note',
];

const exported = (m: Row, numbers: Figure[]) => [
  m.takenAt,
  m.setup,
  m.carrier,
  m.band,
  ...numbers.map((f) => number(m, f)),
  m.outcome,
  m.trial,
  m.round,
  m.note,
];

/** Deletes a measurement and offers to put it back. */
function useRemove() {
  const client = useQueryClient();
  const { notification, message } = App.useApp();
  const settle = {
    onSuccess: () => client.invalidateQueries(),
    onError: (e: Error) => void message.error(e.message),
  };
  const restore = useMutation({
    mutationFn: (id: number) =>
      unwrap(api.POST('/api/measurements/{id}/restore', { params: { path: { id } } })),
    ...settle,
  });
  const remove = useMutation({
    mutationFn: (id: number) => unwrap(api.DELETE('/api/measurements/{id}', { params: { path: { id } } })),
    ...settle,
  });
  return (id: number) =>
    remove.mutate(id, {
      onSuccess: () => {
        const key = `deleted-${id}`;
        notification.info({
          key,
          title: 'Deleted.',
          placement: 'bottomLeft',
          duration: 12,
          actions: (
            <Button
              size="small"
              onClick={() => restore.mutate(id, { onSuccess: () => notification.destroy(key) })}
            >
              Undo
            </Button>
          ),
        });
      },
    });
}
