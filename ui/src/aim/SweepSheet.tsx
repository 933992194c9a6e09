import { Link } from 'react-router';
import { type Aim, type Sweep, useRemovePoint, useRestorePoint, useSweep } from '../data/aim';
import { stateOf } from '../data/state';
import { Polar } from '../draw/Polar';
import { useWidth } from '../draw/useWidth';
import { fixed } from '../format/numbers';
import { Loaded } from '../parts/Loaded';
import { Part, Sheet } from '../parts/Sheet';
import { useUndo } from '../parts/useUndo';
import { Reading } from './Reading';

const FEWEST = 6;
const LARGEST = 460;

/** A sweep: the heading to turn to, what was read so far, and what it says. */
export function SweepSheet({ id, aim }: { id: number; aim: Aim | undefined }) {
  const sweep = useSweep(id);
  return sweep.data ? (
    <OfSweep sweep={sweep.data} aim={aim} />
  ) : (
    <Sheet title="Sweep" over={<Link to="/aim">Aim</Link>} headline="A sweep">
      <Loaded state={stateOf(sweep)}>{() => null}</Loaded>
    </Sheet>
  );
}

function OfSweep({ sweep, aim }: { sweep: Sweep; aim: Aim | undefined }) {
  const [ref, width] = useWidth<HTMLDivElement>(LARGEST);
  const fit = sweep.result?.fit ?? null;
  const left = FEWEST - new Set(sweep.points.map((p) => p.headingDeg)).size;
  return (
    <Sheet
      title="Sweep"
      over={
        <>
          <Link to="/aim">Aim</Link> · {sweep.setup ?? 'no setup'} on {sweep.carrier ?? 'no carrier'},{' '}
          {sweep.campsite ?? 'nowhere'}
        </>
      }
      headline={
        sweep.nextDeg !== null
          ? `Turn to ${fixed(sweep.nextDeg, 0)}°${compass(sweep.nextDeg, sweep.nextMagneticDeg)}.`
          : fit
            ? `Fix it at ${fixed(fit.bestDeg, 0)}°${compass(fit.bestDeg, fit.bestMagneticDeg)}.`
            : 'Leave it as it points: no direction matters here.'
      }
      margin={<Readings sweep={sweep} />}
    >
      {sweep.result && (
        <p className="so-far">
          {sweep.nextDeg !== null && 'So far: '}
          {sweep.result.sentence}
        </p>
      )}
      <Reading sweep={sweep} />
      {sweep.result === null && (
        <p className="small">
          The result appears from {FEWEST} headings on; {left} to go.
        </p>
      )}
      <div ref={ref} className="polar-of">
        <Polar
          points={sweep.points.map((p) => ({ deg: p.headingDeg, db: p.rsrpDbm, counts: p.counts }))}
          curve={sweep.result?.curve ?? []}
          best={fit && { deg: fit.bestDeg, within: fit.toleranceDeg }}
          masts={(aim?.masts ?? [])
            .filter((m) => !m.far && (m.carrier === null || m.carrier === sweep.carrier))
            .flatMap((m) =>
              m.trueDeg === null ? [] : [{ name: m.name, deg: m.trueDeg, estimated: m.estimated }],
            )}
          size={Math.min(width, LARGEST)}
          label={sweep.result?.sentence ?? `${sweep.points.length} headings read`}
        />
      </div>
      {fit && (
        <Part title="Result" small="estimated from the curve">
          <dl className="figures">
            <dt>Best heading</dt>
            <dd>
              {fixed(fit.bestDeg, 0)}° true, {fixed(fit.bestMagneticDeg, 0)}° by the compass, ±{' '}
              {fixed(fit.surenessDeg, 0)}°
            </dd>
            <dt>Level there</dt>
            <dd>about {fixed(fit.topDb, 1)} dBm</dd>
            <dt>Half-power width</dt>
            <dd>about {fixed(fit.widthDeg, 0)}°: at its edges it is 3 dB less</dd>
            <dt>Loses 1 dB</dt>
            <dd>{fixed(fit.toleranceDeg, 0)}° off the mark</dd>
            <dt>20° off</dt>
            <dd>loses {fixed(fit.lossDb, 1)} dB</dd>
            <dt>Behind</dt>
            <dd>about {fixed(fit.backDb, 0)} dB less</dd>
          </dl>
        </Part>
      )}
    </Sheet>
  );
}

const compass = (deg: number, magnetic: number | null) =>
  magnetic === null || Math.round(magnetic) === Math.round(deg)
    ? ''
    : `, ${fixed(magnetic, 0)}° by the compass`;

/** What was read, as a table; each can be taken back. */
function Readings({ sweep }: { sweep: Sweep }) {
  const remove = useRemovePoint(sweep.id);
  const restore = useRestorePoint(sweep.id);
  const undoable = useUndo();
  return (
    <Part title="Readings" small="RSRP, the level of the signal">
      {sweep.points.length === 0 && <p>None yet.</p>}
      {sweep.points.map((p) => (
        <div className="note reading" key={p.id}>
          <span className="num">{fixed(p.headingDeg, 0)}°</span>
          <span className="num">
            {fixed(p.rsrpDbm, 1)} dBm{p.band ? ` on ${p.band}` : ''}
            {!p.counts && <span className="small"> another band, not counted</span>}
          </span>
          <button
            type="button"
            className="link"
            aria-label={`Take back ${fixed(p.headingDeg, 0)}°`}
            onClick={() =>
              remove.mutate(p.id, {
                onSuccess: () => undoable('Taken back.', () => restore.mutateAsync(p.id)),
              })
            }
          >
            take back
          </button>
        </div>
      ))}
    </Part>
  );
}
