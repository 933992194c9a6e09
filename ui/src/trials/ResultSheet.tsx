import { Select } from 'antd';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import type { Schemas } from '../data/client';
import { stateOf } from '../data/state';
import { type ResultOf, useResult } from '../data/trials';
import { Loaded } from '../parts/Loaded';
import { Part, Sheet } from '../parts/Sheet';
import { SetupLabel } from '../draw/Pennant';
import { count } from '../format/numbers';
import { clock, span } from '../format/time';
import { Effects } from './Effects';
import { Averages } from './Averages';
import { RoundByRound } from './RoundByRound';

/** The verdict of a trial, or of two setups at a stay. */
export function ResultSheet({ of }: { of: ResultOf }) {
  const result = useResult(of);
  const { data } = result;
  const [pair, setPair] = useState(0);
  if (!data) {
    return (
      <Sheet headline="Verdict">
        <Loaded state={stateOf(result)}>{() => null}</Loaded>
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

function Over(props: { view: Schemas['ResultView']; contrast: Schemas['Contrast']; of: ResultOf }) {
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
