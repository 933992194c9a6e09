import type { Schemas } from '../data/client';
import { useStays } from '../data/log';
import { useSetups } from '../data/names';
import { stateOf } from '../data/state';
import { SetupLabel } from '../draw/Pennant';
import { span } from '../format/time';
import { type Column, FindableList } from '../parts/FindableList';
import { Loaded } from '../parts/Loaded';

type Visit = Schemas['Visit'];

/** The list of stays. */
export function Stays({ open }: { open: (id: number) => void }) {
  const stays = useStays();
  const setups = useSetups();
  const byName = new Map(setups.data?.map((s) => [s.name, s]));
  return (
    <Loaded state={stateOf(stays)}>
      {(visits) => (
        <FindableList
          title="Stays"
          noun="stay"
          rows={visits}
          rowKey={(v) => v.id}
          text={(v) => `${v.campsite} ${v.setups.join(' ')}`}
          find="find a campsite or setup"
          empty="No stay yet. Say on the line above where you stand, or import a file. To look around first, start the demo."
          export={EXPORT}
          pageSize={20}
          columns={columns(open, byName)}
        />
      )}
    </Loaded>
  );
}

function columns(open: (id: number) => void, byName: Map<string, Schemas['SetupName']>): Column<Visit>[] {
  return [
    {
      label: 'Campsite',
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
      label: 'When',
      sorter: (a, b) => Date.parse(a.arrivedAt) - Date.parse(b.arrivedAt),
      render: (_, v) => span(v.arrivedAt, v.leftAt),
    },
    {
      label: 'Measurements',
      align: 'right',
      sorter: (a, b) => a.measurements - b.measurements,
      render: (_, v) => v.measurements,
    },
    {
      label: 'Failed',
      align: 'right',
      sorter: (a, b) => a.failed - b.failed,
      render: (_, v) => (v.failed > 0 ? <span className="loss">{v.failed}</span> : 0),
    },
    {
      label: 'Setups',
      render: (_, v) => (
        <div>
          {v.setups.map((name) => (
            <div key={name}>
              <SetupLabel setup={byName.get(name) ?? { name, pennant: 0 }} />
            </div>
          ))}
        </div>
      ),
    },
  ];
}

const EXPORT = {
  file: 'stays.csv',
  columns: ['campsite', 'from', 'to', 'measurements', 'failed', 'setups'],
  row: (v: Visit) => [v.campsite, v.arrivedAt, v.leftAt, v.measurements, v.failed, v.setups.join('; ')],
};
