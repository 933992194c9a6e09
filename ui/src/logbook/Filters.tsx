import { Button, Select } from 'antd';
import { useSearchParams } from 'react-router';
import type { Schemas } from '../data/client';
import { count } from '../format/numbers';
import { FilterFields } from '../parts/FilterFields';
import { useAddress } from '../parts/useAddress';
import { ALL, LISTS } from './asked';

const LABELS: Record<(typeof LISTS)[number], string> = {
  setup: 'setups',
  carrier: 'carriers',
  band: 'bands',
  strength: 'how strong',
  when: 'time of day',
};

const NEED = [
  { value: 'met', label: 'met' },
  { value: 'missed', label: 'missed' },
];

/** Filters that combine; they stand in the address, so that a link, a reload and the way back keep them. */
export function Filters({ view }: { view: Schemas['LogbookView'] }) {
  const [query, setQuery] = useSearchParams();
  const change = useAddress();
  const lists = {
    setup: view.choices.setups,
    carrier: view.choices.carriers,
    band: view.choices.bands,
    strength: view.choices.strengths,
    when: view.choices.when,
  };
  const narrowed = ALL.filter((name) => query.has(name));
  const several = (name: string, values: string[]) => {
    const next = new URLSearchParams(query);
    next.delete(name);
    values.forEach((value) => next.append(name, value));
    setQuery(next, { replace: true });
  };
  return (
    <details className="numbers narrowing" open={narrowed.some((name) => name !== 'find')}>
      <summary>
        {narrowed.length === 0
          ? 'Filter'
          : `${count(view.stays.length, 'stay')} of ${view.all}, ${count(view.measurements, 'measurement')}, by ${count(narrowed.length, 'filter')}`}
      </summary>
      <FilterFields
        lists={LISTS.map((name) => ({ name, label: LABELS[name], values: lists[name] }))}
        change={several}
      >
        <label>
          <span className="small">{view.need}</span>
          <Select
            size="small"
            allowClear
            placeholder="met or not"
            aria-label="need met"
            value={query.get('need')}
            options={NEED}
            onChange={(need?: string) => change({ need })}
          />
        </label>
      </FilterFields>
      {query.has('area') && <p className="small">Only the part of the map that you chose is shown.</p>}
      {narrowed.length > 0 && (
        <Button
          size="small"
          onClick={() => change(Object.fromEntries(narrowed.map((name) => [name, undefined])))}
        >
          Clear all filters
        </Button>
      )}
    </details>
  );
}
