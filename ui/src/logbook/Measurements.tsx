import { Button } from 'antd';
import { type Key, useState } from 'react';
import type { Schemas } from '../data/client';
import { type Figure, useFigures, useMeasurements } from '../data/log';
import { useSetups } from '../data/names';
import { both, stateOf } from '../data/state';
import { SetupLabel } from '../draw/Pennant';
import { plain } from '../format/numbers';
import { clock, dateClock, dayMonth, offset, weekdayClock } from '../format/time';
import { type Column, FindableList } from '../parts/FindableList';
import { Loaded } from '../parts/Loaded';
import { useLog } from '../parts/useLog';
import { MoveDialog, SplitDialog, StayDatesDialog } from './StayDialogs';

type Row = Schemas['LoggedMeasurement'];
type Visit = Schemas['Visit'];

/** Numbers of a measurement that one of these has; others get no column. */
const shownOf = (figures: Figure[], rows: Row[]) =>
  figures.filter((f) => isNumber(f) && rows.some((m) => number(m, f) !== null));

const isNumber = (f: Figure) => f.kind !== 'text' && f.kind !== 'choice';
const number = (m: Row, f: Figure) => m[f.field as keyof Row] as number | null;
const words = (outcome: string) => outcome.replace('_', ' ');

/** How many days of a stay have each another weekday. */
const WEEK_MS = 6 * 86_400_000;

/** The measurements of a stay. */
export function Measurements({ stay, visit }: { stay: number; visit: Visit | undefined }) {
  const list = useMeasurements(stay);
  const figures = useFigures();
  const state = both(stateOf(list), stateOf(figures));
  return (
    <Loaded state={state}>
      {([rows, known]) => <List rows={rows} figures={known} stay={stay} visit={visit} />}
    </Loaded>
  );
}

type Asked = 'dates' | 'split' | 'move';

