import { Button, Segmented } from 'antd';
import { useEffect } from 'react';
import { Link, useSearchParams } from 'react-router';
import { useLive, useRouter } from '../data/live';
import { type Walk, type WalkMetric, useEndWalk, useWalk, useWalks } from '../data/walk';
import { Failed } from '../parts/Loaded';
import { Part, Sheet } from '../parts/Sheet';
import { useKeptAwake } from '../parts/useAwake';
import { dateClock } from '../format/time';
import { Marking } from './Marking';
import { Places } from './Places';
import './walk.css';

/** For moving an antenna, a hotspot or a booster's indoor antenna by hand: one number, its best, and marks of what was heard where. */
export function WalkView() {
  const [search, setSearch] = useSearchParams();
  const metric: WalkMetric = search.get('metric') === 'sinr' ? 'sinr' : 'rsrp';
  const router = useRouter().data;
  const walks = useWalks().data;
  const asked = Number(search.get('walk')) || null;
  const going = walks?.find((w) => w.endedAt === null)?.id ?? null;
  const id = asked ?? going;
  const walk = useWalk(id, metric).data;
  const over = walk?.endedAt != null;
  const set = (changed: Record<string, string | null>) => {
    const next = new URLSearchParams(search);
    for (const [key, value] of Object.entries(changed)) {
      if (value === null) {
        next.delete(key);
      } else {
        next.set(key, value);
      }
    }
    setSearch(next, { replace: true });
  };
  // a walk that is found going on stays on the page when it is over
  useEffect(() => {
    if (asked === null && going !== null) {
      setSearch((now) => new URLSearchParams([...now, ['walk', String(going)]]), { replace: true });
    }
  }, [asked, going, setSearch]);
  const before = walks?.filter((w) => w.endedAt !== null && w.id !== id) ?? [];
  return (
    <Sheet
      title="Walk"
      over={<Link to="/tonight">Tonight</Link>}
      headline={walk?.headline ?? 'Carry it about, and mark where you stop.'}
      margin={
        before.length === 0 ? undefined : (
          <Part title="Earlier walks">
            {before.map((w) => (
              <div className="note" key={w.id}>
                <Link to={`/walk?walk=${w.id}`}>
                  {[w.setup, w.campsite].filter(Boolean).join(' at ') || 'A walk'}
                </Link>
                , {dateClock(w.beganAt)}
              </div>
            ))}
          </Part>
        )
      }
    >
      {walk && !over && <p className="caution">{walk.caution}</p>}
      <Segmented
        block
        className="walk-metric"
        options={[
          { value: 'rsrp', label: 'RSRP, strength' },
          { value: 'sinr', label: 'SINR, above noise' },
        ]}
        value={metric}
        onChange={(value) => set({ metric: value })}
      />
      {over ? null : router?.kind === null ? (
        <p className="hollow">
          No router is connected. <Link to="/measure">Connect it once</Link>, and its reading appears here.
        </p>
      ) : (
        <Going walk={walk} metric={metric} />
      )}
      {walk && <Places walk={walk} />}
      {over && (
        <div className="buttons">
          <Button type="primary" onClick={() => set({ walk: null })}>
            Walk again
          </Button>
        </div>
      )}
    </Sheet>
  );
}

/** A walk that goes on, or is to begin with its first mark. */
function Going({ walk, metric }: { walk: Walk | undefined; metric: WalkMetric }) {
  const live = useLive(true);
  const end = useEndWalk();
  useKeptAwake(true);
  return (
    <>
      <Marking live={live} walk={walk} metric={metric} />
      {walk && walk.places.length > 0 && (
        <div className="buttons walk-end">
          <Button loading={end.isPending} onClick={() => end.mutate({ id: walk.id, metric })}>
            End, and say which place is better
          </Button>
        </div>
      )}
      {end.error && <Failed error={end.error} />}
    </>
  );
}
