import { Checkbox, Radio } from 'antd';
import { Link, useSearchParams } from 'react-router';
import type { Schemas } from '../data/client';
import { distance, type System, useUnits } from '../format/units';
import { Field } from '../parts/Field';
import { Part, Sheet } from '../parts/Sheet';
import { withParts } from './address';

const COARSE_KM = 10;

const where = (system: System) => [
  { value: 'none', label: 'names of campsites alone' },
  { value: 'coarse', label: `coordinates to about ${distance(COARSE_KM, system, 0)}` },
  { value: 'exact', label: 'coordinates as in the log' },
];

/** The report: which questions, how exactly it is said where, then one page that needs nothing else. */
export function ReportSheet({ questions }: { questions: Schemas['QuestionView'][] }) {
  const [query, setQuery] = useSearchParams();
  const change = (parts: Record<string, string | string[] | undefined>) =>
    setQuery(withParts(query, parts), { replace: true });
  const none = query.get('question') === NONE;
  const chosen = query.has('question')
    ? query.getAll('question').filter((key) => key !== NONE)
    : questions.map((q) => q.key);
  const coordinates = query.get('coordinates') ?? 'none';
  const { system } = useUnits();
  const title = query.get('title') ?? '';
  const wanted = new URLSearchParams([
    ...chosen.map((key): [string, string] => ['question', key]),
    ['coordinates', coordinates],
    ...(title.trim() === '' ? [] : [['title', title.trim()] as [string, string]]),
  ]);
  return (
    <Sheet
      title="Report"
      over={<Link to="/findings">Findings</Link>}
      headline="A page of the trip for others to read"
      action="Choose its questions. The page opens and prints without Syntoma and without a network."
      findings={
        <Part title="The page">
          {chosen.length === 0 || none ? (
            <p className="hollow">Choose a question first.</p>
          ) : (
            <>
              <p>
                <a className="todo" href={`/api/report?${wanted}`} target="_blank" rel="noreferrer">
                  Open and print
                </a>
              </p>
              <p>
                <a href={`/api/report?${wanted}&download=true`} download="report.html">
                  Download
                </a>
              </p>
            </>
          )}
          <p className="small">
            Private notes, photos and cell identities are never in it; coordinates only if you choose so here.
          </p>
        </Part>
      }
    >
      <Part title="Questions">
        <Checkbox.Group
          className="questions"
          value={chosen}
          options={questions.map((q) => ({ value: q.key, label: q.question }))}
          onChange={(keys) => change({ question: keys.length === 0 ? [NONE] : keys })}
        />
      </Part>
      <Part title="Where">
        <Radio.Group
          className="questions"
          value={coordinates}
          options={where(system)}
          onChange={(e) => change({ coordinates: String(e.target.value) })}
        />
      </Part>
      <Field
        name="title"
        label="Title"
        value={title}
        placeholder="What the trip says"
        onChange={(text) => change({ title: text })}
      />
    </Sheet>
  );
}

/** Stands in the address where none is chosen. */
const NONE = 'none';
