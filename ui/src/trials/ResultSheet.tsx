import { useQuery } from '@tanstack/react-query';
import { Select } from 'antd';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { api, type Schemas, unwrap } from '../api/client';
import { Part, Sheet, Waiting } from '../app/Sheet';
import { SetupLabel } from '../draw/Pennant';
import { count } from '../format/numbers';
import { clock, span } from '../format/time';
import { Effects } from './Effects';
import { Averages } from './Averages';
import { RoundByRound } from './RoundByRound';

export type Of =
  | { kind: 'trial'; trial: string; campsite: string; baseline: string | undefined }
  | { kind: 'stay'; stay: number; baseline: string | undefined; candidate: string | undefined };

function load(of: Of) {
  return of.kind === 'trial'
    ? unwrap(
        api.GET('/api/results/trial', {
          params: { query: { trial: of.trial, campsite: of.campsite, baseline: of.baseline } },
        }),
      )
    : unwrap(
        api.GET('/api/results/stay', {
          params: { query: { stay: of.stay, baseline: of.baseline, candidate: of.candidate } },
        }),
      );
}

/** The verdict of a trial, or of two setups at a stay. */
export function ResultSheet({ of }: { of: Of }) {
  const { data, error, refetch } = useQuery({ queryKey: ['result', of], queryFn: () => load(of) });
  const [pair, setPair] = useState(0);
  if (!data) {
    return (
      <Sheet headline="Verdict">
        <Waiting error={error} retry={() => void refetch()} />
        <Link to="/trials">All trials</Link>
      </Sheet>
    );
  }
  const contrast = data.contrasts[Math.min(pair, data.contrasts.length - 1)];
  if (!contrast) {
    return (
      <Sheet headline="One setup alone was measured here, so there is nothing to compare.">
        <p>Measure a second setup in turn with the first, three rounds or more.</p>
        <Link to="/trials">All trials</Link>
      </Sheet>
    );
  }
  return (
    <Sheet
      over={<Over view={data} contrast={contrast} of={of} />}
      headline={contrast.headline}
      margin={<Margin view={data} contrast={contrast} />}
    >
      {data.contrasts.length > 1 && (
        <div className="buttons">
          <Select
            aria-label="Pair compared"
            value={Math.min(pair, data.contrasts.length - 1)}
            onChange={setPair}
            popupMatchSelectWidth={false}
            options={data.contrasts.map((c, i) => ({
              value: i,
              label: `${c.candidate.name} against ${c.baseline.name}`,
            }))}
          />
        </div>
      )}
      <Measures contrast={contrast} />
    </Sheet>
  );
}

function Measures({ contrast }: { contrast: Schemas['Contrast'] }) {
  const [chosen, setChosen] = useState(contrast.effects[0]?.label ?? '');
  const effect = contrast.effects.find((e) => e.label === chosen) ?? contrast.effects[0];
  return (
    <>
      <Effects contrast={contrast} chosen={effect?.label ?? ''} choose={setChosen} />
      {effect && <RoundByRound contrast={contrast} effect={effect} />}
      <Averages contrast={contrast} />
    </>
  );
}

function Over(props: { view: Schemas['ResultView']; contrast: Schemas['Contrast']; of: Of }) {
  const { view, contrast, of } = props;
  const navigate = useNavigate();
  const rebase = (baseline: string) => {
    const query: Record<string, string> =
      of.kind === 'trial'
        ? { campsite: of.campsite, trial: of.trial, baseline }
        : { stay: String(of.stay), baseline, candidate: contrast.baseline.name };
    void navigate(`/trials?${new URLSearchParams(query)}`, { replace: true });
  };
  const rounds =
    view.plannedRounds === null
      ? count(view.rounds, 'round')
      : `${view.rounds} of ${view.plannedRounds} rounds`;
  return (
    <>
      {view.trial ? `${view.trial}, ` : ''}
      {view.campsite} · <SetupLabel setup={contrast.candidate} /> against{' '}
      <SetupLabel setup={contrast.baseline} /> · {view.carriers.join(', ')} · {rounds} ·{' '}
      {span(view.from, view.to)}, {clock(view.from)} to {clock(view.to)} ·{' '}
      {view.trial !== null && view.setups.length > 1 && (
        <Select
          size="small"
          variant="borderless"
          aria-label="Baseline"
          value={view.baseline ?? undefined}
          onChange={rebase}
          popupMatchSelectWidth={false}
          options={view.setups.map((s) => ({ value: s.name, label: `baseline ${s.name}` }))}
        />
      )}
    </>
  );
}

function Margin({ view, contrast }: { view: Schemas['ResultView']; contrast: Schemas['Contrast'] }) {
  const level = contrast.effects[0]?.result.level ?? 0.95;
  return (
    <>
      <Part title="What could still be wrong">
        {contrast.cautions.map((caution) => (
          <div className="note" key={caution}>
            {caution}
          </div>
        ))}
        {contrast.cautions.length === 0 && <div className="note">Nothing stands out.</div>}
      </Part>
      <Part title="How it was judged">
        <div className="note">
          Both setups within one round, on ratios for speeds and latencies, on differences for dB and shares.
        </div>
        <div className="note">
          Intervals at {(level * 100).toFixed(1).replace(/\.0$/, '')} %
          {view.plannedRounds !== null &&
            `, because ${view.plannedRounds} rounds were planned and each may be looked at`}
          {view.adjusted && ', adjusted for several comparisons'}.
        </div>
        {view.servers.length > 0 && <div className="note">Test server: {view.servers.join(', ')}.</div>}
      </Part>
      <Part title="Next">
        <div className="note">
          <Link to="/trials">All trials</Link>
        </div>
        <div className="note">
          <a href="#print" onClick={(e) => (e.preventDefault(), window.print())}>
            Print this verdict
          </a>
        </div>
      </Part>
    </>
  );
}
