import { Button, Select } from 'antd';
import { useSearchParams } from 'react-router';
import type { Schemas } from '../data/client';
import { count } from '../format/numbers';
import { FilterFields } from '../parts/FilterFields';
import { LISTS, withParts } from './address';

const OF = [
  { value: 'setups', label: 'setups' },
  { value: 'carriers', label: 'carriers' },
  { value: 'bands', label: 'bands' },
];

const LABELS: Record<(typeof LISTS)[number], string> = {
  stay: 'stays',
  campsite: 'campsites',
  setup: 'setups',
  carrier: 'carriers',
  band: 'bands',
  when: 'times of day',
};

/** What is compared, on what, against what, and what of the log counts; each a part of the address. */
export function Wanted({ view }: { view: Schemas['FindingsView'] }) {
  const [query, setQuery] = useSearchParams();
  const change = (parts: Record<string, string | string[] | undefined>) =>
    setQuery(withParts(query, { ask: undefined, unit: undefined, ...parts }), { replace: true });
  const { choices } = view;
  const lists = {
    campsite: choices.campsites,
    carrier: choices.carriers,
    setup: choices.setups,
    band: choices.bands,
    when: choices.when,
  };
  const narrowed = [...LISTS, 'from', 'to', 'area'].filter((name) => query.has(name));
  return (
    <>
      <p className="asked">
        Compare{' '}
        <Select
          size="small"
          aria-label="what to compare"
          value={view.of}
          options={OF}
          onChange={(of) => change({ of, baseline: undefined, see: undefined })}
        />{' '}
        on{' '}
        <Select
          size="small"
          aria-label="the metric"
          popupMatchSelectWidth={false}
          value={view.metric}
          options={choices.metrics.map((m) => ({ value: m.metric, label: m.words }))}
          onChange={(metric) => change({ metric })}
        />{' '}
        with{' '}
        <Select
          size="small"
          aria-label="the baseline"
          popupMatchSelectWidth={false}
          value={view.baseline}
          options={choices.baselines.map((value) => ({ value, label: value }))}
          onChange={(baseline) => change({ baseline })}
        />
      </p>
      <details className="numbers narrowing" open={narrowed.length > 0}>
        <summary>
          {narrowed.length === 0 ? 'Whole log' : `Filtered by ${count(narrowed.length, 'filter')}`}
        </summary>
        <FilterFields
          lists={Object.entries(lists).map(([name, values]) => ({
            name,
            label: LABELS[name as keyof typeof lists],
            values,
          }))}
          change={(name, values) => change({ [name]: values })}
        />
        {(query.has('area') || query.has('stay')) && (
          <p className="small">
            {query.has('area') && `Campsites from ${area(query.get('area') ?? '')}. `}
            {query.has('stay') && `${count(query.getAll('stay').length, 'chosen stay')}. `}
          </p>
        )}
        {narrowed.length > 0 && (
          <Button
            size="small"
            onClick={() => change(Object.fromEntries(narrowed.map((name) => [name, undefined])))}
          >
            Clear all filters
          </Button>
        )}
      </details>
    </>
  );
}

/** A rectangle in words; an edge of the globe is none. */
function area(text: string) {
  const [south = -90, west = -180, north = 90, east = 180] = text.split(',').map(Number);
  const edges = [
    south > -90 && `${south}° north`,
    west > -180 && `${west}° east`,
    north < 90 && `up to ${north}° north`,
    east < 180 && `up to ${east}° east`,
  ].filter(Boolean);
  return edges.join(', ') || 'anywhere';
}
