import { Button, Input, Table, type TableColumnType } from 'antd';
import type { Key, ReactNode } from 'react';
import { count } from '../format/numbers';
import { downloadCsv } from './download';
import { Part } from './Sheet';
import { useListState } from './useListState';
import { usePhone } from './useNarrow';

/** A column; its label stands before the value where a row is shown as lines. */
export type Column<Row> = Omit<TableColumnType<Row>, 'title'> & { label: string; unit?: string };

/** Where a list goes as a file. */
export interface Export<Row> {
  file: string;
  columns: readonly string[];
  row: (row: Row) => (string | number | null | undefined)[];
}

/** A list that finds, filters, sorts and exports; on a phone each row becomes lines. */
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
  empty: ReactNode;
  export?: Export<Row>;
  actions?: ReactNode;
  over?: ReactNode;
  pageSize?: number;
  /** A row as it stands on a phone; else each of its cells is a line. */
  lines?: (row: Row) => ReactNode;
  /** Whether it has many columns, which then stand close and with their headings in lines. */
  dense?: boolean;
  /** Rows that are chosen, and what to do when others are. */
  chosen?: { keys: Key[]; choose: (keys: Key[]) => void };
}) {
  const { noun, export: out, pageSize = 25, lines, chosen } = props;
  const list = useListState(props.columns);
  const phone = usePhone();
  const wanted = list.text.trim().toLowerCase();
  const found = props.rows.filter(
    (row) => list.passes(row) && props.text(row).toLowerCase().includes(wanted),
  );
  const narrowed = wanted !== '' || list.filters.length > 0;
  const columns = list.columns.map(({ label, unit, ...column }) => ({
    ...column,
    title: unit ? (
      <>
        {label} <span className="small">{unit}</span>
      </>
    ) : (
      label
    ),
    onCell: () => ({ 'data-label': unit ? `${label}, ${unit}` : label }) as object,
  }));
  return (
    <Part
      title={props.title}
      small={
        <>
          {narrowed ? `${found.length} of ${count(props.rows.length, noun)}` : count(found.length, noun)}
          {props.small && <> · {props.small}</>}
        </>
      }
      actions={
        <>
          <Input
            size="small"
            allowClear
            aria-label={props.find}
            placeholder={props.find}
            value={list.text}
            onChange={(e) => list.find(e.target.value)}
          />
          {list.filters.length > 0 && (
            <Button size="small" onClick={list.clear}>
              Show all
            </Button>
          )}
          {out && (
            <Button
              type="link"
              size="small"
              onClick={() => downloadCsv(out.file, out.columns, found.map(out.row))}
            >
              Export this list
            </Button>
          )}
          {props.actions}
        </>
      }
    >
      {props.over}
      <div className="table-scroll">
        <Table<Row>
          className={phone && lines ? 'two-lines' : props.dense ? 'rows dense' : 'rows'}
          size="small"
          showHeader={!(phone && lines)}
          rowKey={props.rowKey}
          dataSource={found}
          pagination={found.length > pageSize ? { pageSize, showSizeChanger: false } : false}
          locale={{
            emptyText: narrowed
              ? `Nothing here ${wanted === '' ? 'fits the filters' : `has “${list.text.trim()}” in it`}.`
              : props.empty,
          }}
          columns={phone && lines ? [{ key: 'lines', render: (_, row) => lines(row) }] : columns}
          onChange={list.onChange}
          {...(chosen && !phone
            ? { rowSelection: { selectedRowKeys: chosen.keys, onChange: chosen.choose, columnWidth: 32 } }
            : {})}
        />
      </div>
    </Part>
  );
}
