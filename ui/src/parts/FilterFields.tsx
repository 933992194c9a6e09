import { DatePicker, Select } from 'antd';
import dayjs from 'dayjs';
import type { ReactNode } from 'react';
import { useSearchParams } from 'react-router';

/** Filters of which several values may stand in the address, and the days from and to; lists with one value are none. */
export function FilterFields(props: {
  lists: readonly { name: string; label: string; values: readonly string[] }[];
  change: (name: string, values: string[]) => void;
  children?: ReactNode;
}) {
  const [query] = useSearchParams();
  const { lists, change } = props;
  return (
    <div className="filters">
      {lists.map(
        ({ name, label, values }) =>
          values.length > 1 && (
            <label key={name}>
              <span className="small">{label}</span>
              <Select
                size="small"
                mode="multiple"
                maxTagCount="responsive"
                placeholder="all"
                popupMatchSelectWidth={false}
                aria-label={label}
                value={query.getAll(name)}
                options={values.map((value) => ({ value, label: value }))}
                onChange={(chosen: string[]) => change(name, chosen)}
              />
            </label>
          ),
      )}
      {props.children}
      {(['from', 'to'] as const).map((name) => (
        <label key={name}>
          <span className="small">{`${name} the day`}</span>
          <DatePicker
            size="small"
            aria-label={`${name} the day`}
            value={query.get(name) ? dayjs(query.get(name)) : null}
            onChange={(day) => change(name, day ? [day.format('YYYY-MM-DD')] : [])}
          />
        </label>
      ))}
    </div>
  );
}
