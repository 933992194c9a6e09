import { Button, Input, Select } from 'antd';
import { type ReactNode, useState } from 'react';
import type { Schemas } from '../data/client';
import { useTableRows } from '../data/useTable';
import { Part } from '../parts/Sheet';

type View = Schemas['TableView'];
type Reading = Schemas['TableReading'];
type Use = Schemas['ColumnUse'];

/** What still has to be said before the table can be read. */
export function unanswered(view: View, reading: Reading, said: { level: boolean }): string[] {
  return view.asked.filter(
    (asked) =>
      (asked === 'date-order' && reading.dateOrder === ('' as Reading['dateOrder'])) ||
      (asked === 'level' && !said.level && holds(reading, 'rsrp_dbm')) ||
      (asked === 'zone' && reading.zone.trim() === '') ||
      (asked === 'year' && !reading.year) ||
      (asked === 'clock' && !reading.clock?.trim() && !uses(reading, 'clock')) ||
      (asked === 'above' && reading.above == null) ||
      (asked === 'each' && !reading.each && labels(reading).length > 0) ||
      (asked === 'setup' && needsSetup(reading) && !reading.setup?.trim()) ||
      (asked === 'campsite' && !reading.campsite?.trim() && !holds(reading, 'campsite')),
  );
}

const uses = (reading: Reading, use: Use['use']) => reading.columns.some((c) => c.use === use);

/** What the headings call the measurements that stand side by side in a row. */
const labels = (reading: Reading) => [...new Set(reading.columns.flatMap((c) => (c.of ? [c.of] : [])))];

const needsSetup = (reading: Reading) => !holds(reading, 'setup') && reading.each !== 'setup';

const holds = (reading: Reading, figure: string) => reading.columns.some((c) => c.figure === figure);

/** Which column is which: proposed, to be corrected, with the first rows as they would be read. */
export function TableColumns(props: {
  view: View;
  reading: Reading;
  change: (reading: Reading) => void;
  use: () => void;
  /** Reads another sheet of the workbook. */
  choose: (sheet: string) => void;
}) {
  const { view, reading, change, use } = props;
  const [level, setLevel] = useState<string | null>(view.remembered ? 'said before' : null);
  const open = unanswered(view, reading, { level: level !== null });
  const several = labels(view.reading).length > 0;
  return (
    <>
      {view.sheets.length > 1 && (
        <Part title="Sheet" small="the workbook has more than one; the others are not read">
          <Select
            aria-label="Sheet to read"
            value={view.sheets[0]}
            popupMatchSelectWidth={false}
            style={{ minWidth: 200 }}
            onChange={props.choose}
            options={view.sheets.map((name) => ({ value: name, label: name }))}
          />
        </Part>
      )}
      <Questions view={view} reading={reading} change={change} level={level} setLevel={setLevel} />
      <Part title="Columns" small="what each is used as; correct what is wrong">
        <div className="table-scroll">
          <table className="plain rows">
            <thead>
              <tr>
                <th>Your heading</th>
                <th>First cells</th>
                <th>Use as</th>
                <th>Unit</th>
                {several && <th>Of</th>}
                <th>Why</th>
              </tr>
            </thead>
            <tbody>
              {reading.columns.map((column, i) => (
                <ColumnRow
                  key={i}
                  view={view}
                  place={i}
                  column={column}
                  change={(changed) =>
                    change({ ...reading, columns: reading.columns.map((c, j) => (j === i ? changed : c)) })
                  }
                />
              ))}
            </tbody>
          </table>
        </div>
      </Part>
      {open.length === 0 && <Preview view={view} reading={reading} />}
      <div className="buttons">
        <Button type="primary" disabled={open.length > 0} onClick={use}>
          {open.length > 0 ? 'Answer the questions above first' : 'Check the rows'}
        </Button>
      </div>
    </>
  );
}

