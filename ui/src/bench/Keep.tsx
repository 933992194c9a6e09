import { App, Button, Input } from 'antd';
import { useState } from 'react';
import { Link } from 'react-router';
import { useAddToNote, useKeepResult } from '../data/bench';
import type { Schemas } from '../data/client';
import { useStanding } from '../data/names';
import { length, useUnits } from '../format/units';
import { useFailed } from '../parts/useFailed';

const WORDS: Record<string, string> = { cable: 'Save the cable to Gear', mast: 'Save the tower' };

/** What can be done with a result: into the rig, among the towers, into the planner, the log, or the note of this stay. */
export function Keep(props: { result: Schemas['CalculationView']; calculator: Schemas['CalculatorView'] }) {
  const { result, calculator } = props;
  const standing = useStanding().data;
  const note = useAddToNote();
  const { message } = App.useApp();
  const failed = useFailed();
  const said = (error: Error) => failed(error.message);
  const { keep } = result;
  return (
    <div className="buttons keep">
      {keep?.what === 'trial' && (
        <Link className="todo" to={`/trials?plan=&difference=${keep.values['difference']}`}>
          Plan that trial
        </Link>
      )}
      {keep?.what === 'reading' && (
        <Link className="todo" to={`/logbook?band=${keep.values['band']}`}>
          What the log has on {keep.values['band']}
        </Link>
      )}
      {keep && WORDS[keep.what] && <Named keep={keep} word={WORDS[keep.what] ?? ''} />}
      {standing?.stay != null && (
        <Button
          size="small"
          loading={note.isPending}
          onClick={() =>
            note.mutate(
              { stay: standing.stay ?? 0, line: `${calculator.name}: ${result.says}` },
              {
                onSuccess: () => void message.success(`Noted at ${standing.campsite}.`),
                onError: said,
              },
            )
          }
        >
          Add to the note of {standing.campsite}
        </Button>
      )}
    </div>
  );
}

/** Something that needs a name before it is kept. */
function Named({ keep, word }: { keep: Schemas['KeepView']; word: string }) {
  const { system } = useUnits();
  const usual =
    keep.what === 'cable'
      ? `${keep.values['cableClass']} ${length(Number(keep.values['lengthM']), system)}`
      : (keep.values['name'] ?? '');
  const [name, setName] = useState<string>();
  const store = useKeepResult();
  const { message } = App.useApp();
  const failed = useFailed();
  const called = name ?? usual;
  return (
    <span className="named">
      <Input
        size="small"
        aria-label="Name"
        placeholder="what to call it"
        value={called}
        maxLength={120}
        onChange={(e) => setName(e.target.value)}
      />
      <Button
        size="small"
        loading={store.isPending}
        disabled={called.trim() === ''}
        onClick={() =>
          store.mutate(
            { ...keep, name: called.trim() },
            {
              onSuccess: () => void message.success(`Saved ${called.trim()}.`),
              onError: (error: Error) => failed(error.message),
            },
          )
        }
      >
        {word}
      </Button>
    </span>
  );
}
