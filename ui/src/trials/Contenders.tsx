import { Button, Input, Select } from 'antd';
import type { Schemas } from '../data/client';
import { usePlanChoices } from '../data/design';
import { SetupLabel } from '../draw/Pennant';
import { Part } from '../parts/Sheet';
import { asItIs, type Contender } from './planAddress';

const MOST = 16;

/** What is compared: setups, each on a carrier and perhaps with one thing changed, the first as the baseline. */
export function Contenders(props: {
  contenders: Contender[];
  setups: Schemas['SetupName'][];
  carriers: string[];
  problem: (field: string) => string | undefined;
  change: (contenders: Contender[]) => void;
}) {
  const { contenders, setups, carriers, change } = props;
  const kinds = usePlanChoices().data?.changes ?? [];
  const offered = setups.filter((s) => !s.retired || contenders.some((c) => c.setup === s.name));
  const set = (at: number, part: Partial<Contender>) =>
    change(contenders.map((c, i) => (i === at ? { ...c, ...part } : c)));
  const add = () => {
    const unused = offered.find((s) => contenders.every((c) => c.setup !== s.name)) ?? offered[0];
    change([...contenders, asItIs(unused?.name ?? '', contenders[0]?.carrier ?? '')]);
  };
  return (
    <Part title="What is compared" small="the first is the baseline: what you have">
      {contenders.map((contender, i) => {
        const of = i === 0 ? 'Baseline' : `Setup ${i + 1}`;
        const kind = kinds.find((k) => k.kind === contender.kind);
        const wrong = ['', '.setup', '.carrier', '.change'].map((part) =>
          props.problem(`contenders[${i}]${part}`),
        );
        return (
          <div className="contender" key={i}>
            <Select
              aria-label={of}
              value={contender.setup}
              onChange={(setup: string) => set(i, { setup })}
              options={offered.map((s) => ({ value: s.name, label: <SetupLabel setup={s} /> }))}
            />
            <Select
              aria-label={`${of}: carrier`}
              value={contender.carrier}
              onChange={(carrier: string) => set(i, { carrier })}
              options={carriers.map((name) => ({ value: name, label: `on ${name}` }))}
            />
            <Select
              aria-label={`${of}: what is changed`}
              value={contender.kind}
              popupMatchSelectWidth={false}
              onChange={(changed: string) => set(i, { kind: changed, value: '' })}
              options={[
                { value: '', label: 'as it is' },
                ...kinds.map((k) => ({ value: k.kind, label: k.label })),
              ]}
            />
            {kind ? (
              <Input
                aria-label={`${of}: ${kind.label}`}
                value={contender.value}
                placeholder={kind.allowed}
                onChange={(e) => set(i, { value: e.target.value })}
              />
            ) : (
              <span />
            )}
            {contenders.length > 2 && (
              <Button
                type="text"
                aria-label={`Leave out ${contender.setup}`}
                onClick={() => change(contenders.filter((_, other) => other !== i))}
              >
                Leave out
              </Button>
            )}
            {wrong.some(Boolean) && (
              <p className="loss" role="alert">
                {wrong.find(Boolean)}
              </p>
            )}
          </div>
        );
      })}
      <div className="buttons">
        <Button disabled={contenders.length >= MOST} onClick={add}>
          Add another
        </Button>
      </div>
    </Part>
  );
}
