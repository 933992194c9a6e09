import { Button } from 'antd';
import { useState } from 'react';
import { useSearchParams } from 'react-router';
import type { JobHours } from '../data/fitout';
import { Field } from '../parts/Field';
import { Part } from '../parts/Sheet';

const FIELDS = ['start', 'days', 'from', 'until', 'people'] as const;

/** What the address says of the hours. */
export function hoursIn(query: URLSearchParams): JobHours {
  const number = (key: string) => (query.get(key) ? Number(query.get(key)) : undefined);
  return {
    ...(query.get('start') ? { start: query.get('start') ?? '' } : {}),
    ...(query.get('from') ? { from: query.get('from') ?? '' } : {}),
    ...(query.get('until') ? { until: query.get('until') ?? '' } : {}),
    ...(number('days') === undefined ? {} : { days: number('days') }),
    ...(number('people') === undefined ? {} : { people: number('people') }),
  } as JobHours;
}

/** The days and hours there are; they stand in the address. */
export function Hours() {
  const [query, setQuery] = useSearchParams();
  const [typed, setTyped] = useState(() => Object.fromEntries(FIELDS.map((f) => [f, query.get(f) ?? ''])));
  const field = (key: (typeof FIELDS)[number], label: string, placeholder: string, type = 'text') => (
    <Field
      name={`job-${key}`}
      label={label}
      type={type}
      value={typed[key] ?? ''}
      placeholder={placeholder}
      onChange={(value) => setTyped({ ...typed, [key]: value })}
    />
  );
  return (
    <div className="no-print">
      <Part title="Your hours">
        <form
          className="job-hours"
          onSubmit={(e) => {
            e.preventDefault();
            const next = new URLSearchParams(query);
            for (const key of FIELDS) {
              if ((typed[key] ?? '').trim() === '') {
                next.delete(key);
              } else {
                next.set(key, (typed[key] ?? '').trim());
              }
            }
            setQuery(next, { replace: true });
          }}
        >
          {field('start', 'First day', 'tomorrow', 'date')}
          {field('days', 'Days', '3')}
          {field('from', 'From', '09:00')}
          {field('until', 'Until', '18:00')}
          {field('people', 'People', '1')}
          <Button htmlType="submit">Plan with these</Button>
        </form>
      </Part>
    </div>
  );
}
