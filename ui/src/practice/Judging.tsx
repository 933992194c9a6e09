import { Button } from 'antd';
import type { Schemas } from '../data/client';
import { type Game, useJudgeGame } from '../data/practice';
import { RoundsOf } from '../draw/RoundsOf';
import { useWidth } from '../draw/useWidth';
import { capital, fixed, short } from '../format/numbers';
import { Failed } from '../parts/Loaded';
import { Part } from '../parts/Sheet';

const SAYS: [string, string][] = [
  ['better', 'B is better'],
  ['no_difference', 'No difference that matters'],
  ['worse', 'B is worse'],
  ['cannot_tell', 'Can’t tell yet'],
];

/** What was measured, and the verdict on it. */
export function Judging({ game, made }: { game: Game; made: Schemas['PracticeMade'] }) {
  const judge = useJudgeGame(game.id);
  const [ref, width] = useWidth<HTMLDivElement>(640);
  return (
    <>
      {game.truth === null && (
        <div className="buttons practice-verdicts" role="group" aria-label="Your verdict">
          {SAYS.map(([key, label]) => (
            <Button
              key={key}
              size="large"
              loading={judge.isPending && judge.variables === key}
              onClick={() => judge.mutate(key)}
            >
              {label}
            </Button>
          ))}
        </div>
      )}
      {judge.error && <Failed error={judge.error} />}
      <Part
        title={`${capital(game.figure)}, round by round`}
        small={`Mb/s · solid: A · ring: B · ${made.rounds} rounds, ${made.runs} at each visit, about ${fixed(made.minutes, 0)} min`}
      >
        <div ref={ref}>
          <RoundsOf rounds={made.byRound} width={width} label={`${game.figure} of A and B by round`} />
        </div>
        <details className="numbers">
          <summary>Numbers as a table</summary>
          <table className="plain">
            <thead>
              <tr>
                <th>Round</th>
                <th className="num">A, Mb/s</th>
                <th className="num">B, Mb/s</th>
                <th className="num">B of A</th>
              </tr>
            </thead>
            <tbody>
              {made.byRound.map((r) => (
                <tr key={r.round}>
                  <td>{r.round}</td>
                  <td className="num">{r.a === null ? 'failed' : short(r.a)}</td>
                  <td className="num">{r.b === null ? 'failed' : short(r.b)}</td>
                  <td className="num">{r.a === null || r.b === null ? '–' : `×${fixed(r.b / r.a, 2)}`}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </details>
      </Part>
    </>
  );
}
