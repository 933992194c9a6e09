import { Button } from 'antd';
import { useEffect, useState } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { Refusal, type Schemas } from '../data/client';
import { type Design, type Template, useDesign, useKeepDesign, useTemplates } from '../data/design';
import { useFileTrial } from '../data/fitout';
import { useCarriers, useSetups, useStanding } from '../data/names';
import { useStored } from '../data/useStored';
import { fixed } from '../format/numbers';
import { Field } from '../parts/Field';
import { Failed } from '../parts/Loaded';
import { Notes, Part, Sheet } from '../parts/Sheet';
import { useSettled } from '../parts/useSettled';
import { Contenders } from './Contenders';
import { Course } from './Course';
import {
  asItIs,
  type PlanInput,
  addressOf,
  askedIn,
  type Contender,
  contenderOf,
  requestOf,
} from './planAddress';
import { PlanAsked } from './PlanAsked';
import { StartFrom } from './StartFrom';
import { WhenMade } from './WhenMade';

const MOST_SEED = 1e9;

/** What the address asks for; the order is drawn once, so that the one that is shown is the one that is kept. */
function begun(query: URLSearchParams): PlanInput {
  const asked = askedIn(query);
  return asked.seed === '' ? { ...asked, seed: String(Math.floor(Math.random() * MOST_SEED)) } : asked;
}

/** What is up and another setup, both on the carrier in use. */
function usual(
  setups: Schemas['SetupName'][] | undefined,
  carriers: { name: string }[] | undefined,
  line: Schemas['StandingLine'] | undefined,
): Contender[] {
  if (!setups || !carriers || !line) {
    return [];
  }
  const first = line.setup ?? setups[0];
  const second = setups.find((s) => !s.retired && s.id !== first?.id);
  const carrier = line.carrier ?? carriers[0]?.name ?? '';
  return first && second ? [first, second].map((s) => asItIs(s.name, carrier)) : [];
}

/** Contenders of a template, about a setup that the address names: it is the last of them, and what it is compared with stays. */
function about(contenders: Template['contenders'], setup: string | null): Template['contenders'] {
  const last = contenders.at(-1);
  if (setup === null || !last) {
    return contenders;
  }
  return contenders.map((c) => {
    const swapped = c.setup === last.setup ? setup : c.setup === setup ? last.setup : c.setup;
    return { ...c, setup: swapped };
  });
}

/** How long what is typed rests before it is calculated again. */
const SETTLED_MS = 200;

