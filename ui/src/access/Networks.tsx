import { Button, Input } from 'antd';
import { useState } from 'react';
import { useDecideNetwork, useForgetNetwork } from '../data/access';
import type { Schemas } from '../data/client';
import { Part } from '../parts/Sheet';
import { useFailed } from '../parts/useFailed';

type Network = Schemas['LocalNetworkView'];

/** The networks this machine is on or was on, and which of them are served. A new one is not, until somebody says so here. */
export function Networks({ view }: { view: Schemas['NetworkView'] }) {
  return (
    <Part title="Networks">
      <p className="small">
        Syntoma answers only on the networks you allow here: not on a campsite’s Wi-Fi, not on the internet.
      </p>
      {view.networks.length === 0 && <p>This machine is on no private network now.</p>}
      {view.networks.map((network) => (
        <OneNetwork key={network.id} network={network} served={view.served} />
      ))}
    </Part>
  );
}

function OneNetwork({ network, served }: { network: Network; served: boolean }) {
  const decide = useDecideNetwork();
  const forget = useForgetNetwork();
  const failed = useFailed();
  const [name, setName] = useState<string>();
  const fails = { onError: (refused: Error) => failed(refused.message) };
  const put = (wanted: boolean, called?: string) =>
    decide.mutate(
      { id: network.id, served: wanted, name: called ?? null },
      { ...fails, onSuccess: () => setName(undefined) },
    );
  const asks = network.up && network.served === null;
  return (
    <div className="note network" data-asks={asks || undefined}>
      <div>
        <b>{network.name}</b>
        <div className="small">
          {network.prefix} on {network.interfaceName}
          {network.addresses.length > 0 && `; this machine is ${network.addresses.join(', ')} there`}
        </div>
        <div className={asks ? 'attention' : 'small'}>{stateOf(network, served)}</div>
      </div>
      {name === undefined ? (
        <div className="buttons">
          {network.served !== true && (
            <Button type={asks ? 'primary' : 'default'} loading={decide.isPending} onClick={() => put(true)}>
              Allow
            </Button>
          )}
          {network.served !== false && (
            <Button loading={decide.isPending} onClick={() => put(false)}>
              Do not allow
            </Button>
          )}
          {network.served !== null && (
            <>
              <Button onClick={() => setName(network.name)}>Rename</Button>
              <Button loading={forget.isPending} onClick={() => forget.mutate(network.id, fails)}>
                Remove
              </Button>
            </>
          )}
        </div>
      ) : (
        <form
          className="buttons"
          onSubmit={(event) => {
            event.preventDefault();
            put(network.served === true, name);
          }}
        >
          <Input
            aria-label="Name of the network"
            value={name}
            onChange={(event) => setName(event.target.value)}
            style={{ width: 220 }}
          />
          <Button htmlType="submit" type="primary" loading={decide.isPending}>
            Save
          </Button>
          <Button onClick={() => setName(undefined)}>Cancel</Button>
        </form>
      )}
    </div>
  );
}

function stateOf(network: Network, served: boolean) {
  if (network.served === null) {
    return 'New. Is this network yours? Until you allow it, nobody on it can reach Syntoma.';
  }
  if (!network.served) {
    return 'Not allowed.';
  }
  if (!network.up) {
    return 'Allowed; this machine is not on it now.';
  }
  return served
    ? 'Allowed: devices on it can log in.'
    : 'Allowed once Syntoma is open to the vehicle’s network.';
}