function List(props: { rows: Row[]; figures: Figure[]; stay: number; visit: Visit | undefined }) {
  const { rows, figures, visit } = props;
  const setups = useSetups();
  const log = useLog();
  const [chosen, setChosen] = useState<Key[]>([]);
  const [asked, setAsked] = useState<Asked | null>(null);
  const byName = new Map(setups.data?.map((s) => [s.name, s]));
  const numbers = shownOf(figures, rows);
  const first = rows.at(0);
  const times = rows.map((m) => Date.parse(m.takenAt));
  const long = times.length > 0 && Math.max(...times) - Math.min(...times) > WEEK_MS;
  const taken = (m: Row) => (long ? `${dayMonth(m.takenAt)} ${clock(m.takenAt)}` : weekdayClock(m.takenAt));
  const setup = (m: Row) => byName.get(m.setup) ?? { name: m.setup, pennant: 0 };
  const on = (m: Row) => [m.carrier, m.band].filter(Boolean).join(' ');
  /** A filter by what these have; where all have the same there is nothing to filter by. */
  const filter = (value: (m: Row) => string | null, said = (text: string) => text) => {
    const values = [...new Set(rows.map(value))].filter((v) => v !== null);
    const differ = values.length > 1 || (values.length === 1 && rows.some((m) => value(m) === null));
    return !differ
      ? {}
      : {
          filters: values.map((v) => ({ value: v, text: said(v) })),
          onFilter: (wanted: Key | boolean, m: Row) => value(m) === wanted,
        };
  };
  const columns: Column<Row>[] = [
    {
      label: 'Taken',
      sorter: (a, b) => Date.parse(a.takenAt) - Date.parse(b.takenAt),
      defaultSortOrder: 'descend',
      render: (_, m) => <span title={dateClock(m.takenAt)}>{taken(m)}</span>,
    },
    {
      label: 'Setup',
      sorter: (a, b) => a.setup.localeCompare(b.setup),
      ...filter((m) => m.setup),
      render: (_, m) => (
        <>
          <SetupLabel setup={setup(m)} />
          <div className="small">{on(m)}</div>
        </>
      ),
    },
    ...numbers.map((f): Column<Row> => ({
      label: f.label,
      unit: f.unit,
      align: 'right',
      sorter: (a, b) => (number(a, f) ?? -1e9) - (number(b, f) ?? -1e9),
      render: (_, m) => plain(number(m, f)),
    })),
    ...(rows.some((m) => m.outcome !== 'ok')
      ? [
          {
            label: 'Outcome',
            ...filter((m) => m.outcome, words),
            render: (_: unknown, m: Row) => (
              <span className={m.outcome === 'ok' ? undefined : 'loss'}>{words(m.outcome)}</span>
            ),
          },
        ]
      : []),
    ...(rows.some((m) => m.trial || m.note)
      ? [
          {
            label: 'Trial and note',
            ...filter((m) => m.trial),
            render: (_: unknown, m: Row) => <Belongs m={m} />,
          },
        ]
      : []),
    {
      label: '',
      render: (_, m) => (
        <Button
          type="link"
          size="small"
          aria-label={`Correct ${m.setup}, ${dateClock(m.takenAt)}`}
          onClick={() => log.correct(m.id)}
        >
          Correct
        </Button>
      ),
    },
  ];
  return (
    <>
      <FindableList
        title="Measurements"
        noun="measurement"
        small={first && `times at UTC${offset(first.takenAt)}`}
        rows={rows}
        rowKey={(m) => m.id}
        text={(m) =>
          `${m.setup} ${m.carrier} ${m.band} ${m.cellId ?? ''} ${words(m.outcome)} ${m.trial ?? ''} ${m.server ?? ''} ${m.note ?? ''}`
        }
        dense
        find="find here"
        empty="Nothing measured at this stay. Log a reading with R, or change when it began or ended."
        export={{
          file: 'measurements-here.csv',
          columns: [...BEFORE, ...numbers.map((f) => f.column), ...AFTER],
          row: (m) => [
            m.takenAt,
            m.campsite,
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
        chosen={{ keys: chosen, choose: setChosen }}
        lines={(m) => <TwoLines m={m} taken={taken(m)} setup={setup(m)} on={on(m)} numbers={numbers} />}
        actions={
          visit && (
            <>
              {chosen.length > 0 && (
                <Button size="small" type="primary" onClick={() => setAsked('move')}>
                  Move {chosen.length} to another stay
                </Button>
              )}
              <Button size="small" onClick={() => setAsked('dates')}>
                Change its dates
              </Button>
              <Button size="small" onClick={() => setAsked('split')}>
                Split
              </Button>
            </>
          )
        }
        columns={columns}
      />
      {visit && asked === 'dates' && <StayDatesDialog visit={visit} close={() => setAsked(null)} />}
      {visit && asked === 'split' && <SplitDialog visit={visit} close={() => setAsked(null)} />}
      {asked === 'move' && (
        <MoveDialog
          ids={chosen.map(Number)}
          from={props.stay}
          close={(moved) => {
            setAsked(null);
            setChosen(moved ? [] : chosen);
          }}
        />
      )}
    </>
  );
}

const BEFORE = ['taken_at', 'campsite', 'setup', 'carrier', 'band'];
const AFTER = ['outcome', 'trial', 'round', 'note'];

function Belongs({ m }: { m: Row }) {
  return (
    <span className="wraps">
      {m.trial && (
        <>
          {m.trial}, {m.round ?? '–'}{' '}
        </>
      )}
      {m.note && <span className="small">{m.note}</span>}
    </span>
  );
}

/** The figures that one looks for first, in a line; where there is none of them, all there are. */
function shortly(m: Row, numbers: Figure[]) {
  const level = m.rsrpDbm === null ? '' : `RSRP ${plain(m.rsrpDbm)} dBm`;
  const rates = [
    m.downMbps !== null && `${plain(m.downMbps)} down`,
    m.upMbps !== null && `${plain(m.upMbps)} up`,
  ].filter((rate) => rate !== false);
  const first = [
    level,
    rates.length > 0 ? `${rates.join(', ')} Mb/s` : '',
    m.idleMs === null ? '' : `${plain(m.idleMs)} ms`,
  ].filter((part) => part !== '');
  return first.length > 0
    ? first.join(' · ')
    : numbers
        .filter((f) => number(m, f) !== null)
        .map((f) => `${f.label} ${plain(number(m, f))} ${f.unit}`)
        .join(' · ');
}

/** A measurement on a phone: what it was made with, and its figures. */
function TwoLines(props: {
  m: Row;
  taken: string;
  setup: { name: string; pennant: number };
  on: string;
  numbers: Figure[];
}) {
  const { m, numbers } = props;
  const log = useLog();
  return (
    <button type="button" className="measurement" onClick={() => log.correct(m.id)}>
      <span className="what">
        <SetupLabel setup={props.setup} />
        <span className="small">
          {props.on} · {props.taken}
        </span>
      </span>
      <span>
        {m.outcome !== 'ok' && <span className="loss">{words(m.outcome)} </span>}
        {shortly(m, numbers)}
      </span>
      {(m.trial || m.note) && (
        <span className="small">
          {[m.trial && `${m.trial}, ${m.round ?? '–'}`, m.note].filter(Boolean).join(' · ')}
        </span>
      )}
    </button>
  );
}
