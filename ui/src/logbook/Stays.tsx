import { Link, useSearchParams } from 'react-router';
import type { Schemas } from '../data/client';
import { SetupLabel } from '../draw/Pennant';
import { fixed, short } from '../format/numbers';
import { span } from '../format/time';
import { type Column, FindableList } from '../parts/FindableList';

type Line = Schemas['StayLine'];

/** The list of stays; a column is there when this log holds it. */
export function Stays({ view }: { view: Schemas['LogbookView'] }) {
  const [query] = useSearchParams();
  // the server has looked for it already, in notes too
  const wanted = query.get('find') ?? '';
  return (
    <FindableList
      title="Stays"
      noun="stay"
      rows={view.stays}
      rowKey={(v) => v.id}
      text={() => wanted}
      find="campsite, carrier, note"
      empty="No stay fits. Take a filter away."
      export={EXPORT}
      pageSize={20}
      dense
      columns={columns(view)}
    />
  );
}

function columns(view: Schemas['LogbookView']): Column<Line>[] {
  const any = (has: (line: Line) => boolean) => view.stays.some(has);
  return [
    {
      label: 'Campsite',
      sorter: (a, b) => a.campsite.localeCompare(b.campsite),
      render: (_, v) => (
        <>
          <Link to={`/logbook?stay=${v.id}`} aria-label={`${v.campsite}, ${span(v.arrivedAt, v.leftAt)}`}>
            {v.campsite}
          </Link>
          {(v.noted || v.photos > 0) && (
            <div className="small">
              {[v.noted && 'note', v.photos > 0 && `${v.photos} photo${v.photos === 1 ? '' : 's'}`]
                .filter(Boolean)
                .join(', ')}
            </div>
          )}
        </>
      ),
    },
    {
      label: 'When',
      sorter: (a, b) => Date.parse(a.arrivedAt) - Date.parse(b.arrivedAt),
      render: (_, v) => span(v.arrivedAt, v.leftAt),
    },
    {
      label: 'Measured',
      align: 'right',
      sorter: (a, b) => a.measurements - b.measurements,
      render: (_, v) => (
        <>
          {v.measurements}
          {v.failed > 0 && <div className="small loss">{v.failed} failed</div>}
        </>
      ),
    },
    ...(any((v) => v.levelDbm !== null)
      ? [
          {
            label: 'RSRP',
            unit: 'dBm',
            align: 'right',
            sorter: (a, b) => (a.levelDbm ?? -999) - (b.levelDbm ?? -999),
            render: (_, v) => (
              <>
                {fixed(v.levelDbm, 0)}
                <div className="small">{v.grade}</div>
              </>
            ),
          } satisfies Column<Line>,
        ]
      : []),
    ...(any((v) => v.downMbps !== null)
      ? [
          {
            label: 'Down',
            unit: 'Mb/s',
            align: 'right',
            sorter: (a, b) => (a.downMbps ?? -1) - (b.downMbps ?? -1),
            render: (_, v) => short(v.downMbps),
          } satisfies Column<Line>,
        ]
      : []),
    ...(any((v) => v.upMbps !== null)
      ? [
          {
            label: 'Up',
            unit: 'Mb/s',
            align: 'right',
            sorter: (a, b) => (a.upMbps ?? -1) - (b.upMbps ?? -1),
            render: (_, v) => short(v.upMbps),
          } satisfies Column<Line>,
        ]
      : []),
    ...(any((v) => v.needRuns > 0)
      ? [
          {
            label: 'Need met',
            align: 'right',
            sorter: (a, b) => share(a) - share(b),
            render: (_, v) => (v.needRuns === 0 ? '–' : `${v.needMet} of ${v.needRuns}`),
          } satisfies Column<Line>,
        ]
      : []),
    {
      label: 'Setups',
      render: (_, v) => (
        <div>
          {v.setups.map((s) => (
            <div key={s.name}>
              <SetupLabel setup={s} />
            </div>
          ))}
        </div>
      ),
    },
  ];
}

const share = (v: Line) => (v.needRuns === 0 ? -1 : v.needMet / v.needRuns);

const EXPORT = {
  file: 'stays.csv',
  columns: [
    'campsite',
    'from',
    'to',
    'measurements',
    'failed',
    'rsrp_dbm',
    'down_mbps',
    'up_mbps',
    'need_met',
    'need_runs',
    'setups',
  ],
  row: (v: Line) => [
    v.campsite,
    v.arrivedAt,
    v.leftAt,
    v.measurements,
    v.failed,
    v.levelDbm,
    v.downMbps,
    v.upMbps,
    v.needMet,
    v.needRuns,
    v.setups.map((s) => s.name).join('; '),
  ],
};
