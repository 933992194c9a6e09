import { Link, useSearchParams } from 'react-router';
import { useAdvice } from '../data/advice';
import type { Schemas } from '../data/client';
import { stateOf } from '../data/state';
import { useDiagnosis } from '../data/why';
import { count } from '../format/numbers';
import { Loaded } from '../parts/Loaded';
import { Part, Sheet } from '../parts/Sheet';
import { CellDay } from './CellDay';
import './why.css';

type Diagnosis = Schemas['DiagnosisView'];
type Claim = Schemas['ClaimView'];

/** Why it is slow: what the evidence points to, what to do, and the measurement that would tell more. */
export function WhyView() {
  const [search] = useSearchParams();
  const asked = {
    stay: Number(search.get('stay')) || undefined,
    setup: search.get('setup') ?? undefined,
    carrier: search.get('carrier') ?? undefined,
  };
  const diagnosis = useDiagnosis(asked);
  const { data } = diagnosis;
  return (
    <Sheet
      title="Why is it slow?"
      over={
        <>
          <Link to="/tonight">Tonight</Link>
          {data?.about && ` · ${data.about}`}
        </>
      }
      headline={data?.headline ?? 'Why is it slow?'}
      action={data?.claims[0]?.next}
      findings={
        <>
          {data && <Next found={data} />}
          {asked.stay === undefined && <UseHere />}
        </>
      }
    >
      {data ? <Found found={data} /> : <Loaded state={stateOf(diagnosis)}>{() => null}</Loaded>}
    </Sheet>
  );
}

function Found({ found }: { found: Diagnosis }) {
  return (
    <>
      {found.claims.length > 0 && (
        <Part title="What the evidence points to" small={found.about}>
          {found.claims.map((claim, i) => (
            <ClaimRow key={claim.cause} claim={claim} first={i === 0} />
          ))}
        </Part>
      )}
      {found.lookedFor !== null && <p className="hollow">{found.lookedFor}</p>}
      {found.day && <CellDay day={found.day} />}
    </>
  );
}

function ClaimRow({ claim, first }: { claim: Claim; first: boolean }) {
  return (
    <section className="claim" aria-label={claim.says}>
      <div className="name">
        {claim.says} <span className={`sure ${claim.sure}`}>{claim.sure}</span>
      </div>
      <ul className="small">
        {claim.evidence.map((said) => (
          <li key={said}>{said}</li>
        ))}
      </ul>
      {!first && <div className="do">{claim.next}</div>}
    </section>
  );
}

/** What Tonight says to use here, word for word: the two never say different things. */
function UseHere() {
  const { data } = useAdvice();
  return (
    data?.headline && (
      <Part title="What to use here">
        <div className="note">
          {data.headline} <Link to="/tonight">Show all options</Link>
        </div>
      </Part>
    )
  );
}

const MAKE: Record<string, { to: string; word: string }> = {
  run: { to: '/measure', word: 'Run now' },
  'other-carrier': { to: '/measure', word: 'Run on another carrier' },
  'other-setup': { to: '/trials?plan', word: 'Plan this test' },
  morning: { to: '/measure', word: 'Run now, and again then' },
  phone: { to: '/arrive', word: 'Note what the phone shows' },
  aim: { to: '/aim', word: 'Turn and read' },
};

function Next({ found }: { found: Diagnosis }) {
  const { telling, day } = found;
  const make = telling ? MAKE[telling.how] : undefined;
  return (
    <>
      {telling && (
        <Part title="What to measure next">
          <div className="note">
            {telling.says}{' '}
            {make && (
              <Link className="todo" to={make.to}>
                {make.word}
              </Link>
            )}
          </div>
        </Part>
      )}
      {day && (
        <Part title="Upload at night">
          <div className="note">
            {day.upload ??
              'When to upload at night appears here after a run or two between 22:00 and 7:00, and your usual upload is entered under Gear.'}
          </div>
        </Part>
      )}
      {found.claims.length > 1 && (
        <p className="small">{count(found.claims.length, 'cause')} together; begin with the first.</p>
      )}
    </>
  );
}