function ColumnRow(props: { view: View; place: number; column: Use; change: (column: Use) => void }) {
  const { view, place, column, change } = props;
  const { choices } = view;
  const cells = view.rows.map((row) => row[place]).filter((cell) => cell !== undefined && cell.trim() !== '');
  const chosen = column.use === 'figure' ? `figure:${column.figure}` : column.use;
  const units =
    choices.figures.find((f) => column.use === 'figure' && f.value === column.figure)?.units ?? [];
  const untouched = view.reading.columns[place] === column;
  const all = labels(view.reading);
  return (
    <tr>
      <td className="name">{column.heading || `column ${place + 1}`}</td>
      <td data-label="First cells">{cells.slice(0, 2).join(' · ')}</td>
      <td data-label="Use as">
        <Select<string>
          size="small"
          showSearch
          aria-label={`${column.heading}, use as`}
          value={chosen}
          popupMatchSelectWidth={false}
          style={{ minWidth: 150 }}
          onChange={(value) =>
            change(
              value.startsWith('figure:')
                ? { ...column, use: 'figure', figure: value.slice(7), unit: '' }
                : { ...column, use: value as Use['use'], figure: null, unit: '' },
            )
          }
          options={[
            ...choices.uses.map((u) => ({ value: u.value, label: u.label })),
            ...choices.figures.map((f) => ({ value: `figure:${f.value}`, label: f.label })),
          ]}
        />
      </td>
      <td data-label="Unit">
        {units.length > 0 && (
          <Select<string>
            size="small"
            aria-label={`${column.heading}, unit`}
            value={column.unit || units[0]}
            popupMatchSelectWidth={false}
            style={{ minWidth: 80 }}
            onChange={(unit) => change({ ...column, unit })}
            options={units.map((unit) => ({ value: unit, label: unit }))}
          />
        )}
      </td>
      {all.length > 0 && (
        <td data-label="Of">
          <Select<string>
            size="small"
            aria-label={`${column.heading}, of`}
            value={column.of ?? ''}
            popupMatchSelectWidth={false}
            style={{ minWidth: 90 }}
            onChange={(of) => change({ ...column, of })}
            options={[
              { value: '', label: 'all of a row' },
              ...all.map((label) => ({ value: label, label: `“${label}”` })),
            ]}
          />
        </td>
      )}
      <td className="small why" data-label="Why">
        {untouched ? view.reasons[place] : 'as you say'}
      </td>
    </tr>
  );
}

/** What a column of signal levels can be. */
const LEVELS = [
  { value: 'rsrp_dbm', label: 'RSRP, of one cell' },
  { value: 'rssi_dbm', label: 'RSSI, of all that is heard' },
  { value: 'note', label: 'Not sure: put it into the note' },
];

