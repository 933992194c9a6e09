import type { TableProps } from 'antd';
import { useSearchParams } from 'react-router';
import type { Column } from './FindableList';

/** The name of a column in the address. */
export const slug = (label: string) => label.toLowerCase().replace(/[^a-z0-9]+/g, '-');

const OWN = ['find', 'sort'];

/** What a list is searched for, filtered by and sorted by, kept in the address so that it can be sent, reloaded and gone back to. */
export function useListState<Row extends object>(columns: Column<Row>[]) {
  const [query, setQuery] = useSearchParams();
  const change = (part: Record<string, string[]>) =>
    setQuery(
      (before) => {
        const next = new URLSearchParams(before);
        Object.entries(part).forEach(([name, values]) => {
          next.delete(name);
          values.filter((v) => v !== '').forEach((v) => next.append(name, v));
        });
        return next;
      },
      { replace: true },
    );
  const [by, way] = (query.get('sort') ?? '').split(':');
  const filtered = columns.filter((c) => c.filters).map((c) => slug(c.label));
  const stateful = columns.map((column) => {
    const name = slug(column.label);
    const values = query.getAll(name);
    return {
      ...column,
      key: name,
      ...(column.filters ? { filteredValue: values.length > 0 ? values : null } : {}),
      ...(column.sorter
        ? {
            sortOrder: by
              ? by === name
                ? way === 'up'
                  ? 'ascend'
                  : 'descend'
                : null
              : column.defaultSortOrder,
          }
        : {}),
    };
  });
  const passes = (row: Row) =>
    columns.every((column) => {
      const values = column.filters ? query.getAll(slug(column.label)) : [];
      return values.length === 0 || values.some((value) => column.onFilter?.(value, row));
    });
  const onChange: TableProps<Row>['onChange'] = (_page, filters, sorter) => {
    const sorted = Array.isArray(sorter) ? sorter[0] : sorter;
    change({
      ...Object.fromEntries(filtered.map((name) => [name, (filters[name] ?? []).map(String)])),
      sort: sorted?.order ? [`${String(sorted.columnKey)}:${sorted.order === 'ascend' ? 'up' : 'down'}`] : [],
    });
  };
  return {
    text: query.get('find') ?? '',
    find: (text: string) => change({ find: [text] }),
    /** How many filters are set. */
    filters: filtered.filter((name) => query.has(name)),
    clear: () => change(Object.fromEntries([...OWN, ...filtered].map((name) => [name, []]))),
    columns: stateful,
    passes,
    onChange,
  };
}
