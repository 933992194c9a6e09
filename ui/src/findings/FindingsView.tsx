import { Link, useSearchParams } from 'react-router';
import type { Schemas } from '../data/client';
import { useDrift, useFindings, useQuestions, useWorth } from '../data/findings';
import { stateOf } from '../data/state';
import { count } from '../format/numbers';
import { Loaded } from '../parts/Loaded';
import { OfferDemo } from '../parts/OfferDemo';
import { Part, Sheet } from '../parts/Sheet';
import { useNarrow } from '../parts/useNarrow';
import { askedOf, SEE, seeOf, withParts } from './address';
import { Averages } from './Averages';
import { Behind } from './Behind';
import { Compared } from './Compared';
import { Cost } from './Cost';
import { OverTime } from './OverTime';
import { ReportSheet } from './ReportSheet';
import { Strengths } from './Strengths';
import { Wanted } from './Wanted';
import './findings.css';

type View = Schemas['FindingsView'];

/** What the whole trip says: one question, its answer, and what it rests on; all of it stands in the address. */
export function FindingsView() {
  const [query] = useSearchParams();
  const asked = askedOf(query);
  const findings = useFindings(asked);
  const questions = useQuestions();
  const { data } = findings;
  const see = seeOf(query);
  const drift = useDrift(asked, see === 'time').data;
  const worth = useWorth(asked, see === 'cost').data;
  const headline = see === 'time' ? drift?.headline : see === 'cost' ? worth?.headline : data?.headline;
  const question = questions.data?.find((q) => q.key === query.get('ask'));
  if (query.get('part') === 'report') {
    return <ReportSheet questions={questions.data ?? []} />;
  }
  const isEmpty = data !== undefined && data.measurements === 0 && questions.data?.length === 0;
  if (isEmpty) {
    return (
      <Sheet title="Findings" headline="Here the trip says which setup and which carrier earned their place.">
        <p>
          Measure two setups or two carriers at the same campsite within an hour, at four campsites or more.
          Log with <kbd>R</kbd>, or <Link to="/logbook?import=1">import what you have</Link>.
        </p>
        <OfferDemo />
      </Sheet>
    );
  }
  return (
    <Sheet
      title={question?.question ?? 'Findings'}
      over={question?.question ?? 'Findings'}
      headline={question?.answer ?? headline ?? 'What the trip says'}
      findings={<Questions all={questions.data} chosen={query.get('ask')} />}
    >
      {data ? <Found view={data} query={query} /> : <Loaded state={stateOf(findings)}>{() => null}</Loaded>}
    </Sheet>
  );
}

function Found({ view, query }: { view: View; query: URLSearchParams }) {
  const see = seeOf(query);
  const asked = askedOf(query);
  const unit = query.get('unit') ?? '';
  return (
    <>
      <Wanted view={view} />
      <nav className="parts" aria-label="What to look at">
        {SEE.filter(([key]) => view.of === 'setups' || !['time', 'cost'].includes(key)).map(
          ([key, label]) => (
            <Link
              key={key}
              to={`?${withParts(query, { see: key })}`}
              replace
              aria-current={key === see ? 'page' : undefined}
              className={key === see ? 'here' : ''}
            >
              {label}
            </Link>
          ),
        )}
      </nav>
      <p className="small rests">
        {count(view.measurements, 'measurement')}; {count(view.blocks, 'block')} at{' '}
        {count(view.stays, 'stay')} count. A block is one round of a trial, or everything measured at one stay
        with one SIM within an hour.
      </p>
      {see === 'setups' && <Remarks view={view} query={query} />}
      {see === 'setups' && <Compared view={view} query={query} />}
      {see === 'plain' && <Averages view={view} />}
      {see === 'strength' && <Strengths view={view} />}
      {see === 'time' && <OverTime asked={asked} />}
      {see === 'cost' && <Cost asked={asked} />}
      {see === 'setups' && unit !== '' && <Behind asked={asked} unit={unit} view={view} />}
    </>
  );
}

/** What to know before an average, or a comparison with a fault in it, is believed. */
function Remarks({ view, query }: { view: View; query: URLSearchParams }) {
  return view.remarks
    .filter((r, i, all) => r.code !== 'rank-differs' && all.findIndex((o) => o.code === r.code) === i)
    .map((remark) => (
      <p className="note attention" key={remark.code}>
        {remark.sentence}{' '}
        {remark.code === 'averages-mislead' && (
          <Link to={`?${withParts(query, { see: 'plain' })}`}>See both</Link>
        )}
        {remark.code === 'fault' && (
          <Link to={`?${withParts(query, { see: 'time' })}`}>See it over time</Link>
        )}
      </p>
    ));
}

/** The questions that this log can be asked. */
function Questions(props: { all: Schemas['QuestionView'][] | undefined; chosen: string | null }) {
  const { all, chosen } = props;
  const narrow = useNarrow();
  const questions = all?.map((q) => (
    <div className="note trip-question" key={q.key}>
      <Link to={`?${q.address}`} aria-current={q.key === chosen ? 'true' : undefined}>
        {q.question}
      </Link>
    </div>
  ));
  return (
    <>
      {narrow ? (
        <details className="numbers">
          <summary>Ask the trip ({all?.length ?? 0} questions)</summary>
          {questions}
        </details>
      ) : (
        <Part title="Ask the trip">{questions}</Part>
      )}
      {all && all.length > 0 && (
        <p>
          <Link className="todo" to="/findings?part=report">
            Write a report
          </Link>
        </p>
      )}
    </>
  );
}