/** Plans a trial for the time and the data there is: what it takes, what it can show, and what it cannot. */
export function PlanView() {
  const [query, setQuery] = useSearchParams();
  const setups = useSetups().data;
  const carriers = useCarriers().data;
  const line = useStanding().data;
  const [typed, setTyped] = useState(() => begun(query));
  const asked = typed.contenders.length > 0 ? typed : { ...typed, contenders: usual(setups, carriers, line) };
  const [template, setTemplate] = useState('');
  const [wanted] = useState(() => query.get('template'));
  const [withSetup] = useState(() => query.get('with'));
  const templates = useTemplates().data;
  const change = (part: Partial<PlanInput>) => setTyped({ ...asked, ...part });
  const take = (t: Template) => {
    setTemplate(t.key);
    change({
      contenders: t.contenders.map(contenderOf),
      spread: t.spread.join(', '),
      ...(t.seed === null ? {} : { seed: String(t.seed) }),
    });
  };
  const asks = template === '' ? templates?.find((t) => t.key === wanted) : undefined;
  if (asks) {
    // the one of the address is taken once, as soon as it is known
    take({ ...asks, contenders: about(asks.contenders, withSetup) });
  }
  useEffect(() => {
    setQuery(addressOf(typed), { replace: true });
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the address follows what is asked, and nothing else
  }, [typed]);
  const settled = useSettled(JSON.stringify(requestOf(asked)), SETTLED_MS);
  const design = useDesign(JSON.parse(settled) as ReturnType<typeof requestOf>);
  const refusal = design.error instanceof Refusal ? design.error : null;
  const problem = (field: string) => refusal?.errors.find((e) => e.field === field)?.message;
  const shown = refusal ? undefined : design.data;
  if (setups && setups.length < 2) {
    return (
      <Sheet title="Plan a trial" over={<Over />} headline="A trial compares two setups or more.">
        <p>
          Put {setups.length === 0 ? 'two' : 'a second one'} together in <Link to="/gear">Gear</Link>; a name
          is enough.
        </p>
      </Sheet>
    );
  }
  return (
    <Sheet
      title="Plan a trial"
      over={<Over />}
      headline={shown?.sentence ?? (refusal ? 'This cannot be planned as it is.' : 'What is to be compared?')}
      findings={shown && <Findings design={shown} />}
      margin={
        shown && (
          <>
            <Part title="Data">
              {shown.left.map((plan) => (
                <div className="note" key={plan.carrier}>
                  <b>{fixed(plan.gb, plan.gb < 1 ? 2 : 1)} GB</b> of {plan.carrier}
                  {plan.leftGb === null
                    ? '; what its plan allows is not in Gear.'
                    : plan.leftGb < 0
                      ? `: ${fixed(-plan.leftGb, 1)} GB more than is left.`
                      : `; ${fixed(plan.leftGb, 1)} GB left this month after it.`}
                </div>
              ))}
            </Part>
            <Part title="What it cannot answer">
              <Notes notes={shown.cannot} shown={4} more="More" />
            </Part>
            <Part title="What this is based on">
              <Notes notes={shown.restsOn} shown={3} more="More" />
            </Part>
          </>
        )
      }
    >
      <StartFrom chosen={template} choose={take} />
      <Contenders
        problem={problem}
        contenders={asked.contenders}
        setups={setups ?? []}
        carriers={carriers?.map((c) => c.name) ?? []}
        change={(contenders) => change({ contenders })}
      />
      {refusal && problem('contenders') !== undefined && (
        <p className="loss" role="alert">
          {problem('contenders')}
        </p>
      )}
      <PlanAsked asked={asked} problem={problem} change={change} />
      {shown && (
        <Part title="How it goes" small="minutes = your work before each measurement">
          <WhenMade sessions={shown.sessions} />
          <Course contenders={shown.contenders} visits={shown.visits} runs={shown.runs} />
        </Part>
      )}
      {shown && <Keep asked={asked} campsite={line?.campsite ?? null} />}
    </Sheet>
  );
}

const Over = () => <Link to="/trials">Trials</Link>;

function Findings({ design }: { design: Design }) {
  const notes = [...design.warnings, ...design.advice];
  return notes.length === 0 ? null : (
    <Part title={design.enough ? 'Before you begin' : 'What would help'}>
      <Notes notes={notes} shown={4} more="More" />
    </Part>
  );
}

/** Keeps the plan under a name, and leads to its run sheet. */
function Keep({ asked, campsite }: { asked: PlanInput; campsite: string | null }) {
  const [name, setName, clear] = useStored('trials.name', '');
  const [missing, setMissing] = useState(false);
  const keep = useKeepDesign();
  const file = useFileTrial();
  const navigate = useNavigate();
  const problem =
    keep.error instanceof Refusal
      ? (keep.error.errors.find((e) => e.field === 'name')?.message ?? undefined)
      : undefined;
  if (campsite === null) {
    return <p>Choose your campsite in the line above; a trial belongs to a campsite.</p>;
  }
  return (
    <form
      className="keep-plan"
      onSubmit={(event) => {
        event.preventDefault();
        const design = requestOf(asked);
        setMissing(name.trim() === '');
        if (name.trim() !== '' && design) {
          keep.mutate(
            { campsite, name: name.trim(), design },
            {
              onSuccess: (sheet) => {
                clear();
                file(asked.file, sheet.campsite, sheet.trial);
                void navigate(
                  `/trials?${new URLSearchParams({ campsite: sheet.campsite, sheet: sheet.trial })}`,
                );
              },
            },
          );
        }
      }}
    >
      <Field
        name="trial-name"
        label="Name of the trial"
        value={name}
        onChange={setName}
        placeholder="Is the mast worth raising?"
        problem={problem ?? (missing && name.trim() === '' ? 'a trial needs a name' : undefined)}
        hint={`At ${campsite}.`}
      />
      <div className="buttons">
        <Button type="primary" size="large" htmlType="submit" loading={keep.isPending}>
          Save and start
        </Button>
      </div>
      {keep.error && problem === undefined && <Failed error={keep.error} />}
    </form>
  );
}
