import { useQueryClient } from '@tanstack/react-query';
import { Alert, Button, Progress, Table } from 'antd';
import { useState } from 'react';
import { Link } from 'react-router';
import type { Schemas } from '../data/client';
import { useFigures } from '../data/log';
import { type NameKind, useAlsoNamed } from '../data/mending';
import { Part, Sheet } from '../parts/Sheet';
import { useUndoable } from '../parts/useUndo';
import { count } from '../format/numbers';
import { downloadCsv } from '../parts/download';
import { TableColumns } from './TableColumns';
import { type ImportState, useImport } from '../data/useImport';
import './logbook.css';
import { useFailed } from '../parts/useFailed';

/** Imports a file: a dry run is reported row by row, then it is confirmed. */
export function ImportPanel({ close }: { close: () => void }) {
  const client = useQueryClient();
  const undoable = useUndoable();
  const { state, read, keep, cancel, reset, again, change, use, choose, judge } = useImport((report) => {
    void client.invalidateQueries();
    undoable(`${count(report.accepted, 'measurement')} imported.`, report.change);
  });
  const [told, setTold] = useState<string[]>([]);
  const asked = state.kind === 'judged' ? state.report.close.filter((c) => !told.includes(keyOf(c))) : [];
  return (
    <Sheet title="Import" headline={headline(state)} margin={<Margin />}>
      {(state.kind === 'idle' || state.kind === 'refused') && <Drop read={read} />}
      {state.kind === 'refused' && (
        <div className="notice" role="alert">
          <b>{state.file}</b>: {state.message}
        </div>
      )}
      {state.kind === 'columns' && (
        <TableColumns
          view={state.view}
          reading={state.reading}
          change={change}
          use={() => use(state.reading)}
          choose={choose}
          key={view(state.view)}
        />
      )}
      {state.kind === 'running' && (
        <Part title={state.dryRun ? 'Reading; nothing is saved yet' : 'Importing'} small={state.file}>
          <Progress percent={state.share} showInfo={false} status="active" strokeColor="var(--kelp)" />
          <p className="quiet">
            {state.uploaded ? `${state.rows.toLocaleString('en')} rows read` : 'Saving…'}
          </p>
          <Button onClick={cancel}>Cancel</Button>
        </Part>
      )}
      {(state.kind === 'judged' || state.kind === 'kept') && (
        <>
          {asked.length > 0 && (
            <CloseNames
              names={asked}
              other={(name) => setTold([...told, keyOf(name)])}
              all={() => setTold([...told, ...asked.map(keyOf)])}
              same={judge}
            />
          )}
          <Report report={state.report} file={state.file} done={state.kind === 'kept'} />
        </>
      )}
      <div className="buttons">
        {state.kind === 'judged' && (
          <>
            <Button type="primary" disabled={state.report.accepted === 0 || asked.length > 0} onClick={keep}>
              {state.report.accepted === 0
                ? 'Nothing to import'
                : asked.length > 0
                  ? 'First decide about the names above'
                  : `Import ${count(state.report.accepted, 'measurement')}`}
            </Button>
            <Button onClick={reset}>Choose another file</Button>
            {state.table && <Button onClick={again}>Which column is which</Button>}
          </>
        )}
        {state.kind === 'kept' && (
          <>
            <Button type="primary" onClick={close}>
              Back to the stays
            </Button>
            <Link to="/logbook?part=changes">Undo it later under Changes</Link>
          </>
        )}
        {state.kind !== 'kept' && state.kind !== 'running' && (
          <Button onClick={close}>Back to the logbook</Button>
        )}
      </div>
    </Sheet>
  );
}

type CloseName = Schemas['CloseName'];

const keyOf = (c: CloseName) => `${c.kind} ${c.name}`;
/** Another sheet is another table, to be answered again. */
const view = (table: Schemas['TableView']) => `${table.sheets[0] ?? ''} ${table.reading.columns.length}`;

/** New names that may be meant to be known ones: each is asked about. */
function CloseNames(props: {
  names: CloseName[];
  other: (name: CloseName) => void;
  all: () => void;
  same: () => void;
}) {
  const also = useAlsoNamed();
  const failed = useFailed();
  return (
    <Part title="Are these the same?" small="a name twice splits what belongs together">
      {props.names.map((c) => (
        <div className="close-name" key={keyOf(c)}>
          <span>
            The {c.kind} <b>{c.name}</b> is new, and close to <b>{c.known}</b>.
          </span>
          <Button
            size="small"
            type="primary"
            loading={also.isPending}
            onClick={() =>
              also.mutate(
                { kind: c.kind as NameKind, known: c.known, name: c.name },
                {
                  onSuccess: props.same,
                  onError: (refused) => failed(refused.message),
                },
              )
            }
          >
            It is {c.known}
          </Button>
          <Button size="small" onClick={() => props.other(c)}>
            It is another {c.kind}
          </Button>
        </div>
      ))}
      {props.names.length > 1 && (
        <div className="buttons">
          <Button size="small" onClick={props.all}>
            None of them are the same
          </Button>
        </div>
      )}
    </Part>
  );
}