function Questions(props: {
  view: View;
  reading: Reading;
  change: (reading: Reading) => void;
  level: string | null;
  setLevel: (level: string) => void;
}) {
  const { view, reading, change, level, setLevel } = props;
  const takeLevel = (as: string) => {
    setLevel(as);
    change({
      ...reading,
      columns: reading.columns.map((c, i) =>
        view.reading.columns[i]?.figure === 'rsrp_dbm'
          ? as === 'note'
            ? { ...c, use: 'note', figure: null, unit: '' }
            : { ...c, use: 'figure', figure: as }
          : c,
      ),
    });
  };
  if (view.asked.length === 0 && labels(reading).length === 0) {
    return null;
  }
  const here = Intl.DateTimeFormat().resolvedOptions().timeZone;
  return (
    <Part title="What the table does not say">
      {view.asked.includes('date-order') && (
        <Question label={`Dates such as ${dateOf(view)}: which number comes first?`}>
          <Select
            aria-label="Order of the dates"
            value={reading.dateOrder || undefined}
            placeholder="choose"
            popupMatchSelectWidth={false}
            onChange={(dateOrder: Reading['dateOrder']) => change({ ...reading, dateOrder })}
            options={view.choices.dateOrders}
          />
        </Question>
      )}
      {view.asked.includes('zone') && (
        <Question label="In which time zone are the times?">
          <span className="asked">
            <Input
              aria-label="Time zone"
              placeholder="Europe/Helsinki or +03:00"
              value={reading.zone}
              onChange={(e) => change({ ...reading, zone: e.target.value })}
            />
            {reading.zone !== here && (
              <Button size="small" onClick={() => change({ ...reading, zone: here })}>
                {here}
              </Button>
            )}
          </span>
        </Question>
      )}
      {view.asked.includes('year') && (
        <Question label="In which year? The dates have only day and month, so all get one year. If the log spans New Year, import each year separately.">
          <Input
            aria-label="Year of all rows"
            inputMode="numeric"
            placeholder="2026"
            maxLength={4}
            value={reading.year ?? ''}
            onChange={(e) => change({ ...reading, year: Number(e.target.value.replace(/\D/g, '')) || null })}
          />
        </Question>
      )}
      {view.asked.includes('clock') && !uses(reading, 'clock') && (
        <Question label="At what time of day? The table has only dates, so all rows get one time, and hours cannot be compared.">
          <Input
            aria-label="Time of day of all rows"
            placeholder="18:00"
            value={reading.clock ?? ''}
            onChange={(e) => change({ ...reading, clock: e.target.value })}
          />
        </Question>
      )}
      {view.asked.includes('above') && (
        <Question label="Some rows leave out the day, the campsite or the setup. What does such an empty cell mean?">
          <Select
            aria-label="What an empty cell means"
            value={reading.above ?? undefined}
            placeholder="choose"
            popupMatchSelectWidth={false}
            onChange={(above: boolean) => change({ ...reading, above })}
            options={[
              { value: true, label: 'the same as above' },
              { value: false, label: 'unknown: reject such rows' },
            ]}
          />
        </Question>
      )}
      {labels(reading).length > 0 && (
        <Question label={`Each row has several measurements: ${quoted(labels(reading))}. What are these?`}>
          <Select
            aria-label="What the measurements of a row are of"
            value={reading.each ?? undefined}
            placeholder="choose"
            popupMatchSelectWidth={false}
            onChange={(each: Reading['each']) => change({ ...reading, each })}
            options={view.choices.eaches}
          />
        </Question>
      )}
      {view.asked.includes('level') && (
        <Question label={`What is in the column “${levelOf(view)}”?`}>
          <Select
            aria-label="What the levels are"
            value={level !== null && LEVELS.some((l) => l.value === level) ? level : undefined}
            placeholder="choose"
            popupMatchSelectWidth={false}
            onChange={takeLevel}
            options={LEVELS}
          />
        </Question>
      )}
      {(['setup', 'campsite'] as const)
        .filter((figure) => view.asked.includes(figure))
        .filter((figure) => (figure === 'setup' ? needsSetup(reading) : !holds(reading, figure)))
        .map((figure) => (
          <Question
            key={figure}
            label={
              figure === 'setup'
                ? 'Which setup was used? Enter it for all rows, or choose its column.'
                : 'Where was it? Enter the campsite for all rows, or choose its column.'
            }
          >
            <Input
              aria-label={figure === 'setup' ? 'Setup of all rows' : 'Campsite of all rows'}
              value={reading[figure] ?? ''}
              onChange={(e) => change({ ...reading, [figure]: e.target.value })}
            />
          </Question>
        ))}
    </Part>
  );
}

const quoted = (names: string[]) => names.map((name) => `“${name}”`).join(', ');

const levelOf = (view: View) =>
  view.reading.columns.find((c) => c.figure === 'rsrp_dbm')?.heading ?? 'of the level';

function dateOf(view: View) {
  const place = view.reading.columns.findIndex((c) => c.use === 'date' || c.figure === 'taken_at');
  return view.rows[0]?.[place] ?? '';
}

function Question({ label, children }: { label: string; children: ReactNode }) {
  return (
    <label className="question">
      <span>{label}</span>
      {children}
    </label>
  );
}

/** Preview of the first rows. */
function Preview({ view, reading }: { view: View; reading: Reading }) {
  const rows = useTableRows({ reading, rows: view.rows });
  if (rows.error) {
    return (
      <div className="notice" role="alert">
        {rows.error.message}
      </div>
    );
  }
  const names = [...new Set((rows.data ?? []).flatMap((row) => row.measurements.flatMap(Object.keys)))];
  return (
    <Part title="Preview of the first rows" small="above each, your own cells">
      <div className="table-scroll">
        <table className="plain rows preview">
          <thead>
            <tr>
              {names.map((name) => (
                <th key={name}>{name.replaceAll('_', ' ')}</th>
              ))}
            </tr>
          </thead>
          {(rows.data ?? []).map((row, i) => (
            <tbody key={i}>
              <tr>
                <td colSpan={Math.max(1, names.length)} className="small own">
                  {(view.rows[i] ?? []).filter((cell) => cell.trim() !== '').join(' | ')}
                </td>
              </tr>
              {row.measurements.map((measurement, j) => (
                <tr key={j}>
                  {names.map((name) => (
                    <td key={name} data-label={name.replaceAll('_', ' ')}>
                      {measurement[name] ?? ''}
                    </td>
                  ))}
                </tr>
              ))}
            </tbody>
          ))}
        </table>
      </div>
    </Part>
  );
}
