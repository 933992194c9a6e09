import { Button, Input } from 'antd';
import { useState } from 'react';

/** What a phone shows of a carrier. */
export interface ShownLevels {
  outside: string;
  inside: string;
}

const NOTHING: ShownLevels = { outside: '', inside: '' };
const NO_SERVICE = 'no service';

/** Per carrier what a phone shows outside and inside. */
export function Phones(props: {
  carriers: string[];
  shown: Record<string, ShownLevels>;
  set: (shown: Record<string, ShownLevels>) => void;
  problems: Record<string, string>;
}) {
  const { shown, set, problems } = props;
  const [added, setAdded] = useState<string[]>([]);
  const [name, setName] = useState('');
  const order = Object.keys(shown);
  const carriers = [...new Set([...props.carriers, ...order, ...added])];
  const add = () => {
    setAdded([...added, name.trim()]);
    setName('');
  };
  const cell = (carrier: string, where: keyof ShownLevels) => {
    const value = (shown[carrier] ?? NOTHING)[where];
    const change = (next: string) => {
      const { [carrier]: before = NOTHING, ...others } = shown;
      const now = { ...before, [where]: next };
      set(now.outside || now.inside ? { ...others, [carrier]: now } : others);
    };
    const problem = problems[`phones[${order.indexOf(carrier)}].${where}`];
    return (
      <>
        <span className="level">
          <Input
            value={value}
            inputMode="decimal"
            aria-label={`${carrier} ${where}`}
            aria-invalid={problem ? true : undefined}
            status={problem ? 'error' : undefined}
            suffix={value === NO_SERVICE ? '' : 'dBm'}
            onChange={(e) => change(e.target.value)}
          />
          <button
            type="button"
            className="bold-part"
            aria-label={`${carrier} ${where}: no service`}
            onClick={() => change(value === NO_SERVICE ? '' : NO_SERVICE)}
          >
            no service
          </button>
        </span>
        {problem && (
          <span className="hint bad" role="alert">
            {problem}
          </span>
        )}
      </>
    );
  };
  return (
    <>
      {carriers.length > 0 && (
        <table className="plain phones">
          <thead>
            <tr>
              <th>Carrier</th>
              <th>Outside</th>
              <th>Inside</th>
            </tr>
          </thead>
          <tbody>
            {carriers.map((carrier) => (
              <tr key={carrier}>
                <th scope="row">{carrier}</th>
                <td>{cell(carrier, 'outside')}</td>
                <td>{cell(carrier, 'inside')}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <div className="buttons">
        <Input
          value={name}
          aria-label="Carrier to add"
          placeholder={carriers.length === 0 ? 'Which carrier do you have?' : 'another carrier'}
          onChange={(e) => setName(e.target.value)}
          style={{ width: 220 }}
        />
        <Button disabled={name.trim() === ''} onClick={add}>
          Add
        </Button>
      </div>
      <p className="small">
        The level is in the phone’s settings, under the SIM or the network. You can note bars (“3 bars”), but
        Syntoma does not calculate with them: every maker draws them differently.
      </p>
    </>
  );
}
