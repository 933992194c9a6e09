import { useQueryClient } from '@tanstack/react-query';
import { Alert, Button, Progress, Table } from 'antd';
import { useState } from 'react';
import type { Schemas } from '../data/client';
import { Part, Sheet } from '../parts/Sheet';
import { count } from '../format/numbers';
import { downloadCsv } from '../parts/download';
import { TableColumns } from './TableColumns';
import { type ImportState, useImport } from '../data/useImport';
import './logbook.css';

/** Imports a file: a dry run is reported row by row, then it is confirmed. */
export function ImportPanel({ close }: { close: () => void }) {
  const client = useQueryClient();
  const { state, read, keep, cancel, reset, again, change, use } = useImport(
    () => void client.invalidateQueries(),
  );
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
        />
      )}
      {state.kind === 'running' && (
        <Part title={state.dryRun ? 'Reading, nothing is kept yet' : 'Importing'} small={state.file}>
          <Progress percent={state.share} showInfo={false} status="active" strokeColor="var(--kelp)" />
          <p className="quiet">
            {state.uploaded ? `${state.rows.toLocaleString('en')} rows read` : 'Taking the file over…'}
          </p>
          <Button onClick={cancel}>Cancel</Button>
        </Part>
      )}
      {(state.kind === 'judged' || state.kind === 'kept') && (
        <Report report={state.report} file={state.file} done={state.kind === 'kept'} />
      )}
      <div className="buttons">
        {state.kind === 'judged' && (
          <>
            <Button type="primary" disabled={state.report.accepted === 0} onClick={keep}>
              {state.report.accepted === 0
                ? 'Nothing to import'
                : `Import ${count(state.report.accepted, 'row')}`}
            </Button>
            <Button onClick={reset}>Choose another file</Button>
            <Button onClick={again}>Which column is which</Button>
          </>
        )}
        {state.kind === 'kept' && (
          <Button type="primary" onClick={close}>
            To the stays
          </Button>
        )}
        {state.kind !== 'kept' && state.kind !== 'running' && (
          <Button onClick={close}>Back to the logbook</Button>
        )}
      </div>
    </Sheet>
  );
}

function headline(state: ImportState) {
  switch (state.kind) {
    case 'idle':
      return 'Import a file of measurements. You see first what would be kept.';
    case 'refused':
      return 'This file cannot be imported.';
    case 'columns':
      return 'Say which column is which; it is remembered for the next file with these headings.';
    case 'running':
      return state.dryRun ? 'Judging the rows.' : 'Keeping the good rows.';
    case 'judged':
      return `${count(state.report.accepted, 'new row')}, ${state.report.duplicates} already in the log, ${state.report.rejectedRows} refused. Nothing is kept yet.`;
    case 'kept':
      return `${count(state.report.accepted, 'row')} imported.`;
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
      Drop a CSV file here, or choose one
      <input
        type="file"
        accept=".csv,text/csv,text/plain"
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
      <Part title={done ? 'Kept' : 'What would be kept'} small={file}>
        <table className="plain">
          <tbody>
            <tr>
              <td className="name">New</td>
              <td>{count(report.accepted, 'row')}</td>
            </tr>
            <tr>
              <td className="name">Already in the log</td>
              <td>{count(report.duplicates, 'row')}</td>
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
  return (
    <Part title="What a file needs">
      <div className="note">
        Your own spreadsheet, saved as CSV: you are asked which column is which, and it is remembered.
      </div>
      <div className="note">
        Or a header with <code>taken_at</code>, <code>campsite</code>, <code>setup</code> and{' '}
        <code>outcome</code>, and one metric at least where the outcome is ok.
      </div>
      <div className="note">
        Times with their offset: <code>2026-08-14T18:05:00+03:00</code>.
      </div>
      <div className="note">
        Metrics: <code>rsrp_dbm</code>, <code>rsrq_db</code>, <code>sinr_db</code>, <code>down_mbps</code>,{' '}
        <code>up_mbps</code>, <code>idle_ms</code>, <code>up_loaded_ms</code> and more. Columns that are not
        known go into the note.
      </div>
      <div className="note">
        Semicolons with decimal commas are read too. Up to 180 MB, about a million rows.
      </div>
    </Part>
  );
}
