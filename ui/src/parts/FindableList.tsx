import { Input, Table, type TableColumnType } from 'antd';
import { type Key, type ReactNode, useState } from 'react';
import { count } from '../format/numbers';
import { downloadCsv } from './download';
import { Part } from './Sheet';

/** A column; its label stands before the value where a row is shown as lines. */
export type Column<Row> = Omit<TableColumnType<Row>, 'title'> & { label: string; unit?: string };

/** Where a list goes as a file. */
export interface Export<Row> {
  file: string;
  columns: readonly string[];
  row: (row: Row) => (string | number | null | undefined)[];
}

/** A list that finds, sorts and exports; on a phone each row becomes lines of label and value. */
export function FindableList<Row extends object>(props: {
  title: ReactNode;
  /** What one row is, such as stay. */
  noun: string;
  small?: ReactNode;
  rows: readonly Row[];
  rowKey: (row: Row) => Key;
  /** What of a row is searched. */
  text: (row: Row) => string;
  find: string;
  columns: Column<Row>[];
  empty: string;
  export?: Export<Row>;
  actions?: ReactNode;
  over?: ReactNode;
  pageSize?: number;
}) {
  const { noun, columns, export: out, pageSize = 25 } = props;
  const [text, setText] = useState('');
  const wanted = text.trim().toLowerCase();
  const found = props.rows.filter((row) => props.text(row).toLowerCase().includes(wanted));
  return (
    <Part
      title={props.title}
      small={
        <>
          {count(found.length, noun)}
          {props.small && <> · {props.small}</>}
        </>
      }
      actions={
        <>
          <Input
            size="small"
            data-find
            allowClear
            placeholder={`${props.find}  /`}
            value={text}
            onChange={(e) => setText(e.target.value)}
          />
          {out && (
            <a
              href="#export"
              onClick={(e) => {
                e.preventDefault();
                downloadCsv(out.file, out.columns, found.map(out.row));
              }}
            >
              Export this list
            </a>
          )}
          {props.actions}
        </>
      }
    >
      {props.over}
      <div className="table-scroll">
        <Table<Row>
          className="rows"
          size="small"
          rowKey={props.rowKey}
          dataSource={found}
          pagination={found.length > pageSize ? { pageSize, showSizeChanger: false } : false}
          locale={{ emptyText: wanted === '' ? props.empty : `Nothing here has “${text.trim()}” in it.` }}
          columns={columns.map(({ label, unit, ...column }) => ({
            ...column,
            title: unit ? (
              <>
                {label} <span className="small">{unit}</span>
              </>
            ) : (
              label
            ),
            onCell: () => ({ 'data-label': unit ? `${label}, ${unit}` : label }) as object,
          }))}
        />
      </div>
    </Part>
  );
}
