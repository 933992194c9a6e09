import { Link, useSearchParams } from 'react-router';
import type { Schemas } from '../data/client';
import { useCalculators } from '../data/bench';
import { stateOf } from '../data/state';
import { Loaded } from '../parts/Loaded';
import { Part, Sheet } from '../parts/Sheet';
import { CalculatorSheet } from './CalculatorSheet';
import './bench.css';

/** The calculators, each usable alone; which one and what is typed stand in the address. */
export function BenchView() {
  const [query] = useSearchParams();
  const calculators = useCalculators();
  const all = calculators.data;
  const chosen = all?.find((c) => c.key === query.get('calculator'));
  if (chosen && all) {
    return (
      <CalculatorSheet calculator={chosen} others={<List all={all} chosen={chosen.key} />} key={chosen.key} />
    );
  }
  return (
    <Sheet title="Tools" headline="Calculators, and a place to practise">
      <Loaded state={stateOf(calculators)}>{(list) => <List all={list} wide />}</Loaded>
      <Part title="Practice pitch">
        <p>
          <Link to="/practice">Judge trials whose answer is known</Link>, in two minutes each.
        </p>
      </Part>
    </Sheet>
  );
}

function List(props: { all: Schemas['CalculatorView'][]; chosen?: string; wide?: boolean }) {
  return (
    <Part title="Calculators">
      <ul className="calculators">
        {props.all.map((c) => (
          <li key={c.key}>
            <Link
              to={`/tools?calculator=${c.key}`}
              aria-current={c.key === props.chosen ? 'page' : undefined}
            >
              {c.name}
            </Link>
            {props.wide && <span className="small"> {c.answers}</span>}
          </li>
        ))}
      </ul>
    </Part>
  );
}
