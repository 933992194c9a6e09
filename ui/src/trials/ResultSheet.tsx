import { Select } from 'antd';
import { Link, useSearchParams } from 'react-router';
import { useSession } from '../data/access';
import type { Schemas } from '../data/client';
import { stateOf } from '../data/state';
import { type ResultOf, useResult } from '../data/trials';
import { GuestLink } from '../parts/GuestLink';
import { Loaded } from '../parts/Loaded';
import { Notes, Part, Sheet } from '../parts/Sheet';
import { useAddress } from '../parts/useAddress';
import { SetupLabel } from '../draw/Pennant';
import { count } from '../format/numbers';
import { fullSpan } from '../format/time';
import { Averages, Failed } from './Averages';
import { Earlier } from './Earlier';
import { Effects } from './Effects';
import { EveryRun } from './EveryRun';
import { GridOf } from './GridOf';
import { OfBands } from '../parts/OfBands';
import { planOf } from './planAddress';
import { RoundByRound } from './RoundByRound';

type View = Schemas['ResultView'];
type Contrast = Schemas['Contrast'];

/** The verdict of a trial, or of two setups at a stay; pair and figure stand in the address. */
export function ResultSheet({ of }: { of: ResultOf }) {
  const [query] = useSearchParams();
  const session = useSession().data;
  // a guest may read this verdict and nothing else; until it is known who looks, nothing else is asked for
  const isOwn = session?.page === null;
  const result = useResult(of);
  const { data } = result;
  const title = of.kind === 'trial' ? `${of.trial}, ${of.campsite}` : 'Two setups at a stay';
  if (!data) {
    return (
      <Sheet title={title} headline="Verdict">
        <Loaded state={stateOf(result)}>{() => null}</Loaded>
        <Link to="/trials">All trials</Link>
      </Sheet>
    );
  }
  const contrast =
    data.contrasts.find(
      (c) =>
        c.candidate.name === query.get('candidate') &&
        c.baseline.name === (query.get('against') ?? data.baseline),
    ) ?? data.contrasts[0];
  if (!contrast) {
    return (
      <Sheet title={title} headline="One setup alone was measured here, so there is nothing to compare.">
        <p>Measure a second setup in turn with the first, three rounds or more.</p>
        <Link to="/trials">All trials</Link>
      </Sheet>
    );
  }
  return (
    <Sheet
      title={
        of.kind === 'trial' ? title : `${contrast.candidate.name} compared with ${contrast.baseline.name}`
      }
      over={<Over view={data} contrast={contrast} of={of} />}
      headline={contrast.headline}
      action={contrast.action}
      findings={<Findings view={data} contrast={contrast} />}
      margin={<Margin view={data} contrast={contrast} of={of} />}
    >
      {contrast.otherCell && <p className="heed">{contrast.otherCell}</p>}
      {data.next && isOwn && (
        <Part title="What to try next" small="filled in from this trial">
          <p>{data.next.says}</p>
          <Link to={planOf(data.next.contenders)}>{data.next.label}</Link>
        </Part>
      )}
      {data.grid && <GridOf grid={data.grid} />}
      {data.contrasts.length > 1 && <PairChoice view={data} contrast={contrast} />}
      <Measures contrast={contrast} />
      {of.kind === 'trial' && isOwn && <EveryRun campsite={of.campsite} trial={of.trial} />}
      {isOwn && <Earlier baseline={contrast.baseline.id} candidate={contrast.candidate.id} />}
    </Sheet>
  );
}

function PairChoice({ view, contrast }: { view: View; contrast: Contrast }) {
  const change = useAddress();
  return (
    <div className="buttons no-print">
      <Select
        aria-label="Pair compared"
        value={view.contrasts.indexOf(contrast)}
        onChange={(i: number) => {
          const chosen = view.contrasts[i];
          change({
            candidate: chosen?.candidate.name,
            against: chosen?.baseline.name === view.baseline ? undefined : chosen?.baseline.name,
          });
        }}
        popupMatchSelectWidth={false}
        options={view.contrasts.map((c, i) => ({
          value: i,
          label: `${c.candidate.name} or ${c.baseline.name}`,
        }))}
      />
    </div>
  );
}