function headline(state: ImportState) {
  switch (state.kind) {
    case 'idle':
      return 'Import a file of measurements. Nothing is saved before you confirm.';
    case 'refused':
      return 'This file cannot be imported.';
    case 'columns':
      return 'Check which column is which; this is remembered for the next file with these headings.';
    case 'running':
      return state.dryRun ? 'Judging the rows.' : 'Keeping the good rows.';
    case 'judged':
      return `${count(state.report.accepted, 'new measurement')}, ${state.report.duplicates} already in the log, ${state.report.rejectedRows} refused. Nothing is saved yet.`;
    case 'kept':
      return `${count(state.report.accepted, 'measurement')} imported.`;
  }
}

function Drop({ read }: { read: (file: File) => void }) {
  const [over, setOver] = useState(false);
  return (
    <label
      className={over ? 'drop over-it' : 'drop'}
      onDragOver={(e) => {
        e.preventDefault();
        setOver(true);
      }}
      onDragLeave={() => setOver(false)}
      onDrop={(e) => {
        e.preventDefault();
        setOver(false);
        const [file] = e.dataTransfer.files;
        if (file) {
          read(file);
        }
      }}
    >
      Drop a spreadsheet here (CSV, TSV or .xlsx), or choose one
      <input
        type="file"
        accept=".csv,.tsv,.txt,.xlsx,text/csv,text/plain"
        onChange={(e) => {
          const [file] = e.target.files ?? [];
          if (file) {
            read(file);
          }
        }}
      />
    </label>
  );
}

function Report({ report, file, done }: { report: Schemas['ImportReport']; file: string; done: boolean }) {
  const { created } = report;
  const news = [
    ['campsites', created.campsites],
    ['setups', created.setups],
    ['carriers', created.carriers],
  ] as const;
  return (
    <>
      <Part title={done ? 'Imported' : 'What would be imported'} small={file}>
        <table className="plain">
          <tbody>
            <tr>
              <td className="name">New</td>
              <td>{count(report.accepted, 'measurement')}</td>
            </tr>
            <tr>
              <td className="name">Already in the log</td>
              <td>{count(report.duplicates, 'measurement')}</td>
            </tr>
            <tr>
              <td className="name">Refused</td>
              <td className={report.rejectedRows > 0 ? 'loss' : undefined}>
                {count(report.rejectedRows, 'row')}
              </td>
            </tr>
            {news
              .filter(([, names]) => names.length > 0)
              .map(([kind, names]) => (
                <tr key={kind}>
                  <td className="name">New {kind}</td>
                  <td>{names.join(', ')}</td>
                </tr>
              ))}
          </tbody>
        </table>
      </Part>
      {report.rejectedRows > 0 && (
        <Part
          title="Refused rows"
          small={
            report.rejectedRows > report.rejected.length
              ? `the first ${report.rejected.length} of ${report.rejectedRows}`
              : 'the others are not touched by these'
          }
          actions={
            <Button
              size="small"
              onClick={() =>
                downloadCsv(
                  'refused-rows.csv',
                  ['line', 'column', 'message'],
                  report.rejected.map((r) => [r.line, r.column, r.message]),
                )
              }
            >
              Export this list
            </Button>
          }
        >
          <Table
            size="small"
            rowKey={(r) => `${r.line} ${r.column}`}
            dataSource={report.rejected}
            pagination={report.rejected.length > 10 ? { pageSize: 10, showSizeChanger: false } : false}
            columns={[
              {
                title: 'Line',
                dataIndex: 'line',
                align: 'right',
                width: 80,
                sorter: (a, b) => a.line - b.line,
              },
              {
                title: 'Column',
                dataIndex: 'column',
                width: 140,
                sorter: (a, b) => a.column.localeCompare(b.column),
              },
              { title: 'What is wrong', dataIndex: 'message' },
            ]}
          />
        </Part>
      )}
      {done && report.accepted > 0 && <Alert type="success" title="The good rows are in the log." />}
    </>
  );
}

function Margin() {
  const figures = useFigures();
  const columns = figures.data?.map((f) => f.column) ?? [];
  return (
    <Part title="What a file needs">
      <div className="note">
        Your own spreadsheet as it is, as CSV, TSV or .xlsx. For each kind of table you say once which column
        is which.
      </div>
      <div className="note">
        Formulas count with their saved results, links to other files are ignored, and a merged cell counts
        for all its rows.
      </div>
      <div className="note">
        Or the columns of Syntoma itself:{' '}
        <Button
          size="small"
          disabled={columns.length === 0}
          onClick={() => downloadCsv('syntoma-template.csv', columns, [])}
        >
          Download an empty table
        </Button>
        <details className="numbers">
          <summary>Its {columns.length} columns</summary>
          <p className="small">
            Needed: taken_at with its offset (2026-08-14T18:05:00+03:00), campsite, setup, outcome (ok,
            no_service, failed, timed_out), and at least one figure if it is ok.
          </p>
          <ul className="small">
            {figures.data?.map((f) => (
              <li key={f.column}>
                <code>{f.column}</code> {f.unit && `in ${f.unit}`}
              </li>
            ))}
          </ul>
        </details>
      </div>
      <div className="note">
        Up to 200 MB, about a million rows. What cannot be read is listed row by row.
      </div>
    </Part>
  );
}
