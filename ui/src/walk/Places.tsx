import { Button } from 'antd';
import { type Place, type Walk, type WalkMetric, usePutBack, useTakeBack } from '../data/walk';
import { LadderStrip } from '../draw/LadderStrip';
import { useWidth } from '../draw/useWidth';
import { capital, count } from '../format/numbers';
import { clock } from '../format/time';
import { Part } from '../parts/Sheet';
import { useUndo } from '../parts/useUndo';
import { levelOf } from './levelOf';

/** The places that were marked, the best first, with their spread and how they differ from the best. */
export function Places({ walk }: { walk: Walk }) {
  const over = walk.endedAt !== null;
  const few = walk.places.filter((p) => p.marks.length < walk.marksForVerdict);
  return (
    <Part title="Places" small={[walk.setup, walk.carrier, walk.campsite].filter(Boolean).join(' · ')}>
      {walk.places.map((place, i) => (
        <Row key={place.name} walk={walk} place={place} best={i === 0} />
      ))}
      {walk.places.length === 0 && <p className="hollow">No mark has {walk.metric.toUpperCase()}.</p>}
      {walk.lacking > 0 && (
        <p className="small">
          {count(walk.lacking, 'mark')} without {walk.metric.toUpperCase()}{' '}
          {walk.lacking === 1 ? 'is' : 'are'} left out.
        </p>
      )}
      {!over && few.length > 0 && walk.places.length > 0 && (
        <p className="small">
          A verdict takes {walk.marksForVerdict} marks at each place. Go to and fro: the signal changes all
          the time, and marks taken in turn are affected the same.
        </p>
      )}
      {walk.places.length > 0 && <p className="small">Solid: the mean of its marks. Bar: their spread.</p>}
    </Part>
  );
}

function Row({ walk, place, best }: { walk: Walk; place: Place; best: boolean }) {
  const [ref, width] = useWidth<HTMLDivElement>(340);
  const { against } = place;
  return (
    <div className="walk-place">
      <div className="name">{place.name}</div>
      <div className="num">
        <b>{levelOf(place.ladder.value)}</b> {walk.unit}
      </div>
      <div ref={ref} className="drawn">
        <LadderStrip ladder={place.ladder} width={width} />
      </div>
      {best && walk.endedAt !== null && walk.places.length > 1 && <p>The best of {walk.places.length}.</p>}
      {against && <p>{capital(against.sentence)}.</p>}
      <Marks walk={walk} place={place} />
    </div>
  );
}

/** The marks themselves, each of which can be taken back. */
function Marks({ walk, place }: { walk: Walk; place: Place }) {
  const takeBack = useTakeBack();
  const putBack = usePutBack();
  const undoable = useUndo();
  const metric = walk.metric as WalkMetric;
  return (
    <details className="numbers">
      <summary>
        {count(place.marks.length, 'mark')}, {levelOf(place.ladder.spread.low)} to{' '}
        {levelOf(place.ladder.spread.high)} {walk.unit}
      </summary>
      {place.marks.map((mark) => (
        <div key={mark.id} className="walk-one">
          <span>
            {clock(mark.takenAt)} · {levelOf(mark.value)} {walk.unit}
            {mark.band === null ? '' : ` · ${mark.band}`} · {count(mark.readings, 'reading')}
          </span>
          <Button
            size="small"
            onClick={() =>
              takeBack.mutate(
                { id: walk.id, mark: mark.id, metric },
                {
                  onSuccess: () =>
                    undoable(`A mark at ${place.name} was taken back.`, () =>
                      putBack.mutateAsync({ id: walk.id, mark: mark.id, metric }),
                    ),
                },
              )
            }
          >
            Delete
          </Button>
        </div>
      ))}
    </details>
  );
}