function Measures({ contrast }: { contrast: Contrast }) {
  const [query] = useSearchParams();
  const change = useAddress();
  const shared = contrast.effects.filter((e) => e.result.estimate !== null);
  const effect = shared.find((e) => e.key === query.get('metric')) ?? shared[0];
  return (
    <>
      <Failed contrast={contrast} />
      <Effects
        contrast={contrast}
        chosen={effect?.key ?? ''}
        choose={(key) => change({ metric: key === shared[0]?.key ? undefined : key })}
      />
      {effect && effect.rounds.length > 0 && <RoundByRound contrast={contrast} effect={effect} />}
      <OfBands contrast={contrast} />
      <Averages contrast={contrast} />
    </>
  );
}

function Over(props: { view: View; contrast: Contrast; of: ResultOf }) {
  const { view, contrast, of } = props;
  const change = useAddress();
  const rounds =
    view.plannedRounds === null
      ? count(view.rounds, 'round')
      : `${view.rounds} of ${view.plannedRounds} rounds planned`;
  return (
    <>
      {view.trial ? `${view.trial}, ` : ''}
      {view.campsite} · <SetupLabel setup={contrast.candidate} /> and <SetupLabel setup={contrast.baseline} />{' '}
      · {view.carriers.join(', ')} · {rounds} · {fullSpan(view.from, view.to)}
      {of.kind === 'trial' && view.setups.length > 1 && (
        <span className="no-print">
          {' '}
          · compared with{' '}
          <Select
            size="small"
            variant="borderless"
            aria-label="Baseline: what the others are compared with"
            value={view.baseline ?? undefined}
            onChange={(baseline: string) => change({ baseline, candidate: undefined, against: undefined })}
            popupMatchSelectWidth={false}
            options={view.setups.map((s) => ({ value: s.name, label: s.name }))}
          />
        </span>
      )}
    </>
  );
}

/** Whether the need was met, and what could still be wrong. */
function Findings({ view, contrast }: { view: View; contrast: Contrast }) {
  return (
    <>
      <NeedMet need={view.need} met={view.met} />
      <Part title="What could still be wrong">
        <Notes notes={contrast.cautions} shown={3} more="More" none="Nothing stands out." />
      </Part>
    </>
  );
}

/** In how many runs each setup met the need. */
export function NeedMet({ need, met }: { need: string | null; met: Schemas['NeedMet'][] }) {
  const counted = met.filter((m) => m.runs > 0);
  if (need === null || counted.length === 0) {
    return null;
  }
  return (
    <Part title={`Enough for ${need}`} small="runs that met it">
      {counted.map((m) => (
        <div className="note met" key={m.setup.id}>
          <SetupLabel setup={m.setup} />
          <span className="num">
            {m.met} of {m.runs}
          </span>
        </div>
      ))}
    </Part>
  );
}

/** The address of the verdict as one page. */
const pageOf = (of: Extract<ResultOf, { kind: 'trial' }>) =>
  `/api/results/trial/page?${new URLSearchParams({
    campsite: of.campsite,
    trial: of.trial,
    ...(of.baseline === undefined ? {} : { baseline: of.baseline }),
  })}`;

function Margin({ view, contrast, of }: { view: View; contrast: Contrast; of: ResultOf }) {
  const guest = useSession().data?.page != null;
  return (
    <>
      <Part title="How it was judged">
        <Notes
          notes={[
            ...contrast.judged,
            ...(view.servers.length > 0 ? [`Test server: ${view.servers.join(', ')}.`] : []),
          ]}
          shown={9}
          more="More"
        />
      </Part>
      <div className="no-print">
        <Part title="Next">
          {!guest && (
            <div className="note">
              <Link to="/trials">All trials</Link>
            </div>
          )}
          <div className="note">
            <button type="button" className="link" onClick={() => window.print()}>
              Print this verdict
            </button>
          </div>
          {of.kind === 'trial' && !guest && (
            <div className="note">
              <a href={pageOf(of)} download="verdict.html">
                One page to send or to keep
              </a>
            </div>
          )}
          <GuestLink />
        </Part>
      </div>
    </>
  );
}
