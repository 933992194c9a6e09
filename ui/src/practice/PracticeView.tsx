import { Button } from 'antd';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { type Game, useBeginGame, useGame, useScore } from '../data/practice';
import { stateOf } from '../data/state';
import { Failed, Loaded } from '../parts/Loaded';
import { Part, Sheet } from '../parts/Sheet';
import { Judging } from './Judging';
import { Planning } from './Planning';
import { Truth } from './Truth';
import './practice.css';

/** The practice pitch: a trial in the made-up world, a verdict, and the truth. */
export function PracticeView() {
  const [query] = useSearchParams();
  const game = query.get('game');
  return game === null ? <Begin /> : <OfGame id={Number(game)} />;
}

function useBegin() {
  const begin = useBeginGame();
  const navigate = useNavigate();
  return {
    begin: () => begin.mutate(undefined, { onSuccess: (game) => void navigate(`/practice?game=${game.id}`) }),
    waits: begin.isPending,
    error: begin.error,
  };
}

function Begin() {
  const { begin, waits, error } = useBegin();
  const open = useScore().data?.open ?? null;
  return (
    <Sheet
      title="Practice pitch"
      over={<Link to="/tools">Tools</Link>}
      headline="Judge a trial whose truth is known, in two minutes."
      findings={<Score />}
    >
      <p className="practice-words">
        In a simulated world two setups, A and B, are at a campsite. Choose how many rounds; they are
        simulated; give your verdict. Then you see the truth, and what three quick runs would have shown.
      </p>
      <div className="buttons">
        <Button type="primary" size="large" loading={waits} onClick={begin}>
          {open === null ? 'Start one' : 'Continue the one you started'}
        </Button>
      </div>
      {error && <Failed error={error} />}
    </Sheet>
  );
}

function OfGame({ id }: { id: number }) {
  const game = useGame(id);
  if (!game.data) {
    return (
      <Sheet title="Practice pitch" over={<Link to="/practice">Practice</Link>} headline="A practice trial">
        <Loaded state={stateOf(game)}>{() => null}</Loaded>
      </Sheet>
    );
  }
  return <Shown game={game.data} />;
}

function Shown({ game }: { game: Game }) {
  const next = useBegin();
  return (
    <Sheet
      title="Practice pitch"
      over={
        <>
          <Link to="/practice">Practice</Link> · A and B at {game.campsite}, from {game.fromHour}:10 on
        </>
      }
      headline={headline(game)}
      margin={<Score />}
    >
      {game.truth !== null && (
        <>
          <Truth game={game} truth={game.truth} />
          <div className="buttons">
            <Button type="primary" size="large" loading={next.waits} onClick={next.begin}>
              Another one
            </Button>
          </div>
        </>
      )}
      {game.made === null ? <Planning id={game.id} /> : <Judging game={game} made={game.made} />}
    </Sheet>
  );
}

function headline({ figure, made, truth }: Game) {
  if (truth !== null) {
    return `${truth.title} ${truth.right ? 'You said so.' : truth.claimedTooMuch ? 'You claimed too much.' : 'You held back.'}`;
  }
  return made === null
    ? `Is B’s ${figure} better than A’s? Plan the trial.`
    : `What do you say of B’s ${figure}?`;
}

/** How often one was right, and how often one claimed too much. */
function Score() {
  const score = useScore().data;
  return score && score.given > 0 ? (
    <Part title="Your verdicts" small={`of ${score.given}`}>
      <div className="note met">
        Right <span className="num">{score.right}</span>
      </div>
      <div className="note met">
        Claimed too much <span className="num">{score.claimedTooMuch}</span>
      </div>
      <div className="note met">
        Held back <span className="num">{score.heldBack}</span>
      </div>
    </Part>
  ) : null;
}
