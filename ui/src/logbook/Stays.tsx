import { useQuery } from '@tanstack/react-query';
import { Input, Table } from 'antd';
import { useState } from 'react';
import { api, type Schemas, unwrap } from '../api/client';
import { useSetups } from '../app/queries';
import { Part, Waiting } from '../app/Sheet';
import { SetupLabel } from '../draw/Pennant';
import { count } from '../format/numbers';
import { span } from '../format/time';
import { downloadCsv } from './download';

type Visit = Schemas['Visit'];

/** The list of stays. */
export function Stays({ open }: { open: (id: number) => void }) {
  const stays = useQuery({ queryKey: ['stays'], queryFn: () => unwrap(api.GET('/api/stays')) });
  const setups = useSetups();
  const [text, setText] = useState('');
  const byName = new Map(setups.data?.map((s) => [s.name, s]));
  const wanted = text.trim().toLowerCase();
  const rows = stays.data?.filter((v) =>
    `${v.campsite} ${v.setups.join(' ')}`.toLowerCase().includes(wanted),
  );
  if (!rows) {
    return <Waiting error={stays.error} retry={() => void stays.refetch()} />;
  }
  return (
    <Part
      title="Stays"
      small={count(rows.length, 'stay')}
      actions={
        <>
          <Input
            size="small"
            data-find
            allowClear
            placeholder="find a campsite or setup  /"
            value={text}
            onChange={(e) => setText(e.target.value)}
          />
          <a
            href="#export"
            onClick={(e) => {
              e.preventDefault();
              downloadCsv(
                'stays.csv',
                ['campsite', 'from', 'to', 'measurements', 'failed', 'setups'],
                rows.map(exported),
              );
            }}
          >
            Export this list
          </a>
        </>
      }
    >
      <div className="table-scroll">
        <Table<Visit>
          size="small"
          rowKey="id"
          dataSource={rows}
          pagination={rows.length > 20 ? { pageSize: 20 } : false}
          locale={{
            emptyText:
              'No stay yet. Say on the line above where you stand, or import a file. To look around first, start the demo.',
          }}
          columns={[
            {
              title: 'Campsite',
              sorter: (a, b) => a.campsite.localeCompare(b.campsite),
              render: (_, v) => (
                <a
                  href={`/logbook?stay=${v.id}`}
                  onClick={(e) => {
                    e.preventDefault();
                    open(v.id);
                  }}
                >
                  {v.campsite}
                </a>
              ),
            },
            {
              title: 'When',
              sorter: (a, b) => Date.parse(a.arrivedAt) - Date.parse(b.arrivedAt),
              render: (_, v) => span(v.arrivedAt, v.leftAt),
            },
            {
              title: 'Measurements',
              align: 'right',
              sorter: (a, b) => a.measurements - b.measurements,
              render: (_, v) => v.measurements,
            },
            {
              title: 'Failed',
              align: 'right',
              sorter: (a, b) => a.failed - b.failed,
              render: (_, v) => (v.failed > 0 ? <span className="loss">{v.failed}</span> : 0),
            },
            {
              title: 'Setups',
              render: (_, v) =>
                v.setups.map((name) => {
                  const setup = byName.get(name);
                  return setup ? (
                    <div key={name}>
                      <SetupLabel setup={setup} />
                    </div>
                  ) : null;
                }),
            },
          ]}
        />
      </div>
    </Part>
  );
}

const exported = (v: Visit) => [
  v.campsite,
  v.arrivedAt,
  v.leftAt ?? '',
  v.measurements,
  v.failed,
  v.setups.join('; '),
];
