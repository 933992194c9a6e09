import { Button, Input } from 'antd';
import { useState } from 'react';
import { Link } from 'react-router';
import type { Schemas } from '../data/client';
import type { Live } from '../data/live';
import { useStored } from '../data/useStored';
import { type Walk, type WalkMetric, useMark } from '../data/walk';
import { LadderStrip } from '../draw/LadderStrip';
import { useWidth } from '../draw/useWidth';
import { capital } from '../format/numbers';
import { levelOf } from './levelOf';
import { useTone } from './useTone';
import { useFailed } from '../parts/useFailed';

type Level = Schemas['Level'];

/** A number that is held: it rests, and what is marked is what it was. */
interface FrozenLevel {
  level: Level;
  atMs: number;
  agoS: number;
}

/** The one number, its tone, and what marks it. */
export function Marking(props: { live: Live | undefined; walk: Walk | undefined; metric: WalkMetric }) {
  const { live, walk, metric } = props;
  const [held, setHeld] = useState<FrozenLevel | null>(null);
  const now = live?.levels.find((l) => l.metric === metric);
  const tone = useTone(now, live);
  const level = held?.level.metric === metric ? held.level : now;
  const best = walk?.places.flatMap((p) => p.marks.map((m) => ({ place: p.name, value: m.value })));
  const bestMark = best?.reduce<(typeof best)[number] | undefined>(
    (a, b) => (a && a.value >= b.value ? a : b),
    undefined,
  );
  return (
    <section className="walking">
      {level ? (
        <Number level={level} held={held !== null} />
      ) : (
        <div className="walk-number none">
          <b>–</b>
          <p className="hollow" role="status">
            {live ? said(live, metric) : 'Asking the router.'}{' '}
            {live?.levels.length === 0 && <Link to="/measure">Check the connection</Link>}
          </p>
        </div>
      )}
      <p className="walk-best">
        {now ? (
          <>
            Best in five minutes: <b>{levelOf(now.strongest)}</b> {now.ladder.unit}
            {now.strongestAgoS < 2 ? ', now' : `, ${Math.round(now.strongestAgoS)} s ago`}
          </>
        ) : (
          'Best in five minutes: none heard'
        )}
        <br />
        {bestMark ? (
          <>
            Best mark: <b>{levelOf(bestMark.value)}</b> {walk?.unit}, {bestMark.place}
          </>
        ) : (
          'Nothing marked yet'
        )}
      </p>
      <div className="walk-switches">
        <Button
          aria-pressed={held !== null}
          type={held ? 'primary' : 'default'}
          disabled={!held && !now}
          onClick={() =>
            setHeld(
              held || !now || !live
                ? null
                : { level: now, atMs: Date.now(), agoS: live.reading.ageMs / 1_000 },
            )
          }
        >
          {held ? 'Frozen: release' : 'Freeze the number'}
        </Button>
        <Button aria-pressed={tone.on} type={tone.on ? 'primary' : 'default'} onClick={tone.toggle}>
          {tone.on ? 'Stop the tone' : 'Play a tone'}
        </Button>
      </div>
      <MarkForm
        walk={walk}
        metric={metric}
        possible={level !== undefined}
        ago={() => (held ? { agoS: (Date.now() - held.atMs) / 1_000 + held.agoS } : {})}
        marked={() => setHeld(null)}
      />
    </section>
  );
}

function said(live: Live, metric: WalkMetric) {
  const { problem, mode } = live.reading;
  if (problem) {
    return `${capital(problem)}.`;
  }
  return mode === 'none' ? 'No service.' : `The router says no ${metric.toUpperCase()} now.`;
}

function Number({ level, held }: { level: Level; held: boolean }) {
  const { ladder, readings } = level;
  const [ref, width] = useWidth<HTMLDivElement>(340);
  return (
    <div className={held ? 'walk-number held' : 'walk-number'}>
      <p>
        <b>{levelOf(ladder.value)}</b> <span>{ladder.unit}</span>
      </p>
      <div ref={ref}>
        <LadderStrip ladder={ladder} width={width} />
      </div>
      <p className="small">
        {held ? 'held · ' : ''}
        {ladder.grade} · {readings === 1 ? 'one reading' : `mean of the last 3 s, ${readings} readings`}
      </p>
    </div>
  );
}

/** A word for where it is, and the words that were used already, each one press. */
function MarkForm(props: {
  walk: Walk | undefined;
  metric: WalkMetric;
  possible: boolean;
  ago: () => { agoS?: number };
  marked: () => void;
}) {
  const { walk, metric, possible } = props;
  const [place, setPlace] = useStored('walk.place', '');
  const mark = useMark();
  const failed = useFailed();
  const send = (word: string) =>
    mark.mutate(
      { id: walk?.id ?? null, metric, body: { place: word, ...props.ago() } as Schemas['MarkRequest'] },
      {
        onSuccess: () => {
          props.marked();
          setPlace('');
        },
        onError: (refused) => failed(refused.message),
      },
    );
  return (
    <form
      className="walk-mark"
      onSubmit={(event) => {
        event.preventDefault();
        if (place.trim() !== '') {
          send(place.trim());
        }
      }}
    >
      <label htmlFor="walk-place">Where is it?</label>
      <div>
        <Input
          id="walk-place"
          size="large"
          value={place}
          maxLength={60}
          placeholder="window left"
          autoComplete="off"
          onChange={(e) => setPlace(e.target.value)}
        />
        <Button
          type="primary"
          size="large"
          htmlType="submit"
          disabled={!possible || place.trim() === ''}
          loading={mark.isPending}
        >
          Mark
        </Button>
      </div>
      {walk && walk.places.length > 0 && (
        <div className="walk-again" role="group" aria-label="Mark again at">
          {[...walk.places]
            .sort((a, b) => a.name.localeCompare(b.name))
            .map((p) => (
              <Button
                key={p.name}
                size="large"
                disabled={!possible || mark.isPending}
                onClick={() => send(p.name)}
              >
                {p.name} <small>{p.marks.length}</small>
              </Button>
            ))}
        </div>
      )}
    </form>
  );
}
