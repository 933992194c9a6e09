import { Link } from 'react-router';
import type { Schemas } from '../data/client';
import { useStays } from '../data/log';
import { useSetups } from '../data/names';
import { stateOf } from '../data/state';
import { SetupLabel } from '../draw/Pennant';
import { span } from '../format/time';
import { type Column, FindableList } from '../parts/FindableList';
import { Loaded } from '../parts/Loaded';
import { OfferDemo } from '../parts/OfferDemo';

type Visit = Schemas['Visit'];

/** The list of stays. */
export function Stays() {
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
          empty={<NoStay />}
          export={EXPORT}
          pageSize={20}
          columns={columns(byName)}
        />
      )}
    </Loaded>
  );
}

function NoStay() {
  return (
    <>
      <p>
        No stay yet. Say on the line above where you stand, or{' '}
        <Link to="/logbook?import=1">import a file</Link>.
      </p>
      <OfferDemo />
    </>
  );
}

function columns(byName: Map<string, Schemas['SetupName']>): Column<Visit>[] {
  return [
    {
      label: 'Campsite',
      sorter: (a, b) => a.campsite.localeCompare(b.campsite),
      render: (_, v) => <Link to={`/logbook?stay=${v.id}`}>{v.campsite}</Link>,
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
      filters: [...byName.keys()].map((name) => ({ value: name, text: name })),
      onFilter: (value, v) => v.setups.includes(String(value)),
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
