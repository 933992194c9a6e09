import { Button } from 'antd';
import { Link } from 'react-router';
import type { Schemas } from '../data/client';
import { useAdvice } from '../data/advice';
import { usePitch } from '../data/log';
import { stateOf } from '../data/state';
import { Loaded } from '../parts/Loaded';
import { OfferDemo } from '../parts/OfferDemo';
import { Notes, Part, Sheet } from '../parts/Sheet';
import { Pennant } from '../draw/Pennant';
import { plain } from '../format/numbers';
import { ago, clock } from '../format/time';
import { useLog } from '../parts/useLog';
import { useNarrow } from '../parts/useNarrow';
import { AdviceNotes, Tonight, WhatToTry } from './Tonight';
import { Options } from './Options';
import { LiveNow } from './LiveNow';
import { RunsHere } from './RunsHere';
import { StripRow } from './StripRow';
import { AfterTheDrive } from './WhatIsWhere';
import './pitch.css';

type View = Schemas['PitchView'];

/** Where the vehicle stands now: what was measured lately, what was heard last, and quick logging. */
export function PitchView() {
  const pitch = usePitch();
  const { data } = pitch;
  const log = useLog();
  const advice = useAdvice().data;
  const narrow = useNarrow();
  if (!data) {
    return (
      <Sheet title="Tonight" headline="Tonight">
        <Loaded state={stateOf(pitch)}>{() => null}</Loaded>
      </Sheet>
    );
  }
  return (
    <Sheet
      title={data.standing.campsite ? `Tonight, ${data.standing.campsite}` : 'Tonight'}
      headline={advice?.headline || data.headline}
      findings={
        <>
          {narrow && <AfterTheDrive />}
          {narrow && advice && <WhatToTry advice={advice} />}
          {narrow && advice && <Tonight advice={advice} />}
          {advice && <AdviceNotes advice={advice} />}
          <Compared view={data} />
        </>
      }
      margin={<Margin view={data} log={log.open} paste={log.paste} />}
    >
      {!narrow && <AfterTheDrive />}
      {!narrow && advice && <WhatToTry advice={advice} />}
      {!narrow && advice && <Tonight advice={advice} />}
      {data.options.length > 0 && <Options options={data.options} hours={data.hours} />}
      <LiveNow />
      {data.heard && <Heard heard={data.heard} now={data.standing.now} />}
      {data.runs.length > 0 && <RunsHere runs={data.runs} metrics={data.metrics} now={data.standing.now} />}
      {data.runs.length === 0 && (
        <div className="buttons">
          <Button type="primary" className="wide-only" onClick={log.open}>
            Log a reading
          </Button>
          {data.standing.campsite === null && <Link to="/arrive">Enter where you have arrived</Link>}
          <Link to="/logbook?import=1">Import a file of measurements</Link>
        </div>
      )}
      {data.standing.campsite === null && <OfferDemo />}
    </Sheet>
  );
}

function Heard({ heard, now }: { heard: NonNullable<View['heard']>; now: string }) {
  const { measurement: m } = heard;
  const source = [
    m.carrier,
    [m.rat, m.band].filter(Boolean).join(' '),
    m.arfcn === null ? null : `channel ${m.arfcn}`,
    m.cellId && `cell ${m.cellId}`,
    ago(m.takenAt, now),
  ];
  return (
    <Part
      title="Last reading"
      small={
        <>
          <Pennant number={heard.setup.pennant} /> {heard.setup.name} · {source.filter(Boolean).join(' · ')}
        </>
      }
    >
      {heard.strips.map((strip) => (
        <StripRow key={strip.label} strip={strip} />
      ))}
      <p className="small">
        Solid: the last reading. Bar: the spread of the last readings. Hollow: usual here at earlier stays.
      </p>
    </Part>
  );
}

/** What the comparison of the last hours says: the figure that matters, the rest behind it. */
function Compared({ view }: { view: View }) {
  const contrast = view.tonight?.contrasts[0];
  if (!contrast) {
    return null;
  }
  const said = contrast.effects.filter((e) => e.result.verdict !== 'too-few').map((e) => e.result.sentence);
  return (
    <>
      <Part
        title="What was compared"
        small={view.tonight?.trial ? `trial ${view.tonight.trial}` : `last ${view.hours} h`}
      >
        <Notes notes={said} shown={1} more="On the other figures" none="Too few rounds to say more." />
        <div className="note">
          <Link to={comparisonAddress(view)}>
            {contrast.candidate.name} compared with {contrast.baseline.name}
          </Link>
        </div>
      </Part>
      {contrast.cautions.length > 0 && (
        <Part title="What could still be wrong">
          <Notes notes={contrast.cautions} shown={1} more="More" />
        </Part>
      )}
    </>
  );
}

function Margin({ view, log, paste }: { view: View; log: () => void; paste: () => void }) {
  const newest = view.runs.slice(-5).reverse();
  return (
    <>
      <Part title="Log">
        <div className="buttons">
          <Button type="primary" className="wide-only" onClick={log}>
            Log a reading <kbd aria-hidden="true">R</kbd>
          </Button>
          <Button onClick={paste}>
            Paste from the router{' '}
            <kbd aria-hidden="true" className="wide-only">
              V
            </kbd>
          </Button>
          <Link to="/measure" className="measure-now">
            Measure now{' '}
            <kbd aria-hidden="true" className="wide-only">
              M
            </kbd>
          </Link>
        </div>
        <p className="small">
          Syntoma does not use the bars on your phone: every maker draws them differently. Look for the number
          in dBm.
        </p>
      </Part>
      {newest.length > 0 && (
        <Part title="Last measurements">
          {newest.map((m) => (
            <div className="note" key={m.id}>
              {clock(m.takenAt)} {m.setup}:{' '}
              {m.outcome === 'ok' ? (
                <>
                  {m.upMbps !== null && `${plain(m.upMbps)} Mb/s up, `}
                  {m.downMbps !== null && `${plain(m.downMbps)} Mb/s down`}
                  {m.downMbps === null && m.upMbps === null && `${plain(m.rsrpDbm)} dBm`}
                </>
              ) : (
                <span className="loss">{m.outcome.replace('_', ' ')}</span>
              )}
            </div>
          ))}
        </Part>
      )}
    </>
  );
}

function comparisonAddress(view: View) {
  const { tonight } = view;
  const contrast = tonight?.contrasts[0];
  const query: Record<string, string> = tonight?.trial
    ? { campsite: tonight.campsite, trial: tonight.trial }
    : { stay: String(view.standing.stay) };
  if (contrast) {
    query.baseline = contrast.baseline.name;
    query.candidate = contrast.candidate.name;
  }
  return `/trials?${new URLSearchParams(query)}`;
}
