import { Button, Select } from 'antd';
import type { Schemas } from '../data/client';
import { SetupLabel } from '../draw/Pennant';
import { Part } from '../parts/Sheet';
import type { Contender } from './planAddress';

const MOST = 8;

/** What is compared: setups, each on a carrier, the first as the baseline. */
export function Contenders(props: {
  contenders: Contender[];
  setups: Schemas['SetupName'][];
  carriers: string[];
  change: (contenders: Contender[]) => void;
}) {
  const { contenders, setups, carriers, change } = props;
  const offered = setups.filter((s) => !s.retired || contenders.some((c) => c.setup === s.name));
  const set = (at: number, part: Partial<Contender>) =>
    change(contenders.map((c, i) => (i === at ? { ...c, ...part } : c)));
  const add = () => {
    const unused = offered.find((s) => contenders.every((c) => c.setup !== s.name)) ?? offered[0];
    change([...contenders, { setup: unused?.name ?? '', carrier: contenders[0]?.carrier ?? '' }]);
  };
  return (
    <Part title="What is compared" small="the first is the baseline: what you have">
      {contenders.map((contender, i) => (
        <div className="contender" key={i}>
          <Select
            aria-label={i === 0 ? 'Baseline' : `Setup ${i + 1}`}
            value={contender.setup}
            onChange={(setup: string) => set(i, { setup })}
            options={offered.map((s) => ({ value: s.name, label: <SetupLabel setup={s} /> }))}
          />
          <span className="small">on</span>
          <Select
            aria-label={i === 0 ? 'Baseline’s carrier' : `Carrier of setup ${i + 1}`}
            value={contender.carrier}
            onChange={(carrier: string) => set(i, { carrier })}
            options={carriers.map((name) => ({ value: name, label: name }))}
          />
          {contenders.length > 2 && (
            <Button
              type="text"
              aria-label={`Leave ${contender.setup} out`}
              onClick={() => change(contenders.filter((_, other) => other !== i))}
            >
              leave out
            </Button>
          )}
        </div>
      ))}
      <div className="buttons">
        <Button disabled={contenders.length >= MOST} onClick={add}>
          Add another
        </Button>
      </div>
    </Part>
  );
}
