import { Button, Slider } from 'antd';
import { useGameEffort, useMakeGame } from '../data/practice';
import { useStored } from '../data/useStored';
import { fixed } from '../format/numbers';
import { FieldFrame } from '../parts/Field';
import { Failed } from '../parts/Loaded';
import { useKey } from '../parts/useKey';
import { useSettled } from '../parts/useSettled';

const USUAL = { rounds: 5, runs: 2 };
const SETTLED_MS = 150;

/** How many rounds, and how many runs at each visit. */
export function Planning({ id }: { id: number }) {
  const [plan, setPlan] = useStored(`practice.${id}`, USUAL);
  const settled = useSettled(JSON.stringify(plan), SETTLED_MS);
  const effort = useGameEffort(id, JSON.parse(settled) as typeof plan).data;
  const make = useMakeGame(id);
  const send = () => make.mutate(plan);
  useKey('Enter', send);
  return (
    <div className="practice-plan">
      <FieldFrame id="practice-rounds" label={`Rounds: ${plan.rounds}`}>
        <Slider
          min={3}
          max={20}
          value={plan.rounds}
          ariaLabelForHandle="Rounds"
          onChange={(rounds: number) => setPlan({ ...plan, rounds })}
        />
      </FieldFrame>
      <FieldFrame id="practice-runs" label={`Runs at each visit: ${plan.runs}`}>
        <Slider
          min={1}
          max={5}
          value={plan.runs}
          ariaLabelForHandle="Runs at each visit"
          onChange={(runs: number) => setPlan({ ...plan, runs })}
        />
      </FieldFrame>
      <p>
        {effort
          ? `That takes the hands about ${fixed(effort.minutes, 0)} min and ${fixed(effort.gb, 2)} GB. Here it is over at once.`
          : '…'}
      </p>
      <div className="buttons">
        <Button type="primary" size="large" loading={make.isPending} onClick={send}>
          Run the trial{' '}
          <kbd aria-hidden="true" className="wide-only">
            Enter
          </kbd>
        </Button>
      </div>
      {make.error && <Failed error={make.error} />}
    </div>
  );
}
